<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** Shapes of the API about rigs that no request and no resource owns: what core/Rig gives out as it stands. */
#[OA\Schema(schema: 'RigDraft', required: ['mode'], properties: [
    new OA\Property(property: 'mode', type: 'string', enum: ['slow', 'standard', 'fast']),
    new OA\Property(property: 'settings', description: 'the saved ones where left out', ref: '#/components/schemas/RigSettings'),
    new OA\Property(property: 'drag', description: 'a point that the curve of a finger is pulled through; travel and share of the full rate', required: ['finger', 'travel', 'output'], properties: [
        new OA\Property(property: 'finger', type: 'string'), new OA\Property(property: 'travel', type: 'number'),
        new OA\Property(property: 'output', type: 'number'), new OA\Property(property: 'kind', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'cushion', description: 'seconds in which a turn or a tilt is to be there', required: [
        'finger', 'seconds',
    ], properties: [
        new OA\Property(property: 'finger', type: 'string', enum: ['turn', 'tilt']), new OA\Property(property: 'seconds', type: 'number'),
    ], type: 'object'),
    new OA\Property(property: 'focal_mm', type: 'number', nullable: true),
    new OA\Property(property: 'distance_m', description: 'from how far off a plain move is looked at', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigCurve', required: ['kind'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['half-stick', 'half-stick-percent', 'soft-expo', 'rates', 'drawn']),
    new OA\Property(property: 'value', type: 'number'), new OA\Property(property: 'centre', type: 'number'),
    new OA\Property(property: 'end', type: 'number'),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
], type: 'object')]
#[OA\Schema(schema: 'RigCurves', required: ['climb', 'turn', 'run', 'slide', 'tilt'], properties: [
    new OA\Property(property: 'climb', ref: '#/components/schemas/RigCurve'),
    new OA\Property(property: 'turn', ref: '#/components/schemas/RigCurve'),
    new OA\Property(property: 'run', ref: '#/components/schemas/RigCurve'),
    new OA\Property(property: 'slide', ref: '#/components/schemas/RigCurve'),
    new OA\Property(property: 'tilt', ref: '#/components/schemas/RigCurve'),
], type: 'object')]
#[OA\Schema(schema: 'RigLags', required: ['travel', 'climb', 'turn'], properties: [
    new OA\Property(property: 'travel', type: 'number'),
    new OA\Property(property: 'climb', type: 'number'),
    new OA\Property(property: 'turn', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigGimbal', required: ['top_rate_dps', 'cushion_s'], properties: [
    new OA\Property(property: 'top_rate_dps', type: 'number'),
    new OA\Property(property: 'cushion_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigModeSettings', required: [
    'run_mps', 'slide_mps', 'climb_mps', 'sink_mps', 'turn_dps', 'accelerate_mps2', 'brake_mps2', 'climb_accelerate_mps2',
    'turn_accelerate_dps2', 'lag_s', 'gimbal', 'curves',
], properties: [
    new OA\Property(property: 'run_mps', type: 'number'),
    new OA\Property(property: 'slide_mps', type: 'number'),
    new OA\Property(property: 'climb_mps', type: 'number'),
    new OA\Property(property: 'sink_mps', type: 'number'),
    new OA\Property(property: 'turn_dps', type: 'number'),
    new OA\Property(property: 'accelerate_mps2', type: 'number'),
    new OA\Property(property: 'brake_mps2', type: 'number'),
    new OA\Property(property: 'climb_accelerate_mps2', type: 'number'),
    new OA\Property(property: 'turn_accelerate_dps2', type: 'number'),
    new OA\Property(property: 'lag_s', ref: '#/components/schemas/RigLags'),
    new OA\Property(property: 'gimbal', ref: '#/components/schemas/RigGimbal'),
    new OA\Property(property: 'curves', ref: '#/components/schemas/RigCurves'),
    new OA\Property(property: 'obstacles', type: 'string', enum: ['stop', 'round', 'off']),
], type: 'object')]
#[OA\Schema(schema: 'RigModes', required: ['slow', 'standard', 'fast'], properties: [
    new OA\Property(property: 'slow', ref: '#/components/schemas/RigModeSettings'),
    new OA\Property(property: 'standard', ref: '#/components/schemas/RigModeSettings'),
    new OA\Property(property: 'fast', ref: '#/components/schemas/RigModeSettings'),
], type: 'object')]
#[OA\Schema(schema: 'RigHands', required: ['stick_mode', 'wheel_up', 'grip', 'stick_mm'], properties: [
    new OA\Property(property: 'stick_mode', type: 'integer'),
    new OA\Property(property: 'wheel_up', type: 'string', enum: ['push', 'pull']),
    new OA\Property(property: 'grip', type: 'string', enum: ['thumbs', 'pinch', 'one-finger']),
    new OA\Property(property: 'stick_mm', type: 'number'),
    new OA\Property(property: 'touch', type: 'string', enum: ['firm', 'feather']),
], type: 'object')]
#[OA\Schema(schema: 'RigDucted', required: ['hover', 'limit', 'soft', 'self_levelling', 'camera_deg', 'coast_s'], properties: [
    new OA\Property(property: 'hover', type: 'number'),
    new OA\Property(property: 'limit', type: 'number'),
    new OA\Property(property: 'soft', type: 'number'),
    new OA\Property(property: 'self_levelling', type: 'boolean'),
    new OA\Property(property: 'camera_deg', type: 'number'),
    new OA\Property(property: 'coast_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigSwitches', description: 'how the gimbal is switched, whatever the mode', properties: [
    new OA\Property(property: 'upward', description: 'whether it may look above the horizon', type: 'boolean'),
    new OA\Property(property: 'free', description: 'whether it rolls with the craft', type: 'boolean'),
    new OA\Property(property: 'level_offset_deg', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigSettings', description: 'what of a rig a person sets; the form of a rig in docs/formats.md', required: ['modes'], properties: [
    new OA\Property(property: 'modes', ref: '#/components/schemas/RigModes'),
    new OA\Property(property: 'hands', ref: '#/components/schemas/RigHands'),
    new OA\Property(property: 'ducted', ref: '#/components/schemas/RigDucted'),
    new OA\Property(property: 'gimbal', ref: '#/components/schemas/RigSwitches'),
], type: 'object')]
#[OA\Schema(schema: 'TiltRange', required: ['low', 'high'], properties: [
    new OA\Property(property: 'low', type: 'number'),
    new OA\Property(property: 'high', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigDocument', required: [
    'craft', 'width_m', 'wind_limit_mps', 'gust_coupling', 'tilt_range_deg', 'battery_min', 'modes',
], properties: [
    new OA\Property(property: 'craft', type: 'string'),
    new OA\Property(property: 'width_m', type: 'number'),
    new OA\Property(property: 'wind_limit_mps', type: 'number'),
    new OA\Property(property: 'gust_coupling', type: 'number'),
    new OA\Property(property: 'tilt_range_deg', ref: '#/components/schemas/TiltRange'),
    new OA\Property(property: 'battery_min', type: 'number'),
    new OA\Property(property: 'modes', ref: '#/components/schemas/RigModes'),
    new OA\Property(property: 'hands', ref: '#/components/schemas/RigHands'),
    new OA\Property(property: 'ducted', ref: '#/components/schemas/RigDucted'),
    new OA\Property(property: 'gimbal', ref: '#/components/schemas/RigSwitches'),
], type: 'object')]
#[OA\Schema(schema: 'Sensor', required: ['width', 'height'], properties: [
    new OA\Property(property: 'width', type: 'number'),
    new OA\Property(property: 'height', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'CraftCamera', required: ['sensor_mm', 'focal_mm', 'frame_rates', 'resolutions', 'apertures'], properties: [
    new OA\Property(property: 'sensor_mm', ref: '#/components/schemas/Sensor'),
    new OA\Property(property: 'focal_mm', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'frame_rates', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'resolutions', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'apertures', type: 'array', items: new OA\Items(type: 'number')),
], type: 'object')]
#[OA\Schema(schema: 'GimbalUnits', required: ['rate_per_dps', 'cushion_per_s'], properties: [
    new OA\Property(property: 'rate_per_dps', type: 'number'),
    new OA\Property(property: 'cushion_per_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'CraftDocument', required: [
    'schema', 'kind', 'mass_kg', 'convention', 'gimbal_top_dps', 'turn_top_dps', 'gimbal_units', 'camera', 'stock',
], properties: [
    new OA\Property(property: 'schema', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['camera', 'ducted']),
    new OA\Property(property: 'mass_kg', type: 'number'),
    new OA\Property(property: 'convention', type: 'string'),
    new OA\Property(property: 'gimbal_top_dps', type: 'number'),
    new OA\Property(property: 'turn_top_dps', type: 'number'),
    new OA\Property(property: 'gimbal_units', ref: '#/components/schemas/GimbalUnits'),
    new OA\Property(property: 'camera', ref: '#/components/schemas/CraftCamera'),
    new OA\Property(property: 'stock', ref: '#/components/schemas/RigDocument'),
], type: 'object')]
#[OA\Schema(schema: 'RigFile', required: ['schema', 'craft', 'rig'], properties: [
    new OA\Property(property: 'schema', type: 'string'),
    new OA\Property(property: 'craft', ref: '#/components/schemas/CraftDocument'),
    new OA\Property(property: 'rig', ref: '#/components/schemas/RigDocument'),
    new OA\Property(property: 'focal_mm', type: 'number'),
    new OA\Property(property: 'reason', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'RigConflict', allOf: [
    new OA\Schema(ref: '#/components/schemas/Problem'),
    new OA\Schema(
        required: ['version', 'latest', 'difference'],
        properties: [
            new OA\Property(property: 'version', type: 'integer'),
            new OA\Property(property: 'latest', ref: '#/components/schemas/Rig'),
            new OA\Property(property: 'difference', ref: '#/components/schemas/ThreeWay'),
        ],
        type: 'object',
    ),
])]
final class RigSchemas
{
}
