<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Geo\GeoPoint;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Scoring\Verdict;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightCsvReader;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\MoveDraw;
use Tests\Core\Shots;

use function Tests\said;

/** What of a log can't be meant as it stands is said and left out; nobody is judged by it. */
final class DoubtfulLogTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> move, column, and what is said of it */
    public static function zeros(): iterable
    {
        foreach (['orbit', 'climbing-orbit', 'lateral-dolly'] as $move) {
            yield "$move without heading" => [$move, 'heading_deg', 'no compass says'];
            yield "$move without heights" => [$move, 'alt_m', 'Heights are zero throughout'];
        }
        yield 'orbit without tilt' => ['orbit', 'gimbal_tilt_deg', 'where the plan looks elsewhere'];
        yield 'a lift without tilt' => ['lift-and-tilt', 'gimbal_tilt_deg', 'where the plan looks elsewhere'];
    }

    #[DataProvider('zeros')]
    public function test_a_column_of_zeros_is_taken_as_not_recorded(string $move, string $column, string $words): void
    {
        $plan = self::plan($move);
        $log = self::flown($plan);
        $score = Scorer::scoreBetween(
            $log->with([$column => array_fill(0, $log->count(), 0.0)]), $plan->move->intent, $plan->move->onset, $plan->move->stop + 0.5,
        );

        self::assertStringContainsString($words, self::remarks($score));
        self::assertNotContains('off-mark', array_column($score->allFaults, 'id'));
        self::assertNotSame(Verdict::AGAIN, $score->verdict->verdict);
        self::assertGreaterThan(80.0, $score->score);
        if ($score->assignment->lacksFrame()) {
            self::assertNull($score->facetScores()['frame']);
        }
    }

    /** At rest and not recorded are told apart by the plan: one that looks level may well be flown at nought. */
    public function test_a_lens_that_rests_at_nought_by_plan_is_believed(): void
    {
        $plan = self::plan('orbit');
        $level = self::flown($plan)->with(['gimbal_tilt_deg' => array_fill(0, self::flown($plan)->count(), 0.0)]);
        $open = new Intent(
            'lateral-dolly', null, null, 0.5, 0.5, $plan->move->intent->lens, null, ['length_m' => 20.0, 'tilt_start_deg' => 0.0],
        );
        $dolly = self::plan('lateral-dolly');
        $log = self::flown($dolly);
        $judged = Scorer::score($log->with(['gimbal_tilt_deg' => array_fill(0, $log->count(), 0.0)]), $open);

        self::assertStringNotContainsString('tilt is zero', self::remarks($judged));
        // Without any plan nobody knows where the lens should have looked.
        self::assertStringNotContainsString('tilt is zero', self::remarks(Scorer::score($level)));
    }

    public function test_up_and_down_cannot_be_judged_without_heights(): void
    {
        $plan = self::plan('rise');
        $log = self::flown($plan);
        try {
            Scorer::scoreBetween(
                $log->with(['alt_m' => array_fill(0, $log->count(), 0.0)]), $plan->move->intent, $plan->move->onset, $plan->move->stop,
            );
            self::fail('It was judged.');
        } catch (Refusal $refusal) {
            self::assertSame('alt_m', $refusal->place);
            self::assertStringContainsString('without heights', said($refusal->fact));
        }
    }

    public function test_two_craft_in_one_file_are_refused(): void
    {
        $log = self::flown(self::plan('orbit'));
        $both = [];
        foreach ($log->columns as $name => $column) {
            foreach ($column as $i => $value) {
                $both[$name][] = $value;
                // Another craft, some forty metres to the north, that writes half a tenth later.
                $both[$name][] = $value + ($name === 'lat' ? 0.0004 : ($name === 't' ? 0.05 : 0.0));
            }
        }
        try {
            self::read(Shots::csv(new FlightLog($both)));
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString('two craft in one file', said($refusal->fact));
        }
        self::assertSame($log->count(), self::read(Shots::csv($log))->count());
    }

    /** What is worked out grows with the samples and never with the clock: a hole of most of a day costs nothing. */
    public function test_a_hole_in_a_log_parts_its_takes_and_times_that_cannot_be_are_refused(): void
    {
        $plan = self::plan('orbit');
        $log = self::flown($plan);
        $with = static function (float $hole) use ($log): FlightLog {
            $columns = $log->columns;
            foreach ($log->columns as $name => $column) {
                $later = $name === 't' ? array_map(static fn (float $t): float => $t + $hole, $column) : $column;
                $columns[$name] = [...$column, ...$later];
            }

            return new FlightLog($columns);
        };
        $twice = $with(70_000.0);
        $one = Scorer::score($log, $plan->move->intent)->score;
        foreach ([1, 2] as $number) {
            self::assertEqualsWithDelta($one, Scorer::score($twice, $plan->move->intent, $number)->score, 0.5);
        }
        self::assertSame([$log->count(), $log->count()], array_column($twice->runs(5.0), 'samples'));
        try {
            self::read(Shots::csv($with(90_000.0)));
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString('25 hours', said($refusal->fact));
        }
        $this->expectException(Refusal::class);
        Scorer::takes($log->with(['t' => array_map(static fn (float $t): float => 40 * $t, $log->column('t'))]));
    }

    public function test_a_subject_whose_way_is_known_for_half_of_the_take_is_not_held_to_it(): void
    {
        $plan = self::plan('side-track');
        $of = $plan->move->intent;
        $log = self::flown($plan);
        $half = array_values(array_filter(
            $of->track, static fn (array $point): bool => $point['t'] <= ($plan->move->onset + $plan->move->stop) / 2,
        ));
        self::assertStringContainsString('not known for the whole take', self::remarks(self::followed($plan, $log, $half)));
        self::assertNotContains('off-mark', array_column(self::followed($plan, $log, $half)->allFaults, 'id'));
        self::assertStringNotContainsString('whole take', self::remarks(self::followed($plan, $log, $of->track)));
    }

    /** @param  list<array{t: float, at: GeoPoint}>  $track */
    private static function followed(Plan $plan, FlightLog $log, array $track): Score
    {
        $of = $plan->move->intent;

        return Scorer::scoreBetween($log, new Intent(
            $of->move, $of->subject, $of->subjectBase, $of->aimX, $of->aimY, $of->lens, $of->home, $of->parameters, $track,
        ), $plan->move->onset, $plan->move->stop);
    }

    private static function remarks(Score $score): string
    {
        return implode(' ', array_map(static fn (Fact $remark): string => said($remark), $score->remarks));
    }

    private static function flown(Plan $plan): FlightLog
    {
        $flight = SimulatedOperator::fly($plan, new OperatorHabits, Wind::still(), 2);

        return (new Recorder(10.0))->record($flight, $plan->shot->site->frame(), 2);
    }

    private static function read(string $text): FlightLog
    {
        $stream = fopen('php://memory', 'w+') ?: self::fail();
        fwrite($stream, $text);
        rewind($stream);

        return (new FlightCsvReader)->read($stream);
    }

    private static function plan(string $move): Plan
    {
        foreach (MoveDraw::feasible($move, 3, 4, 0.4) as $plan) {
            return $plan;
        }
        self::fail("No plan of $move is feasible.");
    }
}
