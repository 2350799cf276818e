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
], type: 'object')]
#[OA\Schema(schema: 'RigDucted', required: ['hover', 'limit', 'soft', 'self_levelling', 'camera_deg', 'coast_s'], properties: [
    new OA\Property(property: 'hover', type: 'number'),
    new OA\Property(property: 'limit', type: 'number'),
    new OA\Property(property: 'soft', type: 'number'),
    new OA\Property(property: 'self_levelling', type: 'boolean'),
    new OA\Property(property: 'camera_deg', type: 'number'),
    new OA\Property(property: 'coast_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigSettings', description: 'what of a rig a person sets; the form of a rig in docs/formats.md', required: ['modes'], properties: [
    new OA\Property(property: 'modes', ref: '#/components/schemas/RigModes'),
    new OA\Property(property: 'hands', ref: '#/components/schemas/RigHands'),
    new OA\Property(property: 'ducted', ref: '#/components/schemas/RigDucted'),
], type: 'object')]
#[OA\Schema(schema: 'RigCamera', required: ['hfov_deg', 'aspect', 'focal_mm'], properties: [
    new OA\Property(property: 'hfov_deg', type: 'number'),
    new OA\Property(property: 'aspect', type: 'number'),
    new OA\Property(property: 'focal_mm', type: 'number', nullable: true),
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
#[OA\Schema(schema: 'CurveConversion', required: ['kind', 'convention', 'closeness', 'difference', 'curve'], properties: [
    new OA\Property(property: 'kind', type: 'string'),
    new OA\Property(property: 'convention', type: 'string'),
    new OA\Property(property: 'closeness', type: 'string', enum: ['same', 'close', 'rough', 'none']),
    new OA\Property(property: 'difference', type: 'number'),
    new OA\Property(property: 'curve', ref: '#/components/schemas/RigCurve', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'OwnNumbers', required: ['rate', 'cushion'], properties: [
    new OA\Property(property: 'rate', type: 'number'),
    new OA\Property(property: 'cushion', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigFinger', required: [
    'finger', 'ends', 'thumb', 'unit', 'top', 'top_back', 'ceiling', 'half_stick', 'start_s', 'stop_s', 'stop_way', 'stop_widths',
    'top_widths', 'half_widths', 'nudge', 'nudge_widths', 'cushion_s', 'own', 'curve', 'convention', 'says', 'points',
], properties: [
    new OA\Property(property: 'finger', type: 'string'),
    new OA\Property(property: 'ends', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'thumb', type: 'string'),
    new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'top', type: 'number'),
    new OA\Property(property: 'top_back', type: 'number'),
    new OA\Property(property: 'ceiling', type: 'number'),
    new OA\Property(property: 'half_stick', type: 'number'),
    new OA\Property(property: 'start_s', type: 'number'),
    new OA\Property(property: 'stop_s', type: 'number'),
    new OA\Property(property: 'stop_way', type: 'number'),
    new OA\Property(property: 'stop_widths', type: 'number'),
    new OA\Property(property: 'top_widths', type: 'number'),
    new OA\Property(property: 'half_widths', type: 'number'),
    new OA\Property(property: 'nudge', type: 'number'),
    new OA\Property(property: 'nudge_widths', type: 'number'),
    new OA\Property(property: 'cushion_s', type: 'number', nullable: true),
    new OA\Property(property: 'own', ref: '#/components/schemas/OwnNumbers', nullable: true),
    new OA\Property(property: 'curve', ref: '#/components/schemas/RigCurve'),
    new OA\Property(property: 'convention', type: 'string'),
    new OA\Property(property: 'says', type: 'array', items: new OA\Items(ref: '#/components/schemas/CurveConversion')),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
], type: 'object')]
#[OA\Schema(schema: 'Pads', description: 'what each stick plays, across and up', required: ['left', 'right'], properties: [
    new OA\Property(property: 'left', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'right', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'HandsReading', required: [
    'pads', 'stick_mode', 'wheel_up', 'grip', 'stick_mm', 'grip_words', 'per_mm', 'tremble', 'nudge', 'measured',
], properties: [
    new OA\Property(property: 'pads', ref: '#/components/schemas/Pads'),
    new OA\Property(property: 'stick_mode', type: 'integer'),
    new OA\Property(property: 'wheel_up', type: 'string'),
    new OA\Property(property: 'grip', type: 'string'),
    new OA\Property(property: 'stick_mm', type: 'number'),
    new OA\Property(property: 'grip_words', type: 'string'),
    new OA\Property(property: 'per_mm', type: 'number'),
    new OA\Property(property: 'tremble', type: 'number'),
    new OA\Property(property: 'nudge', type: 'number'),
    new OA\Property(property: 'measured', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'DuctedReading', required: [
    'hover', 'limit', 'soft', 'self_levelling', 'camera_deg', 'coast_s', 'points', 'leans', 'level_pace_mps', 'top_lean_deg',
], properties: [
    new OA\Property(property: 'hover', type: 'number'),
    new OA\Property(property: 'limit', type: 'number'),
    new OA\Property(property: 'soft', type: 'number'),
    new OA\Property(property: 'self_levelling', type: 'boolean'),
    new OA\Property(property: 'camera_deg', type: 'number'),
    new OA\Property(property: 'coast_s', type: 'number'),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'leans', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'level_pace_mps', type: 'number'),
    new OA\Property(property: 'top_lean_deg', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'RigReading', required: [
    'rig_id', 'settings', 'camera', 'distance_m', 'mode', 'brake_m', 'brake_s', 'fingers', 'hands', 'oddities', 'changes', 'ducted',
], properties: [
    new OA\Property(property: 'rig_id', type: 'integer'),
    new OA\Property(property: 'settings', ref: '#/components/schemas/RigSettings'),
    new OA\Property(property: 'camera', ref: '#/components/schemas/RigCamera'),
    new OA\Property(property: 'distance_m', type: 'number'),
    new OA\Property(property: 'mode', type: 'string'),
    new OA\Property(property: 'brake_m', type: 'number'),
    new OA\Property(property: 'brake_s', type: 'number'),
    new OA\Property(property: 'fingers', type: 'array', items: new OA\Items(ref: '#/components/schemas/RigFinger')),
    new OA\Property(property: 'hands', ref: '#/components/schemas/HandsReading'),
    new OA\Property(property: 'oddities', type: 'array', items: new OA\Items(ref: '#/components/schemas/Oddity')),
    new OA\Property(property: 'changes', type: 'array', items: new OA\Items(ref: '#/components/schemas/RigChange')),
    new OA\Property(property: 'ducted', ref: '#/components/schemas/DuctedReading', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'SheetAxis', required: ['unit', 'rates', 'top', 'share', 'most_per_step'], properties: [
    new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'rates', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'top', type: 'number'),
    new OA\Property(property: 'share', type: 'number'),
    new OA\Property(property: 'most_per_step', type: 'number', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'SheetAxes', required: ['climb', 'turn', 'run', 'slide', 'tilt'], properties: [
    new OA\Property(property: 'climb', ref: '#/components/schemas/SheetAxis'),
    new OA\Property(property: 'turn', ref: '#/components/schemas/SheetAxis'),
    new OA\Property(property: 'run', ref: '#/components/schemas/SheetAxis'),
    new OA\Property(property: 'slide', ref: '#/components/schemas/SheetAxis'),
    new OA\Property(property: 'tilt', ref: '#/components/schemas/SheetAxis'),
], type: 'object')]
#[OA\Schema(schema: 'SheetTravel', required: ['accelerate_per_step', 'brake_per_step'], properties: [
    new OA\Property(property: 'accelerate_per_step', type: 'number'),
    new OA\Property(property: 'brake_per_step', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'SheetTilt', required: ['low_deg', 'high_deg'], properties: [
    new OA\Property(property: 'low_deg', type: 'number'),
    new OA\Property(property: 'high_deg', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'ResponseSheet', required: ['step_s', 'axes', 'travel', 'tilt', 'hfov_deg', 'aspect'], properties: [
    new OA\Property(property: 'step_s', type: 'number'),
    new OA\Property(property: 'axes', ref: '#/components/schemas/SheetAxes'),
    new OA\Property(property: 'travel', ref: '#/components/schemas/SheetTravel'),
    new OA\Property(property: 'tilt', ref: '#/components/schemas/SheetTilt'),
    new OA\Property(property: 'hfov_deg', type: 'number'),
    new OA\Property(property: 'aspect', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'AdviceNumbers', required: ['top', 'top_back', 'curve', 'half', 'cushion_s'], properties: [
    new OA\Property(property: 'top', type: 'number'),
    new OA\Property(property: 'top_back', type: 'number'),
    new OA\Property(property: 'curve', ref: '#/components/schemas/RigCurve'),
    new OA\Property(property: 'half', type: 'number'),
    new OA\Property(property: 'cushion_s', type: 'number', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'AdviceReading', required: ['shot', 'travel', 'nudge_widths', 'reach', 'troubles'], properties: [
    new OA\Property(property: 'shot', type: 'string'),
    new OA\Property(property: 'travel', type: 'number', nullable: true),
    new OA\Property(property: 'nudge_widths', type: 'number', nullable: true),
    new OA\Property(property: 'reach', type: 'number'),
    new OA\Property(property: 'troubles', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'AdviceShot', required: ['shot', 'now', 'advised'], properties: [
    new OA\Property(property: 'shot', type: 'string'),
    new OA\Property(property: 'now', ref: '#/components/schemas/AdviceReading'),
    new OA\Property(property: 'advised', ref: '#/components/schemas/AdviceReading'),
], type: 'object')]
#[OA\Schema(schema: 'AdviceTrade', required: ['change', 'buys', 'costs'], properties: [
    new OA\Property(property: 'change', type: 'string'),
    new OA\Property(property: 'buys', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'costs', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'AdviceFinger', required: [
    'finger', 'unit', 'asked', 'now', 'advised', 'why', 'cost_now', 'cost_advised', 'shots', 'trades',
], properties: [
    new OA\Property(property: 'finger', type: 'string'),
    new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'asked', type: 'boolean'),
    new OA\Property(property: 'now', ref: '#/components/schemas/AdviceNumbers'),
    new OA\Property(property: 'advised', ref: '#/components/schemas/AdviceNumbers'),
    new OA\Property(property: 'why', type: 'string'),
    new OA\Property(property: 'cost_now', type: 'number'),
    new OA\Property(property: 'cost_advised', type: 'number'),
    new OA\Property(property: 'shots', type: 'array', items: new OA\Items(ref: '#/components/schemas/AdviceShot')),
    new OA\Property(property: 'trades', type: 'array', items: new OA\Items(ref: '#/components/schemas/AdviceTrade')),
], type: 'object')]
#[OA\Schema(schema: 'LeftOut', required: ['shot', 'why'], properties: [
    new OA\Property(property: 'shot', type: 'string'),
    new OA\Property(property: 'why', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'RigAdvice', required: [
    'mode', 'house', 'house_words', 'house_why', 'nudge', 'seen_widths', 'comfort', 'settings', 'fingers', 'left_out', 'films_in',
], properties: [
    new OA\Property(property: 'mode', type: 'string'),
    new OA\Property(property: 'house', type: 'string'),
    new OA\Property(property: 'house_words', type: 'string'),
    new OA\Property(property: 'house_why', type: 'string'),
    new OA\Property(property: 'nudge', type: 'number'),
    new OA\Property(property: 'seen_widths', type: 'number'),
    new OA\Property(property: 'comfort', ref: '#/components/schemas/Band'),
    new OA\Property(property: 'settings', ref: '#/components/schemas/RigSettings'),
    new OA\Property(property: 'fingers', type: 'array', items: new OA\Items(ref: '#/components/schemas/AdviceFinger')),
    new OA\Property(property: 'left_out', type: 'array', items: new OA\Items(ref: '#/components/schemas/LeftOut')),
    new OA\Property(property: 'films_in', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'RigVersion', required: ['id', 'version', 'author', 'at', 'reason', 'takes', 'changes', 'since'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'author', type: 'string', nullable: true),
    new OA\Property(property: 'at', type: 'string'),
    new OA\Property(property: 'reason', type: 'string'),
    new OA\Property(property: 'takes', type: 'integer'),
    new OA\Property(property: 'changes', type: 'array', items: new OA\Items(ref: '#/components/schemas/RigChange')),
    new OA\Property(property: 'since', ref: '#/components/schemas/SinceChange', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'RigSide', required: ['rig', 'reading'], properties: [
    new OA\Property(property: 'rig', ref: '#/components/schemas/Rig'),
    new OA\Property(property: 'reading', ref: '#/components/schemas/RigReading'),
], type: 'object')]
#[OA\Schema(schema: 'RigComparison', required: ['one', 'other', 'same_craft', 'differences'], properties: [
    new OA\Property(property: 'one', ref: '#/components/schemas/RigSide'),
    new OA\Property(property: 'other', ref: '#/components/schemas/RigSide'),
    new OA\Property(property: 'same_craft', type: 'boolean'),
    new OA\Property(property: 'differences', type: 'array', items: new OA\Items(ref: '#/components/schemas/RigChange')),
], type: 'object')]
#[OA\Schema(schema: 'ThreeWay', required: ['theirs', 'mine', 'both'], properties: [
    new OA\Property(property: 'theirs', type: 'array', items: new OA\Items(ref: '#/components/schemas/RigChange')),
    new OA\Property(property: 'mine', type: 'array', items: new OA\Items(ref: '#/components/schemas/RigChange')),
    new OA\Property(property: 'both', type: 'array', items: new OA\Items(type: 'string')),
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
#[OA\Schema(schema: 'StepTest', required: ['mode', 'fits', 'document'], properties: [
    new OA\Property(property: 'mode', type: 'string'),
    new OA\Property(property: 'fits', type: 'array', items: new OA\Items(ref: '#/components/schemas/StepFit')),
    new OA\Property(property: 'document', ref: '#/components/schemas/CraftDocument'),
], type: 'object')]
final class RigSchemas
{
}
