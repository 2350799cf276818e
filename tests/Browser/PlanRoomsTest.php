<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** What a shot has to say for itself, what its lens sees, its variants and its light; and a shot from its picture. */
final class PlanRoomsTest extends BrowserCase
{
    public function test_every_reading_is_a_picture_with_sentences(): void
    {
        $chrome = $this->shot('Moor to horizon');
        foreach ([
            'Reveal' => 'outside the frame', 'Depth' => 'feels like', 'Room' => 'above ground', 'Wind' => 'still air', 'Edit' => 'to spare',
            'Variants' => 'Lower',
        ] as $tab => $words) {
            self::tab($chrome, $tab);
            $chrome->see('[data-reading='.strtolower($tab).']');
            self::assertStringContainsString($words, $chrome->text('[data-reading]'), $tab);
            self::assertSame([], self::violations($chrome), $tab);
        }
    }

    public function test_the_lens_shows_what_the_plan_sees_and_follows_it(): void
    {
        $chrome = $this->shot('In over the wall');
        self::tab($chrome, 'Lens');
        $chrome->see('[data-picture=camera-window] canvas');
        usleep(700000);
        $first = self::picture($chrome);
        self::assertGreaterThan(3, self::colours($first), 'sky, ground and what stands there');
        $chrome->find('[data-picture=camera-window] input[type=range]')->sendKeys(str_repeat(WebDriverKeys::PAGE_UP, 6));
        usleep(400000);
        self::assertNotSame($first, self::picture($chrome), 'another moment is another picture');
        // Where the horizon is: the server's frame and the window agree to a few pixels.
        $plan = $chrome->api(
            '/plans', json_decode((string) json_encode($this->draft($chrome, 'In over the wall')), true, 512, JSON_THROW_ON_ERROR),
        );
        $chrome->find('[data-picture=camera-window] input[type=range]')->sendKeys(WebDriverKeys::HOME);
        $chrome->script('[...document.querySelectorAll("[data-picture=camera-window] [role=radio]")].find((r) => r.textContent === "None").click()');
        usleep(400000);
        $picture = imagecreatefromstring(self::picture($chrome));
        self::assertNotFalse($picture);
        $sky = imagecolorat($picture, 4, 4);
        $y = 4;
        while ($y < imagesy($picture) - 1 && imagecolorat($picture, 4, $y) === $sky) {
            $y++;
        }
        self::assertEqualsWithDelta((0.5 - $plan['frames'][0]['horizon']) * imagesy($picture), $y, 5.0);
    }

    public function test_a_variant_is_shown_and_a_picture_is_worked_out(): void
    {
        $chrome = $this->shot('Seven stones, clockwise');
        self::tab($chrome, 'Variants');
        $chrome->see('[data-reading=variants]');
        $chrome->script('[...document.querySelectorAll("[data-reading=variants] button")][0].click()');
        $chrome->waitUntil(static fn (): bool => $chrome->script('return [...document.querySelectorAll("[role=radio]")].find((r) => r.textContent.startsWith("Counter"))?.getAttribute("aria-checked")') === 'true', 'The other way is not shown.');

        $chrome->script('document.querySelector("section[aria-label=\'Start from the picture\']").scrollIntoView()');
        $chrome->press('Work it out');
        $chrome->see('section[aria-label="Start from the picture"] [role=status]');
        $words = $chrome->text('section[aria-label="Start from the picture"] [role=status]');
        self::assertMatchesRegularExpression('/From [\d.]+\sm away, [\d.]+\sm up, tilt .\d+°, held for 1?\d\.\d\ss/u', $words);
    }

    public function test_the_wanted_light_of_a_shot_stands_under_the_sun(): void
    {
        $id = self::ask('SELECT id FROM shots WHERE title LIKE "In over the wall%"');
        $chrome = $this->asOperator("/plan/light/$id?date=2027-05-18");
        $chrome->see('[data-window]');
        self::assertStringContainsString('It holds', $chrome->text('main'));
        self::assertStringContainsString('golden back light', $chrome->text('main'));
        $before = $chrome->attribute('[data-picture=sun-day] svg', 'aria-valuetext');
        $chrome->find('[data-picture=sun-day] svg')->sendKeys(WebDriverKeys::ARROW_RIGHT.WebDriverKeys::ARROW_RIGHT);
        $chrome->waitUntil(
            static fn (): bool => $chrome->attribute('[data-picture=sun-day] svg', 'aria-valuetext') !== $before, 'The hour does not move.',
        );
        // Far north in June the sun does not set, and it is said.
        $chrome->seeText('ND');
        $chrome->script('[...document.querySelectorAll("[role=radio]")].find((r) => r.textContent === "Automatic").click()');
        $chrome->seeText('White balance on automatic');
        $chrome->press('Read the meter (simulated)');
        $chrome->seeText('metered');
    }

    private function shot(string $title): Chrome
    {
        $chrome = $this->asOperator('/plan/'.self::ask("SELECT id FROM shots WHERE title LIKE \"$title%\" ORDER BY id LIMIT 1"));
        $chrome->see('[data-picture=frame-strip] svg');
        $chrome->waitUntil(static fn (): bool => str_contains($chrome->text('main'), 'would score'), 'The reading does not come.');

        return $chrome;
    }

    private static function tab(Chrome $chrome, string $name): void
    {
        $chrome->driver->findElement(WebDriverBy::xpath("//button[@role='tab'][text()='$name']"))->click();
    }

    /** @return array<string, mixed> */
    private function draft(Chrome $chrome, string $title): array
    {
        $shot = $chrome->api('/shots/'.self::ask("SELECT id FROM shots WHERE title LIKE \"$title%\" LIMIT 1"));

        return [
            'site_id' => $shot['site_id'], 'rig_id' => $shot['rig_id'], 'mode' => $shot['mode'], 'move' => $shot['move'],
            'subject_id' => $shot['subject_id'], 'parameters' => $shot['intent']['parameters'], 'wind' => $shot['wind'],
        ];
    }

    private static function picture(Chrome $chrome): string
    {
        $canvas = $chrome->find('[data-picture=camera-window] canvas');
        self::assertInstanceOf(RemoteWebElement::class, $canvas);

        return $canvas->takeElementScreenshot() ?? '';
    }

    private static function colours(string $png): int
    {
        $image = imagecreatefromstring($png);
        self::assertNotFalse($image);
        $seen = [];
        for ($x = 0; $x < imagesx($image); $x += 7) {
            for ($y = 0; $y < imagesy($image); $y += 7) {
                $seen[imagecolorat($image, $x, $y) >> 3 & 0x1F1F1F] = true;
            }
        }

        return count($seen);
    }
}
