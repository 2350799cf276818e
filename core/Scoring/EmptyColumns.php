<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use Larkspur\Move\MovePlan;
use Larkspur\Telemetry\FlightLog;

/**
 * Columns that stand in a log and hold nothing but zeros: a recorder that did not know wrote them so. No compass says exactly north and no
 * height exactly nought through a whole flight, and a lens that looks exactly ahead throughout does so where its plan says so, or where
 * nobody planned.
 */
final class EmptyColumns
{
    /** A plan that keeps within this of nought may well be flown at nought, rad. */
    private const NOUGHT = 3 * Angle::DEGREE;

    /** @return list<'heading_deg'|'gimbal_tilt_deg'|'alt_m'> */
    public static function of(FlightLog $log, ?MovePlan $plan): array
    {
        $planned = [
            'heading_deg' => $plan === null ? INF : self::most($plan, array_map(Angle::wrap(...), $plan->flight->heading)),
            'gimbal_tilt_deg' => $plan === null ? 0.0 : self::most($plan, $plan->flight->tilt),
            'alt_m' => INF,
        ];
        $empty = [];
        foreach ($planned as $column => $most) {
            if (! in_array($column, $log->lacks, true) && $most > self::NOUGHT && self::isNought($log->column($column))) {
                $empty[] = $column;
            }
        }

        return $empty;
    }

    /** @param  list<float>  $values */
    private static function isNought(array $values): bool
    {
        foreach ($values as $value) {
            if ($value !== 0.0) {
                return false;
            }
        }

        return $values !== [];
    }

    /** @param  list<float>  $angles */
    private static function most(MovePlan $plan, array $angles): float
    {
        $from = $plan->flight->indexAt($plan->onset);
        $moving = array_slice($angles, $from, max(1, $plan->flight->indexAt($plan->stop) - $from));

        return Statistics::greatest(Series::sizes($moving));
    }
}
