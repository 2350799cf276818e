<?php

declare(strict_types=1);

namespace App\Http;

use OpenApi\Attributes as OA;

/**
 * Shapes of the API that no request and no resource owns: what core/ gives out as it stands (docs/formats.md), and the
 * small parts that several shapes share.
 */
#[OA\Schema(schema: 'Band', required: ['least', 'most'], properties: [
    new OA\Property(property: 'least', type: 'number'),
    new OA\Property(property: 'most', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Person', required: ['id', 'name'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Camera', required: ['hfov_deg', 'aspect'], properties: [
    new OA\Property(property: 'hfov_deg', type: 'number'),
    new OA\Property(property: 'aspect', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Wind', required: ['from_deg', 'mean_mps', 'gust_mps'], properties: [
    new OA\Property(property: 'from_deg', type: 'number'),
    new OA\Property(property: 'mean_mps', type: 'number'),
    new OA\Property(property: 'gust_mps', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'LogNote', required: ['line', 'column', 'text'], properties: [
    new OA\Property(property: 'line', type: 'integer', nullable: true),
    new OA\Property(property: 'column', type: 'string'),
    new OA\Property(property: 'text', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Operator', required: ['id', 'name', 'takes'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'takes', type: 'integer'),
], type: 'object')]
#[OA\Schema(schema: 'TakePage', required: ['takes', 'next'], properties: [
    new OA\Property(property: 'takes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Take')),
    new OA\Property(property: 'next', type: 'string', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'SiteSubject', required: ['id', 'name', 'east_m', 'north_m', 'up_m', 'base_m'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'east_m', type: 'number'),
    new OA\Property(property: 'north_m', type: 'number'),
    new OA\Property(property: 'up_m', type: 'number'),
    new OA\Property(property: 'base_m', type: 'number'),
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
#[OA\Schema(schema: 'TrackPoint', required: ['t', 'lat', 'lon'], properties: [
    new OA\Property(property: 't', description: 's', type: 'number'), new OA\Property(property: 'lat', type: 'number'),
    new OA\Property(property: 'lon', type: 'number'), new OA\Property(property: 'alt_m', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'IntentSubject', description: 'where it stands, or its track', properties: [
    new OA\Property(property: 'lat', type: 'number'), new OA\Property(property: 'lon', type: 'number'),
    new OA\Property(property: 'alt_m', type: 'number'),
    new OA\Property(property: 'base_alt_m', type: 'number'),
    new OA\Property(property: 'track', type: 'array', items: new OA\Items(ref: '#/components/schemas/TrackPoint')),
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
#[OA\Schema(schema: 'Composition', required: [
    'distance_m', 'height_m', 'tilt_deg', 'parameters', 'reached', 'hidden', 'notes',
], properties: [
    new OA\Property(property: 'distance_m', type: 'number'), new OA\Property(property: 'height_m', type: 'number'),
    new OA\Property(property: 'tilt_deg', type: 'number'),
    new OA\Property(property: 'parameters', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
    new OA\Property(
        property: 'reached', required: ['distance_m', 'height_m', 'hold_s'],
        properties: [
            new OA\Property(property: 'distance_m', type: 'number'), new OA\Property(property: 'height_m', type: 'number'),
            new OA\Property(property: 'hold_s', type: 'number'),
        ],
        type: 'object',
    ),
    new OA\Property(property: 'hidden', type: 'boolean', nullable: true),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
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
#[OA\Schema(schema: 'Lesson', required: ['plan', 'site', 'flown'], properties: [
    new OA\Property(property: 'plan', ref: '#/components/schemas/Plan'),
    new OA\Property(property: 'site', ref: '#/components/schemas/SiteDocument'),
    new OA\Property(property: 'flown', ref: '#/components/schemas/LessonFlight'),
], type: 'object')]
#[OA\Schema(schema: 'AxisCount', required: ['axes', 'count'], properties: [
    new OA\Property(property: 'axes', type: 'integer'), new OA\Property(property: 'count', type: 'integer'),
], type: 'object')]
#[OA\Schema(schema: 'AxisCombination', required: ['axes', 'moves'], properties: [
    new OA\Property(
        property: 'axes', description: 'by finger: 1 or -1', type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'integer'),
    ),
    new OA\Property(property: 'moves', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'Combinations', required: ['with_zoom', 'without_zoom', 'all'], properties: [
    new OA\Property(property: 'with_zoom', type: 'array', items: new OA\Items(ref: '#/components/schemas/AxisCount')),
    new OA\Property(property: 'without_zoom', type: 'array', items: new OA\Items(ref: '#/components/schemas/AxisCount')),
    new OA\Property(property: 'all', type: 'array', items: new OA\Items(ref: '#/components/schemas/AxisCombination')),
], type: 'object')]
#[OA\Schema(schema: 'Word', required: ['word', 'meanings', 'ours'], properties: [
    new OA\Property(property: 'word', type: 'string'),
    new OA\Property(property: 'meanings', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'ours', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'NamedTake', required: ['name', 'take'], properties: [
    new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'take', ref: '#/components/schemas/Take'),
], type: 'object')]
#[OA\Schema(schema: 'Comparison', required: ['takes', 'best', 'reason'], properties: [
    new OA\Property(
        property: 'takes', description: 'the best first', type: 'array', items: new OA\Items(ref: '#/components/schemas/NamedTake'),
    ),
    new OA\Property(property: 'best', type: 'integer', nullable: true),
    new OA\Property(property: 'reason', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'MappedColumn', required: ['column'], properties: [
    new OA\Property(property: 'column', type: 'string'), new OA\Property(property: 'unit', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'GuessedColumn', required: ['column', 'unit', 'sure', 'why'], properties: [
    new OA\Property(property: 'column', type: 'string'), new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'sure', type: 'boolean'), new OA\Property(property: 'why', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'LogQuantity', required: ['id', 'name', 'needed', 'units'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'needed', type: 'boolean'),
    new OA\Property(property: 'units', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'ColumnQuestion', required: ['headers', 'guess', 'quantities'], properties: [
    new OA\Property(property: 'headers', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(
        property: 'guess', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/GuessedColumn'),
    ),
    new OA\Property(property: 'quantities', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogQuantity')),
], type: 'object')]
#[OA\Schema(schema: 'MoveChoice', required: ['id', 'name'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'UnsureTake', required: ['number', 'from_s', 'to_s', 'candidates'], properties: [
    new OA\Property(property: 'number', type: 'integer'), new OA\Property(property: 'from_s', type: 'number'),
    new OA\Property(property: 'to_s', type: 'number'),
    new OA\Property(property: 'candidates', type: 'array', items: new OA\Items(ref: '#/components/schemas/MoveChoice')),
], type: 'object')]
#[OA\Schema(schema: 'Thumb', required: ['thumb', 'ends'], properties: [
    new OA\Property(property: 'thumb', type: 'string'),
    new OA\Property(property: 'ends', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'FramePlace', required: ['u', 'v'], properties: [
    new OA\Property(property: 'u', type: 'number'),
    new OA\Property(property: 'v', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'ReplaySubject', required: ['east_m', 'north_m', 'up_m'], properties: [
    new OA\Property(property: 'east_m', type: 'number'),
    new OA\Property(property: 'north_m', type: 'number'),
    new OA\Property(property: 'up_m', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'ReplayPlanned', required: [
    't', 'east_m', 'north_m', 'up_m', 'heading_deg', 'fingers', 'hold_from_s', 'hold_to_s',
], properties: [
    new OA\Property(property: 't', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'east_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'north_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'up_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'heading_deg', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(
        property: 'fingers', type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number')),
    ),
    new OA\Property(property: 'hold_from_s', type: 'number'),
    new OA\Property(property: 'hold_to_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Replay', required: [
    't', 'east_m', 'north_m', 'up_m', 'heading_deg', 'tilt_deg', 'u', 'v', 'cost', 'fingers', 'fingers_inferred', 'thumbs', 'camera', 'aim',
    'subject', 'subject_track', 'planned',
], properties: [
    new OA\Property(property: 't', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'east_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'north_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'up_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'heading_deg', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'tilt_deg', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'u', type: 'array', items: new OA\Items(type: 'number', nullable: true)),
    new OA\Property(property: 'v', type: 'array', items: new OA\Items(type: 'number', nullable: true)),
    new OA\Property(property: 'cost', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(
        property: 'fingers', type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number')), nullable: true,
    ),
    new OA\Property(property: 'fingers_inferred', type: 'boolean'),
    new OA\Property(
        property: 'thumbs', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Thumb'),
    ),
    new OA\Property(property: 'camera', ref: '#/components/schemas/FullCamera'),
    new OA\Property(property: 'aim', ref: '#/components/schemas/FramePlace'),
    new OA\Property(property: 'subject', ref: '#/components/schemas/ReplaySubject', nullable: true),
    new OA\Property(property: 'subject_track', description: 'of a subject that moves, at the times of the take', required: [
        'east_m', 'north_m',
    ], properties: [
        new OA\Property(property: 'east_m', type: 'array', items: new OA\Items(type: 'number')),
        new OA\Property(property: 'north_m', type: 'array', items: new OA\Items(type: 'number')),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'planned', ref: '#/components/schemas/ReplayPlanned', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'Trend', required: ['operator', 'points'], properties: [
    new OA\Property(property: 'operator', type: 'string'),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(required: [
        'take', 'flown_at', 'score', 'uncertainty', 'median',
    ], properties: [
        new OA\Property(property: 'take', type: 'integer'), new OA\Property(property: 'flown_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'score', type: 'number'), new OA\Property(property: 'uncertainty', type: 'number'),
        new OA\Property(property: 'median', description: 'of this take and the four before it', type: 'number', nullable: true),
    ], type: 'object')),
], type: 'object')]
#[OA\Schema(schema: 'ClassMember', required: ['operator', 'advice'], properties: [
    new OA\Property(property: 'operator', ref: '#/components/schemas/Person'),
    new OA\Property(property: 'advice', ref: '#/components/schemas/Advice'),
], type: 'object')]
#[OA\Schema(schema: 'LatestComment', required: ['take_id', 'at_s', 'text', 'author'], properties: [
    new OA\Property(property: 'take_id', type: 'integer'),
    new OA\Property(property: 'at_s', type: 'number'),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'author', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Today', required: ['advice', 'class', 'takes', 'shot', 'comment'], properties: [
    new OA\Property(property: 'advice', ref: '#/components/schemas/Advice', nullable: true),
    new OA\Property(property: 'class', type: 'array', items: new OA\Items(ref: '#/components/schemas/ClassMember')),
    new OA\Property(property: 'takes', type: 'array', items: new OA\Items(ref: '#/components/schemas/Take')),
    new OA\Property(property: 'shot', ref: '#/components/schemas/Shot', nullable: true),
    new OA\Property(property: 'comment', ref: '#/components/schemas/LatestComment', nullable: true),
], type: 'object')]
final class Schemas
{
}
