<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Replay;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/** Finger columns that can't be of the flight are left out and said; those that are its own are believed. */
final class TrustedSticksTest extends TestCase
{
    /** @return iterable<string, array{callable(string, float, int): float, string}> */
    public static function columns(): iterable
    {
        yield 'in percent' => [static fn (string $finger, float $travel, int $i): float => 100 * $travel, 'remark.sticks-beyond'];
        yield 'empty' => [static fn (string $finger, float $travel, int $i): float => 0.0, 'remark.sticks-empty'];
        yield 'turned about' => [
            static fn (string $finger, float $travel, int $i): float => $finger === 'turn' ? -$travel : $travel, 'remark.sticks-reversed',
        ];
        yield 'of another flight' => [
            static fn (string $finger, float $travel, int $i): float => 0.4 * sin($i / 3 + ord($finger)), 'remark.sticks-of-another-flight',
        ];
    }

    /** @param  callable(string, float, int): float  $put */
    #[DataProvider('columns')]
    public function test_columns_that_are_not_of_the_flight_are_left_out_and_not_held_against_the_hand(callable $put, string $remark): void
    {
        $plan = self::plan();
        $log = self::log($plan);
        $columns = $log->columns;
        foreach (Finger::cases() as $finger) {
            $columns["stick_$finger->value"] = array_map(
                static fn (float $travel, int $i): float => $put($finger->value, $travel, $i), $columns["stick_$finger->value"],
                array_keys($columns['t']),
            );
        }
        $judged = Scorer::score(new FlightLog($columns), $plan->move->intent);
        $without = array_filter($columns, static fn (string $name): bool => ! str_starts_with($name, 'stick_'), ARRAY_FILTER_USE_KEY);

        self::assertContains($remark, self::remarks($judged));
        self::assertNull($judged->measured->sticks);
        // Nor are they drawn: what the picture shows is worked out from the motion, and says so.
        $replay = Replay::of($judged, $plan, $plan->shot->tune());
        self::assertTrue($replay->inferred);
        self::assertEqualsWithDelta(
            $plan->sheet->at(Finger::Slide, ($plan->move->holdFrom + $plan->move->holdTo) / 2),
            Statistics::median($replay->fingers['slide'] ?? []), 0.12,
        );
        self::assertSame(Scorer::score(new FlightLog($without), $plan->move->intent)->score, $judged->score);
    }

    public function test_its_own_columns_are_believed_in_wind_too(): void
    {
        $plan = self::plan();
        foreach ([Wind::still(), new Wind(1.2, 5.0, 8.0)] as $wind) {
            $judged = Scorer::score(self::log($plan, $wind), $plan->move->intent);
            self::assertNotNull($judged->measured->sticks);
            self::assertNull($judged->measured->doubt);
            self::assertFalse(Replay::of($judged, $plan, $plan->shot->tune())->inferred);
        }
    }

    private static function plan(): Plan
    {
        return Shots::plan([
            'radius_m' => 21.0, 'arc_deg' => 130.0, 'pace_mps' => 2.2, 'direction' => 'clockwise', 'start_bearing_deg' => 200.0,
        ]);
    }

    private static function log(Plan $plan, ?Wind $wind = null): FlightLog
    {
        $flight = SimulatedOperator::fly($plan, OperatorHabits::ofLevel(3, 4), $wind ?? Wind::still(), 4);

        return Recorder::fair()->record($flight, $plan->shot->site->frame(), 4);
    }

    /** @return list<string> */
    private static function remarks(Score $score): array
    {
        return array_map(static fn ($remark): string => $remark->code, $score->remarks);
    }
}
