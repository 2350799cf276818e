<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

/** The least and the most that each number of a day may be: for its readers, and for the form that asks for it. */
final class DayLimits
{
    public const COUNT = [0, 60];

    public const MINUTES = [0, 240];

    /** With more than this nothing would be left to fly. */
    public const RESERVE = [0, 0.89];

    public const TEMPERATURE = [-40, 55];

    public const SWAP = [0, 60];

    public const RETURN_MARGIN = [0, 200];

    public const PASSES = [1, 20];

    /** By their place in a day. */
    public const PLACES = [
        'batteries.count' => self::COUNT, 'batteries.minutes' => self::MINUTES, 'batteries.reserve' => self::RESERVE,
        'batteries.temperature_c' => self::TEMPERATURE, 'swap_min' => self::SWAP, 'return_margin_m' => self::RETURN_MARGIN,
        'weather.mean_mps' => [0, 40], 'weather.gust_mps' => [0, 60], 'weather.from_deg' => [-360, 360],
        'shots.*.passes' => self::PASSES,
    ];
}
