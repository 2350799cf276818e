<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;

/**
 * The Beaufort scale of the wind at 10 m over open ground, by its column in metres a second, which the words of the scale go
 * by (WMO-No. 8 and No. 306, table of the scale; from memory). Its column in knots disagrees at 16 and 21 knots.
 */
final class Beaufort
{
    /** Least speed of each force, m/s, from force 0. */
    private const FROM = [0.0, 0.3, 1.6, 3.4, 5.5, 8.0, 10.8, 13.9, 17.2, 20.8, 24.5, 28.5, 32.7];

    /** @param  float  $mean  m/s at 10 m */
    public static function force(float $mean): int
    {
        $force = 0;
        foreach (self::FROM as $number => $from) {
            if ($mean >= $from) {
                $force = $number;
            }
        }

        return $force;
    }

    /** @param  float  $mean  m/s at 10 m */
    public static function words(float $mean): Fact
    {
        return Fact::of('beaufort.'.self::force($mean));
    }
}
