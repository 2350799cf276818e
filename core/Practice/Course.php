<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Geo\Position;
use Larkspur\Measure\CircleFit;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\MovePlan;
use Larkspur\Site\Solid;

/**
 * The course of a drill, laid out where it is flown: pads at its marks, poles in the middle of its circles, the bays that it backs into,
 * the object that it comes close to, two posts where it goes through a gap that the site does not have. What stands is solid, like
 * everything on a site; pads are only painted.
 *
 * @phpstan-type Stand array{id: string, name: string, base: float, top: float, ring: non-empty-list<Position>}
 */
final readonly class Course
{
    /** Half the inner width of a bay, m: room for a small craft and a little more (common practice, no published source). */
    private const BAY_HALF = 1.2;

    private const BAY_HEIGHT = 2.4;

    private const WALL = 0.12;

    /** A pole to fly round: as thick as a surveyor's, and higher than a head (common practice, no published source). */
    private const POLE = 0.06;

    private const POLE_HEIGHT = 2.2;

    /** A post of a gap, m; it ends so far above the craft. */
    private const POST = 0.3;

    private const OVER = 1.5;

    /** How far before the craft the object stands that it comes close to, m (common practice, no published source). */
    private const KEPT_OFF = 1.5;

    /**
     * @param  list<array{east: float, north: float, up: float, kind: string}>  $pads  where something is measured
     * @param  list<Stand>  $stands
     */
    private function __construct(public array $pads, public array $stands)
    {
    }

    /** @param  list<Solid>  $solids  what the site has */
    public static function of(MovePlan $plan, array $solids = []): self
    {
        $pads = [];
        foreach ($plan->marks as $mark) {
            $at = $plan->at($mark->t);
            $pads[] = ['east' => round($at->east, 3), 'north' => round($at->north, 3), 'up' => round($at->up, 3), 'kind' => $mark->kind];
        }
        $stands = match ($plan->intent->move) {
            'nose-in-bay' => self::bays($plan),
            'close-to-object' => [self::object($plan)],
            'gap' => self::posts($plan, $solids),
            'circle-fixed-heading', 'figure-of-eight' => self::poles($plan),
            default => [],
        };

        return new self($pads, $stands);
    }

    /**
     * Three walls about each place that is backed into: one behind the tail, one at either side.
     *
     * @return list<Stand>
     */
    private static function bays(MovePlan $plan): array
    {
        $walls = [];
        $deep = max(1.5, $plan->intent->number('bay_m') ?? 3.0) - 0.5;
        foreach ($plan->marks as $k => $mark) {
            if ($mark->kind !== 'corner') {
                continue;
            }
            $at = $plan->at($mark->t);
            $heading = $plan->flight->heading[$plan->flight->indexAt($mark->t)];
            $place = static fn (float $ahead, float $right): Position => new Position(
                round($at->east + $ahead * sin($heading) + $right * cos($heading), 3),
                round($at->north + $ahead * cos($heading) - $right * sin($heading), 3), 0.0,
            );
            $back = -self::BAY_HALF;
            foreach ([
                'back' => [$back - self::WALL, $back, -self::BAY_HALF, self::BAY_HALF],
                'left' => [$back, $back + $deep, -self::BAY_HALF - self::WALL, -self::BAY_HALF],
                'right' => [$back, $back + $deep, self::BAY_HALF, self::BAY_HALF + self::WALL],
            ] as $side => [$from, $to, $left, $right]) {
                $walls[] = [
                    'id' => "bay-$k-$side", 'name' => "the $side wall of the bay", 'base' => $plan->ground,
                    'top' => $plan->ground + self::BAY_HEIGHT,
                    'ring' => [$place($from, $left), $place($from, $right), $place($to, $right), $place($to, $left)],
                ];
            }
        }

        return $walls;
    }

    /**
     * A pole in the middle of each circle: the circles of a figure lie between its crossings.
     *
     * @return list<Stand>
     */
    private static function poles(MovePlan $plan): array
    {
        $bounds = [$plan->holdFrom];
        foreach ($plan->marks as $mark) {
            if ($mark->kind === Mark::CROSSING) {
                $bounds[] = $mark->t;
            }
        }
        $bounds[] = $plan->holdTo;
        $poles = [];
        for ($k = 1; $k < count($bounds); $k++) {
            $circle = self::circle($plan, $bounds[$k - 1], $bounds[$k]);
            if ($circle !== null && $circle->radius > 4 * self::POLE) {
                $poles[] = [
                    'id' => "pole-$k", 'name' => 'the pole', 'base' => $plan->ground, 'top' => $plan->ground + self::POLE_HEIGHT,
                    'ring' => array_map(static fn (array $corner): Position => new Position(
                        round($circle->x + $corner[0], 3), round($circle->y + $corner[1], 3), 0.0,
                    ), [
                        [-self::POLE, -self::POLE], [self::POLE, -self::POLE], [self::POLE, self::POLE], [-self::POLE, self::POLE],
                    ]),
                ];
            }
        }

        return $poles;
    }

    /** The circle that is flown between two times: where the nose turns it is what is flown while it does, else all of it. */
    private static function circle(MovePlan $plan, float $from, float $to): ?CircleFit
    {
        [$first, $last] = [$plan->flight->indexAt($from), $plan->flight->indexAt($to)];
        $rates = [];
        for ($k = $first + 1; $k < $last; $k++) {
            $rates[$k] = abs($plan->flight->heading[$k + 1] - $plan->flight->heading[$k - 1]);
        }
        $most = $rates === [] ? 0.0 : max($rates);
        $x = $y = [];
        foreach ($rates as $k => $rate) {
            if ($rate >= 0.8 * $most) {
                $at = $plan->flight->position($k);
                [$x[], $y[]] = [$at->east, $at->north];
            }
        }

        return CircleFit::taubin($x, $y);
    }

    /**
     * Two posts, as far apart as the gap is wide, where it is gone through; none where the site has something on either side.
     *
     * @param  list<Solid>  $solids
     * @return list<Stand>
     */
    private static function posts(MovePlan $plan, array $solids): array
    {
        $wide = $plan->intent->number('gap_m') ?? 7.5;
        $middle = ($plan->onset + $plan->stop) / 2;
        $at = $plan->at($middle);
        $heading = $plan->flight->heading[$plan->flight->indexAt($middle)];
        $posts = [];
        $place = static fn (float $ahead, float $right, float $up = 0.0): Position => new Position(
            round($at->east + $ahead * sin($heading) + $right * cos($heading), 3),
            round($at->north + $ahead * cos($heading) - $right * sin($heading), 3), $up,
        );
        $half = self::POST / 2;
        foreach (['left' => -$wide / 2 - self::POST, 'right' => $wide / 2] as $side => $from) {
            $here = $place(0.0, $from + $half, $at->up);
            foreach ($solids as $solid) {
                if ($solid->distance($here) < self::OVER) {
                    return [];
                }
            }
            $posts[] = [
                'id' => "post-$side", 'name' => "the $side post of the gap", 'base' => $plan->ground, 'top' => $at->up + self::OVER,
                'ring' => [
                    $place(-$half, $from), $place(-$half, $from + self::POST), $place($half, $from + self::POST), $place($half, $from),
                ],
            ];
        }

        return $posts;
    }

    /** @return Stand the object, beyond the nearest place of the drill */
    private static function object(MovePlan $plan): array
    {
        $mark = $plan->marks[0] ?? null;
        $t = $mark->t ?? $plan->stop;
        $at = $plan->at($t);
        $heading = $plan->flight->heading[$plan->flight->indexAt($t)];
        $ring = [];
        foreach ([[0.0, -0.8], [0.0, 0.8], [1.6, 0.8], [1.6, -0.8]] as [$ahead, $right]) {
            $ahead += self::KEPT_OFF;
            $ring[] = new Position(
                round($at->east + $ahead * sin($heading) + $right * cos($heading), 3),
                round($at->north + $ahead * cos($heading) - $right * sin($heading), 3), 0.0,
            );
        }

        return ['id' => 'object', 'name' => 'the object', 'base' => $plan->ground, 'top' => $at->up + 1.5, 'ring' => $ring];
    }
}
