<?php

declare(strict_types=1);

namespace Tests\Core\Move;

use Demo\Rigs;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Notes\Variants;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\ShotNumber;
use Larkspur\Choreography\ShotNumbers;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\LowAndSlow;
use Larkspur\Refusal;
use Larkspur\Scoring\Expectation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Moves that are flown in more ways than one: leaning, waiting for a trigger, following first, with or without the wheel, back, low. */
final class VariantsTest extends TestCase
{
    /** A stick that leans forward by b leads on a logarithmic spiral: r exp(-tan(b) arc) (its polar equation, any book of curves). */
    #[DataProvider('leans')]
    public function test_a_leaning_stick_tightens_or_widens_the_circle(float $lean): void
    {
        $plan = self::plan('orbit', ['radius_m' => 20.0, 'arc_deg' => 120.0, 'height_m' => 6.0, 'bias_deg' => $lean]);
        $flight = $plan->move->flight;
        $subject = $plan->move->subject?->first() ?? self::fail('No subject.');
        $from = $flight->position(0)->minus($subject)->ground();
        $to = $flight->position($flight->count() - 1)->minus($subject)->ground();

        self::assertEqualsWithDelta(20.0, $from, 1e-6);
        self::assertEqualsWithDelta(20.0 * exp(-tan(deg2rad($lean)) * deg2rad(120.0)), $to, 1e-6);
        // In the hold, what the run has to do beside the slide is the tangent of the lean.
        $k = $flight->indexAt(($plan->move->holdFrom + $plan->move->holdTo) / 2);
        $way = $flight->position($k + 1)->minus($flight->position($k - 1));
        $ahead = $way->east * sin($flight->heading[$k]) + $way->north * cos($flight->heading[$k]);
        $right = $way->east * cos($flight->heading[$k]) - $way->north * sin($flight->heading[$k]);
        self::assertEqualsWithDelta(tan(deg2rad($lean)), $ahead / abs($right), 0.02);
        self::assertTrue($plan->feasible());
        self::assertGreaterThanOrEqual(97.0, self::points($plan));
    }

    /** @return iterable<string, array{float}> */
    public static function leans(): iterable
    {
        yield 'forward' => [6.0];
        yield 'back' => [-6.0];
        yield 'not at all' => [0.0];
    }

    public function test_a_lean_that_leads_nowhere_is_refused_at_its_dial(): void
    {
        try {
            self::plan('orbit', ['radius_m' => 20.0, 'arc_deg' => 1080.0, 'bias_deg' => 15.0]);
            self::fail('It is drawn.');
        } catch (Refusal $refusal) {
            self::assertSame('intent.parameters.bias_deg', $refusal->place);
        }
    }

    public function test_a_drop_waits_for_its_trigger(): void
    {
        $plan = self::plan('drop-and-tilt', ['distance_m' => 20.0, 'height_m' => 17.0, 'climb_m' => -12.0, 'trigger_y' => 0.2]);
        $move = $plan->move;
        $subject = $move->subject?->first() ?? self::fail('No subject.');
        $trigger = self::number($plan, 'trigger_s');
        self::assertNotNull($trigger, 'The sheet says when.');
        self::assertNotNull(self::number($plan, 'trigger_height_m'));
        $k = $move->flight->indexAt($move->onset + $trigger);
        $first = $move->flight->tilt[0];
        self::assertEqualsWithDelta($first, $move->flight->tilt[$k - 20], 1e-6, 'The lens rests until then.');
        // 0.2 from the top is 0.3 above the middle.
        self::assertEqualsWithDelta(0.3, $plan->view($k)->project($subject)?->v, 0.02);
        $end = $plan->view($move->flight->count() - 1)->project($subject);
        self::assertEqualsWithDelta(0.0, $end?->v, 1e-3, 'It is back where it was.');
        self::assertGreaterThan($first + 0.2, $move->flight->tilt[$move->flight->count() - 1]);
        $highest = 0.0;
        for ($i = 0; $i < $move->flight->count(); $i += 10) {
            $highest = max($highest, $plan->view($i)->project($subject)->v ?? 9.0);
        }
        self::assertLessThan(0.48, $highest, 'It never leaves the frame.');
        self::assertGreaterThanOrEqual(97.0, self::points($plan), 'A take that waits is judged by waiting.');
        $held = self::plan('drop-and-tilt', ['distance_m' => 20.0, 'height_m' => 17.0, 'climb_m' => -12.0]);
        self::assertEqualsWithDelta(0.0, $held->view($k)->project($subject)?->v, 1e-3, 'Not asked to wait, it holds from the first metre.');
    }

    public function test_a_pull_away_without_the_wheel(): void
    {
        $plan = self::plan('rise-and-retreat');
        self::assertEqualsWithDelta(0.0, Statistics::span($plan->move->flight->tilt), 1e-9);
        self::assertEqualsWithDelta(4.0, $plan->move->flight->up[$plan->move->flight->count() - 1] - $plan->move->flight->up[0], 1e-6);
        $subject = $plan->move->subject?->first() ?? self::fail('No subject.');
        self::assertEqualsWithDelta(0.0, $plan->view($plan->move->flight->count() - 1)->project($subject)?->v, 0.02);
        $tilted = array_column(Variants::of($plan), null, 'id')['tilt'] ?? self::fail('The one with a tilt is not offered.');
        self::assertSame('pull-away', $tilted['move']);
    }

    public function test_backward_with_a_pan_takes_a_tilt_where_one_is_asked(): void
    {
        $without = self::plan('backward-with-pan')->move->flight;
        self::assertEqualsWithDelta(0.0, Statistics::span($without->tilt), 1e-9);
        $plan = self::plan('backward-with-pan', ['tilt_start_deg' => -25.0, 'tilt_end_deg' => -8.0]);
        $flight = $plan->move->flight;
        self::assertEqualsWithDelta(-8.0, $flight->tilt[$flight->count() - 1] / Angle::DEGREE, 1e-6);
        $starts = static function (array $values) use ($flight): float {
            foreach ($values as $k => $value) {
                if (abs($value - $values[0]) > 0.1 * Angle::DEGREE) {
                    return $flight->t[$k];
                }
            }

            return INF;
        };
        self::assertGreaterThan($starts($flight->heading), $starts($flight->tilt), 'Run, then turn, then wheel.');
        self::assertGreaterThanOrEqual(97.0, self::points($plan));
    }

    /** @return iterable<string, array{string, array<string, float|string>}> */
    public static function indoors(): iterable
    {
        yield 'rise and rotate' => ['rise-and-rotate', ['turn_deg' => 70.0]];
        yield 'rise, turn and tilt' => ['rise-turn-tilt', ['turn_deg' => -60.0, 'tilt_start_deg' => -45.0, 'tilt_end_deg' => -5.0]];
        yield 'rise, slide and look' => ['rise-slide-turn', ['side' => 'right', 'climb_m' => 4.0]];
    }

    /** @param  array<string, float|string>  $parameters */
    #[DataProvider('indoors')]
    public function test_it_is_flown_back_from_its_last_place_to_its_first(string $move, array $parameters): void
    {
        $plan = self::plan($move, $parameters);
        $there = $plan->move->flight;
        $variant = array_column(Variants::of($plan), null, 'id')['back'] ?? self::fail('It is not offered.');
        $back = Planner::plan($plan->shot->withIntent($plan->move->intent->with($variant['parameters'])))->move->flight;
        foreach ([[0, $there->count() - 1], [$back->count() - 1, 0]] as [$own, $other]) {
            // The turn follows the travel by a breath, there as back: a slide that turns with it comes out so far beside.
            self::assertLessThan(0.4, $back->position($own)->minus($there->position($other))->length());
            self::assertEqualsWithDelta(0.0, Angle::wrap($back->heading[$own] - $there->heading[$other]), 0.01);
            self::assertEqualsWithDelta($there->tilt[$other], $back->tilt[$own], 0.01);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function turning(): iterable
    {
        foreach (['pan', 'rise-and-rotate', 'backward-with-pan', 'sink-turn-tilt', 'rise-turn-tilt', 'top-down-spin'] as $move) {
            yield $move => [$move, 'turn_deg'];
        }
        yield 'helix' => ['top-down-helix', 'spin_dps'];
        yield 'travel' => ['top-down-travel', 'course_deg'];
    }

    #[DataProvider('turning')]
    public function test_what_turns_has_its_mirror(string $move, string $by): void
    {
        $plan = self::plan($move, $by === 'course_deg' ? ['course_deg' => 30.0] : []);
        $opposite = array_column(Variants::of($plan), null, 'id')['opposite'] ?? self::fail('It is not offered.');
        self::assertSame(-($plan->move->intent->number($by) ?? 0.0), $opposite['parameters'][$by]);
        self::assertTrue($opposite['feasible']);
        $mirror = Planner::plan($plan->shot->withIntent($plan->move->intent->with($opposite['parameters'])))->move->flight;
        $last = $mirror->count() - 1;
        $turned = static fn (array $headings): float => $headings[$last] - $headings[0];
        self::assertEqualsWithDelta(-$turned($plan->move->flight->heading), $turned($mirror->heading), 0.01);
    }

    public function test_only_what_turns_indoors_is_flown_back(): void
    {
        $back = static fn (string $move): bool => isset(array_column(Variants::of(self::plan($move)), null, 'id')['back']);
        foreach (Catalogue::ids() as $move) {
            if ($move !== Combination::ID) {
                self::assertSame(in_array($move, ['rise-and-rotate', 'rise-turn-tilt', 'rise-slide-turn'], true), $back($move), $move);
            }
        }
    }

    public function test_a_wide_spiral_is_not_told_of_a_lean_that_it_does_not_have(): void
    {
        $plan = self::plan('spiral-orbit', ['radius_m' => 400.0, 'arc_deg' => 30.0]);
        self::assertEqualsWithDelta(600.0, $plan->move->intent->number('radius_end_m'), 1e-6);
    }

    public function test_a_high_shot_is_not_called_low_whatever_was_asked(): void
    {
        $plan = self::plan('push-in', [LowAndSlow::MANNER => LowAndSlow::LOW, 'height_m' => 20.0]);
        self::assertNotSame('site-check.low-and-slow', self::finding($plan, 'height')->text->code);
    }

    public function test_what_overtakes_has_to_be_quicker(): void
    {
        $plan = self::plan('overtake', ['pace_mps' => 2.0, 'subject_mps' => 2.0]);
        $finding = self::finding($plan, 'overtakes');
        self::assertSame(Finding::BROKEN, $finding->state);
        self::assertFalse($plan->feasible());
        $mended = self::plan('overtake', ['pace_mps' => $finding->mend['pace_mps'], 'subject_mps' => 2.0]);
        self::assertSame([], array_filter($mended->findings, static fn (Finding $one): bool => $one->id === 'overtakes'));
    }

    public function test_it_follows_first_and_passes_then(): void
    {
        $plan = self::plan('overtake', ['pace_mps' => 4.0, 'subject_mps' => 1.6, 'length_m' => 50.0, 'follow_s' => 6.0]);
        $gap = static function (float $t) use ($plan): float {
            $at = $plan->move->at($t);
            $subject = $plan->move->subject?->at($t) ?? $at;
            $heading = $plan->move->flight->heading[0];

            return ($at->east - $subject->east) * sin($heading) + ($at->north - $subject->north) * cos($heading);
        };
        [$from, $onset] = [$plan->move->holdFrom, $plan->move->onset];
        self::assertEqualsWithDelta($gap($from), $gap($onset + 6.0), 0.05, 'While it follows, the gap stays.');
        self::assertLessThan(-2.0, $gap($onset + 6.0), 'It is behind.');
        self::assertGreaterThan(2.0, $gap($plan->move->stop), 'It is past.');
        self::assertTrue($plan->feasible());
        self::assertGreaterThanOrEqual(97.0, self::points($plan));
    }

    /** @return iterable<string, array{string}> */
    public static function lowMoves(): iterable
    {
        foreach (['push-in', 'lateral-dolly', 'orbit', 'pull-away', 'side-track', 'drop-and-tilt', 'rise-and-rotate'] as $move) {
            yield $move => [$move];
        }
    }

    #[DataProvider('lowMoves')]
    public function test_any_move_is_flown_low_and_slow(string $move): void
    {
        $usual = self::plan($move);
        $low = self::plan($move, [LowAndSlow::MANNER => LowAndSlow::LOW]);
        self::assertEqualsWithDelta(1.5, Statistics::least($low->move->flight->up) - $low->move->ground, 0.01);
        self::assertGreaterThan($usual->move->stop - $usual->move->onset, $low->move->stop - $low->move->onset);
        self::assertGreaterThan($usual->move->holdFrom - $usual->move->onset, $low->move->holdFrom - $low->move->onset);
        $finding = self::finding($low, 'height');
        self::assertSame('site-check.low-and-slow', $finding->text->code);
        self::assertSame([], $finding->mend, 'Nobody is told to fly higher who asked to be low.');
        $stated = self::plan($move, [LowAndSlow::MANNER => LowAndSlow::LOW, 'ease_s' => 3.0]);
        self::assertSame(3.0, $stated->move->intent->number('ease_s'), 'What is stated stays.');
    }

    private static function points(Plan $plan): float
    {
        return Expectation::of($plan)->score->score ?? 0.0;
    }

    private static function finding(Plan $plan, string $id): Finding
    {
        foreach ($plan->findings as $finding) {
            if ($finding->id === $id) {
                return $finding;
            }
        }
        self::fail("No finding $id.");
    }

    private static function number(Plan $plan, string $id): ?float
    {
        $numbers = array_values(array_filter(ShotNumbers::of($plan), static fn (ShotNumber $one): bool => $one->id === $id));

        return $numbers === [] ? null : $numbers[0]->quantity->value;
    }

    /** @param  array<string, float|string>  $parameters */
    private static function plan(string $move, array $parameters = []): Plan
    {
        return Planner::plan(Shot::read(Fields::of([
            'intent' => [
                'move' => $move, 'camera' => ['hfov_deg' => 70, 'aspect' => 1.7777778],
                'subject' => ['lat' => 57.6003, 'lon' => -0.4, 'alt_m' => 1.5, 'base_alt_m' => 0.0], 'parameters' => $parameters,
            ],
            'rig' => Rigs::all()['lapwing'], 'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 0.0]],
        ])));
    }
}
