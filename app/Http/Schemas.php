<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/**
 * Shapes of the API that no request and no resource owns: what core/ gives out as it stands (docs/formats.md), and the
 * small parts that several shapes share.
 */
#[OA\Schema(schema: 'Camera', required: ['hfov_deg', 'aspect'], properties: [
    new OA\Property(property: 'hfov_deg', type: 'number'),
    new OA\Property(property: 'aspect', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Wind', required: ['from_deg', 'mean_mps', 'gust_mps'], properties: [
    new OA\Property(property: 'from_deg', type: 'number'),
    new OA\Property(property: 'mean_mps', type: 'number'),
    new OA\Property(property: 'gust_mps', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Solid', required: [
    'id', 'name', 'role', 'shape', 'east_m', 'north_m', 'base_m', 'width_m', 'length_m', 'height_m', 'heading_deg',
], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['subject', 'obstacle']),
    new OA\Property(property: 'shape', type: 'string', enum: ['box', 'cylinder', 'polygon', 'canopy', 'wire']),
    new OA\Property(property: 'east_m', type: 'number'),
    new OA\Property(property: 'north_m', type: 'number'),
    new OA\Property(property: 'base_m', type: 'number'),
    new OA\Property(property: 'width_m', type: 'number'),
    new OA\Property(property: 'length_m', type: 'number'),
    new OA\Property(property: 'height_m', type: 'number'),
    new OA\Property(property: 'heading_deg', type: 'number'),
    new OA\Property(
        property: 'points', description: 'of a polygon, a canopy or a wire', type: 'array',
        items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
    ),
    new OA\Property(property: 'clear_m', description: 'of a canopy: free height beneath', type: 'number'),
    new OA\Property(property: 'sag_m', description: 'of a wire', type: 'number'),
    new OA\Property(property: 'moves', description: 'by itself', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'GeoPoint', required: ['lat', 'lon', 'alt_m'], properties: [
    new OA\Property(property: 'lat', type: 'number'),
    new OA\Property(property: 'lon', type: 'number'),
    new OA\Property(property: 'alt_m', type: 'number'),
    new OA\Property(property: 'base_alt_m', description: 'of a subject: the height of its foot', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'SiteDocument', required: ['home', 'ceiling_m', 'sight_line_m', 'solids'], properties: [
    new OA\Property(property: 'home', ref: '#/components/schemas/GeoPoint'),
    new OA\Property(property: 'ceiling_m', type: 'number'),
    new OA\Property(property: 'sight_line_m', type: 'number'),
    new OA\Property(property: 'solids', type: 'array', items: new OA\Items(ref: '#/components/schemas/Solid')),
    new OA\Property(
        property: 'at', description: 'only of a reading: one place, east and north, whose ground is asked about', type: 'array',
        items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
    ),
    new OA\Property(
        property: 'take_off', description: 'only of a reading: where take-off is put on the drawing', required: ['east_m', 'north_m'],
        properties: [
            new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'),
            new OA\Property(property: 'up_m', type: 'number'),
        ],
        type: 'object',
    ),
    new OA\Property(property: 'people_m', description: 'least distance to people', type: 'number'),
    new OA\Property(property: 'variation_deg', description: 'magnetic north east of true north', type: 'number'),
    new OA\Property(property: 'zone', description: 'its clock, by its name in the IANA time zone database; UTC where left out', type: 'string'),
    new OA\Property(property: 'ground', ref: '#/components/schemas/Ground'),
    new OA\Property(property: 'areas', type: 'array', items: new OA\Items(ref: '#/components/schemas/Area')),
    new OA\Property(property: 'observers', type: 'array', items: new OA\Items(ref: '#/components/schemas/Observer')),
], type: 'object')]
#[OA\Schema(schema: 'SiteOwn', description: 'what a file’s site says of itself; left out where it says nothing', properties: [
    new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'ceiling_m', type: 'number'),
    new OA\Property(property: 'sight_line_m', type: 'number'), new OA\Property(property: 'people_m', type: 'number'),
    new OA\Property(property: 'variation_deg', type: 'number'), new OA\Property(property: 'zone', type: 'string'),
    new OA\Property(property: 'ground', ref: '#/components/schemas/Ground'),
], type: 'object')]
#[OA\Schema(schema: 'TrackPoint', required: ['t', 'lat', 'lon'], properties: [
    new OA\Property(property: 't', description: 's', type: 'number'), new OA\Property(property: 'lat', type: 'number'),
    new OA\Property(property: 'lon', type: 'number'), new OA\Property(property: 'alt_m', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'IntentSubject', description: 'where it stands, or its track', properties: [
    new OA\Property(property: 'lat', type: 'number'), new OA\Property(property: 'lon', type: 'number'),
    new OA\Property(property: 'alt_m', type: 'number'),
    new OA\Property(property: 'base_alt_m', type: 'number'),
    new OA\Property(property: 'track', type: 'array', items: new OA\Items(ref: '#/components/schemas/TrackPoint')),
    new OA\Property(property: 'cue', description: 'what it sets off at', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Intent', required: ['move', 'parameters'], properties: [
    new OA\Property(property: 'schema', type: 'string'), new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'subject', ref: '#/components/schemas/IntentSubject'),
    new OA\Property(property: 'join', type: 'string', enum: ['sequence', 'together']),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Part')),
    new OA\Property(
        property: 'aim', required: ['x', 'y'],
        properties: [new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number')], type: 'object',
    ),
    new OA\Property(property: 'camera', ref: '#/components/schemas/Camera'),
    new OA\Property(property: 'home', ref: '#/components/schemas/GeoPoint'),
    new OA\Property(
        property: 'parameters', type: 'object',
        additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')]),
    ),
], type: 'object')]
#[OA\Schema(schema: 'Part', required: ['move'], properties: [
    new OA\Property(property: 'move', type: 'string'),
    new OA\Property(
        property: 'parameters', type: 'object',
        additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')]),
    ),
], type: 'object')]
#[OA\Schema(schema: 'Slip', required: ['kind', 'finger', 'at'], properties: [
    new OA\Property(
        property: 'kind', type: 'string',
        enum: ['kick', 'tremble', 'sag', 'snap', 'spring', 'leak', 'mismatch', 'late', 'bounce', 'wrong-way', 'nose-in'],
    ),
    new OA\Property(property: 'finger', type: 'string', enum: ['climb', 'turn', 'run', 'slide', 'tilt']),
    new OA\Property(property: 'at', description: 'seconds after first motion', type: 'number'),
    new OA\Property(property: 'size', type: 'number'),
    new OA\Property(property: 'length', description: 's', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'MappedColumn', required: ['column'], properties: [
    new OA\Property(property: 'column', type: 'string'), new OA\Property(property: 'unit', type: 'string'),
], type: 'object')]
final class Schemas
{
}
