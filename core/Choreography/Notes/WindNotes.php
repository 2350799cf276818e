<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Choreography\Plan;
use Larkspur\Choreography\SiteChecks;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Move\MovePlan;

/**
 * Whether a move can be held in the wind at its height: head and cross components along the way, the air speed that its ground speed takes
 * up- and downwind, and how much of the craft's pace is left for gusts.
 */
final readonly class WindNotes
{
    /**
     * @param  float  $head  strongest headwind along the way, m/s; negative where it is tail wind throughout
     * @param  float  $cross  strongest crosswind, m/s
     * @param  float  $share  mean share of the wind that comes across the way, 0 to 1
     * @param  float  $upwind  most air speed that the way takes, m/s
     * @param  float  $downwind  least, m/s
     * @param  float  $top  what the mode gives, m/s
     * @param  float  $worstCourse  on which the most is taken, degrees
     */
    private function __construct(
        public float $mean,
        public float $gust,
        public float $head,
        public float $cross,
        public float $share,
        public float $upwind,
        public float $downwind,
        public float $top,
        public float $rated,
        private float $height,
        private float $worstCourse,
        public bool $holdsRadius,
        private bool $isRound,
        private bool $nosesDown,
    ) {
    }

    public static function of(Plan $plan): self
    {
        $flight = $plan->move->flight;
        $wind = $plan->shot->wind;
        [$head, $cross, $shares, $samples] = [-INF, 0.0, 0.0, 0];
        [$upwind, $downwind, $worst, $highest] = [0.0, INF, 0.0, 0.0];
        for ($i = 10, $n = $flight->count(); $i < $n; $i += 10) {
            $way = $flight->position($i)->minus($flight->position($i - 10));
            $speed = $way->ground() / (10 * MovePlan::STEP);
            $height = max(1.0, $flight->up[$i] - SiteChecks::ground($plan->shot, $plan->move, $flight->position($i)));
            $highest = max($highest, $height);
            if ($speed < 0.2) {
                continue;
            }
            $mean = $wind->meanAt($height);
            $off = $wind->from - $way->bearing();
            [$h, $c] = [$mean * cos($off), $mean * sin($off)];
            $head = max($head, $h);
            $cross = max($cross, abs($c));
            $shares += $mean > 0 ? abs(sin($off)) : 0.0;
            $samples++;
            $air = hypot($speed + $h, $c);
            if ($air > $upwind) {
                [$upwind, $worst] = [$air, Angle::bearing($way->bearing())];
            }
            $downwind = min($downwind, $air);
        }
        $mode = $plan->shot->tune();
        $top = min($mode->run, $mode->slide);
        $gust = $wind->gustAt($highest);
        $more = max(0.0, $gust - $wind->meanAt($highest));

        return new self(
            $wind->meanAt($highest), $gust, $samples === 0 ? 0.0 : $head, $cross, $samples === 0 ? 0.0 : $shares / $samples, $upwind,
            is_finite($downwind) ? $downwind : 0.0,
            $top, $plan->shot->rig->windLimit, $highest, $worst, $upwind + $more <= max($mode->run, $mode->slide),
            $plan->move->intent->number('radius_m') !== null,
            $plan->shot->mode === 'fast' && $upwind > 0.7 * $mode->run,
        );
    }

    /** @return list<Fact> */
    public function sentences(): array
    {
        if ($this->mean <= 0) {
            return [Fact::of('wind-notes.planned-still-air-set')];
        }
        $out = [
            Fact::of(
                'wind-notes.gusts-craft-rated', mean: Quantity::metresPerSecond($this->mean), height: Quantity::metres($this->height),
                gust: Quantity::metresPerSecond($this->gust), rated: Quantity::metresPerSecond($this->rated),
            ),
            Fact::of(
                'wind-notes.comes-across-way-average', share: Quantity::share($this->share), cross: Quantity::metresPerSecond($this->cross),
            ),
            Fact::of(
                'wind-notes.ground-speed-takes-through', upwind: Quantity::metresPerSecond($this->upwind),
                worstCourse: Quantity::degrees($this->worstCourse), downwind: Quantity::metresPerSecond($this->downwind),
            ),
        ];
        if ($this->isRound) {
            $out[] = $this->holdsRadius ? Fact::of('wind-notes.gusts-can-hold-radius') : Fact::of('wind-notes.gusts-mode-cant-hold');
        }
        if ($this->nosesDown) {
            $out[] = Fact::of('wind-notes.fast-mode-nose-down');
        }

        return $out;
    }
}
