<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\Finger;
use Larkspur\Flight;
use Larkspur\Measure\Lag;
use Larkspur\Rig\ModeTune;

/**
 * A planned flight written for the fingers: what each of the five must do, moment by moment, for this craft in this
 * mode to fly it.
 *
 * The inverse of Flight\Aircraft, step for step. There the ground velocity follows what the sticks ask with a
 * first-order lag, v[k+1] = v[k] + a (u[k] - v[k]); so here u[k] = v[k] + (v[k+1] - v[k]) / a, turned into the
 * craft's own axes by its heading at k and taken back through each curve. On a curve in the path the lag must be
 * led, which shows up as a touch of run beside the slide.
 */
final readonly class ThumbSheet
{
    /**
     * @param  float  $step  s
     * @param  list<float>  $t
     * @param  array<value-of<Finger>, list<float>>  $travel  raw travel -1..1; held at the end where more is asked
     * @param  array<value-of<Finger>, list<float>>  $asked  rate asked of each axis, m/s and rad/s, before limits
     * @param  array<string, array{peak: float, at: float}>  $effort  greatest acceleration needed: 'accelerate',
     *                                                                'brake', 'climb' (m/s2) and 'turn' (rad/s2)
     */
    private function __construct(
        public float $step,
        public array $t,
        public array $travel,
        public array $asked,
        public array $effort,
    ) {
    }

    public static function write(Flight $flight, ModeTune $mode): self
    {
        $n = $flight->count();
        $step = $n > 1 ? ($flight->t[$n - 1] - $flight->t[0]) / ($n - 1) : 0.02;
        $travelShare = Lag::share($mode->travelLag, $step);
        $climbShare = Lag::share($mode->climbLag, $step);
        $turnShare = Lag::share($mode->turnLag, $step);
        $tiltShare = Lag::share($mode->lag(Finger::Tilt), $step);

        $climb = $turn = $run = $slide = $tilt = [];
        $effort = [
            'accelerate' => ['peak' => 0.0, 'at' => 0.0], 'brake' => ['peak' => 0.0, 'at' => 0.0], 'climb' => ['peak' => 0.0, 'at' => 0.0],
            'turn' => ['peak' => 0.0, 'at' => 0.0],
        ];
        $ve = $vn = $vu = $vt = $vg = 0.0;
        for ($k = 0; $k < $n; $k++) {
            $next = min($k + 1, $n - 1);
            $we = ($flight->east[$next] - $flight->east[$k]) / $step;
            $wn = ($flight->north[$next] - $flight->north[$k]) / $step;
            $wu = ($flight->up[$next] - $flight->up[$k]) / $step;
            $wt = ($flight->heading[$next] - $flight->heading[$k]) / $step;
            $wg = ($flight->tilt[$next] - $flight->tilt[$k]) / $step;

            $ue = $ve + ($we - $ve) / $travelShare;
            $un = $vn + ($wn - $vn) / $travelShare;
            $sin = sin($flight->heading[$k]);
            $cos = cos($flight->heading[$k]);
            $run[] = $ue * $sin + $un * $cos;
            $slide[] = $ue * $cos - $un * $sin;
            $climb[] = $vu + ($wu - $vu) / $climbShare;
            $turn[] = $vt + ($wt - $vt) / $turnShare;
            $tilt[] = $vg + ($wg - $vg) / $tiltShare;

            $gain = hypot($we - $ve, $wn - $vn) / $step;
            $kind = ($we - $ve) * ($ve + $we) + ($wn - $vn) * ($vn + $wn) < -1e-12 ? 'brake' : 'accelerate';
            foreach ([[$kind, $gain], ['climb', abs($wu - $vu) / $step], ['turn', abs($wt - $vt) / $step]] as [$name, $size]) {
                if ($size > $effort[$name]['peak']) {
                    $effort[$name] = ['peak' => $size, 'at' => $flight->t[$k]];
                }
            }
            [$ve, $vn, $vu, $vt, $vg] = [$we, $wn, $wu, $wt, $wg];
        }
        $asked = ['climb' => $climb, 'turn' => $turn, 'run' => $run, 'slide' => $slide, 'tilt' => $tilt];
        $travel = [];
        foreach (Finger::cases() as $finger) {
            $travel[$finger->value] = self::throughCurve($finger, $asked[$finger->value], $mode);
        }

        return new self($step, $flight->t, $travel, $asked, $effort);
    }

    /**
     * @param  list<float>  $rates
     * @return list<float>
     */
    private static function throughCurve(Finger $finger, array $rates, ModeTune $mode): array
    {
        $curve = $mode->curve($finger);
        $forward = $mode->top($finger);
        $backward = $mode->top($finger, false);
        $travel = [];
        foreach ($rates as $rate) {
            // Rates below a millionth are the dust of differencing, not an input.
            $travel[] = abs($rate) < 1e-6 ? 0.0 : $curve->travel($rate / ($rate > 0 ? $forward : $backward));
        }

        return $travel;
    }

    /** The rate of greatest size that a finger asks for, with its sign. */
    public function peakAsked(Finger $finger): float
    {
        $peak = 0.0;
        foreach ($this->asked[$finger->value] as $rate) {
            if (abs($rate) > abs($peak)) {
                $peak = $rate;
            }
        }

        return $peak;
    }

    /** Whether the craft can give every rate and every acceleration that the sheet asks for. */
    public function withinLimits(ModeTune $mode): bool
    {
        foreach (Finger::cases() as $finger) {
            $top = $mode->top($finger);
            $bottom = -$mode->top($finger, false);
            foreach ($this->asked[$finger->value] as $rate) {
                if ($rate > $top || $rate < $bottom) {
                    return false;
                }
            }
        }

        return $this->effort['accelerate']['peak'] <= $mode->accelerate && $this->effort['brake']['peak'] <= $mode->brake
            && $this->effort['climb']['peak'] <= $mode->climbAccelerate && $this->effort['turn']['peak'] <= $mode->turnAccelerate;
    }

    /** Travel of a finger at a time, s; between samples the nearest, outside the sheet rest. */
    public function at(Finger $finger, float $time): float
    {
        $index = (int) round(($time - $this->t[0]) / $this->step);

        return $this->travel[$finger->value][$index] ?? 0.0;
    }
}
