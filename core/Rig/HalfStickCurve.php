<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Refusal;

/**
 * The convention in which the number is the output at half stick: 0.5 is straight, lower is softer about the
 * centre, higher is sharper. y = x^k with k = ln(p) / ln(1/2), so that y(1/2) = p (derived from that meaning;
 * check-values: y(1/4) = p^2). The same number times 100 is the whole-number form of the convention.
 */
final readonly class HalfStickCurve implements ResponseCurve
{
    private float $exponent;

    /**
     * @param  float  $halfStickOutput  0.05 to 0.95; at 1 and above the convention has no meaning
     * @param  bool  $asPercent  whether the craft shows the number times 100
     */
    public function __construct(public float $halfStickOutput, public bool $asPercent = false)
    {
        if (! ($halfStickOutput >= 0.05 && $halfStickOutput <= 0.95)) {
            throw new Refusal(
                Fact::of('half-stick-curve.number-output-half-stick'), 'value',
                $asPercent ? Fact::of('half-stick-curve.number-5-95') : Fact::of('half-stick-curve.number-0-05-0'),
            );
        }
        $this->exponent = log($halfStickOutput) / log(0.5);
    }

    /** The curve through a point between rest and full travel, held within what the number may be. */
    public static function through(float $travel, float $output, bool $asPercent = false): self
    {
        return new self(max(0.05, min(0.95, 0.5 ** (log($output) / log($travel)))), $asPercent);
    }

    public function output(float $travel): float
    {
        $size = min(1.0, abs($travel)) ** $this->exponent;

        return $travel < 0 ? -$size : $size;
    }

    public function travel(float $output): float
    {
        $size = min(1.0, abs($output)) ** (1 / $this->exponent);

        return $output < 0 ? -$size : $size;
    }

    public function toArray(): array
    {
        return $this->asPercent
            ? ['kind' => 'half-stick-percent', 'value' => 100 * $this->halfStickOutput]
            : ['kind' => 'half-stick', 'value' => $this->halfStickOutput];
    }
}
