<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Framed;

/**
 * How a take comes to rest: whether the axes stop together, how far the subject slides while the craft brakes, and whether the picture
 * stands still once it has stopped (docs/scoring.md, section 4).
 */
final readonly class Finish
{
    /** No stop is told to be quicker than this, s. */
    private const AT_ONCE = 0.4;

    /** Seconds of braking, and of rest after it, that are looked at. */
    private const BRAKING = 1.5;

    private const RESTING = 1.0;

    /**
     * @param  ?float  $score  0 to 100; null where nothing of it could be measured
     * @param  list<Metric>  $metrics
     */
    private function __construct(public ?float $score, public array $metrics)
    {
    }

    public static function of(Measurements $measured): self
    {
        $metrics = array_values(array_filter([
            self::apart($measured), self::rest($measured->take), self::slide($measured), self::unrest($measured),
        ]));
        $scores = array_map(static fn (Metric $metric): float => $metric->score, $metrics);

        return new self($scores === [] ? null : 0.5 * min($scores) + 0.5 * Statistics::mean($scores), $metrics);
    }

    /** Seconds by which the axes' stops lie apart, from the middle of each ramp. */
    private static function apart(Measurements $measured): ?Metric
    {
        $stops = [];
        foreach ($measured->eases->all() as [, $end, $fit]) {
            if ($end === 'stop' && $fit->weight() > 0.5) {
                $stops[] = $fit->centre;
            }
        }

        return count($stops) < 2 ? null : Metric::of(
            'stops_apart', Fact::of('metric.stops_apart'), Statistics::span($stops), Quantity::seconds(...), MetricScale::Sync,
        );
    }

    /**
     * Seconds in which the picture comes to rest, from 90 to 10 % of the speed that it was held at; less what the kernel through which
     * it is seen widens a stop by itself (as variances add). Null where it never comes to rest in the log.
     */
    private static function rest(Take $take): ?Metric
    {
        $speed = [];
        $n = $take->grid->count();
        for ($i = 0; $i < $n; $i++) {
            $square = 0.0;
            foreach (array_keys($take->spans) as $name) {
                $perFrame = Axis::from($name)->rotates() ? 100 / $take->lens->horizontal : $take->imageSpeed(1.0);
                $square += ($perFrame * $take->rate[$name][$i]) ** 2;
            }
            $speed[] = sqrt($square);
        }
        $held = Statistics::median($take->hold($speed));
        $last = null;
        for ($i = $take->main->holdFrom; $i < $n; $i++) {
            if ($speed[$i] >= 0.9 * $held) {
                $last = $i;
            } elseif ($last !== null && $i > $take->main->holdTo && $speed[$i] <= 0.1 * $held) {
                $seen = ($i - $last) * Grid::STEP;

                return Metric::of(
                    'rest', Fact::of('metric.rest'), max(self::AT_ONCE, sqrt(max(0.0, $seen ** 2 - self::kernel($take) ** 2))),
                    Quantity::seconds(...), MetricScale::Rest,
                );
            }
        }

        return null;
    }

    /** Seconds from 90 to 10 % of a sudden stop as the grid shows it: the half-width of the kernel that matters most. */
    private static function kernel(Take $take): float
    {
        return match ($take->judging->primary()) {
            Axis::Turn, Axis::Tilt => Grid::ANGLE,
            Axis::Climb => Grid::ALTITUDE,
            default => Grid::POSITION,
        };
    }

    /** How far the subject slides in the frame while the craft brakes, % of the frame. */
    private static function slide(Measurements $measured): ?Metric
    {
        if (! $measured->take->judging->hasSubject()) {
            return null;
        }
        $last = (int) round(self::BRAKING / Grid::STEP);
        $slid = max(
            Statistics::span(array_slice($measured->framing->u, -$last)), Statistics::span(array_slice($measured->framing->v, -$last)),
        );

        return Metric::of('slide', Fact::of('metric.slide'), 100 * $slid, Quantity::percent(...), MetricScale::FrameMax, 'frame');
    }

    /** How far the picture still turns or tilts in the second after the stop, % of the frame; null where the log ends there. */
    private static function unrest(Measurements $measured): ?Metric
    {
        $take = $measured->take;
        $from = $take->main->to;
        $nodes = (int) round(self::RESTING / Grid::STEP);
        if ($from + $nodes >= $take->grid->count() || $measured->drill !== null || $take->judging->framed === Framed::Free) {
            return null;
        }
        $span = static fn (Channel $channel): float => max(
            0.0, Statistics::span(array_slice($channel->value, $from, $nodes + 1)) - 2 * $channel->sigma,
        );
        $moved = max($span($take->grid->heading) / $take->lens->horizontal, $span($take->grid->tilt) / $take->lens->vertical());

        return Metric::of('unrest', Fact::of('metric.unrest'), 100 * $moved, Quantity::percent(...), MetricScale::FrameMax, 'frame');
    }
}
