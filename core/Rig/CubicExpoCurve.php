<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Refusal;

/**
 * The convention in which 0 is straight and larger is softer: y = (1 - e) x + e x^3.
 * Common practice in radio control, no published standard. Rises all the way for -0.5 <= e <= 1.
 */
final readonly class CubicExpoCurve implements ResponseCurve
{
    public function __construct(public float $expo)
    {
        if (! ($expo >= -0.5 && $expo <= 1.0)) {
            throw new Refusal(Fact::of('cubic-expo-curve.number-curve-would-fall'), 'value', Fact::of('cubic-expo-curve.number-0-5-1'));
        }
    }

    /** The curve through a point between rest and full travel, held within what the number may be. */
    public static function through(float $travel, float $output): self
    {
        return new self(max(-0.5, min(1.0, ($travel - $output) / ($travel - $travel ** 3))));
    }

    public function output(float $travel): float
    {
        $x = max(-1.0, min(1.0, $travel));

        return (1 - $this->expo) * $x + $this->expo * $x ** 3;
    }

    public function travel(float $output): float
    {
        $e = $this->expo;
        $y = min(1.0, abs($output));
        if ($e > 0 && $e < 1) {
            // Depressed cubic x^3 + p x + q = 0 with one real root, by the hyperbolic sine.
            $p = (1 - $e) / $e;
            $root = 2 * sqrt($p / 3);
            $x = $root * sinh(asinh(1.5 * ($y / $e) / $p * sqrt(3 / $p)) / 3);
        } elseif ($e >= 1) {
            $x = $y ** (1 / 3);
        } else {
            $x = $y;
            for ($i = 0; $i < 60; $i++) {
                $slope = 1 - $e + 3 * $e * $x * $x;
                if ($slope < 1e-9) {
                    break;
                }
                $x = max(0.0, min(1.0, $x - ((1 - $e) * $x + $e * $x ** 3 - $y) / $slope));
            }
        }

        return $output < 0 ? -min(1.0, $x) : min(1.0, $x);
    }

    public function toArray(): array
    {
        return ['kind' => 'soft-expo', 'value' => $this->expo];
    }
}
