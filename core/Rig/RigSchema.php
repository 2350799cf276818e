<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\Finger;
use Larkspur\JsonSchema;

/**
 * The published schemas of a rig, a craft and the rig file, for other programs. The readers (Rig, Craft, RigFile) say
 * more clearly what is wrong; a test holds the two together.
 *
 * @phpstan-type Schema array<string, mixed>
 */
final class RigSchema
{
    /** @return Schema */
    public static function file(): array
    {
        return JsonSchema::document(RigFile::SCHEMA, 'A craft as somebody has set it up, with the craft itself.', [
            'schema', 'craft', 'rig',
        ], [
            'craft' => self::craftBody(), 'rig' => self::rig(), 'focal_mm' => JsonSchema::number(0.8, 600),
            'reason' => ['type' => 'string'],
        ]);
    }

    /** @return Schema */
    public static function craft(): array
    {
        $body = self::craftBody();

        return JsonSchema::document(Craft::SCHEMA, 'What a machine can do, whoever flies it.', $body['required'], $body['properties']);
    }

    /** @return array{type: string, required: list<string>, properties: Schema} */
    private static function craftBody(): array
    {
        $list = static fn (array $items): array => ['type' => 'array', 'minItems' => 1, 'items' => $items];

        return JsonSchema::group(['mass_kg', 'convention', 'camera', 'stock'], [
            'schema' => ['const' => Craft::SCHEMA], 'kind' => ['enum' => Craft::KINDS, 'default' => 'camera'],
            'mass_kg' => JsonSchema::number(0.01, 50),
            'convention' => ['enum' => CurveKinds::KINDS],
            'gimbal_top_dps' => JsonSchema::number(0.5, 500), 'turn_top_dps' => JsonSchema::number(1, 1000),
            'gimbal_units' => JsonSchema::group(
                [], ['rate_per_dps' => JsonSchema::number(0.01, 100), 'cushion_per_s' => JsonSchema::number(0.1, 1000)],
            ),
            'camera' => JsonSchema::whole([
                'sensor_mm' => JsonSchema::whole(['width' => JsonSchema::number(1, 60), 'height' => JsonSchema::number(1, 60)]),
                'focal_mm' => $list(JsonSchema::number(0.8, 600)), 'frame_rates' => $list(JsonSchema::number(1, 1000)),
                'resolutions' => $list(['type' => 'array', 'minItems' => 2, 'maxItems' => 2, 'items' => ['type' => 'number']]),
                'apertures' => $list(JsonSchema::number(0.7, 45)),
            ]),
            'stock' => self::rig(),
        ]);
    }

    /** @return Schema */
    public static function rig(): array
    {
        $curves = array_fill_keys(array_column(Finger::cases(), 'value'), JsonSchema::group(['kind'], [
            'kind' => ['enum' => CurveKinds::KINDS], 'value' => ['type' => 'number'], 'centre' => ['type' => 'number'],
            'end' => ['type' => 'number'],
            'points' => [
                'type' => 'array', 'minItems' => 2, 'maxItems' => 13,
                'items' => ['type' => 'array', 'minItems' => 2, 'maxItems' => 2, 'items' => ['type' => 'number']],
            ],
        ]));
        $numbers = [
            'run_mps' => JsonSchema::number(0.1, 60), 'slide_mps' => JsonSchema::number(0.1, 60),
            'climb_mps' => JsonSchema::number(0.1, 30), 'sink_mps' => JsonSchema::number(0.1, 30),
            'turn_dps' => JsonSchema::number(1, 1000), 'accelerate_mps2' => JsonSchema::number(0.1, 50),
            'brake_mps2' => JsonSchema::number(0.1, 50),
            'climb_accelerate_mps2' => JsonSchema::number(0.1, 50), 'turn_accelerate_dps2' => JsonSchema::number(1, 5000),
            'lag_s' => JsonSchema::whole([
                'travel' => JsonSchema::number(0, 5), 'climb' => JsonSchema::number(0, 5), 'turn' => JsonSchema::number(0, 5),
            ]),
            'gimbal' => JsonSchema::whole(['top_rate_dps' => JsonSchema::number(0.5, 500), 'cushion_s' => JsonSchema::number(0, 5)]),
            'curves' => JsonSchema::whole($curves),
        ];
        $mode = JsonSchema::group(array_keys($numbers), [...$numbers, 'obstacles' => ['enum' => ModeTune::OBSTACLES]]);

        return JsonSchema::group(['craft', 'width_m', 'wind_limit_mps', 'gust_coupling', 'tilt_range_deg', 'battery_min', 'modes'], [
            'craft' => ['type' => 'string'], 'width_m' => JsonSchema::number(0.02, 5), 'wind_limit_mps' => JsonSchema::number(0.5, 40),
            'gust_coupling' => JsonSchema::number(0, 1),
            'tilt_range_deg' => JsonSchema::whole(['low' => JsonSchema::number(-120, 0), 'high' => JsonSchema::number(0, 90)]),
            'battery_min' => JsonSchema::number(1, 120), 'modes' => JsonSchema::whole(array_fill_keys(Rig::MODES, $mode)),
            'hands' => JsonSchema::group([], [
                'stick_mode' => ['type' => 'integer', 'minimum' => 1, 'maximum' => 4], 'wheel_up' => ['enum' => ['push', 'pull']],
                'grip' => ['enum' => array_column(Grip::cases(), 'value')], 'stick_mm' => JsonSchema::number(5, 80),
                'touch' => ['enum' => array_column(Touch::cases(), 'value')],
            ]),
            'ducted' => JsonSchema::group(['hover', 'limit', 'soft', 'camera_deg'], [
                'hover' => JsonSchema::number(0.1, 0.9), 'limit' => JsonSchema::number(0.2, 1), 'soft' => JsonSchema::number(0, 1),
                'self_levelling' => ['type' => 'boolean'],
                'camera_deg' => JsonSchema::number(0, 60), 'coast_s' => JsonSchema::number(0.3, 10),
            ]),
            'gimbal' => JsonSchema::group([], [
                'upward' => ['type' => 'boolean'], 'free' => ['type' => 'boolean'], 'level_offset_deg' => JsonSchema::number(-10, 10),
            ]),
        ]);
    }
}
