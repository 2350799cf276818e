<?php

declare(strict_types=1);

namespace Larkspur\Controls;

/**
 * How one axis answers a full press and its release: a first-order lag whose change of rate is held within limits,
 *
 *     v' = (u - v) / lag,  at most `accelerate` while speed is gained and `brake` while it is lost,
 *
 * in closed form: a straight ramp while the lag asks for more than the limit gives, then an exponential (elementary
 * mechanics, and any control text: K. Ogata, Modern Control Engineering). The same law as Flight\Aircraft steps.
 * One unit throughout: m/s, m/s2 and m, or rad/s, rad/s2 and rad.
 */
final readonly class Response
{
    /** A rate has arrived when it is within this share of the whole: three time constants of a plain lag. */
    public const ARRIVED = 0.05;

    /**
     * @param  float  $top  rate that full travel asks for, above 0
     * @param  float  $accelerate  greatest gain of rate in a second; INF where nothing limits it
     * @param  float  $brake  greatest loss of rate in a second
     * @param  float  $lag  time constant, s, 0 or more
     */
    public function __construct(public float $top, public float $accelerate, public float $brake, public float $lag)
    {
    }

    /** Rate $t seconds after a press from rest. */
    public function pressed(float $t): float
    {
        return $this->top - $this->left($t, $this->accelerate);
    }

    /** Way covered $t seconds after a press from rest. */
    public function pressedWay(float $t): float
    {
        return $t <= 0 ? 0.0 : $this->top * $t - $this->leftWay($t, $this->accelerate);
    }

    /** Rate $t seconds after the release from the full rate. */
    public function released(float $t): float
    {
        return $this->left($t, $this->brake);
    }

    /** Way covered $t seconds after the release. */
    public function releasedWay(float $t): float
    {
        return $t <= 0 ? $this->top * $t : $this->leftWay($t, $this->brake);
    }

    /** Seconds until 95 % of the full rate is there. */
    public function startSeconds(): float
    {
        return $this->seconds($this->accelerate);
    }

    /** Seconds from the release until 5 % is left. */
    public function stopSeconds(): float
    {
        return $this->seconds($this->brake);
    }

    /** Way from the release to rest: v^2 / 2b + b lag^2 / 2 where the brake limits, v lag where it does not. */
    public function stopWay(): float
    {
        $b = $this->brake;

        // Nothing limits it: the lag alone, however short, leads to rest.
        return is_infinite($b) || $b * $this->lag >= $this->top
            ? $this->top * $this->lag
            : $this->top ** 2 / (2 * $b) + $b * $this->lag ** 2 / 2;
    }

    /** What is left of the change after $t seconds. */
    private function left(float $t, float $most): float
    {
        if ($t <= 0) {
            return $this->top;
        }
        $knee = $this->knee($most);
        if ($t <= $knee) {
            return $this->top - $most * $t;
        }

        return $this->lag <= 0 ? 0.0 : $this->tail($most) * exp(-($t - $knee) / $this->lag);
    }

    /** Integral of what is left, from 0 to $t. */
    private function leftWay(float $t, float $most): float
    {
        $knee = $this->knee($most);
        $ramp = min($t, $knee);
        $way = $ramp > 0 ? $this->top * $ramp - $most * $ramp ** 2 / 2 : 0.0;

        return $t <= $knee || $this->lag <= 0
            ? $way
            : $way + $this->tail($most) * $this->lag * (1 - exp(-($t - $knee) / $this->lag));
    }

    private function seconds(float $most): float
    {
        $rest = self::ARRIVED * $this->top;
        $tail = $this->tail($most);

        return $tail <= $rest ? ($this->top - $rest) / $most : $this->knee($most) + $this->lag * log($tail / $rest);
    }

    /** Rate from which the lag alone leads to rest. */
    private function tail(float $most): float
    {
        return is_infinite($most) ? ($this->lag > 0 ? $this->top : 0.0) : min($this->top, $most * $this->lag);
    }

    /** When the limit lets go and the lag takes over. */
    private function knee(float $most): float
    {
        return is_finite($most) ? max(0.0, $this->top / $most - $this->lag) : 0.0;
    }
}
