<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/** Shapes that Plan answers with: sites and their readings, a shot's reading, light, exposure and the flight day (docs/formats.md). */
#[OA\Schema(schema: 'LightWanted', required: ['site_id', 'date'], properties: [
    new OA\Property(property: 'site_id', type: 'integer'),
    new OA\Property(property: 'date', description: 'such as 2026-06-21', type: 'string'),
    new OA\Property(property: 'light', ref: '#/components/schemas/WantedLight', nullable: true),
    new OA\Property(property: 'rig_id', type: 'integer'),
    new OA\Property(property: 'mode', type: 'string', enum: ['slow', 'standard', 'fast']),
    new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'subject_id', type: 'string', nullable: true),
    new OA\Property(property: 'subject_at', ref: '#/components/schemas/OwnPlace', nullable: true),
    new OA\Property(
        property: 'parameters', type: 'object',
        additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')]),
    ),
    new OA\Property(property: 'join', type: 'string', enum: ['sequence', 'together']),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Part')),
], type: 'object')]
#[OA\Schema(schema: 'OwnPlace', required: ['east_m', 'north_m'], properties: [
    new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'),
    new OA\Property(property: 'base_m', description: 'height of its foot above the take-off point', type: 'number'),
    new OA\Property(property: 'aim_m', description: 'height aimed at above the foot', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'PlanDrag', allOf: [new OA\Schema(ref: '#/components/schemas/PlanDraft'), new OA\Schema(properties: [
    new OA\Property(property: 'pull', ref: '#/components/schemas/Pull'),
])])]
#[OA\Schema(schema: 'Pull', description: 'a handle of the plan, put somewhere or nudged by so many steps', required: ['handle'], properties: [
    new OA\Property(property: 'handle', type: 'string'),
    new OA\Property(property: 'to', description: 'a place, a height, a tilt or a time, as its sheet has it', properties: [
        new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'),
        new OA\Property(property: 'up_m', type: 'number'),
        new OA\Property(property: 'tilt_deg', type: 'number'), new OA\Property(property: 't_s', type: 'number'),
    ], type: 'object'),
    new OA\Property(property: 'by', description: 'steps to the right (or on in time) and up', required: ['right', 'up'], properties: [
        new OA\Property(property: 'right', type: 'number'), new OA\Property(property: 'up', type: 'number'),
    ], type: 'object'),
], type: 'object')]
#[OA\Schema(
    schema: 'Spot', required: ['east_m', 'north_m', 'up_m'],
    properties: [
        new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'),
        new OA\Property(property: 'up_m', type: 'number'),
    ],
    type: 'object',
)]
#[OA\Schema(schema: 'Ground', description: 'spot heights, or a profile along a bearing', properties: [
    new OA\Property(property: 'spots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Spot')),
    new OA\Property(property: 'profile', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'bearing_deg', type: 'number'), new OA\Property(property: 'simulated', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'Area', required: ['id', 'name', 'kind', 'points'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['people', 'water', 'boundary']),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'closed', type: 'boolean'),
], type: 'object')]
#[OA\Schema(
    schema: 'Observer', required: ['id', 'name', 'east_m', 'north_m'],
    properties: [
        new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'),
        new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'),
    ],
    type: 'object',
)]
#[OA\Schema(schema: 'ImportedSubject', required: ['id', 'name', 'east_m', 'north_m', 'base_m', 'aim_m'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'),
    new OA\Property(property: 'base_m', type: 'number'), new OA\Property(property: 'aim_m', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'SiteImport', required: ['found', 'home', 'solids', 'areas', 'observers', 'spots', 'subjects', 'notes'], properties: [
    new OA\Property(property: 'found', type: 'integer'), new OA\Property(property: 'home', ref: '#/components/schemas/GeoPoint'),
    new OA\Property(property: 'solids', type: 'array', items: new OA\Items(ref: '#/components/schemas/Solid')),
    new OA\Property(property: 'areas', type: 'array', items: new OA\Items(ref: '#/components/schemas/Area')),
    new OA\Property(property: 'observers', type: 'array', items: new OA\Items(ref: '#/components/schemas/Observer')),
    new OA\Property(property: 'spots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Spot')),
    new OA\Property(property: 'subjects', type: 'array', items: new OA\Items(ref: '#/components/schemas/ImportedSubject')),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(
    schema: 'SiteChanged',
    allOf: [
        new OA\Schema(ref: '#/components/schemas/Problem'),
        new OA\Schema(required: ['version', 'latest'], properties: [
            new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'latest', ref: '#/components/schemas/Site'),
        ], type: 'object'),
    ],
)]
#[OA\Schema(
    schema: 'SavedFirst', description: 'somebody else saved first: the version that they saved',
    allOf: [
        new OA\Schema(ref: '#/components/schemas/Problem'),
        new OA\Schema(required: ['version'], properties: [new OA\Property(property: 'version', type: 'integer')], type: 'object'),
    ],
)]
#[OA\Schema(schema: 'Weather', required: [
    'from_deg', 'mean_mps', 'gust_mps', 'temperature_c', 'cloud', 'source', 'simulated',
], properties: [
    new OA\Property(property: 'from_deg', type: 'number'), new OA\Property(property: 'mean_mps', type: 'number'),
    new OA\Property(property: 'gust_mps', type: 'number'), new OA\Property(property: 'temperature_c', type: 'number'),
    new OA\Property(property: 'cloud', type: 'number'), new OA\Property(property: 'source', type: 'string'),
    new OA\Property(property: 'simulated', type: 'boolean'),
], type: 'object')]
#[OA\Schema(
    schema: 'MeterReading', required: ['ev', 'simulated'],
    properties: [new OA\Property(property: 'ev', type: 'number'), new OA\Property(property: 'simulated', type: 'boolean')], type: 'object',
)]
#[OA\Schema(
    schema: 'HeightsWanted', required: ['home'],
    properties: [
        new OA\Property(
            property: 'home', required: ['lat', 'lon'],
            properties: [new OA\Property(property: 'lat', type: 'number'), new OA\Property(property: 'lon', type: 'number')],
            type: 'object',
        ),
        new OA\Property(property: 'reach_m', type: 'number'),
    ],
    type: 'object',
)]
#[OA\Schema(schema: 'Heights', required: ['home_alt_m', 'spots', 'source', 'simulated'], properties: [
    new OA\Property(property: 'home_alt_m', type: 'number'),
    new OA\Property(property: 'spots', type: 'array', items: new OA\Items(ref: '#/components/schemas/Spot')),
    new OA\Property(property: 'source', type: 'string'), new OA\Property(property: 'simulated', type: 'boolean'),
], type: 'object')]
#[OA\Schema(
    schema: 'WantedLight', required: ['side', 'hour'],
    properties: [
        new OA\Property(property: 'side', type: 'string', enum: ['any', 'front', 'side', 'back']),
        new OA\Property(property: 'hour', type: 'string', enum: ['any', 'day', 'golden', 'blue']),
    ],
    type: 'object',
)]
#[OA\Schema(schema: 'Brief', required: ['purpose', 'light', 'passes', 'must', 'delivered_px', 'use_s', 'sound', 'hidden'], properties: [
    new OA\Property(property: 'purpose', type: 'string'), new OA\Property(property: 'light', ref: '#/components/schemas/WantedLight'),
    new OA\Property(property: 'passes', type: 'integer'), new OA\Property(property: 'must', type: 'boolean'),
    new OA\Property(property: 'delivered_px', type: 'integer'), new OA\Property(property: 'use_s', type: 'number'),
    new OA\Property(property: 'sound', type: 'string'), new OA\Property(property: 'hidden', type: 'string', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'FieldLog', required: ['ticks', 'passes', 'batteries', 'conflicts'], properties: [
    new OA\Property(
        property: 'ticks', type: 'object',
        additionalProperties: new OA\AdditionalProperties(
            required: ['on', 'by', 'at'],
            properties: [
                new OA\Property(property: 'on', type: 'boolean'), new OA\Property(property: 'by', type: 'string'),
                new OA\Property(property: 'at', type: 'string'),
            ],
            type: 'object',
        ),
    ),
    new OA\Property(
        property: 'passes', type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/FlownPass')),
    ),
    new OA\Property(
        property: 'batteries', type: 'object',
        additionalProperties: new OA\AdditionalProperties(
            required: ['running', 'since', 'flown_s'],
            properties: [
                new OA\Property(property: 'running', type: 'boolean'), new OA\Property(property: 'since', type: 'string', nullable: true),
                new OA\Property(property: 'flown_s', type: 'number'),
            ],
            type: 'object',
        ),
    ),
    new OA\Property(
        property: 'conflicts', type: 'array',
        items: new OA\Items(
            required: ['item', 'text'],
            properties: [new OA\Property(property: 'item', type: 'string'), new OA\Property(property: 'text', type: 'string')],
            type: 'object',
        ),
    ),
], type: 'object')]
#[OA\Schema(
    schema: 'FlownPass', required: ['number', 'verdict', 'note', 'by', 'at'],
    properties: [
        new OA\Property(property: 'number', type: 'integer'), new OA\Property(property: 'verdict', type: 'string'),
        new OA\Property(property: 'note', type: 'string'), new OA\Property(property: 'by', type: 'string'),
        new OA\Property(property: 'at', type: 'string'),
    ],
    type: 'object',
)]
#[OA\Schema(schema: 'DayCard', required: [
    'shot_id', 'title', 'move', 'summary', 'craft', 'rig_version', 'mode', 'brief', 'duration_s', 'parameters', 'windows', 'cues',
    'presses', 'phases', 'samples', 'fingers', 'frames', 'camera', 'findings',
], properties: [
    new OA\Property(property: 'shot_id', type: 'integer'), new OA\Property(property: 'title', type: 'string'),
    new OA\Property(
        property: 'move', required: ['id', 'name'],
        properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string')], type: 'object',
    ),
    new OA\Property(property: 'summary', type: 'string'), new OA\Property(property: 'craft', type: 'string'),
    new OA\Property(property: 'rig_version', type: 'integer'), new OA\Property(property: 'mode', type: 'string'),
    new OA\Property(property: 'brief', ref: '#/components/schemas/Brief'), new OA\Property(property: 'duration_s', type: 'number'),
    new OA\Property(
        property: 'parameters', type: 'object',
        additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')]),
    ),
    new OA\Property(
        property: 'windows', description: 'when its light holds; null where any time will do', type: 'array',
        items: new OA\Items(ref: '#/components/schemas/TimeStretch'), nullable: true,
    ),
    new OA\Property(property: 'cues', type: 'array', items: new OA\Items(ref: '#/components/schemas/Cue')),
    new OA\Property(property: 'presses', type: 'array', items: new OA\Items(ref: '#/components/schemas/Press')),
    new OA\Property(property: 'phases', ref: '#/components/schemas/Phases'),
    new OA\Property(property: 'samples', ref: '#/components/schemas/Samples'),
    new OA\Property(
        property: 'fingers', type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number')),
    ),
    new OA\Property(property: 'frames', type: 'array', items: new OA\Items(ref: '#/components/schemas/Frame')),
    new OA\Property(property: 'camera', ref: '#/components/schemas/FullCamera'),
    new OA\Property(property: 'findings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Finding')),
], type: 'object')]
#[OA\Schema(schema: 'DayDetail', allOf: [new OA\Schema(ref: '#/components/schemas/Day'), new OA\Schema(required: [
    'document', 'zone', 'begins', 'timetable', 'problem', 'batteries', 'light', 'return', 'lists', 'cautions', 'cards', 'log', 'missing',
], properties: [
    new OA\Property(property: 'zone', description: 'the site’s clock, by its name in the IANA time zone database', type: 'string'),
    new OA\Property(property: 'begins', description: 'null where its hours can’t be read', type: 'string', nullable: true),
    new OA\Property(property: 'document', ref: '#/components/schemas/DayDocument'),
    new OA\Property(property: 'timetable', ref: '#/components/schemas/Timetable', nullable: true),
    new OA\Property(
        property: 'problem', required: ['place', 'message', 'expected'],
        properties: [
            new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'message', type: 'string'),
            new OA\Property(property: 'expected', type: 'string'),
        ],
        type: 'object', nullable: true,
    ),
    new OA\Property(
        property: 'batteries', required: ['count', 'minutes', 'reserve', 'temperature_c', 'usable_min', 'cold_share'],
        properties: [
            new OA\Property(property: 'count', type: 'integer'), new OA\Property(property: 'minutes', type: 'number'),
            new OA\Property(property: 'reserve', type: 'number'), new OA\Property(property: 'temperature_c', type: 'number'),
            new OA\Property(property: 'usable_min', type: 'number'), new OA\Property(property: 'cold_share', type: 'number'),
        ],
        type: 'object', nullable: true,
    ),
    new OA\Property(property: 'light', ref: '#/components/schemas/SunDay'),
    new OA\Property(property: 'return', ref: '#/components/schemas/ReturnHeight'),
    new OA\Property(
        property: 'lists', type: 'array',
        items: new OA\Items(
            required: ['id', 'title', 'items'],
            properties: [
                new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string'),
                new OA\Property(
                    property: 'items', type: 'array',
                    items: new OA\Items(
                        required: ['id', 'text'],
                        properties: [new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'text', type: 'string')],
                        type: 'object',
                    ),
                ),
            ],
            type: 'object',
        ),
    ),
    new OA\Property(
        property: 'cautions', type: 'array',
        items: new OA\Items(
            required: ['id', 'text', 'ask', 'shots', 'dated'],
            properties: [
                new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'text', type: 'string'),
                new OA\Property(property: 'ask', type: 'string'),
                new OA\Property(property: 'shots', type: 'array', items: new OA\Items(type: 'string')),
                new OA\Property(property: 'dated', type: 'string'),
            ],
            type: 'object',
        ),
    ),
    new OA\Property(property: 'cards', type: 'array', items: new OA\Items(ref: '#/components/schemas/DayCard')),
    new OA\Property(property: 'log', ref: '#/components/schemas/FieldLog'),
    new OA\Property(property: 'missing', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')])]
#[OA\Schema(
    schema: 'ShotFile', required: ['rig_id', 'shot'],
    properties: [
        new OA\Property(property: 'rig_id', type: 'integer'),
        new OA\Property(
            property: 'shot', description: 'docs/schemas/shot-1.schema.json', type: 'object',
            additionalProperties: new OA\AdditionalProperties,
        ),
    ],
    type: 'object',
)]
final class PlanSchemas
{
}
