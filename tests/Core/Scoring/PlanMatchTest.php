<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Flight;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Dimension;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\SeededNoise;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Scoring\AsPlanned\PlanFigure;
use Larkspur\Scoring\AsPlanned\PlanMatch;
use Larkspur\Scoring\Loss;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Scoring\Verdict;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Contradictions;
use Tests\Core\Deviation;
use Tests\Core\Displaced;
use Tests\Core\MoveDraw;
use Tests\Core\Shots;

use function Tests\said;

/** Whether a clean pass is the shot that was planned, and whether what is said of it is of one piece. */
final class PlanMatchTest extends TestCase
{
    private const ORBIT = [
        'radius_m' => 21.0, 'arc_deg' => 140.0, 'pace_mps' => 2.3, 'direction' => 'clockwise', 'start_bearing_deg' => 190.0,
        'height_m' => 8.0,
    ];

    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach (Catalogue::ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('moves')]
    public function test_a_plan_flown_by_the_book_is_as_planned(string $move): void
    {
        $plan = self::drawn($move);
        if ($plan === null) {
            self::assertContains($move, ['combination', ...self::FOLLOWED], 'only what follows a subject has no plan of its own here');

            return;
        }
        $match = Deviation::judged($plan, $plan->move->intent, 1)->plan;

        self::assertContains($match->verdict ?? PlanMatch::AS_PLANNED, [PlanMatch::AS_PLANNED]);
        self::assertGreaterThan(90.0, $match->match ?? 100.0);
    }

    /** Moves beside a subject that moves by itself. */
    private const FOLLOWED = ['side-track', 'follow', 'chase', 'overtake', 'head-on', 'lead', 'top-down-follow', 'top-down-overtake'];

    /** @return iterable<string, array{string}> shots that have a plan of their own: no drills, and nothing beside a subject that moves */
    public static function shots(): iterable
    {
        foreach (Catalogue::all() as $move) {
            $about = $move->about();
            if (! in_array($about->group, [Group::Drill, Group::Combined], true) && ! in_array($about->id, self::FOLLOWED, true)) {
                yield $about->id => [$about->id];
            }
        }
    }

    #[DataProvider('shots')]
    public function test_half_a_tolerance_is_as_planned_and_twice_is_another_shot(string $move): void
    {
        $plan = self::drawn($move);
        self::assertNotNull($plan);
        foreach (Deviation::each($plan, 0.45, 2) as $one) {
            self::assertSame(PlanMatch::AS_PLANNED, $one->score->plan?->verdict, "$one->parameter a little off");
        }
        foreach (Deviation::each($plan, 3.0, 3) as $one) {
            self::assertNotSame(PlanMatch::AS_PLANNED, $one->score->plan?->verdict, "$one->parameter far off");
        }
    }

    /** @return iterable<string, array{array<string, float|string>, string, string}> what was planned instead, and what is said of it */
    public static function others(): iterable
    {
        yield 'two and a half times the radius' => [['radius_m' => 52.0], 'radius', 'round instead of 52 m'];
        yield 'the other way' => [['direction' => 'counterclockwise'], 'direction', 'the other way round, clockwise'];
        yield 'half the arc' => [['arc_deg' => 280.0], 'arc', '140 degrees of arc instead of 280 degrees'];
        yield 'half the pace' => [['pace_mps' => 4.6], 'pace', 'm/s instead of 4.6 m/s'];
        yield 'from the other side' => [['start_bearing_deg' => 250.0], 'start', 'away from the planned place'];
        yield 'far higher' => [['height_m' => 22.0], 'height', 'high instead of 22 m'];
    }

    /** @param  array<string, float|string>  $planned */
    #[DataProvider('others')]
    public function test_a_clean_pass_of_another_orbit_is_told_so_and_not_kept(array $planned, string $figure, string $words): void
    {
        $plan = Shots::plan(self::ORBIT);
        $score = self::judged($plan, $plan->move->intent->with($planned));

        self::assertGreaterThan(80.0, $score->score, 'clean as it is');
        self::assertSame(PlanMatch::ANOTHER, $score->plan?->verdict);
        self::assertSame(Verdict::OTHER, $score->verdict->verdict);
        $off = array_map(static fn (PlanFigure $one): string => $one->id, array_filter(
            $score->plan->figures, static fn (PlanFigure $one): bool => ($one->off ?? 0.0) > 1.0,
        ));
        self::assertContains($figure, $off);
        self::assertStringContainsString($words, implode('; ', array_map(
            static fn (PlanFigure $one): string => said($one->difference()), $score->plan->figures,
        )));
    }

    public function test_three_percent_of_a_radius_and_a_shift_that_nobody_sees_are_as_planned(): void
    {
        $plan = Shots::plan(self::ORBIT);

        self::assertSame(
            PlanMatch::AS_PLANNED, self::judged($plan, $plan->move->intent->with(['radius_m' => 21.0 * 1.03]))->plan?->verdict,
        );
        self::assertNotSame(
            PlanMatch::AS_PLANNED, self::judged($plan, $plan->move->intent->with(['radius_m' => 21.0 * 1.28]))->plan?->verdict,
        );
    }

    public function test_what_a_plan_leaves_open_is_shown_and_not_judged(): void
    {
        $plan = Shots::plan(self::ORBIT);
        $intent = $plan->move->intent;
        $open = new Intent(
            $intent->move, $intent->subject, $intent->subjectBase, $intent->aimX, $intent->aimY, $intent->lens, $intent->home,
            ['radius_m' => 21.0],
        );
        $match = self::judged($plan, $open)->plan;
        $given = [];
        foreach ($match->figures ?? [] as $figure) {
            $given[$figure->id] = $figure->given();
        }

        self::assertTrue($given['radius']);
        self::assertFalse($given['arc']);
        self::assertFalse($given['pace']);
        self::assertArrayNotHasKey('direction', $given);
        self::assertNull(self::judged($plan, new Intent('orbit', $intent->subject, null, 0.5, 0.5, $intent->lens, null, []))->plan);
    }

    public function test_a_figure_scores_by_the_tolerances_that_it_is_off(): void
    {
        $off = static fn (float $flown): ?float => PlanFigure::stated('length', Quantity::metres(...), 20.0, $flown, 2.0)->score;

        self::assertSame(100.0, $off(21.0));
        self::assertSame(80.0, $off(22.0));
        self::assertSame(40.0, $off(16.0));
        self::assertSame(0.0, $off(40.0));
        self::assertSame(0.0, PlanFigure::way('side', 1.0, -1.0)->score);
        self::assertSame(Dimension::Length, PlanFigure::open('length', Quantity::metres(3.0))->flown->dimension);
    }

    public function test_a_square_that_is_too_long_one_way_is_not_the_square_that_was_planned(): void
    {
        $plan = self::drawn('square-fixed-heading');
        self::assertNotNull($plan);
        $north = $plan->move->flight->north;
        $flight = $plan->move->flight;
        $long = new Flight(
            $flight->t, $flight->east, array_map(static fn (float $n): float => $north[0] + 2.0 * ($n - $north[0]), $north), $flight->up,
            $flight->heading, $flight->tilt,
        );
        $log = (new Recorder)->record($long, $plan->shot->site->frame());
        $match = Scorer::score($log, $plan->move->intent)->plan;

        self::assertContains($match?->verdict, [PlanMatch::NEAR, PlanMatch::ANOTHER]);
        $worst = $match->figures[0] ?? self::fail('Nothing is stated.');
        self::assertMatchesRegularExpression('/^leg-[1-4]$/', $worst->id);
        self::assertEqualsWithDelta(2 * ($worst->planned->value ?? 0.0), $worst->flown->value, 0.5);
        self::assertMatchesRegularExpression('/^leg [1-4] is [0-9.]+ m long instead of [0-9.]+ m$/', said($worst->difference()));
    }

    /** Laps, turns, crossings and touchdowns of figures, each against its own (by the drills' own geometry). */
    public function test_figures_state_laps_turns_crossings_and_touchdowns(): void
    {
        foreach ([
            'figure-of-eight' => ['lap-1', 'lap-2', 'crossing-1'], 'circle-fixed-heading' => ['lap-1'],
            'square-with-turns' => ['leg-1', 'leg-2', 'leg-3', 'leg-4', 'corner-1', 'corner-2', 'corner-3'],
            'hover-and-turn' => ['corner-1', 'corner-2'], 'pad-to-pad' => ['leg-1', 'touchdown-1', 'leg-2', 'touchdown-2'],
            'nose-in-bay' => ['leg-1'], 'return-home' => ['leg-1', 'touchdown-2'],
        ] as $drill => $stated) {
            $plan = self::drawn($drill);
            self::assertNotNull($plan);
            $score = Scorer::score((new Recorder)->record($plan->move->flight, $plan->shot->site->frame()), $plan->move->intent);
            $figures = array_column($score->plan->figures ?? [], null, 'id');

            self::assertSame([], array_diff($stated, array_keys($figures)), $drill);
            foreach ($stated as $id) {
                self::assertLessThan(0.3, $figures[$id]->off, "$drill $id");
                self::assertNotSame('', said($figures[$id]->label()));
            }
        }
    }

    public function test_a_way_down_is_said_without_its_sign(): void
    {
        $said = static fn (float $planned, float $flown): string => said(
            PlanFigure::stated('climb', Quantity::metres(...), $planned, $flown, 1.0)->difference(),
        );

        self::assertSame('10.4 m down instead of 16.9 m', $said(-16.9, -10.4));
        self::assertSame('10.4 m of climb instead of 16.9 m', $said(16.9, 10.4));
        // The other way is said with both signs.
        self::assertStringContainsString('of climb', $said(-16.9, 10.4));
    }

    /** A turn that sets out late is stated in seconds, and the middle of an opening in metres (by the slips that were put in). */
    public function test_a_late_turn_and_a_pass_beside_the_middle_are_stated(): void
    {
        $orbit = self::drawn('orbit');
        self::assertNotNull($orbit);
        $lead = static function (float $late) use ($orbit): PlanFigure {
            $habits = $late > 0 ? (new OperatorHabits)->slipping(new Slip('late', Finger::Turn, 0.0, $late, 1.0)) : new OperatorHabits;
            $log = (new Recorder(25.0))->record(SimulatedOperator::fly($orbit, $habits, Wind::still(), 2), $orbit->shot->site->frame(), 2);
            $match = Scorer::scoreBetween($log, $orbit->move->intent, $orbit->move->onset, $orbit->move->stop)->plan;

            return array_column($match->figures ?? [], null, 'id')['lead'] ?? self::fail('It is not stated.');
        };
        self::assertLessThan(0.3, $lead(0.0)->off);
        self::assertEqualsWithDelta(2.5, $lead(2.5)->flown->value - $lead(0.0)->flown->value, 0.6);
        self::assertStringContainsString('the turn follows the way after', said($lead(2.5)->difference()));

        $gap = self::drawn('gap');
        self::assertNotNull($gap);
        $through = static fn (float $aside): PlanFigure => array_column(
            Displaced::scored($gap, Displaced::aside($gap, static fn (float $t): float => $aside))->plan->figures ?? [], null, 'id',
        )['gap'] ?? self::fail('It is not stated.');
        self::assertLessThan(0.1, $through(0.0)->flown->value);
        self::assertEqualsWithDelta(1.4, $through(1.4)->flown->value, 0.1);
        self::assertGreaterThan(1.0, $through(1.4)->off);
    }

    /** A corner that is cut short is stated by the angle that was flown. */
    public function test_a_turn_that_is_cut_short_is_stated(): void
    {
        $plan = self::drawn('hover-and-turn');
        self::assertNotNull($plan);
        $flight = $plan->move->flight;
        $heading = array_map(static fn (float $h): float => $flight->heading[0] + 0.7 * ($h - $flight->heading[0]), $flight->heading);
        $log = (new Recorder)->record(
            new Flight($flight->t, $flight->east, $flight->north, $flight->up, $heading, $flight->tilt), $plan->shot->site->frame(),
        );
        $worst = Scorer::score($log, $plan->move->intent)->plan->figures[0] ?? self::fail('Nothing is stated.');

        self::assertStringStartsWith('corner-', $worst->id);
        self::assertEqualsWithDelta(0.7 * ($worst->planned->value ?? 0.0), $worst->flown->value, 0.1);
        self::assertStringContainsString('goes through', said($worst->difference()));
    }

    /** @return iterable<string, array{string, int}> */
    public static function hands(): iterable
    {
        foreach ([
            'orbit', 'push-in', 'lift-and-tilt', 'ground-to-horizon', 'lateral-dolly', 'pan', 'hover', 'square-fixed-heading',
        ] as $move) {
            for ($level = 0; $level < 5; $level++) {
                yield "$move by a hand of level $level" => [$move, $level];
            }
        }
    }

    #[DataProvider('hands')]
    public function test_no_sentence_of_a_judgement_is_against_another(string $move, int $level): void
    {
        $plan = self::drawn($move);
        self::assertNotNull($plan);
        $wind = new Wind(1.0, 4.0, 6.5);
        $log = (new Recorder(10.0, 0.15, 0.3, 0.3 * Angle::DEGREE, 0.05))->record(
            SimulatedOperator::fly($plan, OperatorHabits::ofLevel($level, $level + 3), $wind, $level), $plan->shot->site->frame(), $level,
        );
        $score = Scorer::scoreBetween($log, $plan->move->intent, $plan->move->onset, min($log->to(), $plan->move->stop));

        self::assertSame([], Contradictions::in($score));
        self::assertEqualsWithDelta(
            100 - $score->score, array_sum(array_map(static fn (Loss $loss): float => $loss->points, $score->losses)), 0.1,
        );
    }

    private static function judged(Plan $plan, Intent $intent): Score
    {
        $noise = SeededNoise::named(1, 'plan match');
        $log = (new Recorder(10.0, $noise->between(0.1, 0.2), 0.2, 0.2 * Angle::DEGREE, 0.05))->record(
            $plan->move->flight, $plan->shot->site->frame(), 5,
        );

        return Scorer::score($log, $intent);
    }

    private static function drawn(string $move): ?Plan
    {
        $tries = 0;
        foreach (MoveDraw::feasible($move, 5, 3, 0.4) as $plan) {
            if ($plan->shot->intent->track === []) {
                return $plan;
            }
            if (++$tries === 6) {
                break;
            }
        }

        return null;
    }
}
