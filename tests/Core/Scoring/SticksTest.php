<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Controls\Finger;
use Larkspur\Scoring\Sticks;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\TestCase;

/** What a log says of the fingers, on columns drawn by hand: 20 s at 20 Hz, a hold from 4 to 16 s. */
final class SticksTest extends TestCase
{
    private const RATE = 20;

    public function test_a_log_without_finger_columns_says_nothing(): void
    {
        self::assertNull(Sticks::of(new FlightLog(['t' => [0.0, 0.1]])));
    }

    public function test_a_leak_is_told_whatever_its_share_of_the_main_press(): void
    {
        $held = static fn (float $travel): callable => static fn (float $t): float => $t > 4 && $t < 16 ? $travel : 0.0;
        // A tenth, a half and nine tenths of what the thumb's other axis holds.
        foreach ([0.06, 0.3, 0.54] as $leak) {
            $found = self::sticks(['slide' => $held(0.6), 'run' => $held($leak)])->leaks(4.5, 15.5);
            self::assertContains('run', array_map(static fn (array $one): string => $one['finger']->value, $found), (string) $leak);
        }
        // A twentieth of the travel is a finger's own tremble; and beside a thumb at rest there is nothing to leak from.
        self::assertSame([], self::sticks(['slide' => $held(0.6), 'run' => $held(0.03)])->leaks(4.5, 15.5));
        self::assertSame([], self::sticks(['slide' => $held(0.05), 'run' => $held(0.08)])->leaks(4.5, 15.5));
        // The other thumb is another matter.
        self::assertSame([], self::sticks(['slide' => $held(0.6), 'climb' => $held(0.3)])->leaks(4.5, 15.5));
    }

    public function test_the_longest_press_against_its_way_is_timed(): void
    {
        $sticks = self::sticks(['turn' => static fn (float $t): float => match (true) {
            $t >= 1.0 && $t < 1.3 => -0.2,
            $t >= 2.0 && $t < 2.9 => -0.2,
            $t >= 4.0 => 0.4,
            default => 0.0,
        }]);
        $right = $sticks->against(Finger::Turn, 1.0, 0.0, 8.0);

        self::assertEqualsWithDelta(0.9, $right['seconds'], 0.06);
        self::assertEqualsWithDelta(2.9, $right['at'], 0.06);
        // Seen from the other way it sets out rightly, and what comes later is a correction; out of its window nothing is.
        self::assertSame(0.0, $sticks->against(Finger::Turn, -1.0, 0.0, 8.0)['seconds']);
        self::assertEqualsWithDelta(4.0, $sticks->against(Finger::Turn, -1.0, 3.0, 8.0)['seconds'], 0.06);
        self::assertSame(0.0, $sticks->against(Finger::Turn, 1.0, 3.0, 8.0)['seconds']);
        self::assertSame(0.0, $sticks->against(Finger::Tilt, 1.0, 0.0, 8.0)['seconds']);
    }

    public function test_the_farthest_and_the_usual_press_count_either_way(): void
    {
        $sticks = self::sticks([
            'slide' => static fn (float $t): float => $t > 4 && $t < 16 ? -0.5 : 0.0,
            'turn' => static fn (float $t): float => abs($t - 9) < 0.2 ? -0.8 : 0.1,
        ]);

        self::assertSame(0.8, $sticks->most());
        self::assertSame(0.5, $sticks->held(Finger::Slide, 5.0, 15.0));
        self::assertSame(0.1, $sticks->held(Finger::Turn, 5.0, 15.0));
        self::assertSame(0.0, $sticks->held(Finger::Climb, 5.0, 15.0));
    }

    public function test_travel_is_read_at_any_time_and_holds_its_last_word(): void
    {
        $sticks = self::sticks(['run' => static fn (float $t): float => $t < 10 ? 0.2 : 0.4]);

        self::assertSame([0.2, 0.2, 0.4, 0.4], $sticks->at(Finger::Run, [0.0, 9.97, 10.0, 99.0]));
        self::assertSame([0.0, 0.0], $sticks->at(Finger::Tilt, [0.0, 5.0]));
    }

    public function test_a_spring_is_told_from_an_ease(): void
    {
        $stops = static fn (float $seconds): callable => static fn (float $t): float => 0.5 * max(0.0, min(1.0, ($t - 2.0) / 2.0))
            * max(0.0, min(1.0, 1 - ($t - 16.0) / $seconds));
        $ends = static fn (Sticks $sticks): array => array_map(
            static fn (array $one): string => $one['finger']->value.' '.$one['end'], $sticks->flicks(4.5, 15.5),
        );

        self::assertSame(['slide stop'], $ends(self::sticks(['slide' => $stops(0.15)])));
        self::assertSame([], $ends(self::sticks(['slide' => $stops(2.0)])));
        // A finger that hardly takes part is not timed.
        self::assertSame([], $ends(self::sticks(['slide' => static fn (float $t): float => 0.1 * $stops(0.15)($t)])));
    }

    /** @param  array<string, callable(float): float>  $travel  by finger */
    private static function sticks(array $travel): Sticks
    {
        $t = array_map(static fn (int $i): float => $i / self::RATE, range(0, 20 * self::RATE));
        $columns = ['t' => $t];
        foreach ($travel as $finger => $of) {
            $columns["stick_$finger"] = array_map($of, $t);
        }

        return Sticks::of(new FlightLog($columns)) ?? self::fail('It has finger columns.');
    }
}
