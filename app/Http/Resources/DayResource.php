<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\FlightDay;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/**
 * A day of flying, as a list shows it.
 *
 * @mixin FlightDay
 */
#[OA\Schema(schema: 'Day', required: ['id', 'title', 'date', 'operator', 'site_id', 'site', 'version', 'shots'], properties: [
    new OA\Property(property: 'id', type: 'integer'), new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'date', type: 'string'),
    new OA\Property(property: 'operator', ref: '#/components/schemas/Person'), new OA\Property(property: 'site_id', type: 'integer'),
    new OA\Property(property: 'site', type: 'string'),
    new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'shots', type: 'integer'),
], type: 'object')]
class DayResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id, 'title' => $this->title, 'date' => $this->day(),
            'operator' => ['id' => $this->operator->id, 'name' => $this->operator->name],
            'site_id' => $this->site_id, 'site' => $this->site->name, 'version' => $this->version,
            'shots' => count(is_array($this->document['shots'] ?? null) ? $this->document['shots'] : []),
        ];
    }
}
