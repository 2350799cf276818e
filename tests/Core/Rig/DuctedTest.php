<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Demo\Rigs;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\FingerInput;
use Larkspur\Flight\Pose;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\Track;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;
use Larkspur\Rig\Ducted;
use Larkspur\Rig\Rig;
use Larkspur\Telemetry\Analysis\BobIndex;
use Larkspur\Telemetry\Analysis\HoverPoint;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** Hover point, throttle, camera angle and bob of a small ducted craft. */
final class DuctedTest extends TestCase
{
    public function test_half_stick_hovers_and_the_curve_is_soft_about_it(): void
    {
        $ducted = new Ducted(0.37, 0.8, 0.5, true, 0.2, 2.0);

        self::assertEqualsWithDelta(0.0, $ducted->throttle(0.0), 1e-12);
        self::assertEqualsWithDelta(0.37, $ducted->throttle(0.5), 1e-12);
        self::assertEqualsWithDelta(0.8, $ducted->throttle(1.0), 1e-12, 'the limit');
        $before = -1.0;
        foreach (range(0, 100) as $i) {
            self::assertGreaterThan($before, $ducted->throttle($i / 100));
            $before = $ducted->throttle($i / 100);
        }
        $straight = new Ducted(0.37, 0.8, 0.0, true, 0.2, 2.0);
        self::assertLessThan($straight->throttle(0.6) - 0.37, $ducted->throttle(0.6) - 0.37);
    }

    public function test_a_limit_below_the_hover_is_refused(): void
    {
        $this->expectException(Refusal::class);
        new Ducted(0.6, 0.55, 0.3, true, 0.2, 2.0);
    }

    public function test_the_camera_angle_and_the_pace_are_each_others_answer(): void
    {
        $ducted = new Ducted(0.4, 1.0, 0.3, true, 12 * Angle::DEGREE, 1.9);

        self::assertEqualsWithDelta(12 * Angle::DEGREE, $ducted->lean($ducted->levelPace()), 1e-12);
        // Holding v against a drag of v / coast needs g tan(lean) of it: 4 m/s at 2 s is 2 m/s2, atan(2 / 9.80665).
        self::assertEqualsWithDelta(11.53, (new Ducted(0.4, 1.0, 0.3, true, 0.0, 2.0))->lean(4.0) / Angle::DEGREE, 0.005);
    }

    public function test_the_hover_point_of_trials_is_where_their_line_crosses_rest(): void
    {
        $hover = HoverPoint::ofTrials([[0.30, -1.2], [0.36, -0.6], [0.45, 0.3], [0.5, 0.8]]);

        self::assertEqualsWithDelta(0.42, $hover->throttle, 0.001);
        self::assertLessThan(0.005, $hover->sd);
        foreach ([
            [[0.4, 0.1]], [[0.4, 0.1], [0.5, 0.6]], [[0.3, -0.2], [0.4, -0.1]], [[0.3, 0.4], [0.5, -0.4]], [[0.4, 0.1], [0.405, -0.1]],
        ] as $trials) {
            try {
                HoverPoint::ofTrials($trials);
                self::fail('It was taken.');
            } catch (Refusal $refusal) {
                self::assertSame('trials', $refusal->place);
            }
        }
    }

    /**
     * A craft that hovers at 33 % and was set up for 45: its log through that throttle finds the 33, and set up for it half the stick
     * hovers. Through a straight throttle the same log would say half of it.
     */
    public function test_set_up_from_its_log_it_hovers_at_half_stick(): void
    {
        $flown = new Ducted(0.45, 0.85, 0.4, true, 0.2, 2.0);
        [$low, $high] = [0.0, 1.0];
        for ($k = 0; $k < 50; $k++) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $flown->throttle($middle) < 0.33 ? [$middle, $high] : [$low, $middle];
        }
        $t = array_map(static fn (int $i): float => $i / 10, range(0, 199));
        $log = new FlightLog([
            't' => $t, 'lat' => array_fill(0, 200, 57.6), 'lon' => array_fill(0, 200, -0.4), 'alt_m' => array_fill(0, 200, 3.0),
            'heading_deg' => array_fill(0, 200, 0.0), 'gimbal_tilt_deg' => array_fill(0, 200, 0.0),
            'stick_climb' => array_fill(0, 200, 2 * $low - 1),
        ]);
        $found = HoverPoint::ofLog($log, $flown->throttle(...))->throttle;
        self::assertEqualsWithDelta(0.33, $found, 0.001);
        $set = new Ducted(round($found, 3), 0.85, 0.4, true, 0.2, 2.0);
        // Flown: thrust over weight is the throttle over that of the hover of the craft itself.
        $climb = static function (Ducted $set, float $stick): float {
            $speed = 0.0;
            for ($i = 0; $i < 100; $i++) {
                $speed += 0.02 * Ducted::GRAVITY * ($set->throttle($stick) / 0.33 - 1);
            }

            return $speed;
        };
        self::assertEqualsWithDelta(0.0, $climb($set, 0.5), 0.03, 'It stays where it is.');
        self::assertGreaterThan(2.0, $climb($flown, 0.5), 'As it was set up it climbs away at half stick.');
    }

    public function test_the_hover_point_of_a_log_is_where_it_neither_rose_nor_sank(): void
    {
        $t = $up = $stick = [];
        $height = 5.0;
        for ($i = 0; $i < 400; $i++) {
            // Hovers at stick -0.14, with a climb and a sink between.
            $x = -0.14 + ($i > 120 && $i < 160 ? 0.5 : 0.0) - ($i > 240 && $i < 280 ? 0.45 : 0.0);
            $height += ($x + 0.14) * 3 * 0.1;
            [$t[], $up[], $stick[]] = [$i / 10, $height, $x];
        }
        $columns = [
            't' => $t, 'lat' => array_fill(0, 400, 57.6), 'lon' => array_fill(0, 400, -0.4), 'alt_m' => $up,
            'heading_deg' => array_fill(0, 400, 0.0), 'gimbal_tilt_deg' => array_fill(0, 400, 0.0), 'stick_climb' => $stick,
        ];
        $hover = HoverPoint::ofLog(new FlightLog($columns));

        self::assertEqualsWithDelta(0.43, $hover->throttle, 0.005);
        // Flown with a throttle that hovers at 40 % at half stick, limited to 80 %, softened: what the stick gave is what that says.
        $flown = new Ducted(0.4, 0.8, 0.5, true, 0.2, 2.0);
        $through = HoverPoint::ofLog(new FlightLog($columns), $flown->throttle(...))->throttle;
        self::assertEqualsWithDelta($flown->throttle(0.43), $through, 0.002);
        foreach ([
            array_diff_key($columns, ['stick_climb' => 1]), [...$columns, 'alt_m' => array_map(static fn (float $s): float => 2 * $s, $t)],
        ] as $bad) {
            try {
                HoverPoint::ofLog(new FlightLog($bad));
                self::fail('It was taken.');
            } catch (Refusal $refusal) {
                self::assertSame('log', $refusal->place);
            }
        }
    }

    public function test_the_bob_index_tells_throttle_from_lean_and_from_air(): void
    {
        $lean = BobIndex::of(self::flown(static fn (float $t): array => ['run' => 0.3 + 0.12 * sin(2.1 * $t), 'climb' => 0.0]));
        $throttle = BobIndex::of(self::flown(static fn (float $t): array => ['run' => 0.3, 'climb' => 0.25 * sin(4.2 * $t)]));
        $both = BobIndex::of(self::flown(
            static fn (float $t): array => ['run' => 0.3 + 0.12 * sin(2.6 * $t), 'climb' => 0.08 * sin(5.0 * $t)],
        ));
        $air = BobIndex::of(self::flown(static fn (float $t): array => ['run' => 0.3 + 0.1 * sin(2.1 * $t), 'climb' => 0.0], 2.4));

        self::assertLessThan(5.0, $lean->index);
        self::assertGreaterThan(80.0, $throttle->index);
        self::assertGreaterThan($lean->index, $both->index);
        self::assertLessThan($throttle->index, $both->index);
        self::assertLessThan(10.0, $air->index);
        self::assertStringContainsString('throttle', said($throttle->words()));
        self::assertStringContainsString('air', said($air->words()));
    }

    /** @param  callable(float): array{run: float, climb: float}  $fingers */
    private static function flown(callable $fingers, float $bump = 0.0): FlightLog
    {
        $rig = Rig::read(Fields::of(Rigs::all()['wren']));
        $aircraft = new Aircraft($rig, $rig->mode('standard'), 0.02);
        $pose = new Pose(0.0, 0.0, 8.0, 0.0, 0.0);
        $track = new Track;
        for ($k = 0; $k < 1000; $k++) {
            $pressed = FingerInput::of($fingers($k * 0.02));
            // A bump of the air lifts the craft and lets it down again, whatever the thumb does.
            $lifted = new Pose($pose->east, $pose->north, $pose->up + $bump * sin(3.7 * $k * 0.02) * 0.2, $pose->heading, $pose->tilt);
            $track->add($k * 0.02, $lifted, $pressed);
            $pose = $aircraft->step($pose, $pressed);
        }

        return (new Recorder(25.0, 0.005))->record($track->flight(), new LocalFrame(new GeoPoint(57.6, -0.4, 4.0)), 5);
    }
}
