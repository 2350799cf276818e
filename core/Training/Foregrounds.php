<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Generator;
use Larkspur\Choreography\Notes\RevealNotes;
use Larkspur\Choreography\Opening;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Shot;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Move\Shape\Stance;
use Larkspur\Site\Solid;

/**
 * What stands on a site and can hide a subject at first, or leave a gap to go through: a shot that needs one is laid behind it, over it or
 * through it. Moves that need none have none here.
 */
final class Foregrounds
{
    private const OVER = 'over-the-edge';

    private const GAP = 'gap';

    /** Farther from the subject than this a thing is no foreground of it, m (our judgement). */
    private const NEAR = 90.0;

    /** So many things are tried, the nearest to the subject first. */
    private const TRIED = 8;

    /** Lower than this over the subject's foot nothing hides it, m. */
    private const LOWEST = 1.2;

    /** A way over a thing keeps so far above it, m; one behind it as far from it: more than any path has to. */
    private const CLEAR = 3.5;

    /** No way to or from a foreground is longer, m: at a calm pace more is no shot. */
    private const LONGEST = 45.0;

    /** Nor shorter: it has a hold between its eases. */
    private const SHORTEST = 11.0;

    /** Before the lens it covers at least so much of what it hides, by width as both are seen (our judgement: a mast hides no house). */
    private const COVERS = 0.8;

    /** A gap wider than this is none to aim at, one farther from take-off none to go to, m. */
    private const WIDEST = 18.0;

    private const FAR = 150.0;

    /** Heights over the foot of a gap that are tried, m. */
    private const HEIGHTS = [6.0, 4.0, 2.5, 9.0];

    /** Whether the move is flown past a foreground or through a gap. */
    public static function wants(string $move): bool
    {
        return $move === self::GAP || Catalogue::move($move)->about()->foreground;
    }

    /** Whether a plan has what it is flown for: hidden by something at first and seen in the end, or through a gap that is there. */
    public static function has(Plan $plan): bool
    {
        if ($plan->shot->intent->move === self::GAP) {
            return Opening::on($plan->shot, $plan->move)?->drawn === true;
        }
        $notes = RevealNotes::of($plan);

        return $notes->isScreenedFirst() && $notes->isSeenLast();
    }

    /**
     * The shot laid at each thing that could serve it.
     *
     * @param  Intent  $usual  the move as it usually is, with every dial
     * @return Generator<int, Shot>
     */
    public static function of(Shot $asked, Intent $usual): Generator
    {
        if ($usual->move === self::GAP) {
            yield from self::gaps($asked);

            return;
        }
        $frame = $asked->site->frame();
        if ($usual->subject === null || ! self::wants($usual->move)) {
            return;
        }
        $subject = $frame->position($usual->subject);
        $foot = Stance::foot($usual, $frame, $subject);
        $wide = self::widthAt($asked, $subject);
        foreach (self::near($asked, $subject, self::NEAR) as $solid) {
            $to = $solid->body->middle()->minus($subject);
            $high = $solid->body->top() - $foot;
            $beyond = $to->ground() + $solid->body->reach() + self::CLEAR;
            if ($high < self::LOWEST || $solid->body->reach() < 1.0
                || $solid->body->reach() * $beyond < self::COVERS * $wide * ($solid->body->reach() + self::CLEAR)) {
                continue;
            }
            $places = $usual->move === self::OVER ? self::over($to, $solid, $high, $subject->up - $foot)
                : self::round($to, $solid, $high, $usual);
            foreach ($places as $dials) {
                yield $asked->withIntent($asked->intent->with(array_map(
                    static fn (float|string $value): float|string => is_string($value) ? $value : round($value, 1), $dials,
                )));
            }
        }
    }

    /** Half the width of what stands at the subject's place, m: 0 where that is a place alone. */
    private static function widthAt(Shot $shot, Position $place): float
    {
        $widest = 0.0;
        foreach ($shot->site->solids as $solid) {
            $widest = $solid->isSubject && $solid->distance($place) < 1.0 ? max($widest, $solid->body->reach()) : $widest;
        }

        return $widest;
    }

    /** @return list<Solid> nearest first */
    private static function near(Shot $shot, Position $place, float $within): array
    {
        $away = static fn (Solid $solid): float => $solid->body->middle()->minus($place)->ground();
        $near = array_filter(
            $shot->site->solids,
            static fn (Solid $solid): bool => ! ($solid->isSubject && $within < self::FAR) && ! $solid->moves && $solid->shape !== 'wire'
                && $away($solid) > $solid->body->reach() && $away($solid) <= $within,
        );
        usort($near, static fn (Solid $a, Solid $b): int => $away($a) <=> $away($b));

        return array_slice($near, 0, self::TRIED);
    }

    /**
     * From beyond it, over it, to before the subject. It hides the subject from where the sight to that passes below its top.
     *
     * @param  float  $high  m above the subject's foot
     * @param  float  $aim  m above it
     * @return Generator<int, array<string, float>>
     */
    private static function over(Position $to, Solid $solid, float $high, float $aim): Generator
    {
        $away = $to->ground();
        $reach = $solid->body->reach();
        $height = max($high, $aim) + self::CLEAR;
        $hidden = $high > $aim ? ($height - $aim) * $away / ($high - $aim) : INF;
        $from = max($away + $reach + 6.0, 1.15 * $hidden);
        foreach ([max(8.0, $away - $reach - 4.0), max(6.0, 0.5 * $away)] as $until) {
            $length = $from - $until;
            if ($length >= self::SHORTEST && $length <= self::LONGEST) {
                yield [
                    'start_bearing_deg' => Angle::bearing($to->bearing()), 'distance_m' => $from, 'height_m' => $height,
                    'length_m' => $length,
                ];
            }
        }
    }

    /**
     * From behind it out to its side, far enough for the sight to come clear of it.
     *
     * @return Generator<int, array<string, float|string>>
     */
    private static function round(Position $to, Solid $solid, float $high, Intent $usual): Generator
    {
        $away = $to->ground();
        $reach = $solid->body->reach();
        $distance = $away + $reach + self::CLEAR + 1.5;
        $least = ($reach + 2.0) * $distance / $away;
        // Not farther beside than that the subject stands in the frame from both ends.
        $most = 2 * 0.8 * $usual->lens->halfWidth * $distance;
        foreach ([1.0, 1.4] as $times) {
            $length = max(self::SHORTEST, $times * $least);
            if ($length > min($most, self::LONGEST)) {
                continue;
            }
            foreach (['right' => 1, 'left' => -1] as $side => $way) {
                // Seen from the subject the craft that goes to its own right comes from the other side of that bearing.
                $turned = atan2($length, $distance) * -$way;

                yield [
                    'start_bearing_deg' => Angle::bearing($to->bearing() + $turned), 'distance_m' => $distance, 'length_m' => $length,
                    'side' => $side, 'height_m' => max(2.0, min(3.0, $high - 0.5)),
                ];
            }
        }
    }

    /** @return Generator<int, Shot> through the middle of what lies between two things, at right angles to the line between them */
    private static function gaps(Shot $asked): Generator
    {
        $frame = $asked->site->frame();
        $things = self::near($asked, new Position(0.0, 0.0, 0.0), self::FAR);
        foreach ($things as $i => $one) {
            foreach (array_slice($things, $i + 1) as $other) {
                [$a, $b] = self::closest($one, $other);
                $across = $b->minus($a);
                $width = $across->ground();
                if ($width < 2 * self::CLEAR || $width > self::WIDEST) {
                    continue;
                }
                $high = min($one->body->top(), $other->body->top()) - $one->body->middle()->up;
                $middle = new Position(($a->east + $b->east) / 2, ($a->north + $b->north) / 2, $one->body->middle()->up + 1.0);
                $about = $asked->intent->about($frame->geoPoint($middle), $frame->origin->altitude + $middle->up - 1.0);
                foreach (self::HEIGHTS as $height) {
                    foreach ($height < $high ? [M_PI_2, -M_PI_2] : [] as $turn) {
                        yield $asked->withIntent($about->with([
                            'heading_deg' => round(Angle::bearing($across->bearing() + $turn), 1), 'height_m' => $height,
                            'gap_m' => round($width, 1),
                        ]));
                    }
                }
            }
        }
    }

    /** @return array{Position, Position} where two outlines come nearest to each other: to and fro between them until it rests */
    private static function closest(Solid $one, Solid $other): array
    {
        [$a, $b] = [$one->body->middle(), $other->body->middle()];
        for ($k = 0; $k < 12; $k++) {
            $a = self::nearestOn($one->foot(), $b);
            $b = self::nearestOn($other->foot(), $a);
        }

        return [$a, $b];
    }

    /** @param  non-empty-list<Position>  $outline */
    private static function nearestOn(array $outline, Position $place): Position
    {
        $best = $outline[0];
        $from = $outline[count($outline) - 1];
        foreach ($outline as $to) {
            $side = $to->minus($from);
            $long = $side->ground() ** 2;
            $way = $place->minus($from);
            $share = $long < 1e-9 ? 0.0 : max(0.0, min(1.0, ($way->east * $side->east + $way->north * $side->north) / $long));
            $here = $from->plus($share * $side->east, $share * $side->north, 0.0);
            $best = $here->minus($place)->ground() < $best->minus($place)->ground() ? $here : $best;
            $from = $to;
        }

        return $best;
    }
}
