<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Reading;

use Larkspur\Choreography\Plan;
use Larkspur\Choreography\SiteChecks;
use Larkspur\Measure\Angle;
use Larkspur\Move\MovePlan;

/**
 * Whether a move can be held in the wind at its height: head and cross components along the way, the air speed that its ground speed takes
 * up- and downwind, and how much of the craft's pace is left for gusts.
 */
final readonly class WindReading
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
        private bool $holdsRadius,
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
            $wind->meanAt($highest), $gust, $samples === 0 ? 0.0 : $head, $cross, $samples === 0 ? 0.0 : $shares / $samples, $upwind, is_finite($downwind) ? $downwind : 0.0,
            $top, $plan->shot->rig->windLimit, $highest, $worst, $upwind + $more <= max($mode->run, $mode->slide), $plan->move->intent->number('radius_m') !== null,
            $plan->shot->mode === 'fast' && $upwind > 0.7 * $mode->run,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'mean_mps' => round($this->mean, 1), 'gust_mps' => round($this->gust, 1), 'head_mps' => round($this->head, 1), 'cross_mps' => round($this->cross, 1), 'cross_share' => round($this->share, 2),
            'upwind_mps' => round($this->upwind, 1), 'downwind_mps' => round($this->downwind, 1), 'top_mps' => round($this->top, 1), 'rated_mps' => $this->rated, 'holds' => $this->holdsRadius,
            'sentences' => $this->sentences(),
        ];
    }

    /** @return list<string> */
    private function sentences(): array
    {
        if ($this->mean <= 0) {
            return ['Planned for still air. Set the wind to see what it does.'];
        }
        $out = [
            sprintf('%.1f m/s at %.0f m, gusts of %.1f; the craft is rated for %.0f.', $this->mean, $this->height, $this->gust, $this->rated),
            sprintf('%.0f %% of it comes across the way on average, %.1f m/s at most.', 100 * $this->share, $this->cross),
            sprintf('The ground speed takes %.1f m/s through the air on its hardest stretch, toward %.0f degrees, and %.1f on its easiest.', $this->upwind, $this->worstCourse, $this->downwind),
        ];
        if ($this->isRound) {
            $out[] = $this->holdsRadius ? 'With its gusts it can hold the radius all round.' : 'In its gusts this mode can’t hold the radius on that stretch: it drifts out. Fly slower, lower, or in a faster mode.';
        }
        if ($this->nosesDown) {
            $out[] = 'Fast mode with its nose down in this wind can drive the gimbal against its stop: the horizon bumps. Watch the upper edge.';
        }

        return $out;
    }
}
