<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Axis;
use Larkspur\Move\Crossing;
use Larkspur\Move\Role;
use Larkspur\Move\Wanted;

/** Every figure that a take is judged by, measured once (docs/scoring.md, section 4). */
final readonly class Measured
{
    /** Seconds to cross the frame where nothing is meant to: neither hurried nor slow. */
    private const AT_REST = 20.0;

    /**
     * @param  array<value-of<Axis>, Corrected>  $evenness  share of the held rate
     * @param  Corrected  $path  % of the viewing distance
     * @param  float  $drift  %
     * @param  ?Corrected  $altitude  % of the viewing distance; null where the move climbs
     * @param  Corrected  $disturbance  shake of the picture that its eases don't explain, %/s
     * @param  float  $pace  seconds that a point takes to cross the frame
     * @param  float  $completion  flown over planned; 1 where nothing was planned
     * @param  float  $radius  mean radius of a round path, m; 0 of any other
     * @param  float  $extent  flown: degrees of arc, or metres
     * @param  ?FigureMeasure  $figure  of a drill: how far it lies off its figure
     */
    private function __construct(
        public Take $take,
        public array $evenness,
        public Eases $eases,
        public Corrected $path,
        public float $drift,
        public ?Corrected $altitude,
        public Framing $framing,
        public Shake $shake,
        public Corrected $disturbance,
        public CrossTalk $cross,
        public float $pace,
        public float $completion,
        public float $radius,
        public float $extent,
        public ?FigureMeasure $figure = null,
    ) {
    }

    /**
     * @param  ?Sticks  $sticks  what the fingers did, where the log has it
     */
    public static function of(Take $take, Wanted $wanted, ?Sticks $sticks = null, ?FigureMeasure $figure = null): self
    {
        $eases = Eases::of($take, $wanted->lead, $sticks);
        $shake = Shake::of($take);
        $stray = $take->path->stray($take->main);
        $extent = $take->path->extent($take->main);
        $primary = $take->judging->primary();

        return new self(
            $take,
            Evenness::of($take, $wanted),
            $eases,
            $stray['wander']->times(100 / $take->viewing),
            100 * $stray['drift'] / ($stray['over'] ?? $take->viewing),
            $take->judging->role(Axis::Climb) === Role::Still ? self::altitude($take) : null,
            Framing::of($take, $wanted),
            $shake,
            $shake->image->less(EaseShare::of($take, $eases, $shake)),
            CrossTalk::of($take),
            $primary === null ? self::AT_REST : self::pace($take),
            $wanted->extent === null ? 1.0 : $extent / $wanted->extent,
            $take->path instanceof CirclePath ? $take->path->meanRadius($take->main) : 0.0,
            $extent,
            $figure,
        );
    }

    /** Seconds in which what is seen crosses the frame. */
    private static function pace(Take $take): float
    {
        $rate = max(0.01, abs($take->main->rate));
        $width = 2 * $take->viewing * $take->lens->halfWidth;

        return match ($take->judging->crossing) {
            Crossing::Turn => $take->hfov() / max(0.01, $take->held(Axis::Turn)),
            Crossing::Tilt => $take->vfov() / max(0.01, $take->held(Axis::Tilt)),
            Crossing::Sideways => $width / $rate / ($take->judging->straightDown ? 1.0 : max(0.2, $take->crab())),
            Crossing::Upright => 2 * $take->viewing * $take->lens->halfHeight / $rate,
            Crossing::Ahead => $take->viewing / $rate + 2,
        };
    }

    /** Spread of the height about its mean, less noise and the slow walk of a satellite height. */
    private static function altitude(Take $take): Corrected
    {
        $noise = $take->grid->z->sigma * Statistics::mean($take->hold($take->grid->z->g0));

        return Corrected::value(Statistics::variance($take->moving($take->grid->z->value)), $noise ** 2 + 0.15 ** 2)->times(100 / $take->viewing);
    }

    /** Median tilt over the hold, rad. */
    public function tilt(): float
    {
        return Statistics::median($this->take->hold($this->take->grid->tilt->value)) * Angle::DEGREE;
    }
}
