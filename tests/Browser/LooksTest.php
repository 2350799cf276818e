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
        '/plan/moves/orbit' => '[data-picture=frame-strip] svg', '/fly' => '[data-fly]', '/fly?by=eye' => '[data-round]',
        '/fly?by=logs' => 'input[type=file]', '/debrief' => '[data-role=clock]',
        '/progress?room=ladder' => '[data-step]', '/progress?room=standing' => '[data-picture=standing] circle',
        '/progress?room=logbook' => '[data-take]', '/progress?room=lessons' => '[data-picture=lesson]',
    ];

    /** Each page at a desk, in an edit room, in a bright field, on a tablet held upright, and at twice the size. */
    private const LOOKS = [['light', 1280, 800, 1.0], ['dark', 1280, 800, 1.0], ['field', 820, 1180, 1.0], ['light', 1280, 800, 2.0]];

    /** @return iterable<string, array{string, string}> */
    public static function stations(): iterable
    {
        foreach ([...self::STATIONS, self::cockpit() => '[data-begin]'] as $path => $sign) {
            yield explode('?e=', $path)[0] => [$path, $sign];
        }
    }

    #[DataProvider('stations')]
    public function test_every_station_fits_and_can_be_read(string $path, string $sign): void
    {
        self::assertReadable($this->chrome()->signIn(self::operatorOfTheDemo(), self::PASSWORD), $path, $sign);
    }

    public function test_what_trainers_see_of_a_class_fits_too(): void
    {
        $chrome = $this->chrome()->signIn(self::TRAINER, self::PASSWORD);
        foreach (['/' => 'h2', '/progress?room=class' => '[data-operator]', '/progress?room=order' => '[data-step]'] as $path => $sign) {
            self::assertReadable($chrome, $path, $sign);
        }
    }

    public function test_the_theme_that_somebody_chose_is_there_from_the_first_look(): void
    {
        $choose = self::database()->prepare('UPDATE users SET theme = ? WHERE email = ?');
        try {
            $choose->execute(['dark', self::operatorOfTheDemo()]);
            $chrome = $this->chrome()->signIn(self::operatorOfTheDemo(), self::PASSWORD)->visit('/rig');
            $chrome->see('[data-picture=curve-card] svg');
            self::assertSame('dark', $chrome->attribute('html', 'data-theme'));
        } finally {
            $choose->execute(['light', self::operatorOfTheDemo()]);
        }
    }

    private static function assertReadable(Chrome $chrome, string $path, string $sign): void
    {
        $chrome->visit($path)->see($sign);
        $chrome->waitUntil(static fn (): bool => $chrome->count('[aria-busy=true]') === 0, "$path stays busy.");
        foreach (self::LOOKS as $k => [$theme, $width, $height, $zoom]) {
            $chrome->resize($width, $height, $zoom);
            $chrome->script('document.documentElement.dataset.theme = arguments[0]', [$theme]);
            // Pictures are drawn anew for their size.
            usleep(150000);
            $chrome->waitUntil(
                static fn (): bool => $chrome->script('return document.documentElement.scrollWidth') <= (int) round($width / $zoom) + 1,
                "$path is wider than its page of $width in $theme, $zoom times.",
            );
            $chrome->see($sign);
            self::assertSame([], self::violations($chrome), "$path in $theme, $zoom times: axe-core finds");
        }
    }

    private static function cockpit(): string
    {
        return '/cockpit?e='.rawurlencode((string) json_encode(['aids' => ['ghost-fingers'], 'exercise' => [
            'seed' => 5, 'draft' => ['site_id' => 1, 'rig_id' => 1, 'mode' => 'standard', 'move' => 'square-fixed-heading'],
        ]]));
    }

    private static function operatorOfTheDemo(): string
    {
        return 'anselm@skerrow.example';
    }
}
