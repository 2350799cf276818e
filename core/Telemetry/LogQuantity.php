<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/**
 * Column names under which a log may state a quantity, with the factor to the contract's unit.
 *
 * The unit is part of the name; a name without a unit is never guessed at. Factors are exact by definition
 * (international foot and mile of 1959, NIST SP 811 appendix B).
 */
final class LogQuantity
{
    private const DEGREES_PER_RADIAN = 180 / M_PI;

    /** @var array<string, array<string, float>> contract name to accepted name and factor */
    public const NAMES = [
        't' => ['t' => 1.0, 't_s' => 1.0, 'time_s' => 1.0, 't_ms' => 0.001, 'time_ms' => 0.001],
        'lat' => ['lat' => 1.0, 'latitude' => 1.0, 'lat_deg' => 1.0],
        'lon' => ['lon' => 1.0, 'longitude' => 1.0, 'lon_deg' => 1.0],
        'alt_m' => ['alt_m' => 1.0, 'altitude_m' => 1.0, 'alt_ft' => 0.3048, 'altitude_ft' => 0.3048],
        'heading_deg' => ['heading_deg' => 1.0, 'heading_rad' => self::DEGREES_PER_RADIAN],
        'gimbal_tilt_deg' => ['gimbal_tilt_deg' => 1.0, 'tilt_deg' => 1.0, 'gimbal_tilt_rad' => self::DEGREES_PER_RADIAN],
        'speed_mps' => ['speed_mps' => 1.0, 'speed_kmh' => 1 / 3.6, 'speed_mph' => 0.44704, 'speed_kn' => 1852 / 3600],
        'climb_mps' => ['climb_mps' => 1.0, 'climb_fpm' => 0.00508],
        'gimbal_roll_deg' => ['gimbal_roll_deg' => 1.0, 'gimbal_roll_rad' => self::DEGREES_PER_RADIAN],
        'zoom' => ['zoom' => 1.0],
        'automated' => ['automated' => 1.0],
        'recording' => ['recording' => 1.0],
        'wind_mps' => ['wind_mps' => 1.0, 'wind_kmh' => 1 / 3.6, 'wind_kn' => 1852 / 3600, 'wind_mph' => 0.44704],
        'wind_from_deg' => ['wind_from_deg' => 1.0],
        'stick_climb' => ['stick_climb' => 1.0],
        'stick_turn' => ['stick_turn' => 1.0],
        'stick_run' => ['stick_run' => 1.0],
        'stick_slide' => ['stick_slide' => 1.0],
        'stick_tilt' => ['stick_tilt' => 1.0],
        'subject_lat' => ['subject_lat' => 1.0],
        'subject_lon' => ['subject_lon' => 1.0],
        'subject_alt_m' => ['subject_alt_m' => 1.0, 'subject_alt_ft' => 0.3048],
    ];

    /**
     * @var array<string, array{float, float}> contract name to least and most; what is out of that is told by the phrase
     * quantity.range.<name>
     */
    public const RANGES = [
        't' => [-1e9, 1e10],
        'lat' => [-90.0, 90.0],
        'lon' => [-180.0, 180.0],
        'alt_m' => [-1000.0, 12000.0],
        'heading_deg' => [-720.0, 720.0],
        'gimbal_tilt_deg' => [-135.0, 135.0],
    ];

    /**
     * The contract name and factor of a column header; null where the name is unknown.
     *
     * @return ?array{string, float}
     */
    public static function of(string $header): ?array
    {
        $header = strtolower(trim($header));
        foreach (self::NAMES as $name => $accepted) {
            if (isset($accepted[$header])) {
                return [$name, $accepted[$header]];
            }
        }

        return null;
    }

    /** Known names nearest to a wanted one that is missing, to be offered in the message. */
    public static function accepted(string $name): string
    {
        return implode(' or ', array_keys(self::NAMES[$name] ?? [$name => 1.0]));
    }
}
