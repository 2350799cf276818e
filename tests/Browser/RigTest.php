<?php

declare(strict_types=1);

namespace Tests\Browser;

use Demo\Rigs;
use Facebook\WebDriver\WebDriverKeys;
use Larkspur\Fields;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\StepFlight;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Rig\Rig;
use Tests\Core\Shots;

/** Settings as a person meets them: pulled, typed, tried, advised, kept, fought over, and taken back. */
final class RigTest extends BrowserCase
{
    public function test_a_pulled_curve_becomes_a_number_and_all_that_follows_from_it(): void
    {
        $chrome = $this->onRig(self::operatorWith(0));
        $half = (float) $chrome->attribute('[data-finger=turn] [data-handle=curve]', 'aria-valuenow');
        $number = $this->entered($chrome, 'Curve of turn');
        $chrome->drag('[data-finger=turn] [data-handle=curve]', 0, -20);
        $chrome->waitUntil(fn (): bool => $this->entered($chrome, 'Curve of turn') !== $number, 'The number stayed.');
        $chrome->waitUntil(
            fn (): bool => (float) $chrome->attribute('[data-finger=turn] [data-handle=curve]', 'aria-valuenow') > $half + 2,
            'The curve stayed.',
        );

        // The number is the output at half stick, so the rate there is that share of the top rate.
        $chrome->waitUntil(
            fn (): bool => abs(
                (float) $chrome->attribute(
                    '[data-finger=turn] [data-handle=curve]', 'aria-valuenow',
                ) - 58 * (float) $this->entered($chrome, 'Curve of turn'),
            ) < 0.4,
            'The number and the curve do not agree.',
        );
        $chrome->seeText('standard: curve of turn');
    }

    public function test_everything_is_done_with_the_keyboard_alone(): void
    {
        $email = self::operatorWith(0);
        $chrome = $this->onRig($email);
        $chrome->script("document.querySelector('[data-finger=tilt] [data-handle=curve]').focus()");
        $before = $this->entered($chrome, 'Curve of tilt');
        $chrome->type(WebDriverKeys::ARROW_UP, WebDriverKeys::ARROW_UP, WebDriverKeys::ARROW_UP);
        $chrome->waitUntil(
            fn (): bool => (float) $this->entered($chrome, 'Curve of tilt') > (float) $before + 0.025, 'Arrow keys pull no curve.',
        );
        $this->enter($chrome, 'Top rate of turn, deg/s', '41');
        $chrome->seeText("58.00\u{a0}°/s → 41.00\u{a0}°/s");
        $chrome->script("document.querySelector('[aria-label=\"Why you change it\"]').focus()");
        $chrome->type('calmer turns', WebDriverKeys::ENTER);
        $chrome->seeText('Probe Rowan, version 1: calmer turns.');
        self::assertSame('41', self::ask("SELECT JSON_EXTRACT(document, '$.modes.standard.turn_dps') + 0 FROM rigs r JOIN users u ON u.id = r.operator_id WHERE u.email = '$email'"));
    }

    public function test_a_number_without_meaning_is_refused_in_words_and_can_be_put_back(): void
    {
        $chrome = $this->onRig(self::operatorWith(0));
        $this->expectOnConsole('422');
        $this->enter($chrome, 'Curve of turn', '1.3');
        $chrome->seeText('Expected a number from 0.05 to 0.95');
        self::assertFalse($chrome->find('section[aria-label="Keep these settings"] button[type=submit]')->isEnabled());
        $this->enter($chrome, 'Top rate of run, m/s', '40');
        $chrome->press('Put back');
        $chrome->waitUntil(
            fn (): bool => $this->entered($chrome, 'Curve of turn') === '0.33' && $chrome->count(
                'section[aria-label="Keep these settings"]',
            ) === 0,
            'It was not put back.',
        );
    }

    public function test_the_second_saver_sees_both_and_keeps_both(): void
    {
        $email = self::operatorWith(0);
        $chrome = $this->onRig($email);
        $this->enter($chrome, 'Top rate of turn, deg/s', '50');
        $this->keep($chrome, 'first');
        $chrome->seeText('version 1: first');
        // Meanwhile somebody saves the same rig from another page.
        $this->enter($chrome, 'Top rate of turn, deg/s', '44');
        $this->enter($chrome, 'Top rate of slide, m/s', '6');
        $base = (int) self::ask("SELECT MAX(r.id) FROM rigs r JOIN users u ON u.id = r.operator_id WHERE u.email = '$email'");
        $rig = $chrome->api("/rigs/$base");
        $rig['settings']['modes']['standard']['turn_dps'] = 39;
        $rig['settings']['modes']['slow']['run_mps'] = 3;
        $chrome->api(
            "/rigs/$base/versions",
            ['settings' => $rig['settings'], 'reason' => 'from the other page', 'operator_id' => $rig['operator_id']],
        );
        $this->expectOnConsole('409');
        $this->keep($chrome, 'mine');
        $chrome->seeText('Somebody saved first');
        $chrome->seeText('top turn (both)');
        $chrome->seeText('slow: top speed ahead');
        $chrome->press('Keep theirs, and mine on top');
        $chrome->seeText('version 3: mine');
        self::assertSame('44 6 3', self::ask("SELECT CONCAT_WS(' ', JSON_EXTRACT(document, '$.modes.standard.turn_dps') + 0, JSON_EXTRACT(document, '$.modes.standard.slide_mps') + 0, JSON_EXTRACT(document, '$.modes.slow.run_mps') + 0) FROM rigs ORDER BY id DESC LIMIT 1"));
    }

    public function test_a_finger_on_a_pad_turns_the_picture_and_the_flick_test_stops_it(): void
    {
        $chrome = $this->onRig(self::operatorWith(0), '/rig/try', '[data-pad]');
        $rate = static fn (): float => (float) str_replace('−', '-', $chrome->text('button[aria-pressed=true] .figure'));
        self::assertLessThan(0.01, abs($rate()));
        $chrome->devTools(
            'Input.dispatchKeyEvent', ['type' => 'rawKeyDown', 'key' => 'd', 'code' => 'KeyD', 'windowsVirtualKeyCode' => 68],
        );
        // Half the travel of a curve of 0.33 under 58 deg/s.
        $chrome->waitUntil(static fn (): bool => abs($rate() - 58 * 0.33) < 0.6, 'The turn does not come.');
        $chrome->devTools('Input.dispatchKeyEvent', ['type' => 'keyUp', 'key' => 'd', 'code' => 'KeyD', 'windowsVirtualKeyCode' => 68]);
        $chrome->waitUntil(static fn (): bool => abs($rate()) < 0.3, 'It does not stop.');
        [$x, $y] = $chrome->script("const box = document.querySelector('[data-pad=\"Left stick\"]').getBoundingClientRect(); return [box.x + box.width / 2, box.y + box.height / 2]");
        $chrome->devTools(
            'Input.dispatchMouseEvent',
            ['type' => 'mousePressed', 'x' => $x - 40, 'y' => $y, 'button' => 'left', 'buttons' => 1, 'clickCount' => 1],
        );
        $chrome->waitUntil(static fn (): bool => $rate() < -15, 'A finger on the pad does nothing.');
        $chrome->devTools(
            'Input.dispatchMouseEvent',
            ['type' => 'mouseReleased', 'x' => $x - 40, 'y' => $y, 'button' => 'left', 'buttons' => 0, 'clickCount' => 1],
        );
        $chrome->press('Let it go');
        $chrome->seeText('let go');
    }

    public function test_a_gamepad_moves_the_sticks(): void
    {
        $chrome = $this->onRig(self::operatorWith(0), '/rig/try', '[data-pad]');
        $chrome->devTools('Page.addScriptToEvaluateOnNewDocument', ['source' => 'window.fakePad = { axes: [0, 0, 0, 0], buttons: [], connected: true }; Navigator.prototype.getGamepads = () => [window.fakePad]']);
        $chrome->visit('/rig/try')->see('[data-pad]');
        $rate = static fn (): float => (float) str_replace('−', '-', $chrome->text('button[aria-pressed=true] .figure'));
        $chrome->script('window.fakePad.axes = [0.7, 0, 0, 0]');
        $chrome->waitUntil(static fn (): bool => $rate() > 20, 'The gamepad does nothing.');
        $chrome->script('window.fakePad.axes = [0, 0, 0, 0]');
        $chrome->waitUntil(static fn (): bool => abs($rate()) < 0.3, 'It does not come to rest.');
    }

    public function test_one_recording_is_played_through_two_settings(): void
    {
        $chrome = $this->onRig(self::operatorWith(0), '/rig/try', '[data-pad]');
        $chrome->click('[aria-label="Beside these settings"]');
        $chrome->see('[role=option]');
        foreach ($chrome->all('[role=option]') as $option) {
            if (str_contains($option->getText(), 'Lapwing 250, version 1, slow')) {
                $option->click();
                break;
            }
        }
        $chrome->waitUntil(static fn (): bool => $chrome->count('canvas') === 2, 'There is no second picture.');
        $chrome->press('Record the sticks');
        $chrome->devTools(
            'Input.dispatchKeyEvent', ['type' => 'rawKeyDown', 'key' => 'd', 'code' => 'KeyD', 'windowsVirtualKeyCode' => 68],
        );
        usleep(900_000);
        $chrome->devTools('Input.dispatchKeyEvent', ['type' => 'keyUp', 'key' => 'd', 'code' => 'KeyD', 'windowsVirtualKeyCode' => 68]);
        $chrome->press('Stop recording');
        $chrome->waitUntil(
            static fn (): bool => preg_match('/Play \d+\.\d s through both/', $chrome->text()) === 1, 'Nothing was recorded.',
        );
        $chrome->press(' s through both');
        $heights = static fn (): array => $chrome->script("return [...document.querySelectorAll('[data-picture=rate-trace] path[stroke-width=\"2.5\"]')].map((path) => Math.min(...[...path.getAttribute('d').matchAll(/[ML][\\d.]+ ([\\d.]+)/g)].map((m) => Number(m[1]))))");
        // The same finger, and the slow mode turns less: its trace stays lower (larger y).
        $chrome->waitUntil(static fn (): bool => count($heights()) === 2 && $heights()[1] > $heights()[0] + 20, 'The two do not differ.');
    }

    public function test_advice_for_planned_shots_is_put_in_and_kept(): void
    {
        $chrome = $this->chrome()->signIn('juno@skerrow.example', self::PASSWORD)->visit('/rig/advise');
        $chrome->see('[data-advice=turn]');
        $chrome->press('Limit the machine');
        $chrome->seeText('The machine is made slow and soft');
        $chrome->waitUntil(
            static fn (): bool => str_contains($chrome->text('[data-advice=turn]'), 'Limit the machine:'), 'The house is not named.',
        );
        $chrome->press('Put these numbers in, and look at them');
        $chrome->seeText('standard: top turn');
        $this->keep($chrome, 'as advised');
        $chrome->seeText('Juno Varga, version 1: as advised');
        $chrome->visit('/rig/history');
        $chrome->seeText('as advised');
    }

    public function test_history_compares_and_goes_back(): void
    {
        $email = self::operatorWith(0);
        $chrome = $this->onRig($email);
        foreach (['48', '36'] as $i => $turn) {
            $this->enter($chrome, 'Top rate of turn, deg/s', $turn);
            $this->keep($chrome, "turn $turn");
            $chrome->seeText(sprintf('version %d: turn %s', $i + 1, $turn));
        }
        $chrome->visit('/rig/history')->see('[data-version="2"]');
        $chrome->seeText('Too few takes to tell');
        $chrome->press('Compare');
        $chrome->seeText('standard: top turn');
        $chrome->seeText("48.00\u{a0}°/s → 36.00\u{a0}°/s");
        $chrome->visit('/rig/history')->see('[data-version="2"]');
        $chrome->press('Go back to this');
        $chrome->seeText('Back to version 1');
        self::assertSame('48', self::ask("SELECT JSON_EXTRACT(document, '$.modes.standard.turn_dps') + 0 FROM rigs ORDER BY id DESC LIMIT 1"));
    }

    public function test_trials_find_the_hover_point_of_a_ducted_craft(): void
    {
        $chrome = $this->onRig(self::operatorWith(0), '/rig/ducted?rig='.self::ask("SELECT id FROM rigs WHERE craft = 'Wren Duct 3' AND operator_id IS NULL"), '[data-picture=throttle-card] svg');
        $chrome->press('Work it out');
        $chrome->seeText('It hovers at 44.6 %');
        $chrome->waitUntil(
            fn (): bool => $this->entered($chrome, 'Hover point: throttle that holds the height') === '45', 'It was not put in.',
        );
        $chrome->seeText('hover point');
    }

    public function test_a_craft_is_measured_by_its_step_test_and_entered(): void
    {
        $rig = Rig::read(Fields::of([...Rigs::all()['lapwing'], 'craft' => 'Measured']));
        $log = Recorder::fair()->record(StepFlight::fly($rig, 'standard', 2), new LocalFrame(new GeoPoint(57.6, -0.4, 4.0)), 8);
        $file = sys_get_temp_dir().'/steps-'.bin2hex(random_bytes(4)).'.csv';
        file_put_contents($file, Shots::csv($log));
        $chrome = $this->onRig(self::operatorWith(0), '/rig/craft', 'table');
        $chrome->find('input[aria-label^="Log of a step test"]')->sendKeys($file);
        $chrome->see('[data-fits]');
        self::assertMatchesRegularExpression('/run\s*×4\s*9\.[12]\d.m\/s ± 0\.\d\d/u', $chrome->text('[data-fits]'));
        $name = 'Sanderling '.random_int(100, 99999);
        $chrome->script("[...document.querySelectorAll('label')].find((label) => label.textContent.startsWith('Or enter them')).parentElement.querySelector('input').focus()");
        $chrome->type($name);
        $chrome->press('Enter it');
        $chrome->seeText($name);
        $chrome->seeText('As it was measured');
        unlink($file);
    }

    public function test_a_school_without_craft_begins_with_its_first(): void
    {
        $database = self::database();
        $database->exec('INSERT INTO schools (name, house_style, created_at, updated_at) SELECT "A new school", house_style, NOW(), NOW() FROM schools LIMIT 1');
        $email = sprintf('first-%s@skerrow.example', bin2hex(random_bytes(3)));
        $database->prepare('INSERT INTO users (school_id, name, email, password, role, created_at, updated_at) SELECT ?, "First Rowan", ?, password, "trainer", NOW(), NOW() FROM users WHERE email = ?')
            ->execute([(int) $database->lastInsertId(), $email, self::OPERATOR]);
        $chrome = $this->chrome()->signIn($email, self::PASSWORD)->visit('/rig');
        $chrome->seeText('The school has no craft yet.');
        $chrome->script("[...document.querySelectorAll('label')].find((label) => label.textContent === 'What it is called').parentElement.querySelector('input').focus()");
        $chrome->type('Ruff 7', WebDriverKeys::TAB, WebDriverKeys::ENTER);
        $chrome->seeText('Envelope of the Ruff 7');
        $chrome->visit('/rig')->see('[data-picture=curve-card] svg');
    }

    public function test_a_rig_file_of_another_version_is_refused_and_nothing_changes(): void
    {
        $chrome = $this->onRig(self::operatorWith(0), '/rig/craft', 'table');
        $count = self::ask('SELECT COUNT(*) FROM rigs');
        $file = sys_get_temp_dir().'/later-'.bin2hex(random_bytes(4)).'.json';
        file_put_contents($file, '{"schema": "larkspur/rig/7"}');
        $this->expectOnConsole('422');
        $chrome->find('input[aria-label="Rig file"]')->sendKeys($file);
        $chrome->seeText('This rig file is of version 7; this Larkspur reads version 1. Nothing was changed.');
        self::assertSame($count, self::ask('SELECT COUNT(*) FROM rigs'));
        unlink($file);
    }

    private function onRig(string $email, string $path = '/rig', string $sign = '[data-picture=curve-card] svg'): Chrome
    {
        $chrome = $this->chrome()->signIn($email, self::PASSWORD)->visit($path);
        $chrome->see($sign);

        return $chrome;
    }

    private function entered(Chrome $chrome, string $label): string
    {
        return trim((string) preg_replace('/[^\d.−-].*$/u', '', (string) $chrome->script('return document.querySelector(`input[aria-label^="${arguments[0]}"]`).value', [$label])));
    }

    private function enter(Chrome $chrome, string $label, string $value): void
    {
        $chrome->see("input[aria-label=\"$label\"]");
        $chrome->script('document.querySelector(`input[aria-label="${arguments[0]}"]`).focus()', [$label]);
        usleep(80_000);
        $chrome->type($value, WebDriverKeys::ENTER);
    }

    private function keep(Chrome $chrome, string $reason): void
    {
        $chrome->see('[aria-label="Why you change it"]')->sendKeys($reason);
        $chrome->waitUntil(static fn (): bool => $chrome->find('section[aria-label="Keep these settings"] button[type=submit]')->isEnabled(), 'It can’t be kept.');
        $chrome->press('Keep as a new version');
    }
}
