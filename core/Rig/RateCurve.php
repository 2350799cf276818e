<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Refusal;

/**
 * The convention of rates: the slope about the centre and the rate at full stick, in the same unit.
 * y = (1 - s) x / (1 - s |x|) with 1 - s = centre / end: a hyperbola through both (derived; 0 <= s < 1).
 */
final readonly class RateCurve implements ResponseCurve
{
    private float $bend;

    /**
     * @param  float  $centre  rate per full travel about the centre, above 0
     * @param  float  $end  rate at full stick, at least $centre and at most 20 times it
     */
    public function __construct(public float $centre, public float $end)
    {
        if (! ($centre > 0 && $end >= $centre && $end <= 20 * $centre)) {
            throw new Refusal(Fact::of('rate-curve.rate-full-stick-must'), 'end', Fact::of('rate-curve.centre-end-20-centre'));
        }
        $this->bend = 1 - $centre / $end;
    }

    /** The curve through a point between rest and full travel that ends at $end, held within what the numbers may be. */
    public static function through(float $travel, float $output, float $end): self
    {
        $bend = ($travel - $output) / ($travel * (1 - $output));

        return new self($end * max(0.05, min(1.0, 1 - $bend)), $end);
    }

    public function output(float $travel): float
    {
        $x = max(-1.0, min(1.0, $travel));

        return (1 - $this->bend) * $x / (1 - $this->bend * abs($x));
    }

    public function travel(float $output): float
    {
        $y = max(-1.0, min(1.0, $output));

        return $y / (1 - $this->bend + $this->bend * abs($y));
    }

    public function toArray(): array
    {
        return ['kind' => 'rates', 'centre' => $this->centre, 'end' => $this->end];
    }
}
