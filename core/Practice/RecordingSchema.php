<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Choreography\ShotSchema;
use Larkspur\Controls\Finger;
use Larkspur\Flight\CraftModel;
use Larkspur\Flight\ResponseSheet;
use Larkspur\JsonSchema;

/** The published schema of a practice recording with its exercise, for other programs; Recording::read and Exercise::read say more. */
final class RecordingSchema
{
    /** @return array<string, mixed> */
    public static function recording(): array
    {
        $most = (int) (Exercise::LONGEST / ResponseSheet::STEP);
        $travel = [
            'type' => 'array', 'minItems' => 1, 'maxItems' => $most, 'items' => [
                'type' => 'integer', 'minimum' => -1000, 'maximum' => 1000,
            ],
        ];
        $spans = ['type' => 'array', 'items' => [
            'type' => 'array', 'minItems' => 2, 'maxItems' => 2, 'items' => ['type' => 'integer', 'minimum' => 0, 'maximum' => $most],
        ]];
        $fingers = array_map(static fn (Finger $finger): string => $finger->value, Finger::cases());

        return JsonSchema::document(
            Recording::SCHEMA, 'What the fingers did in one practice flight, with the exercise that it was of.',
            ['id', 'sheet', 'step_s', 'fingers', 'device', 'exercise'], [
                'id' => ['type' => 'string', 'pattern' => '^[0-9a-f-]{36}$'],
                'sheet' => ['type' => 'string', 'pattern' => '^[0-9a-f]{64}$'],
                'step_s' => ['const' => ResponseSheet::STEP],
                'fingers' => JsonSchema::group($fingers, array_fill_keys($fingers, $travel)),
                'recorded' => $spans, 'automated' => $spans,
                'aids' => JsonSchema::group([], array_fill_keys(Recording::AIDS, ['type' => 'boolean'])),
                'device' => JsonSchema::group(['kind'], ['kind' => ['enum' => Recording::DEVICES], 'name' => ['type' => 'string']]),
                'broken_off' => ['type' => 'boolean', 'default' => false], 'purpose' => ['type' => 'string', 'maxLength' => 200],
                'answered' => ['anyOf' => [['type' => 'null'], JsonSchema::group(['action', 'step'], [
                    'action' => ['enum' => ['descend', 'return', 'hold']], 'step' => ['type' => 'integer', 'minimum' => 0],
                ])]],
                'exercise' => self::exercise(),
            ],
        );
    }

    /** @return array<string, mixed> */
    private static function exercise(): array
    {
        $shot = ShotSchema::shot();
        /** @var array<string, mixed> $properties */
        $properties = $shot['properties'];
        unset($shot['$schema'], $shot['$id']);

        return JsonSchema::group(['shot', 'seed'], [
            'schema' => ['const' => Exercise::SCHEMA], 'kind' => [
                'enum' => Exercise::KINDS, 'default' => 'plan',
            ], 'title' => ['type' => 'string'],
            'shot' => $shot, 'seed' => ['type' => 'integer', 'minimum' => 0],
            'conditions' => JsonSchema::group([], [
                'model' => ['enum' => array_column(CraftModel::cases(), 'value'), 'default' => 'positioning'],
                'wind' => $properties['wind'],
                'draught' => JsonSchema::group(['east_m', 'north_m', 'radius_m', 'toward_deg', 'speed_mps'], [
                    'east_m' => JsonSchema::number(-5000, 5000), 'north_m' => JsonSchema::number(-5000, 5000),
                    'radius_m' => JsonSchema::number(0.2, 50), 'toward_deg' => JsonSchema::number(-360, 360),
                    'speed_mps' => JsonSchema::number(0, 10),
                ]),
                'nose_in' => ['type' => 'boolean'], 'wheel_reversed' => ['type' => 'boolean'], 'heavy' => ['type' => 'boolean'],
                'gimbal_high_deg' => JsonSchema::number(-60, 90), 'battery_min' => JsonSchema::number(0.2, 120),
                'reserve' => JsonSchema::number(0, 0.9), 'call_s' => JsonSchema::number(0, 3600), 'calls' => ['type' => 'boolean'],
                'jolt' => ['type' => 'boolean', 'default' => true], 'from_pad' => ['type' => 'boolean'],
                'loop' => JsonSchema::group(
                    ['from_s', 'to_s'], ['from_s' => JsonSchema::number(0, 3600), 'to_s' => JsonSchema::number(1, 3600)],
                ),
                'pilot' => JsonSchema::group(
                    ['east_m', 'north_m'], ['east_m' => JsonSchema::number(-500, 500), 'north_m' => JsonSchema::number(-500, 500)],
                ),
                'hidden' => JsonSchema::group([], array_fill_keys(Conditions::INSTRUMENTS, ['type' => 'boolean'])),
            ]),
        ]);
    }
}
