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

    /** Top rate in the number that the craft's own screens show, of a finger that rotates. */
    public function ownRate(): float
    {
        return $this->mode->top($this->finger) / Angle::DEGREE * $this->effect->craft->rateUnit;
    }

    public function ownCushion(): float
    {
        return $this->mode->cushion($this->finger) * $this->effect->craft->cushionUnit;
    }
}
