<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;

/** What the numbers of one finger do in one flight mode. Rates in m/s or rad/s, picture widths a second for one unit of them. */
final readonly class FingerEffect
{
    public function __construct(public Finger $finger, private SettingsEffect $effect, public ModeTune $mode)
    {
    }

    public function thumb(): Fact
    {
        return $this->effect->hands->mode->thumb($this->finger);
    }

    /** Greatest rate that may be set. */
    public function ceiling(): float
    {
        return $this->effect->craft->ceiling($this->mode->name, $this->finger);
    }

    /** Picture widths a second for one unit of rate. */
    public function widths(): float
    {
        return SettingsEffect::widths($this->finger, $this->effect->lens, $this->effect->distance);
    }

    /** What the finest dependable nudge about half stick changes the rate by. */
    public function nudge(): float
    {
        $nudge = $this->effect->hands->nudge();

        return $this->mode->asked($this->finger, 0.5 + $nudge / 2) - $this->mode->asked($this->finger, 0.5 - $nudge / 2);
    }

    /** Rate by which half stick may differ from half and still feel straight, share of the top rate (our judgement). */
    private const STRAIGHT = 0.02;

    /** Whether the curve is soft, straight or sharp about the middle, and what that leaves of the whole: full stick keeps the full rate. */
    public function feel(): Fact
    {
        $top = $this->mode->top($this->finger);
        $half = $this->mode->asked($this->finger, 0.5);
        $which = match (true) {
            $half < (0.5 - self::STRAIGHT) * $top => 'soft',
            $half > (0.5 + self::STRAIGHT) * $top => 'sharp',
            default => 'straight',
        };

        return $which === 'straight' ? Fact::of('curve.feel.straight', full: $this->finger->rate($top)) : Fact::of(
            "curve.feel.$which", half: $this->finger->rate($half), straight: $this->finger->rate($top / 2), full: $this->finger->rate($top),
        );
    }

    /** Seconds for so much of a turn or a tilt at the full rate, rad. */
    public function secondsFor(float $angle): float
    {
        return $angle / $this->mode->top($this->finger);
    }

    /** Top rate in the number that the craft's own screens show, of a finger that rotates. */
    public function ownRate(): float
    {
        return $this->mode->top($this->finger) / Angle::DEGREE * $this->effect->craft->rateUnit;
    }

    /** @return array{float, float} the craft's own numbers for 1 deg/s and for a cushion of 1 s */
    public function ownUnits(): array
    {
        return [$this->effect->craft->rateUnit, $this->effect->craft->cushionUnit];
    }

    public function ownCushion(): float
    {
        return $this->mode->cushion($this->finger) * $this->effect->craft->cushionUnit;
    }
}
