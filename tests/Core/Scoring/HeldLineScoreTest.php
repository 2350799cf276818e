<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Documents\Replay\ReplayDocument;
use Documents\Wire;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Fields;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Move\Intent;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Replay;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;
use Words\Speaker;

use function Tests\said;

/** Takes of lifts, drops, pull-aways and push-ins from high, flown by simulated hands and judged from their logs. */
final class HeldLineScoreTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach (['lift-and-tilt', 'drop-and-tilt', 'pull-away', 'push-in-from-high'] as $move) {
            yield $move => [$move];
        }
    }

    #[DataProvider('moves')]
    public function test_steady_hands_keep_and_hasty_ones_are_told_why(string $move): void
    {
        $plan = self::plan($move);
        $steady = self::flown($plan, OperatorHabits::named('steady'));
        $flicker = self::flown($plan, OperatorHabits::named('flicker'));

        self::assertSame($move, $steady->intent->move);
        self::assertGreaterThan(88.0, $steady->score);
        self::assertSame('keep', $steady->verdict->verdict);
        self::assertLessThan($steady->score - 8.0, $flicker->score);
        self::assertContains('flick-stop', array_map(static fn (Fault $fault): string => $fault->id, $flicker->faults));
    }

    #[DataProvider('moves')]
    public function test_a_finger_that_should_rest_and_turns_is_found(string $move): void
    {
        $plan = self::plan($move);
        $at = ($plan->move->holdFrom + $plan->move->holdTo) / 2;
        $clean = self::flown($plan, new OperatorHabits);
        // The hand counts from its first motion.
        $leak = self::flown($plan, new OperatorHabits(slips: [new Slip('kick', Finger::Turn, $at - $plan->move->onset, 0.35, 0.4)]));
        $kicks = array_values(array_filter(
            $leak->allFaults, static fn (Fault $fault): bool => $fault->id === 'kick' && $fault->axis === 'turn',
        ));

        self::assertSame([], $clean->faults);
        self::assertNotEmpty($kicks);
        self::assertEqualsWithDelta($at, $kicks[0]->t, 0.8);
        self::assertLessThan($clean->parts->scores['clean'] - 10.0, $leak->parts->scores['clean']);
    }

    #[DataProvider('moves')]
    public function test_what_was_left_open_is_fitted_from_the_flight(string $move): void
    {
        $plan = self::plan($move);
        $whole = $plan->move->intent;
        $open = new Intent($whole->move, $whole->subject, $whole->subjectBase, 0.5, 0.5, $whole->lens, null, []);
        $log = (new Recorder)->record($plan->move->flight, $plan->shot->site->frame());
        $score = Scorer::score($log, $open);

        self::assertContains('climb_m', $score->fitted);
        self::assertEqualsWithDelta($whole->number('climb_m') ?? 0.0, $score->intent->number('climb_m') ?? 0.0, 0.5);
        self::assertGreaterThan(95.0, $score->score);
    }

    #[DataProvider('moves')]
    public function test_half_of_it_is_stopped_short(string $move): void
    {
        $plan = self::plan($move);
        $twice = $plan->move->intent->with([
            'climb_m' => 2 * ($plan->move->intent->number('climb_m') ?? 0.0),
            'length_m' => 2 * ($plan->move->intent->number('length_m') ?? 1.0),
        ]);
        $log = (new Recorder)->record($plan->move->flight, $plan->shot->site->frame());

        self::assertEqualsWithDelta(0.5, Scorer::score($log, $twice)->measured->completion, 0.05);
    }

    public function test_without_its_subject_all_but_the_frame_is_judged(): void
    {
        $plan = self::plan('lift-and-tilt');
        $log = (new Recorder)->record($plan->move->flight, $plan->shot->site->frame());
        $score = Scorer::score($log);

        self::assertNull($score->facetScores()['frame']);
        self::assertGreaterThan(97.0, $score->score);
        self::assertStringContainsString('No subject was given', implode(' ', array_map(said(...), $score->remarks)));
    }

    public function test_an_orbit_is_a_bad_lift(): void
    {
        $score = Scorer::score(
            ClosedForm::log(['height' => static fn (float $t): float => 0.05 * $t]),
            Intent::read(Fields::of([...ClosedForm::intent()->toArray(), 'move' => 'lift-and-tilt', 'parameters' => ['climb_m' => 12.0]])),
        );

        self::assertLessThan(60.0, $score->score);
        self::assertLessThan(10.0, $score->parts->scores['clean']);
    }

    public function test_a_replay_of_a_lift_lays_planned_and_flown_on_one_clock(): void
    {
        $plan = self::plan('lift-and-tilt');
        $taken = Replay::of(self::flown($plan, OperatorHabits::named('steady')), $plan, $plan->shot->tune());
        $replay = Wire::document(ReplayDocument::of($taken, StickMode::Mode2), new Speaker);
        $middle = ($replay['planned']['hold_from_s'] + $replay['planned']['hold_to_s']) / 2;
        $planned = (int) array_search($middle, $replay['planned']['t'], false) ?: intdiv(count($replay['planned']['t']), 2);
        $flown = (int) round(($replay['planned']['t'][$planned] - $replay['t'][0]) * 10);

        self::assertEqualsWithDelta($replay['planned']['up_m'][$planned], $replay['up_m'][$flown], 1.0);
    }

    private static function plan(string $move): Plan
    {
        $document = Shots::document();
        $document['intent']['move'] = $move;

        return Planner::plan(Shot::read(Fields::of($document)));
    }

    private static function flown(Plan $plan, OperatorHabits $habits): Score
    {
        $flight = SimulatedOperator::fly($plan, $habits, Wind::still(), 5);

        return Scorer::score((new Recorder)->record($flight, $plan->shot->site->frame(), 5), $plan->move->intent);
    }
}
