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
#[OA\Schema(schema: 'FullCamera', required: ['hfov_deg', 'vfov_deg', 'aspect'], properties: [
    new OA\Property(property: 'hfov_deg', type: 'number'),
    new OA\Property(property: 'vfov_deg', type: 'number'),
    new OA\Property(property: 'aspect', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Wind', required: ['from_deg', 'mean_mps', 'gust_mps'], properties: [
    new OA\Property(property: 'from_deg', type: 'number'),
    new OA\Property(property: 'mean_mps', type: 'number'),
    new OA\Property(property: 'gust_mps', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Facets', required: ['ease', 'flow', 'hold', 'line', 'frame'], properties: [
    new OA\Property(property: 'ease', type: 'number', nullable: true),
    new OA\Property(property: 'flow', type: 'number', nullable: true),
    new OA\Property(property: 'hold', type: 'number', nullable: true),
    new OA\Property(property: 'line', type: 'number', nullable: true),
    new OA\Property(property: 'frame', type: 'number', nullable: true),
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
#[OA\Schema(schema: 'Solid', required: ['id', 'name', 'role', 'shape', 'east_m', 'north_m', 'base_m', 'width_m', 'length_m', 'height_m', 'heading_deg'], properties: [
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
    new OA\Property(property: 'points', description: 'of a polygon, a canopy or a wire', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'clear_m', description: 'of a canopy: free height beneath', type: 'number'), new OA\Property(property: 'sag_m', description: 'of a wire', type: 'number'), new OA\Property(property: 'moves', description: 'by itself', type: 'boolean'),
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
    new OA\Property(property: 'take_off', description: 'only of a reading: where take-off is put on the drawing', required: ['east_m', 'north_m'], properties: [new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'), new OA\Property(property: 'up_m', type: 'number')], type: 'object'),
    new OA\Property(property: 'people_m', description: 'least distance to people', type: 'number'), new OA\Property(property: 'variation_deg', description: 'magnetic north east of true north', type: 'number'), new OA\Property(property: 'zone', description: 'its clock, by its name in the IANA time zone database; UTC where left out', type: 'string'),
    new OA\Property(property: 'ground', ref: '#/components/schemas/Ground'), new OA\Property(property: 'areas', type: 'array', items: new OA\Items(ref: '#/components/schemas/Area')), new OA\Property(property: 'observers', type: 'array', items: new OA\Items(ref: '#/components/schemas/Observer')),
], type: 'object')]
#[OA\Schema(schema: 'TrackPoint', required: ['t', 'lat', 'lon'], properties: [
    new OA\Property(property: 't', description: 's', type: 'number'), new OA\Property(property: 'lat', type: 'number'), new OA\Property(property: 'lon', type: 'number'), new OA\Property(property: 'alt_m', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'IntentSubject', description: 'where it stands, or its track', properties: [
    new OA\Property(property: 'lat', type: 'number'), new OA\Property(property: 'lon', type: 'number'), new OA\Property(property: 'alt_m', type: 'number'),
    new OA\Property(property: 'base_alt_m', type: 'number'),
    new OA\Property(property: 'track', type: 'array', items: new OA\Items(ref: '#/components/schemas/TrackPoint')),
], type: 'object')]
#[OA\Schema(schema: 'Intent', required: ['move', 'parameters'], properties: [
    new OA\Property(property: 'schema', type: 'string'), new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'subject', ref: '#/components/schemas/IntentSubject'),
    new OA\Property(property: 'join', type: 'string', enum: ['sequence', 'together']),
    new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Part')),
    new OA\Property(property: 'aim', required: ['x', 'y'], properties: [new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number')], type: 'object'),
    new OA\Property(property: 'camera', ref: '#/components/schemas/Camera'), new OA\Property(property: 'home', ref: '#/components/schemas/GeoPoint'),
    new OA\Property(property: 'parameters', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')])),
], type: 'object')]
#[OA\Schema(schema: 'Parameter', required: ['id', 'label'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'label', type: 'string'), new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'least', type: 'number'), new OA\Property(property: 'most', type: 'number'), new OA\Property(property: 'step', type: 'number'), new OA\Property(property: 'usual', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'choices', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'MoveFinger', required: ['finger', 'way', 'group', 'optional'], properties: [
    new OA\Property(property: 'finger', type: 'string'),
    new OA\Property(property: 'way', description: '+ or - of the finger’s own ends, ± either, ∓ against that, = with it, * free', type: 'string'),
    new OA\Property(property: 'group', description: 'in which it leaves its rest, from 0', type: 'integer'),
    new OA\Property(property: 'optional', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'MoveFault', required: ['id', 'name', 'cue'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'cue', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Move', required: ['id', 'name', 'group', 'group_words', 'level', 'level_words', 'axes', 'fingering', 'needs', 'does', 'clean', 'caution', 'faults', 'parameters'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'group', type: 'string'),
    new OA\Property(property: 'group_words', type: 'string'),
    new OA\Property(property: 'level', type: 'integer'),
    new OA\Property(property: 'level_words', type: 'string'),
    new OA\Property(property: 'axes', type: 'integer'),
    new OA\Property(property: 'fingering', type: 'array', items: new OA\Items(ref: '#/components/schemas/MoveFinger')),
    new OA\Property(property: 'needs', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'does', type: 'string'),
    new OA\Property(property: 'clean', type: 'string'),
    new OA\Property(property: 'caution', type: 'string'),
    new OA\Property(property: 'faults', type: 'array', items: new OA\Items(ref: '#/components/schemas/MoveFault')),
    new OA\Property(property: 'parameters', type: 'array', items: new OA\Items(ref: '#/components/schemas/Parameter')),
], type: 'object')]
#[OA\Schema(schema: 'Samples', required: ['t', 'east_m', 'north_m', 'up_m', 'heading_deg', 'tilt_deg'], properties: [
    new OA\Property(property: 't', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'east_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'north_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'up_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'heading_deg', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'tilt_deg', type: 'array', items: new OA\Items(type: 'number')),
], type: 'object')]
#[OA\Schema(schema: 'Press', required: ['finger', 'thumb', 'ends', 'hold', 'peak', 'kind', 'onset_s', 'off_s'], properties: [
    new OA\Property(property: 'finger', type: 'string'),
    new OA\Property(property: 'thumb', type: 'string'),
    new OA\Property(property: 'ends', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'hold', type: 'number'),
    new OA\Property(property: 'peak', type: 'number'),
    new OA\Property(property: 'kind', type: 'string', enum: ['rests', 'touch', 'plays']),
    new OA\Property(property: 'onset_s', type: 'number', nullable: true),
    new OA\Property(property: 'off_s', type: 'number', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'Cue', required: ['t', 'finger', 'text'], properties: [
    new OA\Property(property: 't', type: 'number'),
    new OA\Property(property: 'finger', type: 'string'),
    new OA\Property(property: 'text', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'FrameSolid', required: ['id', 'subject', 'outline'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'subject', type: 'boolean'),
    new OA\Property(property: 'outline', description: '[u, v] of each corner in order round it, ten-thousandths of the frame from its centre', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer'))),
], type: 'object')]
#[OA\Schema(schema: 'Frame', required: ['t', 'horizon', 'mark', 'solids'], properties: [
    new OA\Property(property: 't', type: 'number'),
    new OA\Property(property: 'horizon', type: 'number'),
    new OA\Property(property: 'mark', type: 'array', items: new OA\Items(type: 'number'), nullable: true),
    new OA\Property(property: 'solids', type: 'array', items: new OA\Items(ref: '#/components/schemas/FrameSolid')),
], type: 'object')]
#[OA\Schema(schema: 'Finding', required: ['id', 'state', 'text', 'value', 'limit', 'unit', 'mend'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'state', type: 'string', enum: ['ok', 'note', 'broken']), new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'value', type: 'number', nullable: true), new OA\Property(property: 'limit', type: 'number', nullable: true), new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'mend', required: ['text', 'parameters'], properties: [
        new OA\Property(property: 'text', type: 'string'),
        new OA\Property(property: 'parameters', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')])),
    ], type: 'object', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'Phases', required: ['onset_s', 'hold_from_s', 'hold_to_s', 'stop_s', 'duration_s', 'lead_s'], properties: [
    new OA\Property(property: 'onset_s', type: 'number'),
    new OA\Property(property: 'hold_from_s', type: 'number'),
    new OA\Property(property: 'hold_to_s', type: 'number'),
    new OA\Property(property: 'stop_s', type: 'number'),
    new OA\Property(property: 'duration_s', type: 'number'),
    new OA\Property(property: 'lead_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Expected', required: ['score', 'verdict', 'facets', 'limited_by'], properties: [
    new OA\Property(property: 'score', type: 'number'),
    new OA\Property(property: 'verdict', type: 'string', enum: ['keep', 'fix', 'again']),
    new OA\Property(property: 'facets', ref: '#/components/schemas/Facets'),
    new OA\Property(property: 'limited_by', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Expectation', required: ['sentence', 'expected'], properties: [
    new OA\Property(property: 'sentence', type: 'string'),
    new OA\Property(property: 'expected', ref: '#/components/schemas/Expected', description: 'null where nothing could be judged', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'PlanSubject', required: ['east_m', 'north_m', 'up_m', 'ground_m'], properties: [
    new OA\Property(property: 'east_m', type: 'number'),
    new OA\Property(property: 'north_m', type: 'number'),
    new OA\Property(property: 'up_m', type: 'number'),
    new OA\Property(property: 'ground_m', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'PlanMove', required: ['id', 'name'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Part', required: ['move'], properties: [
    new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'parameters', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')])),
], type: 'object')]
#[OA\Schema(schema: 'SubjectWay', required: ['east_m', 'north_m', 'up_m'], properties: [
    new OA\Property(property: 'east_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'north_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'up_m', type: 'array', items: new OA\Items(type: 'number')),
], type: 'object')]
#[OA\Schema(schema: 'RunIn', required: ['seconds', 'metres'], properties: [
    new OA\Property(property: 'seconds', type: 'number'),
    new OA\Property(property: 'metres', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Composition', required: ['distance_m', 'height_m', 'tilt_deg', 'parameters', 'reached', 'hidden', 'notes'], properties: [
    new OA\Property(property: 'distance_m', type: 'number'), new OA\Property(property: 'height_m', type: 'number'), new OA\Property(property: 'tilt_deg', type: 'number'),
    new OA\Property(property: 'parameters', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
    new OA\Property(property: 'reached', required: ['distance_m', 'height_m', 'hold_s'], properties: [new OA\Property(property: 'distance_m', type: 'number'), new OA\Property(property: 'height_m', type: 'number'), new OA\Property(property: 'hold_s', type: 'number')], type: 'object'),
    new OA\Property(property: 'hidden', type: 'boolean', nullable: true), new OA\Property(property: 'notes', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'Slip', required: ['kind', 'finger', 'at'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['kick', 'tremble', 'sag', 'snap', 'spring', 'leak', 'mismatch', 'late', 'bounce', 'wrong-way', 'nose-in']),
    new OA\Property(property: 'finger', type: 'string', enum: ['climb', 'turn', 'run', 'slide', 'tilt']),
    new OA\Property(property: 'at', description: 'seconds after first motion', type: 'number'),
    new OA\Property(property: 'size', type: 'number'),
    new OA\Property(property: 'length', description: 's', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'LessonFault', required: ['id', 'name', 'axis', 't_s', 'severity', 'picture'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'axis', type: 'string'),
    new OA\Property(property: 't_s', type: 'number'), new OA\Property(property: 'severity', type: 'string', enum: ['slight', 'clear', 'ruinous']), new OA\Property(property: 'picture', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'LessonFlight', required: ['fault', 'from_s', 'samples', 'fingers', 'frames', 'score', 'facets', 'faults', 'headline'], properties: [
    new OA\Property(property: 'fault', description: 'put in on purpose; null for a clean flight', type: 'string', nullable: true),
    new OA\Property(property: 'from_s', description: 'when it begins', type: 'number'),
    new OA\Property(property: 'samples', ref: '#/components/schemas/Samples'),
    new OA\Property(property: 'fingers', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'frames', type: 'array', items: new OA\Items(ref: '#/components/schemas/Frame')),
    new OA\Property(property: 'score', type: 'number'),
    new OA\Property(property: 'facets', ref: '#/components/schemas/Facets'),
    new OA\Property(property: 'faults', type: 'array', items: new OA\Items(ref: '#/components/schemas/LessonFault')),
    new OA\Property(property: 'headline', type: 'string'),
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
    new OA\Property(property: 'axes', description: 'by finger: 1 or -1', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer')),
    new OA\Property(property: 'moves', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'Combinations', required: ['with_zoom', 'without_zoom', 'all'], properties: [
    new OA\Property(property: 'with_zoom', type: 'array', items: new OA\Items(ref: '#/components/schemas/AxisCount')),
    new OA\Property(property: 'without_zoom', type: 'array', items: new OA\Items(ref: '#/components/schemas/AxisCount')),
    new OA\Property(property: 'all', type: 'array', items: new OA\Items(ref: '#/components/schemas/AxisCombination')),
], type: 'object')]
#[OA\Schema(schema: 'Word', required: ['word', 'meanings', 'ours'], properties: [
    new OA\Property(property: 'word', type: 'string'), new OA\Property(property: 'meanings', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'ours', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'NamedTake', required: ['name', 'take'], properties: [
    new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'take', ref: '#/components/schemas/Take'),
], type: 'object')]
#[OA\Schema(schema: 'Comparison', required: ['takes', 'best', 'reason'], properties: [
    new OA\Property(property: 'takes', description: 'the best first', type: 'array', items: new OA\Items(ref: '#/components/schemas/NamedTake')),
    new OA\Property(property: 'best', type: 'integer', nullable: true),
    new OA\Property(property: 'reason', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'MappedColumn', required: ['column'], properties: [
    new OA\Property(property: 'column', type: 'string'), new OA\Property(property: 'unit', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'GuessedColumn', required: ['column', 'unit', 'sure', 'why'], properties: [
    new OA\Property(property: 'column', type: 'string'), new OA\Property(property: 'unit', type: 'string'), new OA\Property(property: 'sure', type: 'boolean'), new OA\Property(property: 'why', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'LogQuantity', required: ['id', 'name', 'needed', 'units'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'needed', type: 'boolean'),
    new OA\Property(property: 'units', type: 'array', items: new OA\Items(type: 'string')),
], type: 'object')]
#[OA\Schema(schema: 'ColumnQuestion', required: ['headers', 'guess', 'quantities'], properties: [
    new OA\Property(property: 'headers', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'guess', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/GuessedColumn')),
    new OA\Property(property: 'quantities', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogQuantity')),
], type: 'object')]
#[OA\Schema(schema: 'MoveChoice', required: ['id', 'name'], properties: [
    new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'name', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'UnsureTake', required: ['number', 'from_s', 'to_s', 'candidates'], properties: [
    new OA\Property(property: 'number', type: 'integer'), new OA\Property(property: 'from_s', type: 'number'), new OA\Property(property: 'to_s', type: 'number'),
    new OA\Property(property: 'candidates', type: 'array', items: new OA\Items(ref: '#/components/schemas/MoveChoice')),
], type: 'object')]
#[OA\Schema(schema: 'Plan', required: ['intent', 'assumed', 'move', 'feasible', 'phases', 'camera', 'subject', 'subject_way', 'run_in', 'samples', 'fingers', 'presses', 'comfortable', 'cues', 'frames', 'findings', 'summary'], properties: [
    new OA\Property(property: 'intent', ref: '#/components/schemas/Intent'),
    new OA\Property(property: 'assumed', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'move', ref: '#/components/schemas/PlanMove'),
    new OA\Property(property: 'feasible', type: 'boolean'),
    new OA\Property(property: 'phases', ref: '#/components/schemas/Phases'),
    new OA\Property(property: 'camera', ref: '#/components/schemas/FullCamera'),
    new OA\Property(property: 'subject', ref: '#/components/schemas/PlanSubject', nullable: true),
    new OA\Property(property: 'subject_way', ref: '#/components/schemas/SubjectWay', description: 'where a subject that moves is at each sample', nullable: true),
    new OA\Property(property: 'ground_m', description: 'east, north and height along the side sheet; null where nobody said how the ground lies', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')), nullable: true),
    new OA\Property(property: 'run_in', ref: '#/components/schemas/RunIn'),
    new OA\Property(property: 'samples', ref: '#/components/schemas/Samples'),
    new OA\Property(property: 'fingers', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'presses', type: 'array', items: new OA\Items(ref: '#/components/schemas/Press')),
    new OA\Property(property: 'comfortable', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'cues', type: 'array', items: new OA\Items(ref: '#/components/schemas/Cue')),
    new OA\Property(property: 'frames', type: 'array', items: new OA\Items(ref: '#/components/schemas/Frame')),
    new OA\Property(property: 'findings', type: 'array', items: new OA\Items(ref: '#/components/schemas/Finding')),
    new OA\Property(property: 'summary', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Figure', required: ['id', 'label', 'value', 'unit', 'textbook', 'unusable', 'score', 'source'], properties: [
    new OA\Property(property: 'source', description: 'what of the log it rests on', type: 'string', enum: ['positions', 'speed', 'fingers']),
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'label', type: 'string'),
    new OA\Property(property: 'value', type: 'number'),
    new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'textbook', type: 'number'),
    new OA\Property(property: 'unusable', type: 'number'),
    new OA\Property(property: 'score', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Facet', required: ['name', 'score', 'why', 'figures'], properties: [
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'score', type: 'number', nullable: true),
    new OA\Property(property: 'why', type: 'string'),
    new OA\Property(property: 'figures', type: 'array', items: new OA\Items(ref: '#/components/schemas/Figure')),
], type: 'object')]
#[OA\Schema(schema: 'Fault', required: ['id', 'name', 'axis', 't_s', 'until_s', 'size', 'unit', 'severity', 'cost', 'picture', 'try'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'axis', type: 'string'),
    new OA\Property(property: 't_s', type: 'number'),
    new OA\Property(property: 'until_s', type: 'number'),
    new OA\Property(property: 'size', type: 'number'),
    new OA\Property(property: 'unit', type: 'string'),
    new OA\Property(property: 'severity', type: 'string', enum: ['slight', 'clear', 'ruinous']),
    new OA\Property(property: 'cost', type: 'number'),
    new OA\Property(property: 'picture', type: 'string'),
    new OA\Property(property: 'try', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'Stretch', required: ['from_s', 'to_s', 'seconds'], properties: [
    new OA\Property(property: 'from_s', type: 'number'),
    new OA\Property(property: 'to_s', type: 'number'),
    new OA\Property(property: 'seconds', type: 'number'),
    new OA\Property(property: 'cost', description: 'mean cost of a window, 0 the best', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'TakeLimits', required: ['from_s', 'to_s', 'hold_from_s', 'hold_to_s'], properties: [
    new OA\Property(property: 'from_s', type: 'number'),
    new OA\Property(property: 'to_s', type: 'number'),
    new OA\Property(property: 'hold_from_s', type: 'number'),
    new OA\Property(property: 'hold_to_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Crop', required: ['drift_percent', 'level_percent', 'total_percent'], properties: [
    new OA\Property(property: 'drift_percent', type: 'number'),
    new OA\Property(property: 'level_percent', type: 'number', nullable: true),
    new OA\Property(property: 'total_percent', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'JudgedMove', required: ['id', 'confidence', 'given'], properties: [
    new OA\Property(property: 'id', type: 'string'),
    new OA\Property(property: 'confidence', type: 'number'),
    new OA\Property(property: 'given', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'JudgedWind', required: ['mean_mps', 'gust_mps', 'share'], properties: [
    new OA\Property(property: 'mean_mps', type: 'number', nullable: true),
    new OA\Property(property: 'gust_mps', type: 'number', nullable: true),
    new OA\Property(property: 'share', type: 'number', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'JudgedFacets', required: ['ease', 'flow', 'hold', 'line', 'frame'], properties: [
    new OA\Property(property: 'ease', ref: '#/components/schemas/Facet'),
    new OA\Property(property: 'flow', ref: '#/components/schemas/Facet'),
    new OA\Property(property: 'hold', ref: '#/components/schemas/Facet'),
    new OA\Property(property: 'line', ref: '#/components/schemas/Facet'),
    new OA\Property(property: 'frame', ref: '#/components/schemas/Facet'),
], type: 'object')]
#[OA\Schema(schema: 'Score', required: ['method', 'log', 'take', 'move', 'intent', 'fitted', 'camera_assumed', 'score', 'uncertainty', 'facets', 'faults', 'usable', 'windows', 'crop', 'wind', 'automated', 'verdict', 'headline', 'reason', 'remarks'], properties: [
    new OA\Property(property: 'method', type: 'string'),
    new OA\Property(property: 'log', required: ['samples', 'rate_hz', 'duration_s', 'sha256'], properties: [
        new OA\Property(property: 'samples', type: 'integer'), new OA\Property(property: 'rate_hz', type: 'number'),
        new OA\Property(property: 'duration_s', type: 'number'), new OA\Property(property: 'sha256', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'take', ref: '#/components/schemas/TakeLimits'),
    new OA\Property(property: 'move', ref: '#/components/schemas/JudgedMove'),
    new OA\Property(property: 'intent', ref: '#/components/schemas/Intent'),
    new OA\Property(property: 'fitted', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'camera_assumed', type: 'boolean'),
    new OA\Property(property: 'score', type: 'number'),
    new OA\Property(property: 'uncertainty', type: 'number'),
    new OA\Property(property: 'facets', ref: '#/components/schemas/JudgedFacets'),
    new OA\Property(property: 'faults', type: 'array', items: new OA\Items(ref: '#/components/schemas/Fault')),
    new OA\Property(property: 'usable', type: 'array', items: new OA\Items(ref: '#/components/schemas/Stretch')),
    new OA\Property(property: 'windows', type: 'array', items: new OA\Items(ref: '#/components/schemas/Stretch')),
    new OA\Property(property: 'crop', ref: '#/components/schemas/Crop'),
    new OA\Property(property: 'wind', ref: '#/components/schemas/JudgedWind'),
    new OA\Property(property: 'automated', description: 'share of the take that automation flew', type: 'number', nullable: true),
    new OA\Property(property: 'verdict', type: 'string', enum: ['keep', 'fix', 'again']),
    new OA\Property(property: 'headline', type: 'string'), new OA\Property(property: 'reason', type: 'string'),
    new OA\Property(property: 'remarks', type: 'array', items: new OA\Items(type: 'string')),
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
#[OA\Schema(schema: 'ReplayPlanned', required: ['t', 'east_m', 'north_m', 'up_m', 'heading_deg', 'fingers', 'hold_from_s', 'hold_to_s'], properties: [
    new OA\Property(property: 't', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'east_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'north_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'up_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'heading_deg', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'fingers', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number'))),
    new OA\Property(property: 'hold_from_s', type: 'number'),
    new OA\Property(property: 'hold_to_s', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'Replay', required: ['t', 'east_m', 'north_m', 'up_m', 'heading_deg', 'tilt_deg', 'u', 'v', 'cost', 'fingers', 'fingers_inferred', 'thumbs', 'camera', 'aim', 'subject', 'subject_track', 'planned'], properties: [
    new OA\Property(property: 't', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'east_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'north_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'up_m', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'heading_deg', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'tilt_deg', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'u', type: 'array', items: new OA\Items(type: 'number', nullable: true)),
    new OA\Property(property: 'v', type: 'array', items: new OA\Items(type: 'number', nullable: true)),
    new OA\Property(property: 'cost', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'fingers', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(type: 'number')), nullable: true),
    new OA\Property(property: 'fingers_inferred', type: 'boolean'),
    new OA\Property(property: 'thumbs', type: 'object', additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/Thumb')),
    new OA\Property(property: 'camera', ref: '#/components/schemas/FullCamera'),
    new OA\Property(property: 'aim', ref: '#/components/schemas/FramePlace'),
    new OA\Property(property: 'subject', ref: '#/components/schemas/ReplaySubject', nullable: true),
    new OA\Property(property: 'subject_track', description: 'of a subject that moves, at the times of the take', required: ['east_m', 'north_m'], properties: [
        new OA\Property(property: 'east_m', type: 'array', items: new OA\Items(type: 'number')), new OA\Property(property: 'north_m', type: 'array', items: new OA\Items(type: 'number')),
    ], type: 'object', nullable: true),
    new OA\Property(property: 'planned', ref: '#/components/schemas/ReplayPlanned', nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'Trend', required: ['operator', 'points'], properties: [
    new OA\Property(property: 'operator', type: 'string'),
    new OA\Property(property: 'points', type: 'array', items: new OA\Items(required: ['take', 'flown_at', 'score', 'uncertainty', 'median'], properties: [
        new OA\Property(property: 'take', type: 'integer'), new OA\Property(property: 'flown_at', type: 'string', format: 'date-time'),
        new OA\Property(property: 'score', type: 'number'), new OA\Property(property: 'uncertainty', type: 'number'),
        new OA\Property(property: 'median', description: 'of this take and the four before it', type: 'number', nullable: true),
    ], type: 'object')),
], type: 'object')]
#[OA\Schema(schema: 'TypicalTake', description: 'Medians of the takes that an advice rests on', required: ['takes', 'score', 'facets'], properties: [
    new OA\Property(property: 'takes', type: 'integer'), new OA\Property(property: 'score', type: 'number'), new OA\Property(property: 'facets', ref: '#/components/schemas/Facets'),
], type: 'object')]
#[OA\Schema(schema: 'Advice', required: ['kind', 'title', 'reason', 'facet', 'cue', 'change', 'evidence', 'typical'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['first', 'come-back', 'mend-facet', 'other-way', 'tighter']), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'reason', type: 'string'),
    new OA\Property(property: 'facet', type: 'string', nullable: true), new OA\Property(property: 'cue', type: 'string'),
    new OA\Property(property: 'change', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')])),
    new OA\Property(property: 'evidence', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')])),
    new OA\Property(property: 'typical', ref: '#/components/schemas/TypicalTake', nullable: true),
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
