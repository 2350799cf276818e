<?php

declare(strict_types=1);

namespace Tests\Browser;

use PHPUnit\Framework\Attributes\DataProvider;

/** Fly with the sticks: a scripted gamepad plays thumb sheets through the real interface to their debrief. */
final class PracticeTest extends BrowserCase
{
    /** Seconds that a flight is waited for: a busy machine flies it slower than it would be. */
    private const A_FLIGHT = 240;

    private const CALM = ['wind' => ['from_deg' => 0, 'mean_mps' => 0, 'gust_mps' => 0]];

    /** Plays the fingers of the plan at the second that the page says it is at. */
    private const PILOT = <<<'JS'
        const pad = { id: 'scripted sticks', index: 0, connected: true, timestamp: 1, axes: [0, 0, 0, 0],
          buttons: Array.from({ length: 12 }, () => ({ value: 0, pressed: false })) };
        const csrf = decodeURIComponent((document.cookie.match(/XSRF-TOKEN=([^;]+)/) || [])[1] || '');
        fetch('/api/v1/exercises', { method: 'POST', headers: { 'Content-Type': 'application/json', Accept: 'application/json',
          'X-XSRF-TOKEN': csrf }, body: arguments[0] }).then((answer) => answer.json()).then(({ plan, sticks }) => {
          // Some twenty pictures a second, as on a slow device: they are drawn in software, and the steps do not ask how many there are.
          const frame = requestAnimationFrame.bind(window);
          window.requestAnimationFrame = (next) => setTimeout(() => frame(next), 30);
          window.cancelAnimationFrame = clearTimeout;
          const main = document.querySelector('main');
          const every = plan.samples.t[1] - plan.samples.t[0];
          let pressed = false, asked = 0, told = 0;
          addEventListener('keydown', (event) => { if (event.key === ' ') pressed = true; }, true);
          const raw = (x) => (Math.abs(x) < 1e-4 ? 0 : Math.sign(x) * (0.04 + 0.96 * Math.abs(x)));
          // Asked once a step while it flies: so many steps have passed since the press of record, however late the page's frames are.
          // A loop is under way without a press: there the page's own second leads.
          navigator.getGamepads = () => {
            if (window.unplugged) return [];
            told = Math.max(told, Number(main.dataset.second ?? 0));
            const second = pressed ? 0.02 * asked++ : told;
            const at = (finger) => {
              const values = plan.fingers[finger];
              const place = Math.max(0, Math.min(values.length - 1, second / every));
              const below = Math.floor(place);
              return values[below] + (place - below) * ((values[below + 1] ?? values[below]) - values[below]);
            };
            pad.timestamp += 1;
            pad.axes = [raw(at(sticks.left[0])), -raw(at(sticks.left[1])), raw(at(sticks.right[0])), -raw(at(sticks.right[1]))];
            const tilt = at('tilt');
            pad.buttons[7].value = Math.max(0, tilt);
            pad.buttons[6].value = Math.max(0, -tilt);
            return [pad];
          };
          window.planned = plan.phases.duration_s;
        });
        JS;

    /** @return iterable<string, array{array<string, mixed>, float}> what is flown, and the least score of a sheet played as written */
    public static function flights(): iterable
    {
        $on = static fn (int $site, int $rig, string $move, array $more = []): array => [
            'kind' => 'plan', 'draft' => ['site_id' => $site, 'rig_id' => $rig, 'mode' => 'standard', 'move' => $move, ...$more],
        ];
        $mark = ['subject_at' => ['east_m' => 10, 'north_m' => 45, 'aim_m' => 2]];
        yield 'an orbit' => [
            $on(
                1, 1, 'orbit', [
                    'subject_at' => ['east_m' => 4, 'north_m' => 70, 'aim_m' => 2], 'parameters' => ['arc_deg' => 60, 'radius_m' => 18],
                ],
            ), 80.0,
        ];
        yield 'a pull-away' => [$on(2, 1, 'pull-away', $mark), 80.0];
        yield 'a square' => [$on(1, 1, 'square-fixed-heading'), 80.0];
        yield 'a bay, nose in' => [$on(1, 1, 'nose-in-bay'), 80.0];
        yield 'a follow' => [$on(3, 2, 'follow', ['subject_at' => ['east_m' => 0, 'north_m' => 60, 'aim_m' => 1]]), 80.0];
        // The ducted craft leans before it goes: a sheet written for one that holds its place leads it only roughly.
        yield 'a ducted tour' => [$on(1, 3, 'indoor-tour'), 40.0];
    }

    /** @param  array<string, mixed>  $wanted */
    #[DataProvider('flights')]
    public function test_a_sheet_is_flown_through_the_page_to_its_debrief(array $wanted, float $least): void
    {
        $exercise = [...$wanted, 'seed' => 5, 'conditions' => self::CALM];
        $chrome = $this->cockpit($exercise);
        $chrome->type(' ');
        $this->until(
            $chrome, 'return Number(document.querySelector("main").dataset.second) >= window.planned + 0.3 || document.querySelector("main").dataset.phase !== "flying"',
        );
        if ($chrome->attribute('main', 'data-phase') === 'flying') {
            $chrome->type(' ');
        }
        $chrome->see('[data-again]');
        $take = $chrome->attribute('section a[href^="/debrief/"]', 'href');
        $take = (string) preg_replace('#^https?://[^/]+#', '', $take);
        $chrome->visit($take)->see('[data-role=flown-path]');
        $chrome->seeText('practised');
        $id = (int) basename($take);
        self::assertGreaterThan($least, (float) self::ask("SELECT score FROM takes WHERE id = $id"));
        self::assertSame('1', (string) self::ask("SELECT practised FROM takes WHERE id = $id"));
    }

    public function test_a_loop_records_by_itself_and_is_flown_again(): void
    {
        $chrome = $this->cockpit([
            'kind' => 'plan', 'seed' => 5, 'conditions' => [...self::CALM, 'loop' => ['from_s' => 8, 'to_s' => 12]],
            'draft' => [
                'site_id' => 1, 'rig_id' => 1, 'mode' => 'standard', 'move' => 'orbit',
                'subject_at' => ['east_m' => 4, 'north_m' => 70, 'aim_m' => 2],
            ],
        ]);
        $chrome->see('[data-again]');
        $chrome->type("\n");
        $chrome->waitUntil(static fn (): bool => $chrome->attribute('main', 'data-phase') === 'flying', 'It is not flown again.');
        $chrome->see('[data-again]');
        $chrome->seeText('Passes of this exercise');
    }

    public function test_keys_fly_too_and_a_wall_ends_the_pass_in_words(): void
    {
        $chrome = $this->cockpit([
            'kind' => 'plan', 'seed' => 5, 'conditions' => self::CALM,
            'draft' => ['site_id' => 1, 'rig_id' => 1, 'mode' => 'fast', 'move' => 'close-to-object'],
        ], pilot: false);
        $chrome->type(' ');
        $chrome->script('document.body.dispatchEvent(new KeyboardEvent("keydown", { key: "i", bubbles: true }))');
        $chrome->see('[data-again]');
        $chrome->seeText('It touched the object');
    }

    public function test_a_pass_without_a_network_waits_and_is_sent_once(): void
    {
        $exercise = [
            'kind' => 'plan', 'seed' => 31, 'conditions' => self::CALM,
            'draft' => ['site_id' => 1, 'rig_id' => 1, 'mode' => 'standard', 'move' => 'hover-and-turn'],
        ];
        $chrome = $this->cockpit($exercise);
        $before = (int) self::ask('SELECT COUNT(*) FROM recordings');
        $this->expectOnConsole('ERR_INTERNET_DISCONNECTED');
        $this->expectOnConsole('Failed to load resource');
        $chrome->devTools('Network.enable');
        $offline = static fn (bool $off): array => $chrome->devTools('Network.emulateNetworkConditions', [
            'offline' => $off, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1,
        ]);
        $offline(true);
        $chrome->type(' ');
        $this->until($chrome, 'return Number(document.querySelector("main").dataset.second) > 6');
        $chrome->type(' ');
        $chrome->seeText('waits on this device');
        self::assertSame($before, (int) self::ask('SELECT COUNT(*) FROM recordings'));
        $offline(false);
        $chrome->script('window.dispatchEvent(new Event("online"))');
        $kept = static fn (): int => (int) self::ask('SELECT COUNT(*) FROM recordings');
        $chrome->waitUntil(static fn (): bool => $kept() === $before + 1, 'It was not sent.');
        $chrome->script('window.dispatchEvent(new Event("online"))');
        usleep(800000);
        self::assertSame($before + 1, (int) self::ask('SELECT COUNT(*) FROM recordings'));
    }

    public function test_a_controller_that_vanishes_ends_the_pass_and_it_is_marked(): void
    {
        $chrome = $this->halfway();
        $chrome->script('window.unplugged = true');
        $chrome->see('[data-again]');
        $chrome->seeText('broken off');
    }

    public function test_a_page_that_nobody_sees_ends_the_pass_and_marks_it(): void
    {
        $chrome = $this->halfway();
        $chrome->script(<<<'JS'
            Object.defineProperty(document, 'hidden', { value: true });
            document.dispatchEvent(new Event('visibilitychange'));
            JS);
        $chrome->see('[data-again]');
        $chrome->seeText('broken off');
    }

    public function test_whoever_goes_elsewhere_in_the_middle_of_a_pass_loses_nothing(): void
    {
        $before = (int) self::ask('SELECT COUNT(*) FROM recordings');
        $chrome = $this->halfway();
        $chrome->click('header a');
        $chrome->see('[data-fly]');
        $kept = static fn (): int => (int) self::ask('SELECT COUNT(*) FROM recordings');
        $chrome->waitUntil(static fn (): bool => $kept() === $before + 1, 'It was lost.');
    }

    public function test_a_dry_rehearsal_is_judged_by_finger(): void
    {
        $chrome = $this->pilot();
        $chrome->see('[data-dry]');
        $chrome->press('A drill');
        $chrome->click('[data-dry]');
        $chrome->click('[data-begin]');
        $chrome->see('[data-role=rehearsed]', self::A_FLIGHT);
        $chrome->seeText('was not played at all');
    }

    public function test_a_round_of_spot_it_is_told_and_counted(): void
    {
        $chrome = $this->pilot('/fly?by=eye');
        $rounds = (int) self::ask('SELECT COUNT(*) FROM spottings WHERE outcome IS NOT NULL');
        $chrome->click('[data-round]');
        $chrome->click('[data-nothing]', 40);
        $chrome->see('[data-role=verdict]');
        $chrome->seeText('Your eye so far');
        self::assertSame($rounds + 1, (int) self::ask('SELECT COUNT(*) FROM spottings WHERE outcome IS NOT NULL'));
    }

    /** At a page of the usual size with coarse pixels: the machine draws in software, and flies in real time all the same. */
    private function pilot(string $path = '/fly'): Chrome
    {
        $chrome = $this->chrome()->signIn(self::OPERATOR, self::PASSWORD);
        $chrome->devTools('Emulation.setDeviceMetricsOverride', [
            'width' => 1280, 'height' => 800, 'deviceScaleFactor' => 0.25, 'mobile' => false,
        ]);

        return $chrome->visit($path);
    }

    /** In the middle of a recorded square. */
    private function halfway(): Chrome
    {
        $chrome = $this->cockpit([
            'kind' => 'plan', 'seed' => random_int(100, 999), 'conditions' => self::CALM,
            'draft' => ['site_id' => 1, 'rig_id' => 1, 'mode' => 'standard', 'move' => 'square-fixed-heading'],
        ]);
        $chrome->type(' ');
        $this->until($chrome, 'return Number(document.querySelector("main").dataset.second) > 6');

        return $chrome;
    }

    /** @param  array<string, mixed>  $exercise */
    private function cockpit(array $exercise, bool $pilot = true): Chrome
    {
        $chrome = $this->pilot();
        $chrome->visit(
            '/cockpit?e='.rawurlencode((string) json_encode(['exercise' => $exercise, 'aids' => ['ghost-fingers'], 'grid' => 'thirds'])),
        );
        $chrome->see('[data-begin]');
        if ($pilot) {
            $chrome->script(self::PILOT, [json_encode($exercise)]);
            $this->until($chrome, 'return window.planned !== undefined');
        }
        $chrome->click('[data-begin]');
        $chrome->waitUntil(static fn (): bool => $chrome->attribute('main', 'data-phase') === 'flying', 'It does not fly.');

        return $chrome;
    }

    private function until(Chrome $chrome, string $script): void
    {
        $chrome->waitUntil(static fn (): bool => $chrome->script($script) === true, $script, self::A_FLIGHT);
    }
}
