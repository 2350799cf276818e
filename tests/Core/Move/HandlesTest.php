<?php

declare(strict_types=1);

namespace Tests\Core\Move;

use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Group;
use Larkspur\Move\Handle\Handle;
use Larkspur\Move\Handle\Pull;
use Larkspur\Move\Handle\Sheet;
use Larkspur\Move\Handle\Spot;
use Larkspur\Move\Intent;
use Larkspur\Move\MovePlan;
use Larkspur\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/** What can be pulled on the sheets of every move: it stands still when it is held, comes to where it is put, and never runs away. */
final class HandlesTest extends TestCase
{
    /** A hand that holds a handle asks again with each answer; after so many it must have come to rest. */
    private const ANSWERS = 5;

    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach (Catalogue::ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('moves')]
    public function test_a_handle_that_is_held_still_changes_nothing_to_speak_of(string $id): void
    {
        $plan = self::plan(self::shot($id));
        $handles = self::handles($plan);
        self::assertSame($handles, array_unique($handles, SORT_REGULAR), 'two handles are alike');
        foreach ($handles as $handle) {
            self::assertNotSame('', said($handle->label()));
            $after = self::pulled($plan, Pull::to($handle->id, self::read($handle->at($plan->move))));
            $moved = self::apart($handle, $handle->at($plan->move), $handle->at($after->move));
            // Parameters are rounded to half a metre, a degree, a tenth of a second: that much it may jump, seen from 60 m.
            self::assertLessThan($handle->sheet === Sheet::Thumbs ? 0.35 : 1.1, $moved, "{$handle->id} of {$id}");
        }
    }

    #[DataProvider('moves')]
    public function test_a_handle_comes_to_rest_where_it_is_put_as_far_as_the_move_can_go(string $id): void
    {
        $first = self::plan(self::shot($id));
        foreach (self::handles($first) as $handle) {
            // Half of the handles are pulled one way, half the other.
            $target = self::beside($handle, $handle->at($first->move), crc32($handle->id.$id) % 2 === 0 ? 1.0 : -1.0);
            $plan = $first;
            try {
                for ($k = 0; $k < self::ANSWERS; $k++) {
                    $plan = self::pulled($plan, Pull::to($handle->id, $target));
                }
            } catch (Refusal) {
                // A way may not end beyond its subject: that is said, and the handle stays where it was.
                continue;
            }
            $now = self::named($plan, $handle->id);
            $then = self::pulled($plan, Pull::to($handle->id, $target));
            $restless = self::apart($handle, $now->at($plan->move), self::named($then, $handle->id)->at($then->move));
            self::assertLessThan($handle->sheet === Sheet::Thumbs ? 0.35 : 0.9, $restless, "{$handle->id} of {$id} does not come to rest");
            if (! self::atALimit($then)) {
                $far = self::apart($handle, $handle->at($first->move), $target) + 0.2;
                self::assertLessThanOrEqual($far, self::apart($handle, $now->at($plan->move), $target), "{$handle->id} of {$id} runs away");
            }
        }
    }

    #[DataProvider('moves')]
    public function test_an_arrow_key_and_its_opposite_lead_back(string $id): void
    {
        $plan = self::plan(self::shot($id));
        foreach (self::handles($plan) as $handle) {
            $there = self::pulled($plan, Pull::by($handle->id, 1.0, 0.0));
            $back = self::pulled($there, Pull::by($handle->id, -1.0, 0.0));
            self::assertFalse($plan->move->flight == $there->move->flight, "{$handle->id} of {$id} does nothing");
            self::assertLessThan(
                $handle->sheet === Sheet::Thumbs ? 0.35 : 0.9, self::apart($handle, $handle->at($plan->move), $handle->at($back->move)),
                "{$handle->id} of {$id}",
            );
        }
    }

    #[DataProvider('moves')]
    public function test_the_other_way_round_twice_is_the_first_way_and_both_can_be_planned(string $id): void
    {
        $plan = self::plan(self::shot($id));
        $move = Catalogue::move($id);
        $opposite = $move->opposite($plan->move);
        if ($opposite === []) {
            self::assertNotContains('direction', array_map(static fn ($parameter): string => $parameter->id, $move->parameters()));

            return;
        }
        $other = self::plan($plan->shot->withIntent($plan->shot->intent->with($opposite)));
        $again = self::plan($plan->shot->withIntent($other->shot->intent->with($move->opposite($other->move))));

        self::assertFalse($plan->move->flight == $other->move->flight);
        self::assertEqualsWithDelta($plan->move->flight->east, $again->move->flight->east, 0.1);
        self::assertEqualsWithDelta($plan->move->flight->north, $again->move->flight->north, 0.1);
        // What the page sends back is read as an intent file is: a word that the move does not have would be refused.
        $sent = (array) json_decode((string) json_encode($other->shot->intent->toArray()), true);
        self::assertEquals($other->shot->intent->parameters, Intent::read(Fields::of($sent))->parameters);
    }

    #[DataProvider('moves')]
    public function test_slower_takes_longer_and_longer_lasts_as_long_as_asked(string $id): void
    {
        $plan = self::plan(self::shot($id));
        $move = Catalogue::move($id);
        $slower = $move->slower($plan->move, 0.8);
        $longer = $move->longer($plan->move, 1.25);
        self::assertSame($slower === [], $longer === []);
        if ($slower === []) {
            return;
        }
        $hold = static fn (Moved $of): float => $of->move->holdTo - $of->move->onset;
        foreach (['slower' => $slower, 'longer' => $longer] as $how => $parameters) {
            $after = self::plan($plan->shot->withIntent($plan->shot->intent->with($parameters)));
            self::assertGreaterThan($hold($plan), $hold($after), "$how of $id");
            self::assertLessThan(1.6 * $hold($plan), $hold($after), "$how of $id");
        }
    }

    public function test_the_start_of_an_orbit_is_put_with_its_radius_and_bearing(): void
    {
        $plan = self::plan(self::shot('orbit', ['radius_m' => 20, 'start_bearing_deg' => 300, 'arc_deg' => 90]));
        $subject = $plan->move->subject?->first() ?? self::fail();
        // 30 m east and 40 m north of it: a distance of 50 m at atan(3/4).
        $to = Spot::place($subject->plus(30.0, 40.0, 0.0));

        self::assertSame(['radius_m' => 50.0, 'start_bearing_deg' => 37.0], Planner::pulled($plan->shot, Pull::to('start', $to)));
        self::assertSame(['radius_m' => 21.0, 'start_bearing_deg' => 296.0], Planner::pulled($plan->shot, Pull::by('start', -2.0, 1.0)));
    }

    public function test_the_end_of_an_arc_keeps_the_turns_that_are_there(): void
    {
        foreach ([['clockwise', 90.0, 450.0], ['counterclockwise', 90.0, 450.0]] as [$direction, $least, $more]) {
            foreach ([$least, $more] as $arc) {
                $plan = self::plan(self::shot('orbit', ['start_bearing_deg' => 0, 'arc_deg' => $arc, 'direction' => $direction]));
                $subject = $plan->move->subject?->first() ?? self::fail();
                $east = ($direction === 'clockwise' ? 1 : -1) * 10.0 * sin(100 * Angle::DEGREE);
                $to = Spot::place($subject->plus($east, 10.0 * cos(100 * Angle::DEGREE), 0.0));

                self::assertSame(['arc_deg' => $arc + 10.0], Planner::pulled($plan->shot, Pull::to('end', $to)), $direction);
            }
        }
    }

    public function test_the_end_of_the_hold_lands_where_it_is_pulled(): void
    {
        $plan = self::plan(self::shot('push-in', ['length_m' => 30, 'pace_mps' => 2, 'ease_s' => 2.5]));
        $pulled = self::pulled($plan, Pull::to('pace', Spot::time($plan->move->stop + 4.0)));

        self::assertEqualsWithDelta($plan->move->stop + 4.0, $pulled->move->stop, 0.1);
        // 15 s at 2 m/s become 19: 30 m / 19 s.
        self::assertEqualsWithDelta(30 / 19, $pulled->move->intent->number('pace_mps') ?? 0.0, 0.005);
    }

    public function test_no_pull_leads_beyond_what_a_move_takes(): void
    {
        $plan = self::plan(self::shot('lift-and-tilt'));
        $far = static fn (float $up): Spot => Spot::read(Fields::of(['up_m' => $up, 'east_m' => 9000, 'north_m' => 9000]));

        // A lift only goes up.
        self::assertSame(['climb_m' => 0.5], Planner::pulled($plan->shot, Pull::to('climb', $far(-900))));
        self::assertSame(['height_m' => 0.5], Planner::pulled($plan->shot, Pull::to('height', $far(-900))));
        self::assertSame(2000.0, Planner::pulled($plan->shot, Pull::to('start', $far(0)))['distance_m']);
        self::assertSame(['ease_s' => 0.3], Planner::pulled($plan->shot, Pull::to('ease', Spot::time(-60.0))));
    }

    public function test_a_handle_that_the_move_does_not_have_is_refused_with_those_it_has(): void
    {
        try {
            Planner::pulled(self::shot('hover'), Pull::read(Fields::of(['handle' => 'end', 'to' => ['east_m' => 3]], 'pull')));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame('pull.handle', $refusal->place);
            self::assertSame('This shot has no such handle.', said($refusal->fact));
            self::assertStringContainsString('height', said($refusal->expected));
        }
    }

    public function test_the_parts_of_a_combination_are_pulled_each(): void
    {
        $plan = self::plan(self::shot(Combination::ID));
        $ids = array_map(static fn (Handle $handle): string => $handle->id, self::handles($plan));
        self::assertContains('part-1-start', $ids);
        self::assertContains('part-1-end', $ids);
        self::assertContains('part-2-end', $ids);
        self::assertNotContains('part-2-start', $ids, 'the part before decides it');
        self::assertContains('part-1-ease', $ids);
        self::assertNotContains('part-2-ease', $ids, 'the hand-over decides it');
        self::assertEqualsWithDelta(
            $plan->move->stop, self::named($plan, 'part-2-pace')->at($plan->move)->t, 0.03, 'on the clock of the whole',
        );

        $pulled = Planner::pulled($plan->shot, Pull::by('part-2-end', 1.0, 0.0));
        self::assertSame(['parts.1.length_m'], array_keys($pulled));
        $after = self::plan($plan->shot->withIntent($plan->shot->intent->with($pulled)));
        self::assertGreaterThan($plan->move->stop, $after->move->stop);

        $slower = Catalogue::move(Combination::ID)->slower($plan->move, 0.5);
        self::assertSame(['parts.0.pace_mps', 'parts.1.pace_mps'], array_keys($slower));
    }

    public function test_no_finding_mends_a_figure_with_a_word_that_it_does_not_have(): void
    {
        foreach (Catalogue::ids() as $id) {
            $shot = self::shot($id);
            foreach (Planner::plan($shot)->findings as $finding) {
                self::plan($shot->withIntent($shot->intent->with($finding->mend)));
                foreach (array_keys($finding->mend) as $word) {
                    $own = array_map(static fn ($parameter): string => $parameter->id, Catalogue::move($id)->parameters());
                    self::assertTrue(
                        str_starts_with($word, 'parts.') || in_array($word, $own, true), "{$finding->id} of {$id} mends {$word}",
                    );
                }
            }
        }
    }

    /** @return list<Handle> */
    private static function handles(Moved $plan): array
    {
        return Catalogue::move($plan->shot->intent->move)->handles($plan->move, $plan->shot->intent);
    }

    private static function named(Moved $plan, string $id): Handle
    {
        foreach (self::handles($plan) as $handle) {
            if ($handle->id === $id) {
                return $handle;
            }
        }
        self::fail("{$id} is gone");
    }

    private static function pulled(Moved $plan, Pull $pull): Moved
    {
        return self::plan($plan->shot->withIntent($plan->shot->intent->with($pull->of($plan->move, $plan->shot->intent))));
    }

    /** A place as it comes over the wire. */
    private static function read(Spot $spot): Spot
    {
        return Spot::read(Fields::of([
            'east_m' => round($spot->place->east, 2), 'north_m' => round($spot->place->north, 2), 'up_m' => round($spot->place->up, 2),
            ...$spot->tilt === null ? [] : ['tilt_deg' => round($spot->tilt / Angle::DEGREE, 1)], 't_s' => round($spot->t, 2),
        ]));
    }

    /** Somewhere else on its sheet: 4 m off, ten degrees, or two seconds. */
    private static function beside(Handle $handle, Spot $at, float $way): Spot
    {
        return match (true) {
            $handle->sheet === Sheet::Thumbs => Spot::time($at->t + 2.0 * $way),
            $at->tilt !== null => Spot::tilt($at->place, $at->tilt + 10 * $way * Angle::DEGREE),
            $handle->sheet === Sheet::Side => Spot::place($at->place->plus(0.0, 0.0, 4.0 * $way)),
            default => Spot::place($at->place->plus(3.0 * $way, 2.6 * $way, 0.0)),
        };
    }

    /** How far apart two places of a handle are: metres, degrees or seconds. */
    private static function apart(Handle $handle, Spot $a, Spot $b): float
    {
        return match (true) {
            $handle->sheet === Sheet::Thumbs => abs($a->t - $b->t),
            $a->tilt !== null => abs($a->tilt - ($b->tilt ?? 0.0)) / Angle::DEGREE,
            $handle->sheet === Sheet::Side => abs($a->place->up - $b->place->up),
            default => $a->place->minus($b->place)->ground(),
        };
    }

    /** Whether a parameter has come as far as it goes. */
    private static function atALimit(Moved $then): bool
    {
        foreach (Catalogue::move($then->shot->intent->move)->parameters() as $parameter) {
            $value = $then->move->intent->number($parameter->id);
            $least = $parameter->id === 'height_m' ? 0.5 : $parameter->least;
            if ($value !== null && $parameter->choices === [] && ($value <= $least + 1e-6 || $value >= $parameter->most - 1e-6)) {
                return true;
            }
        }

        return false;
    }

    /** The move alone: the rest of a plan has no say in its handles. */
    private static function plan(Shot $shot): Moved
    {
        return new Moved($shot, Catalogue::plan($shot->intent, $shot->site->frame(), $shot->tune()));
    }

    /** @param  array<string, float|string>  $parameters */
    private static function shot(string $id, array $parameters = []): Shot
    {
        $document = Shots::document();
        $document['intent'] = [...$document['intent'], 'move' => $id, 'parameters' => $parameters];
        if (Catalogue::move($id)->about()->group === Group::Drill) {
            unset($document['intent']['subject']);
        }
        if ($id === Combination::ID) {
            $document['intent']['parts'] = [
                ['move' => 'orbit', 'parameters' => ['arc_deg' => 90]], ['move' => 'pull-away', 'parameters' => []],
            ];
        }

        return Shot::read(Fields::of($document));
    }
}

/** A shot and the move that it asks for. */
final readonly class Moved
{
    public function __construct(public Shot $shot, public MovePlan $move)
    {
    }
}
