<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Demo\Rigs;
use Larkspur\Choreography\Plan;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Scoring\MoveUnsure;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Training\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the log alone tells: the family of the move, who flew it, what the wind did, and what the log's own speed is worth. */
final class RecognitionTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function shots(): iterable
    {
        foreach (Catalogue::all() as $move) {
            $about = $move->about();
            if ($about->family !== '' && $about->group !== Group::Follow) {
                yield $about->id => [$about->id];
            }
        }
    }

    #[DataProvider('shots')]
    public function test_a_move_shows_itself_as_its_family(string $id): void
    {
        $plan = self::plan($id);
        $log = Recorder::fair()->record(
            Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune()), $plan->shot->site->frame(), 4,
        );
        $takes = Scorer::takes($log);

        self::assertNotSame([], $takes);
        self::assertContains(
            Catalogue::move($id)->about()->family, array_slice(array_keys($takes[0]['recognition']->likelihoods), 0, 2),
            json_encode(array_slice($takes[0]['recognition']->likelihoods, 0, 3)) ?: '',
        );
        self::assertEqualsWithDelta(1.0, array_sum($takes[0]['recognition']->likelihoods), 1e-9);
    }

    public function test_where_the_log_does_not_tell_somebody_is_asked(): void
    {
        // Ahead, sinking, turning and tilting at once is like several families and none.
        $plan = self::plan('sink-turn-tilt');
        $log = (new Recorder(10.0))->record($plan->move->flight, $plan->shot->site->frame());
        $unsure = iterator_to_array(Scorer::each($log))[1];

        self::assertInstanceOf(MoveUnsure::class, $unsure);
        self::assertGreaterThanOrEqual(2, count($unsure->candidates));
        self::assertContains('climbing-orbit', $unsure->candidates);
        self::assertEqualsWithDelta($plan->move->onset, $unsure->from, 1.0);
        self::assertEqualsWithDelta($plan->move->stop, $unsure->to, 1.5);
        self::assertStringStartsWith('take 1', $unsure->place);
        // Named, it is judged.
        self::assertGreaterThan(95.0, Scorer::score($log, $plan->move->intent)->score);
    }

    public function test_a_take_flown_by_automation_is_marked_with_its_share(): void
    {
        $log = self::orbit();
        $n = $log->count();
        $half = static fn (int $from): array => array_merge(array_fill(0, $from, 0.0), array_fill(0, $n - $from, 1.0));
        $of = static fn (array $column): ?float => Scorer::score(
            new FlightLog([...$log->columns, 'automated' => array_values($column)]), self::plan('orbit')->move->intent,
        )->automated;

        self::assertNull(Scorer::score($log, self::plan('orbit')->move->intent)->automated);
        self::assertEqualsWithDelta(1.0, $of($half(0)), 0.01);
        self::assertEqualsWithDelta(0.5, $of($half(intdiv($n, 2))), 0.12);
        self::assertEqualsWithDelta(0.0, $of($half($n)) ?? 0.0, 0.01);
    }

    public function test_unsteadiness_of_the_wind_is_told_from_that_of_the_hand(): void
    {
        $plan = self::plan('orbit');
        $share = static function (OperatorHabits $habits, Wind $wind) use ($plan): ?float {
            $flight = SimulatedOperator::fly($plan, $habits, $wind, 5);

            return Scorer::score((new Recorder(10.0))->record($flight, $plan->shot->site->frame(), 5), $plan->move->intent)->wind->share;
        };
        $still = $share(OperatorHabits::named('hurried'), Wind::still());
        $gusty = $share(OperatorHabits::named('hurried'), new Wind(0.0, 6.0, 10.0));

        self::assertNotNull($still);
        self::assertNotNull($gusty);
        // In still air the wind is not blamed; what it takes in gusts is more than that.
        self::assertLessThan(1.0, $still);
        self::assertGreaterThan($still + 1.0, $gusty);
        // Without finger columns nobody can say.
        $log = self::orbit();
        self::assertNull(
            Scorer::score(
                new FlightLog(array_diff_key(
                    $log->columns, array_flip(['stick_climb', 'stick_turn', 'stick_run', 'stick_slide', 'stick_tilt']),
                )),
                $plan->move->intent,
            )->wind->share,
        );
    }

    public function test_the_logs_own_speed_narrows_the_doubt(): void
    {
        $plan = self::plan('push-in');
        $flight = Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune());
        $log = Recorder::fair(10.0)->record($flight, $plan->shot->site->frame(), 8);
        $with = Scorer::score($log, $plan->move->intent);
        $without = Scorer::score(new FlightLog(array_diff_key($log->columns, ['speed_mps' => 1, 'climb_mps' => 1])), $plan->move->intent);

        self::assertLessThanOrEqual($without->uncertainty, $with->uncertainty);
        $sources = [];
        foreach ($with->facets as $facet) {
            foreach ($facet->metrics as $figure) {
                $sources[$figure->source] = true;
            }
        }
        self::assertArrayHasKey('speed', $sources);
    }

    public function test_a_speed_column_that_contradicts_the_positions_is_not_believed(): void
    {
        $plan = self::plan('push-in');
        $log = (new Recorder(10.0))->record($plan->move->flight, $plan->shot->site->frame());
        $true = Scorer::score($log, $plan->move->intent);
        $lying = Scorer::score(new FlightLog([...$log->columns, 'speed_mps' => array_fill(0, $log->count(), 7.0)]), $plan->move->intent);

        self::assertEqualsWithDelta($true->score, $lying->score, 0.5);
    }

    public function test_a_short_gap_is_bridged_and_a_long_one_costs_certainty(): void
    {
        $log = self::orbit();
        $without = static function (float $from, float $to) use ($log): FlightLog {
            $keep = array_keys(array_filter($log->column('t'), static fn (float $t): bool => $t < $from || $t > $to));

            return new FlightLog(array_map(
                static fn (array $column): array => array_values(array_intersect_key($column, array_flip($keep))), $log->columns,
            ));
        };
        $intent = self::plan('orbit')->move->intent;
        $whole = Scorer::score($log, $intent);
        $short = Scorer::score($without(12.0, 12.6), $intent);

        self::assertEqualsWithDelta($whole->score, $short->score, 1.5);
        self::assertSame([], array_values(array_filter($short->faults, static fn ($fault): bool => $fault->id === 'kick')));
    }

    private static function orbit(): FlightLog
    {
        static $log = null;
        if ($log === null) {
            $plan = self::plan('orbit');
            $log = (new Recorder(10.0))->record(
                Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune()), $plan->shot->site->frame(),
            );
        }

        return $log;
    }

    private static function plan(string $id): Plan
    {
        static $plans = [];

        return $plans[$id] ??= Lesson::planned($id, Rigs::all()['lapwing'], 'standard', Rigs::all()['lapwing']['camera']);
    }
}
