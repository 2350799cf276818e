<?php

declare(strict_types=1);

namespace Demo;

use Larkspur\Rig\Craft;

/** The three invented craft of the Skerrow Field School as they leave their boxes, in the form of docs/formats.md, "Rig". */
final class Rigs
{
    /** @return array<string, array<string, mixed>> by short name */
    public static function all(): array
    {
        return [
            'lapwing' => self::rig('Lapwing 250', 0.34, 10.5, 0.42, ['low' => -90, 'high' => 25], 26, 'half-stick', [
                'slow' => [
                    3.4, 3.1, 1.5, 1.3, 24, [1.6, 1.9], 1.4, 60, [0.45, 0.35, 0.22], [9, 0.9],
                    ['climb' => 0.41, 'turn' => 0.38, 'run' => 0.44, 'slide' => 0.43, 'tilt' => 0.46],
                ],
                'standard' => [
                    9.2, 8.3, 3.6, 2.8, 58, [3.2, 3.8], 2.6, 130, [0.38, 0.3, 0.18], [22, 0.6],
                    ['climb' => 0.39, 'turn' => 0.33, 'run' => 0.4, 'slide' => 0.41, 'tilt' => 0.44],
                ],
                'fast' => [
                    15.8, 14.6, 5.2, 3.7, 96, [5.1, 5.8], 4.1, 240, [0.3, 0.24, 0.14], [38, 0.4],
                    ['climb' => 0.47, 'turn' => 0.43, 'run' => 0.48, 'slide' => 0.48, 'tilt' => 0.47],
                ],
            ], ['hfov_deg' => 71.6, 'aspect' => 16 / 9]),
            'curlew' => self::rig('Curlew 900', 0.62, 12.5, 0.24, ['low' => -110, 'high' => 32], 34, 'soft-expo', [
                'slow' => [
                    4.1, 3.8, 1.9, 1.6, 19, [1.3, 1.5], 1.1, 45, [0.62, 0.48, 0.3], [7, 1.2],
                    ['climb' => 0.34, 'turn' => 0.46, 'run' => 0.28, 'slide' => 0.32, 'tilt' => 0.36],
                ],
                'standard' => [
                    11.4, 10.6, 4.4, 3.3, 47, [2.7, 3.1], 2.2, 105, [0.52, 0.41, 0.25], [18, 0.8],
                    ['climb' => 0.31, 'turn' => 0.52, 'run' => 0.33, 'slide' => 0.36, 'tilt' => 0.41],
                ],
                'fast' => [
                    18.9, 17.2, 6.3, 4.6, 82, [4.4, 4.9], 3.4, 190, [0.42, 0.33, 0.19], [29, 0.55],
                    ['climb' => 0.18, 'turn' => 0.26, 'run' => 0.14, 'slide' => 0.17, 'tilt' => 0.23],
                ],
            ], ['hfov_deg' => 43.2, 'aspect' => 16 / 9]),
            'wren' => self::rig('Wren Duct 3', 0.19, 5.5, 0.68, ['low' => -35, 'high' => 40], 6, 'rates', [
                'slow' => [
                    1.9, 1.7, 1.1, 0.9, 52, [2.4, 2.1], 2.2, 190, [0.21, 0.17, 0.11], [16, 0.3],
                    ['climb' => 0.6, 'turn' => 0.45, 'run' => 0.55, 'slide' => 0.55, 'tilt' => 0.7],
                ],
                'standard' => [
                    4.6, 4.2, 2.3, 1.9, 118, [4.3, 3.9], 3.7, 420, [0.17, 0.14, 0.09], [27, 0.22],
                    ['climb' => 0.62, 'turn' => 0.42, 'run' => 0.58, 'slide' => 0.58, 'tilt' => 0.72],
                ],
                'fast' => [
                    8.8, 7.9, 3.9, 3.1, 210, [7.4, 6.6], 6.1, 760, [0.13, 0.11, 0.07], [41, 0.15],
                    ['climb' => 0.7, 'turn' => 0.5, 'run' => 0.66, 'slide' => 0.66, 'tilt' => 0.76],
                ],
            ], ['hfov_deg' => 92.4, 'aspect' => 16 / 9], ['hover' => 0.43, 'limit' => 0.85, 'soft' => 0.45, 'self_levelling' => true,
                'camera_deg' => 14, 'coast_s' => 1.7]),
        ];
    }

    /**
     * The craft themselves, in the form of docs/formats.md, "Craft": what each can do, and how its own screens state it.
     *
     * @return array<string, array<string, mixed>> by the same short names
     */
    public static function crafts(): array
    {
        $facts = [
            'lapwing' => [
                'camera', 0.58, 'half-stick', 46, 110, [1.4, 21], [9.664, 7.25], [6.7], [25, 50], [[3840, 2160], [1920, 1080]], [2.6],
            ],
            'curlew' => [
                'camera', 1.46, 'soft-expo', 36, 92, [0.8, 14], [17.42, 13.06], [22.0, 34.0], [24, 25, 50], [[5120, 2880], [3840, 2160]],
                [2.4, 3.4, 4.8, 6.8, 9.5],
            ],
            'wren' => ['ducted', 0.31, 'rates', 48, 230, [1.0, 10], [6.05, 4.54], [2.9], [50, 100], [[2560, 1440]], [2.2]],
        ];
        $crafts = [];
        foreach (self::all() as $name => $rig) {
            [$kind, $mass, $convention, $gimbal, $turn, $units, $sensor, $focals, $rates, $resolutions, $apertures] = $facts[$name];
            unset($rig['camera']);
            $crafts[$name] = [
                'schema' => Craft::SCHEMA, 'kind' => $kind, 'mass_kg' => $mass, 'convention' => $convention, 'gimbal_top_dps' => $gimbal,
                'turn_top_dps' => $turn,
                'gimbal_units' => ['rate_per_dps' => $units[0], 'cushion_per_s' => $units[1]],
                'camera' => [
                    'sensor_mm' => ['width' => $sensor[0], 'height' => $sensor[1]], 'focal_mm' => $focals, 'frame_rates' => $rates,
                    'resolutions' => $resolutions, 'apertures' => $apertures,
                ],
                'stock' => $rig,
            ];
        }

        return $crafts;
    }

    /**
     * @param  array{low: int, high: int}  $tilt
     * @param array<string, array{
     *     float, float, float, float, float, array{float, float}, float, float, array{float, float, float}, array{float, float},
     *     array<string, float>,
     * }> $modes  run, slide, climb, sink, turn; accelerate and brake; climb and turn acceleration; lags; gimbal; curve numbers
     * @param  array{hfov_deg: float, aspect: float}  $camera
     * @param  ?array<string, float|int|bool>  $ducted
     * @return array<string, mixed>
     */
    private static function rig(
        string $craft, float $width, float $wind, float $gust, array $tilt, float $battery, string $convention, array $modes, array $camera,
        ?array $ducted = null,
    ): array {
        $tunes = [];
        foreach ($modes as $name => $numbers) {
            [$run, $slide, $climb, $sink, $turn] = $numbers;
            [$accelerate, $brake] = $numbers[5];
            [$climbAccelerate, $turnAccelerate] = [$numbers[6], $numbers[7]];
            [$travelLag, $climbLag, $turnLag] = $numbers[8];
            [$rate, $cushion] = $numbers[9];
            $curves = $numbers[10];
            $tunes[$name] = [
                'run_mps' => $run, 'slide_mps' => $slide, 'climb_mps' => $climb, 'sink_mps' => $sink, 'turn_dps' => $turn,
                'accelerate_mps2' => $accelerate, 'brake_mps2' => $brake,
                'climb_accelerate_mps2' => $climbAccelerate, 'turn_accelerate_dps2' => $turnAccelerate,
                'lag_s' => ['travel' => $travelLag, 'climb' => $climbLag, 'turn' => $turnLag],
                'gimbal' => ['top_rate_dps' => $rate, 'cushion_s' => $cushion],
                'curves' => array_map(static fn (float $value): array => match ($convention) {
                    // A rates curve states both numbers; the demo gives them as shares of the full rate.
                    'rates' => ['kind' => 'rates', 'centre' => $value * 100, 'end' => 100.0],
                    default => ['kind' => $convention, 'value' => $value],
                }, $curves),
            ];
        }

        return [
            'craft' => $craft, 'width_m' => $width, 'wind_limit_mps' => $wind, 'gust_coupling' => $gust, 'tilt_range_deg' => $tilt,
            'battery_min' => $battery, 'modes' => $tunes, 'camera' => $camera,
            ...$ducted === null ? [] : ['ducted' => $ducted],
        ];
    }
}
