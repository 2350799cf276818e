<?php

declare(strict_types=1);

namespace Documents;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Dimension;
use Larkspur\Measure\Quantity;

/** Quantities as the API has them: metric, degrees and percent, whatever a reader is told. */
final class Units
{
    public static function value(Quantity $quantity): float
    {
        return $quantity->value * match ($quantity->dimension) {
            Dimension::Angle, Dimension::AngularRate, Dimension::AngularAcceleration => 1 / Angle::DEGREE,
            Dimension::Share, Dimension::SharePerSecond => 100.0,
            default => 1.0,
        };
    }

    public static function name(Quantity $quantity): string
    {
        return match ($quantity->dimension) {
            Dimension::Angle => 'deg',
            Dimension::AngularRate => 'deg/s',
            Dimension::AngularAcceleration => 'deg/s2',
            Dimension::Share => '%',
            Dimension::SharePerSecond => '%/s',
            Dimension::Moment => 's',
            Dimension::Number => '',
            default => $quantity->dimension->value,
        };
    }
}
