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
    schema: 'ShotChanged',
    allOf: [
        new OA\Schema(ref: '#/components/schemas/Problem'),
        new OA\Schema(required: ['version', 'latest'], properties: [
            new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'latest', ref: '#/components/schemas/Shot'),
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
#[OA\Schema(
    schema: 'WantedLight', required: ['side', 'hour'],
    properties: [
        new OA\Property(property: 'side', type: 'string', enum: ['any', 'front', 'side', 'back']),
        new OA\Property(property: 'hour', type: 'string', enum: ['any', 'day', 'golden', 'blue']),
    ],
    type: 'object',
)]
#[OA\Schema(
    schema: 'Layers',
    description: 'between which the depth is to be: a thing’s id, ground, horizon or none; null as the picture has it',
    properties: [
        new OA\Property(property: 'near', type: 'string', nullable: true), new OA\Property(property: 'far', type: 'string', nullable: true),
    ],
    type: 'object',
)]
#[OA\Schema(schema: 'Brief', required: ['purpose', 'light', 'passes', 'must', 'delivered_px', 'use_s', 'sound', 'hidden'], properties: [
    new OA\Property(property: 'purpose', type: 'string'), new OA\Property(property: 'light', ref: '#/components/schemas/WantedLight'),
    new OA\Property(property: 'passes', type: 'integer'), new OA\Property(property: 'must', type: 'boolean'),
    new OA\Property(property: 'delivered_px', type: 'integer'), new OA\Property(property: 'use_s', type: 'number'),
    new OA\Property(property: 'sound', type: 'string'), new OA\Property(property: 'hidden', type: 'string', nullable: true),
    new OA\Property(property: 'layers', ref: '#/components/schemas/Layers'),
    new OA\Property(property: 'exposure', ref: '#/components/schemas/ExposureWish'),
    new OA\Property(property: 'sound_when', type: 'string', enum: ['before', 'during', 'after']),
], type: 'object')]
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
