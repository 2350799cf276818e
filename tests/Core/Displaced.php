<?php

declare(strict_types=1);

namespace Tests\Core;

use Larkspur\Choreography\Plan;
use Larkspur\Flight;
use Larkspur\Flight\Recorder;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Move\Intent;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;

/** A planned flight, put off its way by what a test says, recorded without noise and judged. */
final class Displaced
{
    /**
     * @param  callable(Position, float): Position  $place  where it is instead, by the plan's place and time
     * @param  ?callable(float): float  $turned  degrees more of heading
     * @param  float  $stretch  of time
     * @param  ?Intent  $intent  by which it is judged instead of the plan's own
     */
    public static function scored(
        Plan $plan, callable $place, ?callable $turned = null, float $stretch = 1.0, ?Intent $intent = null,
    ): Score {
        $log = (new Recorder(25.0))->record(self::flown($plan, $place, $turned, $stretch), $plan->shot->site->frame());

        return Scorer::scoreBetween(
            $log, $intent ?? $plan->move->intent, $plan->move->onset * $stretch, ($plan->move->stop + 0.5) * $stretch,
        );
    }

    /**
     * The flight itself.
     *
     * @param  callable(Position, float): Position  $place
     * @param  ?callable(float): float  $turned
     */
    public static function flown(Plan $plan, callable $place, ?callable $turned = null, float $stretch = 1.0): Flight
    {
        $planned = $plan->move->flight;
        $east = $north = $up = $heading = $times = [];
        foreach ($planned->t as $i => $t) {
            $at = $place($planned->position($i), $t);
            [$east[], $north[], $up[]] = [$at->east, $at->north, $at->up];
            $heading[] = $planned->heading[$i] + ($turned === null ? 0.0 : $turned($t) * Angle::DEGREE);
            $times[] = $t * $stretch;
        }

        return new Flight($times, $east, $north, $up, $heading, $planned->tilt);
    }

    /**
     * A displacement along the planned way and to the right of it.
     *
     * @param  callable(float): float  $ahead  m, by time
     * @param  callable(float): float  $aside  m, by time
     * @return callable(Position, float): Position
     */
    public static function along(Plan $plan, callable $ahead, callable $aside): callable
    {
        return static function (Position $place, float $t) use ($plan, $ahead, $aside): Position {
            $i = max(5, min($plan->move->flight->count() - 6, (int) round($t / 0.02)));
            $way = $plan->move->flight->position($i + 5)->minus($plan->move->flight->position($i - 5));
            $long = max(1e-9, $way->ground());
            [$east, $north] = [$way->east / $long, $way->north / $long];

            return $place->plus($east * $ahead($t) + $north * $aside($t), $north * $ahead($t) - $east * $aside($t), 0.0);
        };
    }

    /**
     * The same to the right of the way only.
     *
     * @param  callable(float): float  $metres
     * @return callable(Position, float): Position
     */
    public static function aside(Plan $plan, callable $metres): callable
    {
        return self::along($plan, static fn (float $t): float => 0.0, $metres);
    }

    /** Away and back within some seconds, 0 to 1 at their middle. */
    public static function swell(float $t, float $from, float $to): float
    {
        return 0.5 * (1 - cos(2 * M_PI * max(0.0, min(1.0, ($t - $from) / ($to - $from)))));
    }
}
