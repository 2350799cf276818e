<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/** First-order response y' = (u - y) / tau, stepped exactly: y += (1 - exp(-dt / tau)) (u - y). */
final class Lag
{
    /** Share of the remaining difference that is covered in one step; 1 where there is no lag. */
    public static function share(float $timeConstant, float $step): float
    {
        return $timeConstant <= 0 || $step <= 0 ? 1.0 : 1 - exp(-$step / $timeConstant);
    }
}
