<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Scoring\Samples;
use Larkspur\Scoring\TakeFinder;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\TestCase;

/** Where takes begin and end in a log of several passes, rests, gaps and slow moves. */
final class TakeFinderTest extends TestCase
{
    public function test_one_pass_is_one_take_with_its_own_limits(): void
    {
        [$take] = $takes = self::takes(ClosedForm::log());

        self::assertCount(1, $takes);
        self::assertEqualsWithDelta(ClosedForm::START, $take[0], 0.6);
        self::assertEqualsWithDelta(ClosedForm::end(), $take[1], 1.5);
    }

    public function test_passes_with_a_rest_between_them_are_takes_of_their_own(): void
    {
        $takes = self::takes(self::joined(ClosedForm::log(), ClosedForm::log(), ClosedForm::log()));

        self::assertCount(3, $takes);
        foreach ([0, 1] as $i) {
            self::assertGreaterThan($takes[$i][1] + 3.0, $takes[$i + 1][0]);
        }
    }

    public function test_a_rest_of_a_second_does_not_part_a_take(): void
    {
        $paused = static fn (float $t): float => ClosedForm::travelled($t - max(0.0, min(1.0, $t - 14.0)));
        $log = ClosedForm::log([], 10.0, $paused, ClosedForm::end() + 4.0);

        self::assertCount(1, self::takes($log));
    }

    public function test_a_rest_of_four_seconds_does(): void
    {
        $rest = static fn (float $t): float => ClosedForm::travelled($t - max(0.0, min(4.0, $t - 14.0)));
        $log = ClosedForm::log([], 10.0, $rest, ClosedForm::end() + 7.0);

        self::assertCount(2, self::takes($log));
    }

    public function test_a_nudge_of_two_seconds_is_no_take(): void
    {
        $nudge = static fn (float $t): float => 1.5 * (max(0.0, min(1.2, $t - 5.0)));

        self::assertSame([], self::takes(ClosedForm::log([], 10.0, $nudge, 20.0)));
    }

    public function test_a_hover_in_noise_is_no_take(): void
    {
        $noise = new \Larkspur\Measure\SeededNoise(4);
        $log = ClosedForm::log(
            ['radius' => static fn (): float => 0.15 * $noise->normal(), 'heading' => static fn (): float => 0.2 * $noise->normal()], 10.0,
            static fn (): float => 0.0, 60.0,
        );

        self::assertSame([], self::takes($log));
    }

    public function test_a_move_planned_to_be_very_slow_is_found_by_its_plan(): void
    {
        $creep = static fn (float $t): float => 0.1 * ClosedForm::travelled($t);
        $log = ClosedForm::log([], 10.0, $creep);

        self::assertSame([], self::takes($log));
        self::assertCount(1, self::takes($log, 0.24));
    }

    public function test_turning_on_the_spot_or_climbing_moves_the_picture_too(): void
    {
        $still = static fn (): float => 0.0;
        foreach (['heading' => 8.0, 'tilt' => 4.0, 'height' => 1.0] as $channel => $rate) {
            $takes = self::takes(ClosedForm::log(
                [$channel => static fn (float $t): float => $rate * max(0.0, min(8.0, $t - 6.0))], 10.0, $still, 22.0,
            ));

            self::assertCount(1, $takes, $channel);
            self::assertEqualsWithDelta(6.0, $takes[0][0], 0.9, $channel);
            self::assertEqualsWithDelta(14.0, $takes[0][1], 1.0, $channel);
        }
    }

    public function test_a_hole_of_half_a_minute_parts_a_take(): void
    {
        $log = ClosedForm::log();
        $columns = $log->columns;
        foreach ($columns['t'] as $i => $t) {
            $columns['t'][$i] = $t < 15 ? $t : $t + 30;
        }

        self::assertCount(2, self::takes(new FlightLog($columns)));
    }

    public function test_a_cut_takes_its_margin_and_no_more_than_half_the_way_to_its_neighbour(): void
    {
        $takes = [[10.0, 20.0], [24.0, 40.0], [60.0, 70.0]];

        self::assertSame([7.0, 22.0], TakeFinder::cut($takes, 0, 0.0, 80.0));
        self::assertSame([22.0, 43.0], TakeFinder::cut($takes, 1, 0.0, 80.0));
        self::assertSame([57.0, 72.0], TakeFinder::cut($takes, 2, 0.0, 72.0));
    }

    /** @return list<array{float, float}> */
    private static function takes(FlightLog $log, ?float $pace = null): array
    {
        return TakeFinder::find(Samples::of($log, new LocalFrame(new GeoPoint(57.6, -0.4, 0.0))), pace: $pace);
    }

    /** Logs flown one after the other, each from where the one before ended by magic: only the rests between them count. */
    private static function joined(FlightLog ...$logs): FlightLog
    {
        $columns = [];
        $from = 0.0;
        foreach ($logs as $log) {
            foreach ($log->columns as $name => $column) {
                $columns[$name] = [
                    ...$columns[$name] ?? [], ...($name === 't' ? array_map(static fn (float $t): float => $t + $from, $column) : $column),
                ];
            }
            // Flown back between two takes, out of the log.
            $from += $log->to() + 20.0;
        }

        return new FlightLog($columns);
    }
}
