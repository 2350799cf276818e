<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Documents\Replay\ReplayDocument;
use Documents\Score\ScoreDocument;
use Documents\Wire;
use Larkspur\Camera\RescueCrop;
use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Scoring\AsPlanned\PlanMatch;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\Fault\Kick;
use Larkspur\Scoring\Replay;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Scoring\Verdict;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;
use Words\Speaker;

use function Tests\said;

final class ScorerTest extends TestCase
{
    public function test_a_log_of_several_passes_is_cut_into_takes(): void
    {
        $log = self::passes(3);
        $takes = Scorer::takes($log);

        self::assertCount(3, $takes);
        foreach ($takes as $take) {
            self::assertSame('orbit', $take['recognition']->move);
            self::assertGreaterThan(0.85, $take['recognition']->confidence);
        }
        self::assertGreaterThan(97.0, Scorer::score($log, self::plan()->move->intent, 2)->score);
        try {
            Scorer::score($log, self::plan()->move->intent);
            self::fail('Three takes were scored as one.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString('take 3 from', said($refusal->fact));
        }
    }

    public function test_all_takes_of_a_log_at_once_are_judged_as_each_alone(): void
    {
        $log = self::passes(3);
        $intent = self::plan()->move->intent;
        $scores = iterator_to_array(Scorer::each($log, $intent));

        self::assertSame([1, 2, 3], array_keys($scores));
        foreach ($scores as $number => $score) {
            self::assertInstanceOf(Score::class, $score);
            self::assertEquals(ScoreDocument::of(Scorer::score($log, $intent, $number)), ScoreDocument::of($score));
        }
        self::assertSame([], iterator_to_array(Scorer::each(ClosedForm::log([], 10.0, static fn (): float => 0.0))));
    }

    public function test_a_take_that_cannot_be_judged_is_refused_by_its_number(): void
    {
        // Straight up, against a plan to go round something.
        $line = ClosedForm::log(
            ['height' => static fn (float $t): float => 1.5 * max(0.0, min(6.0, $t - 4.0))], 10.0, static fn (): float => 0.0, 16.0,
        );
        $judged = iterator_to_array(Scorer::each($line, ClosedForm::intent()));

        self::assertInstanceOf(Refusal::class, $judged[1]);
        self::assertStringStartsWith('take 1', $judged[1]->place);
    }

    public function test_the_limits_of_a_cut_do_not_reach_into_its_neighbours(): void
    {
        $log = self::passes(2);
        [$first, $second] = Scorer::takes($log);
        $score = Scorer::score($log, self::plan()->move->intent, 2);

        self::assertGreaterThan($first['window']->to, $score->cut->from());
        self::assertLessThan($second['window']->from, $score->cut->from());
    }

    public function test_without_a_plan_the_recognised_move_and_its_fit_serve_and_say_so(): void
    {
        $score = Scorer::score(self::log(self::plan()));

        self::assertFalse($score->assignment->given);
        self::assertSame('orbit', $score->intent->move);
        self::assertSame(['subject', 'radius_m', 'arc_deg', 'pace_mps', 'direction'], $score->fitted);
        self::assertEqualsWithDelta(22.0, $score->intent->number('radius_m') ?? 0.0, 0.5);
        self::assertSame('clockwise', $score->intent->choice('direction'));
        self::assertTrue($score->intent->lens->assumed);
        self::assertStringContainsString('assumed', implode(' ', array_map(said(...), $score->remarks)));
        self::assertGreaterThan(95.0, $score->score);
    }

    public function test_what_is_no_orbit_is_not_called_one(): void
    {
        $rows = "t,lat,lon,alt_m,heading_deg,gimbal_tilt_deg\n";
        for ($i = 0; $i < 250; $i++) {
            $t = $i / 10;
            $rows .= sprintf("%.1f,%.8f,-0.4,20,0,-8\n", $t, 57.6 + max(0, min(15, $t - 4)) * 3 / 111000);
        }
        $log = Shots::readCsv($rows);
        self::assertSame('push-in', Scorer::takes($log)[0]['recognition']->move);
        $score = Scorer::score($log);
        self::assertSame('push-in', $score->intent->move);
        self::assertFalse($score->assignment->given);
        self::assertEqualsWithDelta(45.0, $score->intent->number('length_m') ?? 0.0, 1.0);
    }

    public function test_a_log_in_which_nothing_moves_has_no_take(): void
    {
        $rows = "t,lat,lon,alt_m,heading_deg,gimbal_tilt_deg\n";
        for ($i = 0; $i < 120; $i++) {
            $rows .= sprintf("%.1f,57.6,-0.4,20,10,-8\n", $i / 10);
        }
        self::assertSame([], Scorer::takes(Shots::readCsv($rows)));
        $this->expectExceptionMessage('take.none');
        Scorer::score(Shots::readCsv($rows));
    }

    public function test_ten_and_fifty_hertz_agree(): void
    {
        $plan = self::plan();
        $flight = SimulatedOperator::fly($plan, OperatorHabits::named('hurried')->scaled(0.7), new Wind(3.0, 2.0, 3.2), 12);
        $at = static fn (float $rate): float => Scorer::score(
            (new Recorder($rate))->record($flight, $plan->shot->site->frame()), $plan->move->intent,
        )->score;

        self::assertEqualsWithDelta($at(50), $at(10), 3.5);
        self::assertEqualsWithDelta($at(25), $at(10), 3.5);
    }

    public function test_a_logger_with_jitter_gives_what_an_even_one_gives(): void
    {
        $plan = self::plan();
        $flight = SimulatedOperator::fly($plan, OperatorHabits::named('hurried')->scaled(0.7), new Wind(3.0, 2.0, 3.2), 12);
        $even = (new Recorder(50.0))->record($flight, $plan->shot->site->frame());
        // Every fifth row is missing: the same flight, but for bins instead of the same weights over and over.
        $keep = array_values(array_filter(range(0, $even->count() - 1), static fn (int $i): bool => $i % 5 !== 3));
        $uneven = new FlightLog(array_map(
            static fn (array $column): array => \Larkspur\Measure\Series::at($column, $keep), $even->columns,
        ));
        $a = Scorer::score($even, $plan->move->intent);
        $b = Scorer::score($uneven, $plan->move->intent);

        self::assertEqualsWithDelta($a->score, $b->score, 1.0);
        foreach (['path', 'framing', 'steady', 'smooth', 'clean'] as $part) {
            self::assertEqualsWithDelta($a->parts->scores[$part], $b->parts->scores[$part], 1.5, $part);
        }
    }

    public function test_heights_above_take_off_are_lifted_and_said(): void
    {
        $plan = self::plan();
        $log = self::log($plan);
        $columns = $log->columns;
        $columns['alt_m'] = array_map(static fn (float $altitude): float => $altitude - 4.0, $columns['alt_m']);
        $intent = Intent::read(Fields::of([...$plan->move->intent->toArray(), 'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0]]));
        $score = Scorer::score(new FlightLog($columns), $intent);

        self::assertGreaterThan(97.0, $score->score);
        self::assertStringContainsString('4.0 m were added', implode(' ', array_map(said(...), $score->remarks)));
    }

    public function test_the_other_way_round_is_named(): void
    {
        $plan = self::plan();
        $score = Scorer::score(self::log($plan), $plan->move->intent->with(['direction' => 'counterclockwise']));

        self::assertSame(PlanMatch::ANOTHER, $score->plan?->verdict);
        self::assertSame('other', $score->verdict->verdict);
        self::assertStringContainsString('the other way round, clockwise', said($score->verdict->reason));
    }

    public function test_a_gap_is_not_judged(): void
    {
        $plan = self::plan();
        $log = self::log($plan);
        $keep = array_keys(array_filter($log->column('t'), static fn (float $t): bool => $t < 14 || $t > 16.5));
        $cut = new FlightLog(array_map(
            static fn (array $column): array => array_map(static fn (int $i): float => $column[$i], $keep), $log->columns,
        ));

        self::assertGreaterThan(95.0, Scorer::score($cut, $plan->move->intent)->score);
    }

    public function test_staircase_positions_score_as_what_they_stand_for(): void
    {
        $plan = self::plan();
        $log = (new Recorder(25.0))->record($plan->move->flight, $plan->shot->site->frame());
        $columns = $log->columns;
        foreach (['lat', 'lon'] as $name) {
            $columns[$name] = array_map(static fn (int $i): float => $columns[$name][$i - $i % 5], array_keys($columns[$name]));
        }
        self::assertGreaterThan(93.0, Scorer::score(new FlightLog($columns), $plan->move->intent)->score);
    }

    public function test_roll_costs_a_crop_that_levels(): void
    {
        $plan = self::plan();
        $log = self::log($plan);
        $rolled = new FlightLog([...$log->columns, 'gimbal_roll_deg' => array_fill(0, $log->count(), 2.0)]);

        self::assertNull(Scorer::score($log, $plan->move->intent)->crop->level);
        self::assertEqualsWithDelta(1 - 1 / 1.0614, Scorer::score($rolled, $plan->move->intent)->crop->level ?? 0.0, 1e-3);
    }

    public function test_a_flick_that_the_airframe_hides_is_read_from_the_fingers(): void
    {
        $plan = self::plan();
        $flight = SimulatedOperator::fly($plan, new OperatorHabits(easeOut: 0.05), Wind::still(), 1);
        $with = (new Recorder)->record($flight, $plan->shot->site->frame());
        $without = new FlightLog(array_intersect_key($with->columns, array_flip(FlightLog::REQUIRED)));
        $ids = static fn (FlightLog $log): array => array_map(
            static fn (Fault $fault): string => $fault->id.' '.$fault->axis, Scorer::score($log, $plan->move->intent)->faults,
        );

        self::assertContains('flick-stop slide', $ids($with));
        self::assertContains('flick-stop turn', $ids($with));
        self::assertNotContains('flick-stop slide', $ids($without));
    }

    public function test_noise_widens_the_uncertainty(): void
    {
        $plan = self::plan();
        $score = static fn (Recorder $recorder): float => Scorer::score(
            $recorder->record($plan->move->flight, $plan->shot->site->frame(), 3), $plan->move->intent,
        )->uncertainty;

        self::assertGreaterThan($score(new Recorder), $score(new Recorder(10.0, 0.3, 0.5, 0.4 * Angle::DEGREE)));
        self::assertGreaterThan(0.0, $score(new Recorder));
    }

    public function test_the_contract_of_a_score(): void
    {
        $plan = self::plan();
        $score = Wire::document(ScoreDocument::of(Scorer::score(self::log($plan, 'hurried'), $plan->move->intent)), new Speaker);
        $score = json_decode(json_encode($score, JSON_THROW_ON_ERROR), true, flags: JSON_THROW_ON_ERROR);

        self::assertSame('larkspur/score/2', $score['method']);
        self::assertSame(['ease', 'flow', 'hold', 'line', 'frame'], array_keys($score['facets']));
        foreach ($score['facets'] as $facet) {
            self::assertNotSame('', $facet['why']);
            foreach ($facet['figures'] as $figure) {
                self::assertSame(['id', 'label', 'value', 'unit', 'textbook', 'unusable', 'score', 'source'], array_keys($figure));
            }
        }
        self::assertNotEmpty($score['faults']);
        foreach ($score['faults'] as $fault) {
            self::assertContains($fault['severity'], ['slight', 'clear', 'ruinous']);
            self::assertContains($fault['axis'], ['climb', 'turn', 'run', 'slide', 'tilt', 'travel', 'picture', 'all']);
            self::assertNotSame('', $fault['try']);
        }
        self::assertContains($score['verdict'], ['keep', 'fix', 'again']);
    }

    public function test_the_overall_score_follows_from_its_parts(): void
    {
        $plan = self::plan();
        $score = Scorer::score(self::log($plan, 'drifter'), $plan->move->intent);
        $parts = $score->parts->scores;
        $weights = [
            'path' => 0.18, 'framing' => 0.24, 'steady' => 0.18, 'ease' => 0.14 * max(0.25, $score->parts->easeWeight), 'smooth' => 0.14,
            'clean' => 0.08, 'pace' => 0.02, 'completion' => 0.02,
        ];
        $mean = 0.0;
        foreach ($weights as $part => $weight) {
            $mean += $weight * $parts[$part] / array_sum($weights);
        }
        $weakest = min(
            100.0,
            ...array_values(array_intersect_key(
                $parts,
                array_filter(['path' => 1, 'framing' => 1, 'steady' => 1, 'smooth' => 1, 'clean' => 1, 'ease' => $weights['ease'] >= 0.06]),
            )),
        );

        self::assertEqualsWithDelta(0.85 * $mean + 0.15 * $weakest - $score->deduction, $score->score, 1e-9);
    }

    public function test_usable_stretches_leave_the_fault_out(): void
    {
        $plan = self::plan();
        $flight = SimulatedOperator::fly(
            $plan, new OperatorHabits(slips: [new Slip('kick', Finger::Turn, 12.0, 0.4, 0.35)]), Wind::still(), 1,
        );
        $score = Scorer::score((new Recorder)->record($flight, $plan->shot->site->frame()), $plan->move->intent);
        $kick = $score->faults[0]->t;

        self::assertNotEmpty($score->usable->stretches);
        foreach ($score->usable->stretches as $stretch) {
            self::assertTrue($stretch['to'] < $kick || $stretch['from'] > $kick || $stretch['to'] - $stretch['from'] >= 3);
            self::assertGreaterThanOrEqual(3.0, $stretch['to'] - $stretch['from']);
        }
        $lengths = array_map(static fn (array $stretch): float => $stretch['to'] - $stretch['from'], $score->usable->stretches);
        $sorted = $lengths;
        rsort($sorted);
        self::assertSame($sorted, $lengths);
    }

    /** @return iterable<string, array{float, list<Fault>, float, string, string}> */
    public static function verdicts(): iterable
    {
        $kick = static fn (float $severity, bool $held): Fault => new Fault(
            new Kick, 'turn', 10, 10, $held ? 'hold' : 'start', $severity, Quantity::number(30),
        );
        yield 'good and tight' => [91.0, [], 0.05, 'keep', 'Keep'];
        yield 'good but too wide for the delivery' => [91.0, [], 0.2, 'fix', 'Fix in post (crop 20 %)'];
        yield 'good with a kick in the hold' => [91.0, [$kick(1.6, true)], 0.05, 'fix', 'Fix in post (trim to %.1f s, crop 3 %%)'];
        yield 'good with a slight kick' => [91.0, [$kick(1.4, true)], 0.05, 'keep', 'Keep'];
        yield 'good with a kick while starting' => [91.0, [$kick(2.0, false)], 0.05, 'keep', 'Keep'];
        yield 'middling' => [70.0, [], 0.1, 'fix', 'Fix in post (crop 10 %)'];
        yield 'middling and lost' => [70.0, [], 0.8, 'fix', 'Fix in post (trim to %.1f s, crop 3 %%)'];
    }

    /** @param  list<Fault>  $faults */
    #[DataProvider('verdicts')]
    public function test_verdicts(float $score, array $faults, float $crop, string $expected, string $headline): void
    {
        $judged = Scorer::score(self::log(self::plan()), self::plan()->move->intent);
        $usable = $judged->usable;
        $verdict = Verdict::of(
            $score, $faults, [], new RescueCrop($crop), $usable, new RescueCrop(0.025), 0.15, null, $judged->assignment,
        );

        self::assertSame($expected, $verdict->verdict);
        self::assertSame(str_contains($headline, '%%') ? sprintf($headline, $usable->longest()) : $headline, said($verdict->headline));
        self::assertStringEndsWith('.', said($verdict->reason));
    }

    public function test_a_trim_asks_only_for_the_crop_of_its_own_seconds(): void
    {
        $plan = self::plan();
        $score = Scorer::score(self::log($plan, 'hurried'), $plan->move->intent);
        $framing = $score->measured->framing;
        $last = count($framing->u) - 1;

        self::assertSame($framing->stray, $framing->strayWithin(0, $last));
        self::assertLessThan(
            $framing->stray, min(array_map(static fn (int $k): float => $framing->strayWithin($k, $k + 40), range(0, $last - 40, 10))),
        );
    }

    public function test_only_faults_worth_a_word_are_shown(): void
    {
        $fault = static fn (string $id, string $axis, float $severity, float $t = 10.0): Fault => new Fault(
            FaultKinds::of($id), $axis, $t, $t + 3, 'hold', $severity, Quantity::seconds(1),
        );
        $shown = FaultKinds::worthSaying([
            $fault('kick', 'turn', 1.1), $fault('uneven', 'turn', 3.0), $fault('shaky', 'turn', 2.0, 9.0), $fault('kick', 'turn', 1.6),
            $fault('stall', 'travel', 2.0),
        ]);

        self::assertSame(['kick', 'stall'], array_map(static fn (Fault $f): string => $f->id, $shown));
    }

    public function test_a_replay_lays_planned_and_flown_on_one_clock(): void
    {
        $plan = self::plan();
        $score = Scorer::score(self::log($plan, 'steady'), $plan->move->intent);
        $replay = Wire::document(ReplayDocument::of(Replay::of($score, $plan, $plan->shot->tune()), StickMode::Mode2), new Speaker);

        self::assertFalse($replay['fingers_inferred']);
        foreach (['east_m', 'north_m', 'u', 'v', 'cost'] as $series) {
            self::assertCount(count($replay['t']), $replay[$series]);
        }
        self::assertCount(count($replay['planned']['t']), $replay['planned']['fingers']->slide);
        $planned = array_search($replay['planned']['hold_from_s'], $replay['planned']['t'], true) ?: 60;
        $flown = (int) round(($replay['planned']['t'][$planned] - $replay['t'][0]) * 10);
        self::assertEqualsWithDelta($replay['planned']['east_m'][$planned], $replay['east_m'][$flown], 1.5);
        self::assertEqualsWithDelta($plan->move->subject?->first()->east ?? 0.0, $replay['subject']['east_m'], 0.01);
    }

    public function test_fingers_that_were_not_recorded_are_worked_out(): void
    {
        $plan = self::plan();
        $log = self::log($plan);
        $bare = new FlightLog(array_intersect_key($log->columns, array_flip(FlightLog::REQUIRED)));
        $taken = Replay::of(Scorer::score($bare, $plan->move->intent), $plan, $plan->shot->tune());
        $replay = Wire::document(ReplayDocument::of($taken, StickMode::Mode2), new Speaker);
        $middle = intdiv(count($replay['t']), 2);
        $press = array_values(array_filter($plan->parts, static fn ($press): bool => $press->finger->value === 'slide'))[0];

        self::assertTrue($replay['fingers_inferred']);
        self::assertEqualsWithDelta($press->hold, $replay['fingers']->slide[$middle], 0.03);
    }

    private static function plan(): Plan
    {
        return Shots::plan([
            'radius_m' => 22.0, 'arc_deg' => 140.0, 'pace_mps' => 2.3, 'direction' => 'clockwise', 'start_bearing_deg' => 190.0,
        ]);
    }

    private static function log(Plan $plan, ?string $operator = null): FlightLog
    {
        if ($operator !== null) {
            return Recorder::fair()->record(
                SimulatedOperator::fly($plan, OperatorHabits::named($operator), Wind::still(), 5), $plan->shot->site->frame(), 5,
            );
        }

        return (new Recorder)->record(
            Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune()), $plan->shot->site->frame(),
        );
    }

    private static function passes(int $count): FlightLog
    {
        $one = self::log(self::plan());
        $columns = array_map(static fn (): array => [], $one->columns);
        for ($pass = 0; $pass < $count; $pass++) {
            foreach ($one->columns as $name => $values) {
                $shift = $name === 't' ? $pass * ($one->to() + 2.0) : 0.0;
                foreach ($values as $value) {
                    $columns[$name][] = $value + $shift;
                }
            }
        }

        return new FlightLog($columns);
    }
}
