<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Site;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/**
 * A site, as a list shows it: what stands there is asked for when it is chosen.
 *
 * @mixin Site
 */
#[OA\Schema(schema: 'SiteName', required: ['id', 'name', 'about', 'version', 'subjects'], properties: [
    new OA\Property(property: 'id', type: 'integer'), new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'about', type: 'string'), new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'subjects', description: 'how many things can be filmed there', type: 'integer'),
], type: 'object')]
class SiteNameResource extends Resource
{
    /** @return array{id: int, name: string, about: string, version: int, subjects: int} */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'about' => $this->about, 'version' => $this->version,
            'subjects' => count($this->subjects),
        ];
    }
}
