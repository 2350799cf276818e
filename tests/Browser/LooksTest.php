<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** Every station on every page it must fit: nothing beyond the edge, and nothing that axe-core's WCAG rules find wrong. */
final class LooksTest extends BrowserCase
{
    private const STATIONS = [
        '/' => 'h1', '/rig' => '[data-picture=curve-card] svg', '/rig/try' => '[data-pad]', '/rig/advise' => '[data-advice]',
        '/rig/compare' => '[data-picture=curve-card] svg', '/rig/history' => '[data-version]', '/rig/craft' => 'table',
        '/rig/ducted?rig=3' => '[data-picture=throttle-card] svg', '/plan' => '[data-picture=frame-strip] svg',
        '/plan/sites/2' => '[data-picture=draw-board] svg', '/plan/light' => '[data-picture=sun-day] svg', '/plan/days' => 'h1',
        '/plan/moves/orbit' => '[data-picture=frame-strip] svg', '/fly' => 'input[type=file]', '/debrief' => '[data-role=clock]',
        '/progress' => '[data-take]',
    ];

    /** @return iterable<string, array{string, int, int, float}> */
    public static function pages(): iterable
    {
        yield 'a desk' => ['light', 1280, 800, 1.0];
        yield 'an edit room' => ['dark', 1280, 800, 1.0];
        yield 'a bright field' => ['field', 820, 1180, 1.0];
        yield 'a tablet held upright' => ['light', 820, 1180, 1.0];
        yield 'twice the size' => ['light', 1280, 800, 2.0];
    }

    #[DataProvider('pages')]
    public function test_every_station_fits_and_can_be_read(string $theme, int $width, int $height, float $zoom): void
    {
        $chrome = $this->chrome()->signIn(self::operatorOfTheDemo(), self::PASSWORD);
        $chrome->script('document.documentElement.dataset.theme = arguments[0]', [$theme]);
        self::database()->prepare('UPDATE users SET theme = ? WHERE email = ?')->execute([$theme, self::operatorOfTheDemo()]);
        $chrome->resize($width, $height, $zoom);
        $found = [];
        try {
            foreach (self::STATIONS as $path => $sign) {
                $chrome->visit($path)->see($sign);
                $chrome->waitUntil(static fn (): bool => $chrome->count('[aria-busy=true]') === 0, "$path stays busy.");
                self::assertSame($theme, $chrome->attribute('html', 'data-theme'));
                self::assertLessThanOrEqual(
                    (int) round($width / $zoom) + 1, $chrome->script('return document.documentElement.scrollWidth'),
                    "$path is wider than its page.",
                );
                array_push($found, ...array_map(static fn (string $violation): string => "$path: $violation", self::violations($chrome)));
            }
            self::assertSame([], $found, 'axe-core finds');
        } finally {
            self::database()->prepare('UPDATE users SET theme = "light" WHERE email = ?')->execute([self::operatorOfTheDemo()]);
        }
    }

    private static function operatorOfTheDemo(): string
    {
        return 'anselm@skerrow.example';
    }
}
