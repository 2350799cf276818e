<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/** Wrapping and unwrapping of angles. Inside core/ angles are radians; the degree forms serve logs and displays. */
final class Angle
{
    public const DEGREE = M_PI / 180;

    /** The same direction within (-pi, pi]. */
    public static function wrap(float $radians): float
    {
        $wrapped = fmod($radians, 2 * M_PI);
        if ($wrapped > M_PI) {
            return $wrapped - 2 * M_PI;
        }

        return $wrapped <= -M_PI ? $wrapped + 2 * M_PI : $wrapped;
    }

    /** The same direction within [0, 2 pi). */
    public static function turn(float $radians): float
    {
        $wrapped = fmod($radians, 2 * M_PI);
        $wrapped = $wrapped < 0 ? $wrapped + 2 * M_PI : $wrapped;

        return $wrapped >= 2 * M_PI ? 0.0 : $wrapped;
    }

    /** The same bearing within [0, 360) degrees. */
    public static function bearing(float $radians): float
    {
        $degrees = self::turn($radians) / self::DEGREE;

        return $degrees >= 360.0 ? 0.0 : $degrees;
    }

    /**
     * Removes the jumps of a wrapped series, so that successive values differ by at most half a turn.
     *
     * @param  list<float>  $angles  in any unit
     * @param  float  $turn  a whole turn in that unit
     * @return list<float>
     */
    public static function unwrap(array $angles, float $turn = 2 * M_PI): array
    {
        $out = [];
        $offset = 0.0;
        $previous = $angles[0] ?? 0.0;
        foreach ($angles as $angle) {
            $offset -= $turn * round(($angle - $previous) / $turn);
            $out[] = $angle + $offset;
            $previous = $angle;
        }

        return $out;
    }
}
