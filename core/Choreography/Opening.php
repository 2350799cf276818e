<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Move\MovePlan;
use Larkspur\Site\Solid;

/** A gap that a way leads through: between two things of the site, or as wide as the shot says where none of them is drawn. */
final readonly class Opening
{
    /** How far the craft may be from where it believes to be, m (common practice for positioning under open sky; no published source). */
    private const POSITION_ERROR = 1.5;

    /** What lies so far beside the path makes no gap, m. */
    private const BESIDE = 9.0;

    /** A width that is said is that of the things there where they are no farther apart than this beyond it, m. */
    private const SAME = 0.5;

    /**
     * @param  float  $width  m
     * @param  float  $needed  m: the craft, its error of position to both sides, and the margin that any path keeps to both sides
     * @param  float  $at  when it is gone through, s
     * @param  bool  $drawn  whether things of the site make it
     */
    private function __construct(
        public Fact $left, public Fact $right, public float $width, public float $needed, public float $at, public bool $drawn,
    ) {
    }

    /** The narrowest on a way; null where it leads through none. */
    public static function on(Shot $shot, MovePlan $plan): ?self
    {
        $between = self::between($shot, $plan);
        $said = $plan->intent->number('gap_m');
        if ($said === null || ($between !== null && $between->width < $said + self::SAME)) {
            return $between;
        }

        return new self(
            Fact::of('opening.post', side: Fact::of('end.slide.0')), Fact::of('opening.post', side: Fact::of('end.slide.1')), $said,
            self::needed($shot), ($plan->onset + $plan->stop) / 2, false,
        );
    }

    public function fits(): bool
    {
        return $this->width >= $this->needed - 1e-6;
    }

    private static function between(Shot $shot, MovePlan $plan): ?self
    {
        $flight = $plan->flight;
        // This is asked at every pull of a hand: most things of a site stand nowhere near.
        $bound = SiteChecks::bound($plan);
        $near = array_filter($shot->site->solids, static fn (Solid $solid): bool => $bound($solid) <= self::BESIDE);
        if (count($near) < 2) {
            return null;
        }
        $narrowest = null;
        for ($i = 10, $n = $flight->count(); $i < $n; $i += 10) {
            $place = $flight->position($i);
            $way = $place->minus($flight->position($i - 10));
            if ($way->ground() < 0.02) {
                continue;
            }
            $sides = ['left' => null, 'right' => null];
            foreach ($near as $solid) {
                if ($solid->leastDistance($place) > self::BESIDE || $place->up > $solid->body->top()) {
                    continue;
                }
                $distance = $solid->distance($place);
                $side = self::sideOf($solid, $place, $way);
                if ($distance <= self::BESIDE && ($sides[$side] === null || $distance < $sides[$side][0])) {
                    $sides[$side] = [$distance, $solid->name];
                }
            }
            if ($sides['left'] !== null && $sides['right'] !== null) {
                $width = $sides['left'][0] + $sides['right'][0];
                if ($narrowest === null || $width < $narrowest->width) {
                    $narrowest = new self(
                        Fact::name($sides['left'][1]), Fact::name($sides['right'][1]), $width, self::needed($shot), $flight->t[$i], true,
                    );
                }
            }
        }

        return $narrowest;
    }

    /** @return 'left'|'right' */
    private static function sideOf(Solid $solid, Position $place, Position $way): string
    {
        $to = $solid->body->middle()->minus($place);

        return $way->east * $to->north - $way->north * $to->east > 0 ? 'left' : 'right';
    }

    private static function needed(Shot $shot): float
    {
        return $shot->rig->width + 2 * self::POSITION_ERROR + 2 * SiteChecks::CLEARANCE;
    }
}
