<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** Shapes that Plan answers with: sites and their readings, a shot's reading, light, exposure and the flight day (docs/formats.md). */
#[OA\Schema(schema: 'PlanDrag', allOf: [new OA\Schema(ref: '#/components/schemas/PlanDraft'), new OA\Schema(properties: [
    new OA\Property(property: 'pull', ref: '#/components/schemas/Pull'),
])])]
#[OA\Schema(schema: 'Pull', description: 'a handle of the plan, put somewhere or nudged by so many steps', required: ['handle'], properties: [
    new OA\Property(property: 'handle', type: 'string'),
    new OA\Property(property: 'to', description: 'a place, a height, a tilt or a time, as its sheet has it', properties: [
        new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'), new OA\Property(property: 'up_m', type: 'number'),
        new OA\Property(property: 'tilt_deg', type: 'number'), new OA\Property(property: 't_s', type: 'number'),
    ], type: 'object'),
    new OA\Property(property: 'by', description: 'steps to the right (or on in time) and up', required: ['right', 'up'], properties: [
        new OA\Property(property: 'right', type: 'number'), new OA\Property(property: 'up', type: 'number'),
    ], type: 'object'),
], type: 'object')]
#[OA\Schema(schema: 'Spot', required: ['east_m', 'north_m', 'up_m'], properties: [new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'), new OA\Property(property: 'up_m', type: 'number')], type: 'object')]
#[OA\Schema(schema: 'Ground', description: 'spot heights, or a profile along a bearing', properties: [
    new OA\Property(property: 'spots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Spot')),
    new OA\Property(property: 'profile', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))), new OA\Property(property: 'bearing_deg', type: 'number'), new OA\Property(property: 'simulated', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'Area', required: ['id', 'name', 'kind', 'points'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'kind', type: 'string', enum: ['people', 'water', 'boundary']),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))), new OA\Property(property: 'closed', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'Observer', required: ['id', 'name', 'east_m', 'north_m'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number')], type: 'object')]
#[OA\Schema(schema: 'SiteReading', required: ['fault', 'ground', 'home', 'take_off_up_m'], properties: [
    new OA\Property(property: 'take_off_up_m', description: 'how high the ground lies there, above take-off as it was', type: 'number'),
    new OA\Property(property: 'home', description: 'where take-off lies after it was put elsewhere (take_off); null where it stays', ref: '#/components/schemas/GeoPoint', nullable: true),
    new OA\Property(property: 'fault', required: ['place', 'message', 'expected', 'repair'], properties: [
        new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'message', type: 'string'), new OA\Property(property: 'expected', type: 'string'),
        new OA\Property(property: 'repair', description: 'the same corners in an order that does not cross', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), nullable: true),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'ground', description: 'east, north and height of a grid; empty where nobody said how the ground lies', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
], type: 'object')]
#[OA\Schema(schema: 'ImportedSubject', required: ['id', 'name', 'east_m', 'north_m', 'base_m', 'aim_m'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'), new OA\Property(property: 'base_m', type: 'number'), new OA\Property(property: 'aim_m', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'SiteImport', required: ['found', 'home', 'solids', 'areas', 'observers', 'spots', 'subjects', 'notes'], properties: [
    new OA\Property(property: 'found', type: 'integer'), new OA\Property(property: 'home', ref: '#/components/schemas/GeoPoint'),
    new OA\Property(property: 'solids', type: 'array', items: new OA\Items(ref: '#/components/schemas/Solid')), new OA\Property(property: 'areas', type: 'array', items: new OA\Items(ref: '#/components/schemas/Area')),
    new OA\Property(property: 'observers', type: 'array', items: new OA\Items(ref: '#/components/schemas/Observer')), new OA\Property(property: 'spots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Spot')),
    new OA\Property(property: 'subjects', type: 'array', items: new OA\Items(ref: '#/components/schemas/ImportedSubject')), new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'SiteChanged', allOf: [new OA\Schema(ref: '#/components/schemas/Problem'), new OA\Schema(required: ['latest'], properties: [new OA\Property(property: 'latest', ref: '#/components/schemas/Site')], type: 'object')])]
#[OA\Schema(schema: 'DayChanged', allOf: [new OA\Schema(ref: '#/components/schemas/Problem'), new OA\Schema(required: ['version'], properties: [new OA\Property(property: 'version', type: 'integer')], type: 'object')])]
#[OA\Schema(schema: 'Weather', required: ['from_deg', 'mean_mps', 'gust_mps', 'temperature_c', 'cloud', 'source', 'simulated'], properties: [
    new OA\Property(property: 'from_deg', type: 'number'), new OA\Property(property: 'mean_mps', type: 'number'), new OA\Property(property: 'gust_mps', type: 'number'), new OA\Property(property: 'temperature_c', type: 'number'),
    new OA\Property(property: 'cloud', type: 'number'), new OA\Property(property: 'source', type: 'string'), new OA\Property(property: 'simulated', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'MeterReading', required: ['ev', 'simulated'], properties: [new OA\Property(property: 'ev', type: 'number'), new OA\Property(property: 'simulated', type: 'boolean')], type: 'object')]
#[OA\Schema(schema: 'HeightsWanted', required: ['home'], properties: [new OA\Property(property: 'home', required: ['lat', 'lon'], properties: [new OA\Property(property: 'lat', type: 'number'), new OA\Property(property: 'lon', type: 'number')], type: 'object'), new OA\Property(property: 'reach_m', type: 'number')], type: 'object')]
#[OA\Schema(schema: 'Heights', required: ['home_alt_m', 'spots', 'source', 'simulated'], properties: [
    new OA\Property(property: 'home_alt_m', type: 'number'), new OA\Property(property: 'spots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Spot')), new OA\Property(property: 'source', type: 'string'), new OA\Property(property: 'simulated', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'WantedLight', required: ['side', 'hour'], properties: [new OA\Property(property: 'side', type: 'string', enum: ['any', 'front', 'side', 'back']), new OA\Property(property: 'hour', type: 'string', enum: ['any', 'day', 'golden', 'blue'])], type: 'object')]
#[OA\Schema(schema: 'Brief', required: ['purpose', 'light', 'passes', 'must', 'delivered_px', 'use_s', 'sound', 'hidden'], properties: [
    new OA\Property(property: 'purpose', type: 'string'), new OA\Property(property: 'light', ref: '#/components/schemas/WantedLight'), new OA\Property(property: 'passes', type: 'integer'), new OA\Property(property: 'must', type: 'boolean'),
    new OA\Property(property: 'delivered_px', type: 'integer'), new OA\Property(property: 'use_s', type: 'number'), new OA\Property(property: 'sound', type: 'string'), new OA\Property(property: 'hidden', type: 'string', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'Layer', required: ['name', 'distance_m', 'widths_ps'], properties: [new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'distance_m', type: 'number'), new OA\Property(property: 'widths_ps', description: 'widths of the picture a second', type: 'number')], type: 'object')]
#[OA\Schema(schema: 'RevealReading', required: ['first', 'last', 'hidden_first', 'readable', 'fills', 'appears_s', 'horizon', 'sky', 'tilt_begins_s', 'tilt_latest_s', 'needed_height_m', 'sentences'], properties: [
    new OA\Property(property: 'first', type: 'string'), new OA\Property(property: 'last', type: 'string'), new OA\Property(property: 'hidden_first', type: 'boolean'), new OA\Property(property: 'readable', type: 'boolean'),
    new OA\Property(property: 'fills', type: 'number', nullable: true), new OA\Property(property: 'appears_s', type: 'number', nullable: true), new OA\Property(property: 'horizon', type: 'number'), new OA\Property(property: 'sky', type: 'number'),
    new OA\Property(property: 'tilt_begins_s', type: 'number', nullable: true), new OA\Property(property: 'tilt_latest_s', type: 'number', nullable: true), new OA\Property(property: 'needed_height_m', type: 'number', nullable: true),
    new OA\Property(property: 'sentences', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'DepthReading', required: ['near', 'far', 'ratio', 'pace_mps', 'height_m', 'felt_ps', 'crossing_s', 'crossing_least_s', 'sentences'], properties: [
    new OA\Property(property: 'near', ref: '#/components/schemas/Layer', nullable: true), new OA\Property(property: 'far', ref: '#/components/schemas/Layer', nullable: true), new OA\Property(property: 'ratio', type: 'number', nullable: true),
    new OA\Property(property: 'pace_mps', type: 'number'), new OA\Property(property: 'height_m', type: 'number'), new OA\Property(property: 'felt_ps', type: 'number'), new OA\Property(property: 'crossing_s', type: 'number', nullable: true), new OA\Property(property: 'crossing_least_s', type: 'number'),
    new OA\Property(property: 'sentences', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'RoomReading', required: ['solids', 'gap', 'behind', 'height', 'farthest_m', 'sight_line_m', 'people_m', 'people_least_m', 'sentences'], properties: [
    new OA\Property(property: 'solids', type: 'array', items: new OA\Items(required: ['id', 'name', 'distance_m', 'at_s', 'margin_m', 'ok'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'distance_m', type: 'number'), new OA\Property(property: 'at_s', type: 'number'), new OA\Property(property: 'margin_m', type: 'number'), new OA\Property(property: 'ok', type: 'boolean')], type: 'object')),
    new OA\Property(property: 'gap', required: ['left', 'right', 'width_m', 'needed_m', 'at_s', 'ok'], properties: [new OA\Property(property: 'left', type: 'string'), new OA\Property(property: 'right', type: 'string'), new OA\Property(property: 'width_m', type: 'number'), new OA\Property(property: 'needed_m', type: 'number'), new OA\Property(property: 'at_s', type: 'number'), new OA\Property(property: 'ok', type: 'boolean')], type: 'object', nullable: true),
    new OA\Property(property: 'behind', required: ['metres', 'name'], properties: [new OA\Property(property: 'metres', type: 'number'), new OA\Property(property: 'name', type: 'string', nullable: true)], type: 'object', nullable: true),
    new OA\Property(property: 'height', required: ['least_m', 'most_m', 'above_launch_m', 'ceiling_m'], properties: [new OA\Property(property: 'least_m', type: 'number'), new OA\Property(property: 'most_m', type: 'number'), new OA\Property(property: 'above_launch_m', type: 'number'), new OA\Property(property: 'ceiling_m', type: 'number')], type: 'object'),
    new OA\Property(property: 'farthest_m', type: 'number'), new OA\Property(property: 'sight_line_m', type: 'number'), new OA\Property(property: 'people_m', type: 'number', nullable: true), new OA\Property(property: 'people_least_m', type: 'number'),
    new OA\Property(property: 'sentences', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'WindReading', required: ['mean_mps', 'gust_mps', 'head_mps', 'cross_mps', 'cross_share', 'upwind_mps', 'downwind_mps', 'top_mps', 'rated_mps', 'holds', 'sentences'], properties: [
    new OA\Property(property: 'mean_mps', type: 'number'), new OA\Property(property: 'gust_mps', type: 'number'), new OA\Property(property: 'head_mps', type: 'number'), new OA\Property(property: 'cross_mps', type: 'number'), new OA\Property(property: 'cross_share', type: 'number'),
    new OA\Property(property: 'upwind_mps', type: 'number'), new OA\Property(property: 'downwind_mps', type: 'number'), new OA\Property(property: 'top_mps', type: 'number'), new OA\Property(property: 'rated_mps', type: 'number'), new OA\Property(property: 'holds', type: 'boolean'),
    new OA\Property(property: 'sentences', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'EditReading', required: ['hold_s', 'use_s', 'handle_s', 'spare_s', 'recorded_px', 'delivered_px', 'scale', 'level_scale', 'stray_percent', 'speed_up', 'moving', 'safe', 'sentences'], properties: [
    new OA\Property(property: 'hold_s', type: 'number'), new OA\Property(property: 'use_s', type: 'number'), new OA\Property(property: 'handle_s', type: 'number'), new OA\Property(property: 'spare_s', type: 'number'), new OA\Property(property: 'recorded_px', type: 'integer'), new OA\Property(property: 'delivered_px', type: 'integer'),
    new OA\Property(property: 'scale', type: 'number'), new OA\Property(property: 'level_scale', type: 'number'), new OA\Property(property: 'stray_percent', type: 'number'), new OA\Property(property: 'speed_up', type: 'boolean'), new OA\Property(property: 'moving', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'safe', description: 'share of the frame that is delivered where nothing is rescued', type: 'number'), new OA\Property(property: 'sentences', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'Variant', required: ['id', 'title', 'why', 'move', 'parameters', 'join', 'parts', 'feasible'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'why', type: 'string'), new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'parameters', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')])),
    new OA\Property(property: 'join', type: 'string', enum: ['sequence', 'together'], nullable: true), new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Part'), nullable: true), new OA\Property(property: 'feasible', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'Reading', required: ['reveal', 'depth', 'room', 'wind', 'edit', 'variants', 'passes'], properties: [
    new OA\Property(property: 'reveal', ref: '#/components/schemas/RevealReading'), new OA\Property(property: 'depth', ref: '#/components/schemas/DepthReading'), new OA\Property(property: 'room', ref: '#/components/schemas/RoomReading'),
    new OA\Property(property: 'wind', ref: '#/components/schemas/WindReading'), new OA\Property(property: 'edit', ref: '#/components/schemas/EditReading'), new OA\Property(property: 'variants', type: 'array', items: new OA\Items(ref: '#/components/schemas/Variant')),
    new OA\Property(property: 'passes', type: 'array', items: new OA\Items(required: ['pass', 'title', 'variant'], properties: [new OA\Property(property: 'pass', type: 'integer'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'variant', type: 'string', nullable: true)], type: 'object')),
], type: 'object')]
#[OA\Schema(schema: 'TimeStretch', required: ['from', 'to'], properties: [new OA\Property(property: 'from', type: 'string'), new OA\Property(property: 'to', type: 'string')], type: 'object')]
#[OA\Schema(schema: 'SunDay', required: ['state', 'sentence', 'noon', 'rise', 'set', 'highest_deg', 'lowest_deg', 'stretches', 'path'], properties: [
    new OA\Property(property: 'state', type: 'string', enum: ['sets', 'up', 'down']), new OA\Property(property: 'sentence', description: 'what is unusual about it', type: 'string', nullable: true), new OA\Property(property: 'noon', type: 'string'), new OA\Property(property: 'rise', type: 'string', nullable: true), new OA\Property(property: 'set', type: 'string', nullable: true),
    new OA\Property(property: 'highest_deg', type: 'number'), new OA\Property(property: 'lowest_deg', type: 'number'),
    new OA\Property(property: 'stretches', required: ['night', 'blue', 'golden', 'day'], properties: [
        new OA\Property(property: 'night', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimeStretch')), new OA\Property(property: 'blue', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimeStretch')),
        new OA\Property(property: 'golden', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimeStretch')), new OA\Property(property: 'day', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimeStretch')),
    ], type: 'object'),
    new OA\Property(property: 'path', description: 'instant, azimuth and altitude in degrees', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number')]))),
], type: 'object')]
#[OA\Schema(schema: 'LightDay', required: ['place', 'date', 'day', 'shot'], properties: [
    new OA\Property(property: 'place', required: ['lat', 'lon'], properties: [new OA\Property(property: 'lat', type: 'number'), new OA\Property(property: 'lon', type: 'number')], type: 'object'), new OA\Property(property: 'date', type: 'string'), new OA\Property(property: 'day', ref: '#/components/schemas/SunDay'),
    new OA\Property(property: 'shot', required: ['wanted', 'heading_from_deg', 'heading_to_deg', 'sides', 'windows', 'sentence'], properties: [
        new OA\Property(property: 'wanted', ref: '#/components/schemas/WantedLight'), new OA\Property(property: 'heading_from_deg', type: 'number'), new OA\Property(property: 'heading_to_deg', type: 'number'),
        new OA\Property(property: 'sides', type: 'array', items: new OA\Items(required: ['at', 'sides'], properties: [new OA\Property(property: 'at', type: 'string'), new OA\Property(property: 'sides', type: 'array', items: new OA\Items(type: 'string'))], type: 'object')),
        new OA\Property(property: 'windows', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimeStretch')), new OA\Property(property: 'sentence', type: 'string', nullable: true),
    ], type: 'object', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'Exposure', required: ['fps', 'iso', 'aperture', 'shutter', 'scene_ev', 'filter', 'white_balance_k', 'diffraction_from_f', 'sharp_from_m', 'warnings', 'camera', 'scenes'], properties: [
    new OA\Property(property: 'fps', type: 'number'), new OA\Property(property: 'iso', type: 'number'), new OA\Property(property: 'aperture', type: 'number'),
    new OA\Property(property: 'shutter', required: ['wanted', 'set', 'off_stops', 'angle_deg'], properties: [new OA\Property(property: 'wanted', type: 'string'), new OA\Property(property: 'set', type: 'string'), new OA\Property(property: 'off_stops', type: 'number'), new OA\Property(property: 'angle_deg', type: 'number')], type: 'object'),
    new OA\Property(property: 'scene_ev', type: 'number'),
    new OA\Property(property: 'filter', required: ['stops', 'use', 'factor', 'density', 'left_stops'], properties: [new OA\Property(property: 'stops', type: 'number'), new OA\Property(property: 'use', type: 'string'), new OA\Property(property: 'factor', type: 'number'), new OA\Property(property: 'density', type: 'number'), new OA\Property(property: 'left_stops', type: 'number')], type: 'object'),
    new OA\Property(property: 'white_balance_k', type: 'integer'), new OA\Property(property: 'diffraction_from_f', type: 'number'), new OA\Property(property: 'sharp_from_m', type: 'number'), new OA\Property(property: 'warnings', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'camera', required: ['frame_rates', 'apertures'], properties: [new OA\Property(property: 'frame_rates', type: 'array', items: new OA\Items(type: 'number')), new OA\Property(property: 'apertures', type: 'array', items: new OA\Items(type: 'number'))], type: 'object'),
    new OA\Property(property: 'scenes', type: 'array', items: new OA\Items(required: ['id', 'name', 'ev', 'kelvin'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'ev', type: 'number'), new OA\Property(property: 'kelvin', type: 'integer')], type: 'object')),
], type: 'object')]
#[OA\Schema(schema: 'Slot', required: ['shot_id', 'title', 'must', 'passes', 'battery', 'ready', 'from', 'to', 'waits_s'], properties: [
    new OA\Property(property: 'shot_id', type: 'integer'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'must', type: 'boolean'), new OA\Property(property: 'passes', type: 'integer'), new OA\Property(property: 'battery', type: 'integer'),
    new OA\Property(property: 'ready', type: 'string'), new OA\Property(property: 'from', type: 'string'), new OA\Property(property: 'to', type: 'string'), new OA\Property(property: 'waits_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Timetable', required: ['slots', 'left', 'batteries_used', 'ends', 'air_min', 'usable_min'], properties: [
    new OA\Property(property: 'slots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Slot')),
    new OA\Property(property: 'left', type: 'array', items: new OA\Items(required: ['shot_id', 'title', 'must', 'why', 'fits'], properties: [new OA\Property(property: 'shot_id', type: 'integer'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'must', type: 'boolean'), new OA\Property(property: 'why', type: 'string'), new OA\Property(property: 'fits', description: 'passes that would fit', type: 'integer')], type: 'object')),
    new OA\Property(property: 'batteries_used', type: 'integer'), new OA\Property(property: 'ends', type: 'string'), new OA\Property(property: 'air_min', type: 'number'), new OA\Property(property: 'usable_min', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'FieldLog', required: ['ticks', 'passes', 'batteries', 'conflicts'], properties: [
    new OA\Property(property: 'ticks', type: 'object', additionalProperties: new OA\AdditionalProperties(required: ['on', 'by', 'at'], properties: [new OA\Property(property: 'on', type: 'boolean'), new OA\Property(property: 'by', type: 'string'), new OA\Property(property: 'at', type: 'string')], type: 'object')),
    new OA\Property(property: 'passes', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/FlownPass'))),
    new OA\Property(property: 'batteries', type: 'object', additionalProperties: new OA\AdditionalProperties(required: ['running', 'since', 'flown_s'], properties: [new OA\Property(property: 'running', type: 'boolean'), new OA\Property(property: 'since', type: 'string', nullable: true), new OA\Property(property: 'flown_s', type: 'number')], type: 'object')),
    new OA\Property(property: 'conflicts', type: 'array', items: new OA\Items(required: ['item', 'text'], properties: [new OA\Property(property: 'item', type: 'string'), new OA\Property(property: 'text', type: 'string')], type: 'object')),
], type: 'object')]
#[OA\Schema(schema: 'FlownPass', required: ['number', 'verdict', 'note', 'by', 'at'], properties: [new OA\Property(property: 'number', type: 'integer'), new OA\Property(property: 'verdict', type: 'string'), new OA\Property(property: 'note', type: 'string'), new OA\Property(property: 'by', type: 'string'), new OA\Property(property: 'at', type: 'string')], type: 'object')]
#[OA\Schema(schema: 'DayCard', required: ['shot_id', 'title', 'move', 'summary', 'craft', 'rig_version', 'mode', 'brief', 'duration_s', 'parameters', 'windows', 'cues', 'presses', 'phases', 'samples', 'fingers', 'frames', 'camera', 'findings'], properties: [
    new OA\Property(property: 'shot_id', type: 'integer'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'move', required: ['id', 'name'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string')], type: 'object'),
    new OA\Property(property: 'summary', type: 'string'), new OA\Property(property: 'craft', type: 'string'), new OA\Property(property: 'rig_version', type: 'integer'), new OA\Property(property: 'mode', type: 'string'), new OA\Property(property: 'brief', ref: '#/components/schemas/Brief'), new OA\Property(property: 'duration_s', type: 'number'),
    new OA\Property(property: 'parameters', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')])),
    new OA\Property(property: 'windows', description: 'when its light holds; null where any time will do', type: 'array', items: new OA\Items(ref: '#/components/schemas/TimeStretch'), nullable: true),
    new OA\Property(property: 'cues', type: 'array', items: new OA\Items(ref: '#/components/schemas/Cue')), new OA\Property(property: 'presses', type: 'array', items: new OA\Items(ref: '#/components/schemas/Press')), new OA\Property(property: 'phases', ref: '#/components/schemas/Phases'), new OA\Property(property: 'samples', ref: '#/components/schemas/Samples'),
    new OA\Property(property: 'fingers', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number'))), new OA\Property(property: 'frames', type: 'array', items: new OA\Items(ref: '#/components/schemas/Frame')), new OA\Property(property: 'camera', ref: '#/components/schemas/FullCamera'),
    new OA\Property(property: 'findings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Finding')),
], type: 'object')]
#[OA\Schema(schema: 'DayDetail', allOf: [new OA\Schema(ref: '#/components/schemas/Day'), new OA\Schema(required: ['document', 'zone', 'begins', 'timetable', 'problem', 'batteries', 'light', 'return', 'lists', 'cautions', 'cards', 'log', 'missing'], properties: [
    new OA\Property(property: 'zone', description: 'the site’s clock, by its name in the IANA time zone database', type: 'string'), new OA\Property(property: 'begins', description: 'null where its hours can’t be read', type: 'string', nullable: true),
    new OA\Property(property: 'document', ref: '#/components/schemas/DayDocument'), new OA\Property(property: 'timetable', ref: '#/components/schemas/Timetable', nullable: true),
    new OA\Property(property: 'problem', required: ['place', 'message', 'expected'], properties: [new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'message', type: 'string'), new OA\Property(property: 'expected', type: 'string')], type: 'object', nullable: true),
    new OA\Property(property: 'batteries', required: ['count', 'minutes', 'reserve', 'temperature_c', 'usable_min', 'cold_share'], properties: [new OA\Property(property: 'count', type: 'integer'), new OA\Property(property: 'minutes', type: 'number'), new OA\Property(property: 'reserve', type: 'number'), new OA\Property(property: 'temperature_c', type: 'number'), new OA\Property(property: 'usable_min', type: 'number'), new OA\Property(property: 'cold_share', type: 'number')], type: 'object', nullable: true),
    new OA\Property(property: 'light', ref: '#/components/schemas/SunDay'),
    new OA\Property(property: 'return', ref: '#/components/schemas/ReturnHeight'),
    new OA\Property(property: 'lists', type: 'array', items: new OA\Items(required: ['id', 'title', 'items'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'items', type: 'array', items: new OA\Items(required: ['id', 'text'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'text', type: 'string')], type: 'object'))], type: 'object')),
    new OA\Property(property: 'cautions', type: 'array', items: new OA\Items(required: ['id', 'text', 'ask', 'shots', 'dated'], properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'ask', type: 'string'), new OA\Property(property: 'shots', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'dated', type: 'string')], type: 'object')),
    new OA\Property(property: 'cards', type: 'array', items: new OA\Items(ref: '#/components/schemas/DayCard')), new OA\Property(property: 'log', ref: '#/components/schemas/FieldLog'), new OA\Property(property: 'missing', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')])]
#[OA\Schema(schema: 'ShotFile', required: ['rig_id', 'shot'], properties: [new OA\Property(property: 'rig_id', type: 'integer'), new OA\Property(property: 'shot', description: 'docs/schemas/shot-1.schema.json', type: 'object', additionalProperties: new OA\AdditionalProperties)], type: 'object')]
final class PlanSchemas
{
}
