<?php

declare(strict_types=1);

namespace Larkspur\Site;

/**
 * The Beaufort scale of the wind at 10 m over open ground, by its column in metres a second, which the words of the scale go
 * by (WMO-No. 8 and No. 306, table of the scale; from memory). Its column in knots disagrees at 16 and 21 knots.
 */
final class Beaufort
{
    /** @var array<string, float> least speed of each force, m/s, from force 0 */
    private const FROM = [
        'calm' => 0.0, 'light air' => 0.3, 'light breeze' => 1.6, 'gentle breeze' => 3.4, 'moderate breeze' => 5.5, 'fresh breeze' => 8.0, 'strong breeze' => 10.8,
        'near gale' => 13.9, 'gale' => 17.2, 'strong gale' => 20.8, 'storm' => 24.5, 'violent storm' => 28.5, 'hurricane' => 32.7,
    ];

    /** @param  float  $mean  m/s at 10 m */
    public static function force(float $mean): int
    {
        $force = 0;
        foreach (array_values(self::FROM) as $number => $from) {
            if ($mean >= $from) {
                $force = $number;
            }
        }

        return $force;
    }

    /** @param  float  $mean  m/s at 10 m */
    public static function words(float $mean): string
    {
        return array_keys(self::FROM)[self::force($mean)];
    }
}
