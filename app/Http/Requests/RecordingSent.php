<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Larkspur\Controls\Finger;
use OpenApi\Attributes as OA;

/** A recording of the fingers, with the exercise as it was given out. */
#[OA\Schema(schema: 'RecordingSent', required: ['envelope', 'seal', 'recording', 'made_at'], properties: [
    new OA\Property(property: 'envelope', type: 'string'), new OA\Property(property: 'seal', type: 'string'),
    new OA\Property(property: 'recording', ref: '#/components/schemas/Recording'),
    new OA\Property(property: 'made_at', type: 'string'),
], type: 'object')]
#[OA\Schema(
    schema: 'Recording', description: 'larkspur/recording/1 (docs/formats.md): travel in thousandths, one a step',
    required: ['schema', 'id', 'sheet', 'step_s', 'fingers', 'device'], properties: [
        new OA\Property(property: 'schema', type: 'string', enum: ['larkspur/recording/1']),
        new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'sheet', type: 'string'),
        new OA\Property(property: 'step_s', type: 'number'),
        new OA\Property(property: 'fingers', ref: '#/components/schemas/Travel'),
        new OA\Property(property: 'recorded', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer'))),
        new OA\Property(property: 'automated', type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'integer'))),
        new OA\Property(property: 'aids', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'boolean')),
        new OA\Property(property: 'device', required: ['kind'], properties: [
            new OA\Property(property: 'kind', type: 'string', enum: ['keyboard', 'gamepad', 'touch', 'mouse', 'mixed', 'none']),
            new OA\Property(property: 'name', type: 'string'),
        ], type: 'object'),
        new OA\Property(property: 'broken_off', type: 'boolean'),
        new OA\Property(property: 'purpose', description: 'what the session was for', type: 'string', maxLength: 200),
        new OA\Property(property: 'answered', required: ['action', 'step'], properties: [
            new OA\Property(property: 'action', type: 'string', enum: ['descend', 'return', 'hold']),
            new OA\Property(property: 'step', type: 'integer'),
        ], type: 'object', nullable: true),
    ],
    type: 'object',
)]
#[OA\Schema(schema: 'Travel', required: ['climb', 'turn', 'run', 'slide', 'tilt'], properties: [
    new OA\Property(property: 'climb', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'turn', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'run', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'slide', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'tilt', type: 'array', items: new OA\Items(type: 'integer')),
], type: 'object')]
final class RecordingSent extends FormRequest
{
    /** Steps of the longest flight. */
    private const MOST = 30000;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        $travel = [];
        foreach (Finger::cases() as $finger) {
            $travel["recording.fingers.$finger->value"] = ['required', 'array', 'max:'.self::MOST];
        }

        return [
            'envelope' => ['required', 'string', 'max:4000000'], 'seal' => ['required', 'string', 'size:64'],
            'recording' => ['required', 'array'], ...$travel, 'made_at' => ['bail', 'required', 'string', 'date'],
        ];
    }

    /** When it was made, as its browser says, where that can be. */
    public function madeAt(): Carbon
    {
        $said = new Carbon($this->string('made_at')->toString(), 'UTC');

        return $said->greaterThan(now()) || $said->lessThan(now()->subDays(60)) ? Carbon::now() : $said->setTimezone('UTC');
    }
}
