<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Refusal;

/** Shutter speeds: what a frame rate wants, and the nearest that a camera has (ISO 516 nominal series; from memory). */
final readonly class Shutter
{
    /** Parts of a second of the nominal speeds by thirds of a stop. */
    private const NOMINAL = [
        1, 1.3, 1.6, 2, 2.5, 3, 4, 5, 6, 8, 10, 13, 15, 20, 25, 30, 40, 50, 60, 80, 100, 125, 160, 200, 250, 320, 400, 500, 640, 800,
        1000, 1250, 1600, 2000, 2500, 3200, 4000, 5000, 6400, 8000,
    ];

    /** @param  float  $seconds exposure of a frame */
    private function __construct(public float $seconds)
    {
    }

    public static function ofPart(float $part): self
    {
        if (! is_finite($part) || $part <= 0) {
            throw new Refusal(Fact::of('shutter.shutter-speed-part-second'), 'shutter', Fact::of('shutter.number-above-0-such'));
        }

        return new self(1 / $part);
    }

    /**
     * What a frame rate wants: angle / (360 fps). Half the frame time, 180 degrees, blurs motion as the eye is used to.
     *
     * @param  float  $degrees  shutter angle
     */
    public static function wanted(float $fps, float $degrees = 180.0): self
    {
        if (! is_finite($fps) || $fps <= 0 || $degrees <= 0 || $degrees > 360) {
            throw new Refusal(Fact::of('shutter.shutter-frame-rate'), 'fps', Fact::of('shutter.frames-second-above-0'));
        }

        return new self($degrees / 360 / $fps);
    }

    /** The nearest nominal speed, by ratio. */
    public function nearest(): self
    {
        $best = self::NOMINAL[0];
        foreach (self::NOMINAL as $part) {
            if (abs(log($part * $this->seconds)) < abs(log($best * $this->seconds))) {
                $best = $part;
            }
        }

        return new self(1 / $best);
    }

    /** How many stops longer this is than another. */
    public function stopsOver(self $other): float
    {
        return log($this->seconds / $other->seconds, 2);
    }

    /** Its angle at a frame rate, degrees. */
    public function angle(float $fps): float
    {
        return 360 * $this->seconds * $fps;
    }

    /** As cameras write it: 1/50. */
    public function words(): string
    {
        $part = 1 / $this->seconds;

        return '1/'.(abs($part - round($part)) < 0.005 ? number_format($part, 0, '.', '') : rtrim(number_format($part, 2, '.', ''), '0'));
    }
}
