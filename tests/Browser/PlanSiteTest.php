<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys;

/** A site drawn with tool in hand, from above and from the side; undone, snapped, nudged; imported, repaired, and saved by two at once. */
final class PlanSiteTest extends BrowserCase
{
    public function test_a_site_is_drawn_changed_from_both_sides_and_saved(): void
    {
        $chrome = $this->board('new');
        self::pressTool($chrome, 'Building');
        self::pressBoard($chrome, 120, -60);
        $chrome->see('section[aria-label="What is chosen"]');
        self::rename($chrome, 'the byre');
        // Its height is pulled on the side sheet, and both sheets say the same.
        $chrome->find('[data-picture=site-side] [role=slider]')->sendKeys(WebDriverKeys::ARROW_UP.WebDriverKeys::ARROW_UP);
        $chrome->seeText('the byre, 5.0');
        self::assertStringContainsString('5.0', self::value($chrome, 'Height, m'));
        $east = self::number(self::value($chrome, 'East of take-off, m'));
        self::assertSame(0.0, fmod($east * 2, 1.0), 'snapped to half a metre');
        $chrome->find('[data-picture=draw-board] svg')->sendKeys(WebDriverKeys::ARROW_RIGHT.WebDriverKeys::ARROW_RIGHT);
        $chrome->waitUntil(
            static fn (): bool => abs(self::number(self::value($chrome, 'East of take-off, m')) - $east - 1.0) < 1e-6,
            'Two nudges move it by a metre.',
        );

        self::pressTool($chrome, 'Wire');
        foreach ([[-150, 40], [60, 90]] as [$x, $y]) {
            self::pressBoard($chrome, $x, $y);
        }
        $chrome->find('[data-picture=draw-board] svg')->sendKeys(WebDriverKeys::ENTER);
        $chrome->seeText('Hangs through');
        self::assertSame(1, self::wires($chrome));
        // Undone twice and done again: keys of any drawing board.
        $chrome->find('[data-picture=draw-board] svg')->sendKeys([WebDriverKeys::CONTROL, 'z']);
        $chrome->waitUntil(static fn (): bool => self::wires($chrome) === 0, 'The wire is still there.');
        $chrome->click('button[aria-label="Do again"]');
        $chrome->waitUntil(static fn (): bool => self::wires($chrome) === 1, 'The wire is not there again.');

        $chrome->find('input[aria-label="Name of the site"]')->sendKeys(' by the byre');
        $chrome->press('Save the site');
        $chrome->seeText('Version 1');
        $kept = json_decode(self::ask('SELECT document FROM sites ORDER BY id DESC LIMIT 1'), true, 512, JSON_THROW_ON_ERROR);
        self::assertSame(['box', 'wire'], array_column($kept['solids'], 'shape'));
        self::assertEqualsWithDelta(5.0, $kept['solids'][0]['height_m'], 1e-9);
        self::assertStringContainsString('by the byre', self::ask('SELECT name FROM sites ORDER BY id DESC LIMIT 1'));
    }

    public function test_a_subject_is_led_along_a_way(): void
    {
        $chrome = $this->board('new');
        self::pressTool($chrome, 'Subject');
        self::pressBoard($chrome, -60, 20);
        $chrome->press('Goes a way');
        $chrome->see('[data-role=subject-way]');
        $way = $chrome->attribute('[data-role=subject-way]', 'd');
        $chrome->press('Lead it on');
        $chrome->waitUntil(static fn (): bool => $chrome->attribute('[data-role=subject-way]', 'd') !== $way, 'It was not led on.');
        $chrome->seeText('Stands at corner 1 for');
        $chrome->drag('[data-corner="1"]', 30, -40);
        $chrome->find('input[aria-label="Name of the site"]')->sendKeys(' with a walker');
        $chrome->press('Save the site');
        $chrome->seeText('Version 1');
        $kept = json_decode(self::ask('SELECT subjects FROM sites ORDER BY id DESC LIMIT 1'), true, 512, JSON_THROW_ON_ERROR);
        self::assertCount(2, $kept[0]['route']['points']);
        self::assertEqualsWithDelta(1.4, $kept[0]['route']['pace_mps'], 1e-9);
        self::assertGreaterThan($kept[0]['route']['points'][0][1], $kept[0]['route']['points'][1][1], 'The corner was pulled north.');
    }

    public function test_what_stands_on_the_ground_goes_on_standing_there(): void
    {
        $site = (int) self::ask('SELECT id FROM sites WHERE name LIKE "Tide mill%"');
        $chrome = $this->board((string) $site);
        self::pressTool($chrome, 'Mast');
        self::pressBoard($chrome, 60, 60);
        $foot = fn (): float => (float) $chrome->script(
            'return document.querySelector(`input[aria-label^="Foot above take-off"]`)?.value.replace("−", "-") ?? "99"',
        );
        $chrome->waitUntil(static fn (): bool => $foot() !== 99.0 && $foot() !== 0.0, 'It does not stand on the slope.');
        $first = $foot();
        $chrome->drag('[data-thing^=cylinder]', -210, -180);
        $chrome->waitUntil(static fn (): bool => $foot() !== 99.0 && abs($foot() - $first) > 0.2, 'It kept its height over the slope.');
        self::assertStringNotContainsString('Stand it on the ground', $chrome->text('section[aria-label="What is chosen"]'));
        // One that was raised by hand stays as high as it was put.
        $chrome->again(static function () use ($chrome): void {
            $chrome->see('input[aria-label^="Foot above take-off"]')->click()->sendKeys([WebDriverKeys::CONTROL, 'a'])
                ->sendKeys([WebDriverKeys::NULL, '5', WebDriverKeys::ENTER]);
        });
        $chrome->seeText('Stand it on the ground');
        $chrome->drag('[data-thing^=cylinder]', 210, 180);
        usleep(900_000);
        self::assertSame(5.0, $foot());
    }

    public function test_a_drawing_that_was_left_is_given_back(): void
    {
        $chrome = $this->board('new');
        self::pressTool($chrome, 'Mast');
        self::pressBoard($chrome, 40, 40);
        $chrome->see('section[aria-label="What is chosen"]');
        $chrome->waitUntil(static fn (): bool => $chrome->script(
            'return Object.keys(localStorage).some((key) => key.startsWith("larkspur:site:") && key.endsWith(":new"))',
        ) === true, 'The device keeps nothing.');
        // As after a crash: the page is there anew and nobody was asked.
        $chrome->script('window.addEventListener("beforeunload", (event) => event.stopImmediatePropagation(), true)');
        $chrome->visit('/licences')->visit('/plan/sites/new');
        $chrome->press('Go on with that');
        $chrome->seeText('mast, 8.0');
    }

    public function test_a_crossing_outline_is_said_and_untangled(): void
    {
        $chrome = $this->board('new');
        self::pressTool($chrome, 'Outline');
        foreach ([[-80, -60], [80, 60], [80, -60], [-80, 60]] as [$x, $y]) {
            self::pressBoard($chrome, $x, $y);
        }
        $chrome->find('[data-picture=draw-board] svg')->sendKeys(WebDriverKeys::ENTER);
        $chrome->seeText('crosses itself');
        $chrome->press('Untangle it');
        $chrome->waitUntil(static fn (): bool => ! str_contains($chrome->text('aside'), 'crosses itself'), 'It is still tangled.');
    }

    public function test_a_file_of_places_the_wrong_way_round_is_looked_at_and_taken(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'places').'.geojson';
        file_put_contents($file, '{"type":"FeatureCollection","features":[
            {"type":"Feature","properties":{"name":"old byre","height":4},"geometry":{"type":"Polygon","coordinates":[[
                [57.6023,-0.4043],[57.6024,-0.4043],[57.6024,-0.404],[57.6023,-0.404],[57.6023,-0.4043]]]}},
            {"type":"Feature","properties":{"name":"fold"},"geometry":{"type":"Polygon","coordinates":[[
                [57.6026,-0.4043],[57.6027,-0.404],[57.6027,-0.4043],[57.6026,-0.404],[57.6026,-0.4043]]]}}]}');
        $chrome = $this->board('1');
        $before = $chrome->count('[data-picture=draw-board] [data-thing]');
        $chrome->find('input[aria-label="GeoJSON or KML file"]')->sendKeys($file);
        $chrome->seeText('2 found');
        foreach (['exchanged', 'crossed itself', 'place of people'] as $words) {
            self::assertStringContainsString($words, $chrome->text('section[aria-label="From a file"]'));
        }
        $chrome->press('Put it on the site');
        $chrome->waitUntil(
            static fn (): bool => $chrome->count('[data-picture=draw-board] [data-thing]') === $before + 2, 'Two things more.',
        );
        $chrome->seeText('old byre, 4.0');
        unlink($file);
    }

    public function test_who_saves_second_loses_nothing(): void
    {
        $id = (int) self::ask('SELECT id FROM sites WHERE name LIKE "The sea arch%"');
        $chrome = $this->board((string) $id, 'ines@skerrow.example');
        $version = (int) self::ask("SELECT version FROM sites WHERE id = $id");
        $site = $chrome->api('/sites/'.$id);
        $chrome->script('const go = arguments[0]; fetch("/api/v1/sites/" + go.id, { method: "PUT", credentials: "same-origin", headers: { "Content-Type": "application/json", Accept: "application/json", "X-XSRF-TOKEN": decodeURIComponent(document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]) }, body: JSON.stringify({ ...go, about: "from elsewhere" }) })', [$site]);
        $chrome->waitUntil(
            static fn (): bool => (int) self::ask("SELECT version FROM sites WHERE id = $id") === $version + 1,
            'The first save did not arrive.',
        );
        self::pressTool($chrome, 'Mast');
        self::pressBoard($chrome, -40, 30);
        $this->expectOnConsole('409');
        $chrome->press('Save the site');
        $chrome->seeText('Somebody saved this site while you drew');
        $chrome->press('Save mine over it');
        $chrome->waitUntil(
            static fn (): bool => (int) self::ask("SELECT version FROM sites WHERE id = $id") === $version + 2, 'Mine was not saved.',
        );
        self::assertStringContainsString('mast', self::ask("SELECT document FROM sites WHERE id = $id"));
    }

    public function test_three_hundred_things_stay_in_hand(): void
    {
        $chrome = $this->board('new');
        $file = tempnam(sys_get_temp_dir(), 'posts').'.geojson';
        $features = [];
        for ($i = 0; $i < 300; $i++) {
            $features[] = [
                'type' => 'Feature', 'properties' => ['name' => "post $i", 'height' => 3],
                'geometry' => ['type' => 'Point', 'coordinates' => [-0.4 + 0.00004 * ($i % 20), 57.6 + 0.00002 * intdiv($i, 20)]],
            ];
        }
        file_put_contents($file, json_encode(['type' => 'FeatureCollection', 'features' => $features], JSON_THROW_ON_ERROR));
        $chrome->find('input[aria-label="GeoJSON or KML file"]')->sendKeys($file);
        $chrome->seeText('300 found');
        $chrome->press('Put it on the site');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[data-picture=draw-board] [data-thing]') === 300, 'Not all are drawn.');
        $chrome->press('Save the site');
        $chrome->seeText('Version 1');
        unlink($file);
    }

    private function board(string $site, string $who = 'juno@skerrow.example'): Chrome
    {
        $chrome = $this->chrome()->signIn($who, self::PASSWORD)->visit("/plan/sites/$site");
        $chrome->see('[data-picture=draw-board] svg');

        return $chrome;
    }

    private static function pressTool(Chrome $chrome, string $name): void
    {
        $chrome->script('[...document.querySelectorAll("[role=toolbar] button")].find((b) => b.textContent === arguments[0]).click()', [$name]);
    }

    /** Presses so far right of and below the board's middle, px. */
    private static function pressBoard(Chrome $chrome, int $x, int $y): void
    {
        (new WebDriverActions($chrome->driver))->moveToElement($chrome->find('[data-picture=draw-board] svg'), $x, $y)->click()->perform();
    }

    private static function wires(Chrome $chrome): int
    {
        return $chrome->count('[data-picture=draw-board] path[stroke-dasharray="9 3 2 3"]');
    }

    private static function rename(Chrome $chrome, string $name): void
    {
        $input = $chrome->find('section[aria-label="What is chosen"] input');
        $input->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $input->sendKeys($name);
    }

    private static function value(Chrome $chrome, string $label): string
    {
        return (string) $chrome->script('return [...document.querySelectorAll("input")].find((i) => i.getAttribute("aria-label") === arguments[0])?.value ?? ""', [$label]);
    }

    private static function number(string $text): float
    {
        return (float) str_replace(["\u{2212}", "\u{a0}m"], ['-', ''], $text);
    }
}
