<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Refusal;

/**
 * Exposure as a camera is set: EV = log2(N^2 / t), and the EV at ISO 100 that it exposes rightly: EV - log2(S / 100)
 * (ISO 2720, APEX of ANSI PH2.12; from memory).
 */
final readonly class Exposure
{
    public function __construct(public float $aperture, public Shutter $shutter, public float $iso)
    {
        if (! ($aperture > 0) || ! ($iso > 0)) {
            throw new Refusal(
                Fact::of('exposure.aperture-iso-above-0'), $aperture > 0 ? 'iso' : 'aperture', Fact::of('exposure.number-above-0'),
            );
        }
    }

    public function value(): float
    {
        return log($this->aperture ** 2 / $this->shutter->seconds, 2);
    }

    /** The EV at ISO 100 of the scene that comes out right. */
    public function scene(): float
    {
        return $this->value() - log($this->iso / 100, 2);
    }

    /** Stops of filter that a scene of a given EV at ISO 100 needs before it; negative where it is too dark without any. */
    public function filterFor(float $sceneValue): float
    {
        return $sceneValue - $this->scene();
    }
}
