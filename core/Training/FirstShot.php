<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Generator;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\SiteChecks;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Move\Parameter;
use Larkspur\Refusal;
use Larkspur\Scoring\Expectation;

/**
 * What a plan of a move begins with on a site: the move as it usually is, and where that can't be flown there as it stands, begun from
 * another side, farther off, higher, or in the slow mode, until it can. The first that flies as planned is taken; where none does, the
 * best of them.
 */
final class FirstShot
{
    /** Expected of a plan that can be flown untouched, points. */
    public const FLIES = 97.0;

    /** So much is tried with each side that it can begin from: what the usual size is multiplied with. */
    private const SIZES = [
        [], ['height_m' => 1.5], ['distance_m' => 1.4, 'radius_m' => 1.4], ['height_m' => 2.0, 'distance_m' => 1.4, 'radius_m' => 1.4],
        ['length_m' => 0.6], ['height_m' => 1.5, 'length_m' => 0.5, 'distance_m' => 0.7, 'radius_m' => 0.7],
        ['height_m' => 2.0, 'distance_m' => 2.5, 'radius_m' => 2.5], ['height_m' => 4.0, 'distance_m' => 2.5, 'radius_m' => 2.5],
    ];

    private const SIDES = [0.0, 30.0, -30.0, 60.0, -60.0, 90.0, -90.0, 120.0, -120.0, 150.0, -150.0, 180.0];

    /** Where a drill finds room, m east and north of take-off: nothing stands at a pad. */
    private const ROOM = [10.0, 20.0, 35.0, 50.0];

    private const MODES = ['standard', 'slow'];

    /** Where a subject that climbs the frame is about to leave it, from the top (our judgement: the wheel needs room for its ease). */
    private const TRIGGER = 0.2;

    /** Plans looked at; a site on which nothing flies is said as such in a second. */
    private const TRIED = 220;

    /** The first of them that flies untouched, else the best that can be flown, else as it was asked. */
    public static function of(Shot $asked): Shot
    {
        $asked = self::stated($asked);
        $best = self::foreground($asked);
        if ($best !== null) {
            return $best;
        }
        $most = -1.0;
        $tried = 0;
        foreach (self::candidates($asked) as $shot) {
            if (++$tried > self::TRIED) {
                break;
            }
            $score = self::expected($shot);
            if ($score >= self::FLIES) {
                return $shot;
            }
            if ($score > $most) {
                [$best, $most] = [$shot, $score];
            }
        }

        return $best ?? $asked;
    }

    /** A reveal behind what stands there, a way through a gap that is there: the first that flies and shows what it is flown for. */
    private static function foreground(Shot $asked): ?Shot
    {
        if (! Foregrounds::wants($asked->intent->move)) {
            return null;
        }
        try {
            $usual = Planner::plan($asked)->move->intent;
        } catch (Refusal) {
            return null;
        }
        foreach (Foregrounds::of($asked, $usual) as $shot) {
            $plan = self::planned($shot);
            // Whether it shows what it is flown for is known long before what it would score.
            if ($plan !== null && $plan->feasible() && Foregrounds::has($plan) && self::scored($plan) >= self::FLIES) {
                return $shot;
            }
        }

        return null;
    }

    /** A wheel that may wait for its trigger does: the other school sets the trigger to the subject's own place (docs/schools.md). */
    private static function stated(Shot $asked): Shot
    {
        $intent = $asked->intent;

        return $intent->move !== 'drop-and-tilt' || $intent->number('trigger_y') !== null ? $asked : $asked->withIntent(
            $intent->with(['trigger_y' => round(min(self::TRIGGER, 0.5 * $intent->aimY), 2)]),
        );
    }

    /** Points that are to be expected of a shot; -1 where it can't be flown. */
    private static function expected(Shot $shot): float
    {
        $plan = self::planned($shot);

        return $plan !== null && $plan->feasible() ? self::scored($plan) : -1.0;
    }

    private static function planned(Shot $shot): ?Plan
    {
        try {
            return Planner::plan($shot);
        } catch (Refusal) {
            return null;
        }
    }

    private static function scored(Plan $plan): float
    {
        return Expectation::of($plan)->score->score ?? 0.0;
    }

    /**
     * Where there is room, not about what the site is filmed for: around take-off.
     *
     * @return Generator<int, Shot>
     */
    private static function elsewhere(Shot $asked): Generator
    {
        $frame = $asked->site->frame();
        foreach (self::ROOM as $away) {
            foreach (self::SIDES as $bearing) {
                $east = $away * sin($bearing * Angle::DEGREE);
                $north = $away * cos($bearing * Angle::DEGREE);
                $up = $asked->site->ground?->at($east, $north) ?? 0.0;
                $place = $frame->geoPoint(new Position($east, $north, $up + 1.0));

                yield $asked->withIntent($asked->intent->about($place, $frame->origin->altitude + $up));
            }
        }
    }

    /** @return Generator<int, Shot> the usual one first */
    private static function candidates(Shot $asked): Generator
    {
        if (SiteChecks::built($asked) !== null) {
            // A building goes nowhere: somebody crosses free ground.
            yield from self::elsewhere($asked);
        }
        yield $asked;
        $about = Catalogue::move($asked->intent->move)->about();
        if ($about->group === Group::Drill) {
            yield $asked->withIntent($asked->intent->about(null, null));
            yield from self::elsewhere($asked);
        }
        try {
            $usual = Planner::plan($asked)->move->intent;
        } catch (Refusal) {
            return;
        }
        // Where it can't go its way there is room elsewhere; what stands alone has no gap, and one is made there.
        $goes = $asked->intent->track === [] && Planner::plan($asked)->move->subject?->moves() === true;
        if ($about->id === 'gap' || $goes) {
            yield from self::elsewhere($asked);
        }
        $own = array_map(static fn (Parameter $one): string => $one->id, Catalogue::move($usual->move)->parameters());
        $side = in_array('start_bearing_deg', $own, true) ? 'start_bearing_deg' : 'heading_deg';
        foreach (self::MODES as $mode) {
            foreach (self::SIZES as $times) {
                $sizes = [];
                foreach (array_intersect_key($times, array_flip($own)) as $id => $factor) {
                    $sizes[$id] = round((float) $usual->number($id) * $factor, 1);
                }
                if ($times !== [] && $sizes === []) {
                    continue;
                }
                foreach ($usual->number($side) === null || ! in_array($side, $own, true) ? [0.0] : self::SIDES as $turned) {
                    $turn = $turned === 0.0 ? [] : [$side => fmod((float) $usual->number($side) + $turned + 360.0, 360.0)];
                    if ($mode !== $asked->mode || $sizes !== [] || $turn !== []) {
                        yield $asked->inMode($mode)->withIntent($asked->intent->with([...$sizes, ...$turn]));
                    }
                }
            }
        }
    }
}
