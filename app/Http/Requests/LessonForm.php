<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Lesson;
use Illuminate\Foundation\Http\FormRequest;
use Larkspur\Move\Catalogue;
use OpenApi\Attributes as OA;

/** A lesson as a trainer sets it. Without a purpose there is none. */
#[OA\Schema(schema: 'LessonStep', required: ['kind', 'move', 'shot_id', 'passes', 'note'], properties: [
    new OA\Property(property: 'kind', type: 'string', enum: ['read', 'spot', 'rehearse', 'practise', 'fly', 'debrief']),
    new OA\Property(property: 'move', description: 'empty where it does not matter', type: 'string'),
    new OA\Property(property: 'shot_id', type: 'integer', nullable: true),
    new OA\Property(property: 'passes', type: 'integer'), new OA\Property(property: 'note', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'LessonForm', required: ['title', 'purpose', 'steps', 'minutes', 'batteries', 'wanted_on', 'operators'], properties: [
    new OA\Property(property: 'title', type: 'string', maxLength: 120),
    new OA\Property(property: 'purpose', type: 'string', maxLength: 400),
    new OA\Property(property: 'steps', type: 'array', items: new OA\Items(ref: '#/components/schemas/LessonStep')),
    new OA\Property(property: 'minutes', type: 'integer', nullable: true),
    new OA\Property(property: 'batteries', type: 'integer', nullable: true),
    new OA\Property(property: 'wanted_on', type: 'string', nullable: true),
    new OA\Property(property: 'operators', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'version', description: 'the one that was worked on; only where one is changed', type: 'integer'),
], type: 'object')]
final class LessonForm extends FormRequest
{
    private const MOST_STEPS = 30;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:120'], 'purpose' => ['required', 'string', 'max:400'],
            'steps' => ['required', 'array', 'list', 'min:1', 'max:'.self::MOST_STEPS],
            'steps.*.kind' => ['required', 'in:'.implode(',', Lesson::KINDS)],
            // What is rehearsed, practised or flown is a move.
            'steps.*.move' => ['present', 'nullable', 'string', 'in:'.implode(',', Catalogue::ids()),
                'required_if:steps.*.kind,rehearse,practise,fly'],
            'steps.*.shot_id' => ['present', 'nullable', 'integer'], 'steps.*.passes' => ['required', 'integer', 'between:1,50'],
            'steps.*.note' => ['present', 'nullable', 'string', 'max:300'],
            'minutes' => ['present', 'nullable', 'integer', 'between:1,1440'],
            'batteries' => ['present', 'nullable', 'integer', 'between:0,50'],
            'wanted_on' => ['bail', 'present', 'nullable', 'string', 'date_format:Y-m-d'],
            'operators' => ['required', 'array', 'list', 'min:1', 'max:200'],
            'operators.*' => ['integer'], 'version' => ['sometimes', 'integer', 'min:1'],
        ];
    }

    /** @return array<string, mixed> what of it stands in the record */
    public function attributesOfLesson(): array
    {
        $steps = [];
        foreach ($this->array('steps') as $step) {
            $steps[] = [
                'kind' => $step['kind'], 'move' => $step['move'] ?? '', 'shot_id' => $step['shot_id'], 'passes' => (int) $step['passes'],
                'note' => $step['note'] ?? '',
            ];
        }

        return [
            'title' => $this->string('title')->trim()->toString(), 'purpose' => $this->string('purpose')->trim()->toString(),
            'steps' => $steps, 'minutes' => $this->input('minutes'), 'batteries' => $this->input('batteries'),
            'wanted_on' => $this->input('wanted_on'),
        ];
    }
}
