<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Larkspur\Rig\House;
use OpenApi\Attributes as OA;

/** A house of thought; null lets an operator follow the school's. */
#[OA\Schema(schema: 'ChooseHouse', required: ['house'], properties: [
    new OA\Property(property: 'house', type: 'string', enum: ['limit-the-machine', 'middle', 'trust-the-fingers'], nullable: true),
], type: 'object')]
#[OA\Schema(schema: 'Houses', required: ['school', 'own', 'followed'], properties: [
    new OA\Property(property: 'school', type: 'string'), new OA\Property(property: 'own', type: 'string', nullable: true),
    new OA\Property(property: 'followed', type: 'string'),
], type: 'object')]
final class ChooseHouse extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['house' => [
            $this->route('operator') === null ? 'required' : 'present', 'nullable',
            'in:'.implode(',', array_column(House::cases(), 'value')),
        ]];
    }
}
