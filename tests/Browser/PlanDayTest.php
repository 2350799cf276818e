<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** A day worked out and worked out anew; and the same day in the field with the network cut, synced later without loss or doubles. */
final class PlanDayTest extends BrowserCase
{
    public function test_the_day_is_planned_anew_at_a_touch(): void
    {
        $chrome = $this->asOperator('/plan/days');
        $chrome->see('[data-picture=day-chart] [data-slot]');
        self::assertStringContainsString('6 of 6 shots fit', $chrome->text('main'));
        $chrome->press('Only the must-haves');
        $chrome->seeText('3 of 6 shots fit');
        self::assertStringContainsString('Left out.', $chrome->text('section[aria-label="Shots of the day"]'));
        $chrome->press('All shots again');
        $chrome->seeText('6 of 6 shots fit');
        self::fill($chrome, 'Gusts, m/s', '19');
        $chrome->seeText('0 of 6 shots fit');
        self::assertStringContainsString('Gusts of', $chrome->text('section[aria-label="Shots of the day"]'));
        $chrome->press('Ask the weather (simulated)');
        $chrome->seeText('Skerrow weather mast, simulated');
        self::fill($chrome, 'Mean wind, m/s', '2');
        self::fill($chrome, 'Gusts, m/s', '3');
        $chrome->seeText('6 of 6 shots fit');
        self::fill($chrome, 'Batteries', '0');
        $chrome->seeText('A day without a battery flies nothing.');
        self::fill($chrome, 'Batteries', '4');
        $chrome->seeText('6 of 6 shots fit');
        self::fill($chrome, 'Temperature of the air, °C', '9');
        $chrome->waitUntil(static fn (): bool => $chrome->count('[aria-busy=true]') === 0, 'It stays busy.');
    }

    public function test_a_day_is_opened_in_the_field_for_something(): void
    {
        $was = self::ask('SELECT purpose FROM flight_days WHERE id = 1');
        self::database()->exec('UPDATE flight_days SET purpose = "" WHERE id = 1');
        try {
            $chrome = $this->asOperator('/field/1');
            $chrome->seeText('What is this day for?');
            self::assertSame(0, $chrome->count('[data-timer]'));
            $chrome->see('textarea')->sendKeys('Softer stops at dusk.');
            $chrome->press('Open the day');
            $chrome->see('[data-timer]');
            $chrome->seeText('Softer stops at dusk.');
            self::assertSame('Softer stops at dusk.', self::ask('SELECT purpose FROM flight_days WHERE id = 1'));
        } finally {
            self::database()->prepare('UPDATE flight_days SET purpose = ? WHERE id = 1')->execute([$was]);
        }
    }

    public function test_day_and_field_can_be_read_on_every_page_they_must_fit(): void
    {
        $chrome = $this->asOperator('/plan/days/1');
        foreach ([
            ['light', 1280, 800, 1.0], ['dark', 1280, 800, 1.0], ['field', 820, 1180, 1.0], ['light', 1280, 800, 2.0],
        ] as [$theme, $width, $height, $zoom]) {
            $chrome->resize($width, $height, $zoom);
            foreach (['/plan/days/1' => '[data-slot]', '/field/1' => '[data-timer]'] as $path => $sign) {
                $chrome->visit($path)->see($sign);
                $chrome->script('document.documentElement.dataset.theme = arguments[0]', [$theme]);
                usleep(300000);
                self::assertLessThanOrEqual(
                    (int) round($width / $zoom) + 1, $chrome->script('return document.documentElement.scrollWidth'), "$path, $theme, $zoom",
                );
                self::assertSame([], self::violations($chrome), "$path, $theme, $zoom");
            }
        }
        foreach (['Shots', 'Lists', 'Care'] as $room) {
            $chrome->press($room);
            usleep(200000);
            self::assertSame([], self::violations($chrome), $room);
        }
    }

    public function test_the_field_goes_on_without_a_network_and_is_synced_later(): void
    {
        $port = (int) parse_url(self::setting('LARKSPUR_ADDRESS'), PHP_URL_PORT) + 61;
        $wire = self::wire($port);
        $tablet = Chrome::open(self::setting('LARKSPUR_ADDRESS'), ["--proxy-server=127.0.0.1:$port", '--proxy-bypass-list=<-loopback>']);
        try {
            $tablet->signIn('tobias@skerrow.example', self::PASSWORD);
            $tablet->visit('/field/1')->see('[data-field=ok]');
            // The worker has to have gathered the application once.
            $tablet->waitUntil(
                static fn (): bool => $tablet->driver->executeAsyncScript('const done = arguments[0]; navigator.serviceWorker.ready.then(() => caches.open("larkspur-shell")).then((c) => c.keys()).then((k) => done(k.length > 20))') === true, 'The application is not on the device.',
            );

            self::cut($wire);
            usleep(300000);
            $tablet->visit('/field/1')->see('[data-field=offline]');
            $tablet->seeText('No network: all goes on here');
            $tablet->press('wind up');
            $tablet->press('Kept');
            $tablet->seeText('Pass 1, kept, wind up');
            // A press within a second of the one before is its echo.
            usleep(1_100_000);
            $tablet->press('Again');
            $tablet->seeText('Pass 2, again');
            $tablet->press('Take off');
            $tablet->seeText('Landed');
            $tablet->press('Lists');
            $tablet->click('[data-tick=bag-cards]');
            $tablet->find('[data-tick=ground-home]')->sendKeys(' ');
            $tablet->seeText('5 to send');
            $tablet->press('Care');
            $tablet->seeText('Set the return height');
            // Shut and opened again, still without a network: nothing is gone.
            $tablet->visit('/field/1')->seeText('5 to send');
            self::assertSame('0', self::ask('SELECT COUNT(*) FROM day_entries WHERE item = "bag-cards"'));

            // Meanwhile the trainer, who has a network, says otherwise.
            $desk = $this->chrome()->signIn(self::TRAINER, self::PASSWORD);
            $desk->api(
                '/days/1/entries',
                ['entries' => [[
                    'uuid' => '7c0c0a52-8c5b-4d0f-a0b0-00000000000a', 'kind' => 'tick', 'item' => 'ground-home',
                    'payload' => ['on' => false], 'device' => 'desk', 'made_at' => gmdate('Y-m-d\TH:i:s\Z'),
                ]]],
            );

            $wire = self::wire($port);
            $tablet->script('window.dispatchEvent(new Event("online"))');
            $tablet->see('[data-field=ok]');
            $tablet->waitUntil(
                static fn (): bool => $tablet->attribute('[data-waiting]', 'data-waiting') === '0', 'Something still waits to be sent.',
            );
            self::assertSame('5', self::ask('SELECT COUNT(*) FROM day_entries WHERE device <> "desk"'));
            self::assertSame('["1: kept, wind up","2: again, "]', self::ask('SELECT JSON_ARRAYAGG(CONCAT(JSON_VALUE(payload, "$.number"), ": ", JSON_VALUE(payload, "$.verdict"), ", ", IFNULL(JSON_VALUE(payload, "$.note"), "")) ORDER BY id) FROM day_entries WHERE kind = "pass"'));
            // Sent once more, nothing is entered twice.
            $tablet->visit('/field/1')->see('[data-field=ok]');
            self::assertSame('5', self::ask('SELECT COUNT(*) FROM day_entries WHERE device <> "desk"'));
            $tablet->seeText('Entered differently on two devices');
            self::assertStringContainsString('Home point set', $tablet->text('[data-field]'));
            $tablet->seeText('Landed');
            $tablet->press('Landed');
            $tablet->seeText('Take off');
            // A network that comes back is noticed with nothing to send, too.
            $tablet->waitUntil(
                static fn (): bool => $tablet->attribute('[data-waiting]', 'data-waiting') === '0', 'The landing still waits to be sent.',
            );
            self::cut($wire);
            $tablet->visit('/field/1')->see('[data-field=offline]');
            $wire = self::wire($port);
            $tablet->script('window.dispatchEvent(new Event("online"))');
            $tablet->see('[data-field=ok]');
        } finally {
            $tablet->close();
            self::cut($wire);
            self::database()->exec('DELETE FROM day_entries');
        }
    }

    public function test_two_tablets_see_each_other_and_what_was_logged_is_set_right(): void
    {
        $address = self::setting('LARKSPUR_ADDRESS');
        [$one, $other] = [Chrome::open($address, []), Chrome::open($address, [])];
        try {
            $one->signIn('tobias@skerrow.example', self::PASSWORD);
            $other->signIn(self::TRAINER, self::PASSWORD);
            foreach ([$one, $other] as $tablet) {
                $tablet->visit('/field/1')->see('[data-field=ok]');
            }
            $one->press('Kept');
            // How soon is a unit test's (fieldRace), on a clock of its own.
            $other->seeText('Pass 1, kept');
            // Two thumbs on one button within a second are one press.
            usleep(1_100_000);
            $other->script('const b = [...document.querySelectorAll("button")].find((b) => b.textContent === "Again"); b.click(); b.click();');
            $other->seeText('Pass 2, again');
            $one->seeText('Pass 2, again');
            $one->seeText('1 of ');
            self::assertStringNotContainsString('Pass 3, ', $one->text('[data-field]'));
            // It was not to be flown again after all, and the first was none.
            $one->script('document.querySelectorAll("[aria-label=\"Passes so far\"] button")[1].click()');
            $one->press('It was kept');
            $one->seeText('Pass 2, kept');
            $one->script('document.querySelectorAll("[aria-label=\"Passes so far\"] button")[0].click()');
            $one->press('Take it back');
            $one->waitUntil(static fn (): bool => ! str_contains($one->text('[data-field]'), 'Pass 1, kept'), 'It was not taken back.');
            $other->waitUntil(static fn (): bool => ! str_contains($other->text('[data-field]'), 'Pass 1, kept')
                && str_contains($other->text('[data-field]'), 'Pass 2, kept'), 'The other does not see it.');
            $one->click('[aria-label="The next battery"]');
            $one->press('Take off');
            $other->seeText('Landed');
            // Pressed late: what it has flown is typed, and holds on every tablet.
            usleep(1_100_000);
            $one->press('Landed');
            self::fill($one, 'What battery 2 has flown, min', '14');
            $other->waitUntil(
                static fn (): bool => (float) $other->api('/days/1/log')['batteries']['battery-2']['flown_s'] === 840.0
                    && $one->text('[data-timer]') === '14:00',
                'It does not hold.',
            );
        } finally {
            $one->close();
            $other->close();
            self::database()->exec('DELETE FROM day_entries');
        }
    }

    public function test_gates_are_passed_in_the_field_and_seen_at_the_desk(): void
    {
        $address = self::setting('LARKSPUR_ADDRESS');
        $tablet = Chrome::open($address, []);
        $desk = $this->chrome()->signIn(self::TRAINER, self::PASSWORD);
        $checked = static fn (Chrome $screen, string $gate): callable => static fn (): bool => $screen->script(
            'return document.querySelector(`[data-gate=${arguments[0]}]`).checked', [$gate],
        ) === true;
        try {
            $tablet->signIn('tobias@skerrow.example', self::PASSWORD);
            $tablet->visit('/field/1')->see('[data-field=ok]');
            $tablet->seeText('Not ready: ');
            $tablet->press('Lists');
            $desk->visit('/plan/days/1')->see('[data-gate=owner]');
            $tablet->click('[data-gate=owner]');
            $desk->waitUntil($checked($desk, 'owner'), 'The desk does not see it.');
            self::assertStringContainsString('Tobias Renn', $desk->text('[aria-label="Ready to fly"]'));
            // The home point stands on a list too: ticked in one place, it is ticked in both.
            $tablet->click('[data-tick=ground-home]');
            $tablet->waitUntil($checked($tablet, 'home'), 'It is ticked twice.');
            $tablet->press('Wait');
            $desk->see('[data-decided=wait]');
            $tablet->press('Now');
            $tablet->seeText('Decided: wait');
            // What goes wrong is one press away.
            $tablet->press('Care');
            $tablet->seeText('The link is lost');
        } finally {
            $tablet->close();
            self::database()->exec('DELETE FROM day_entries');
        }
    }

    public function test_a_landing_opens_the_sweep_on_every_tablet_and_the_compass_is_counted(): void
    {
        $address = self::setting('LARKSPUR_ADDRESS');
        [$one, $other] = [Chrome::open($address, []), Chrome::open($address, [])];
        $ticked = static fn (Chrome $screen, string $item, bool $on): callable => static fn (): bool => $screen->script(
            'return document.querySelector(`[data-tick=${arguments[0]}]`).checked', [$item],
        ) === $on;
        try {
            foreach ([$one, $other] as $tablet) {
                $tablet->signIn('tobias@skerrow.example', self::PASSWORD);
                $tablet->visit('/field/1')->see('[data-field=ok]');
                $tablet->press('Lists');
            }
            // Three presses a second apart are three; two at once are one.
            foreach ([1, 2, 3] as $times) {
                $one->script('const b = [...document.querySelectorAll("button")].find((b) => b.textContent === "Calibrated once more"); b.click(); b.click();');
                $one->see("[data-compass=\"$times\"]");
                usleep(1_100_000);
            }
            $one->seeText('It is the place');
            $other->see('[data-compass="3"]');
            $other->press('One fewer');
            $one->see('[data-compass="2"]');
            $one->click('[data-tick=sweep-wires]');
            $one->click('[data-tick=ground-home]');
            $one->seeText('5 of 6 to see to.');
            $other->waitUntil($ticked($other, 'sweep-wires', true), 'The other does not see it.');
            $one->press('Now');
            $one->press('Take off');
            usleep(1_100_000);
            $one->press('Landed');
            $other->waitUntil($ticked($other, 'sweep-wires', false), 'The landing did not open it.');
            self::assertTrue($ticked($other, 'ground-home', true)(), 'What holds for the day holds.');
        } finally {
            $one->close();
            $other->close();
            self::database()->exec('DELETE FROM day_entries');
        }
    }

    /** Two tablets and a desk on one day, twenty cuts of the network, a thousand entries: nothing lost, nothing doubled, all agree. */
    public function test_a_thousand_entries_over_a_network_that_is_cut_are_all_there_once(): void
    {
        $address = self::setting('LARKSPUR_ADDRESS');
        $desk = $this->chrome()->signIn(self::TRAINER, self::PASSWORD);
        $ports = [(int) parse_url($address, PHP_URL_PORT) + 62, (int) parse_url($address, PHP_URL_PORT) + 63];
        $wires = array_map(self::wire(...), $ports);
        $tablets = array_map(
            static fn (int $port): Chrome => Chrome::open($address, ["--proxy-server=127.0.0.1:$port", '--proxy-bypass-list=<-loopback>']),
            $ports,
        );
        $burst = <<<'JS'
            const boxes = [...document.querySelectorAll('[data-tick]')];
            for (let k = 0; k < 50; k++) boxes[(arguments[0] + k) % boxes.length].click();
            JS;
        $ticks = 'return JSON.stringify([...document.querySelectorAll("[data-tick]")].map((box) => [box.dataset.tick, box.checked]))';
        try {
            foreach ([$desk, ...$tablets] as $screen) {
                if ($screen !== $desk) {
                    $screen->signIn('tobias@skerrow.example', self::PASSWORD);
                }
                $screen->visit('/field/1')->see('[data-field=ok]');
                $screen->press('Lists');
                $screen->see('[data-tick]');
            }
            for ($cut = 0; $cut < 20; $cut++) {
                $which = $cut % 2;
                self::cut($wires[$which]);
                $tablets[$which]->script($burst, [7 * $cut]);
                usleep(250_000);
                $wires[$which] = self::wire($ports[$which]);
                $tablets[$which]->script('window.dispatchEvent(new Event("online"))');
            }
            foreach ($tablets as $tablet) {
                $tablet->waitUntil(static function () use ($tablet): bool {
                    $tablet->script('window.dispatchEvent(new Event("online"))');

                    return $tablet->attribute('[data-waiting]', 'data-waiting') === '0';
                }, 'Something still waits.');
            }
            self::assertSame('1000', self::ask('SELECT COUNT(*) FROM day_entries'));
            self::assertSame('1000', self::ask('SELECT COUNT(DISTINCT uuid) FROM day_entries'));
            $desk->waitUntil(
                static fn (): bool => $desk->script($ticks) === $tablets[0]->script($ticks)
                    && $desk->script($ticks) === $tablets[1]->script($ticks),
                'They do not agree.',
            );
        } finally {
            foreach ($tablets as $tablet) {
                $tablet->close();
            }
            array_map(self::cut(...), $wires);
            self::database()->exec('DELETE FROM day_entries');
        }
    }

    /** @return resource */
    private static function wire(int $port): mixed
    {
        $wire = proc_open(['node', __DIR__.'/wire.mjs', (string) $port], [1 => ['pipe', 'w']], $pipes);
        self::assertIsResource($wire);
        self::assertSame("ready\n", fgets($pipes[1]));

        return $wire;
    }

    /** @param  resource  $wire */
    private static function cut(mixed $wire): void
    {
        if (is_resource($wire)) {
            proc_terminate($wire);
            proc_close($wire);
        }
    }

    private static function fill(Chrome $chrome, string $label, string $value): void
    {
        $chrome->waitUntil(static fn (): bool => $chrome->count('[aria-busy=true]') === 0, 'It stays busy.');
        $input = $chrome->see("input[aria-label=\"$label\"]");
        $input->click();
        usleep(150000);
        $input->sendKeys([WebDriverKeys::CONTROL, 'a']);
        $input->sendKeys($value.WebDriverKeys::ENTER);
    }
}
