<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Site;
use Illuminate\Http\Request;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use OpenApi\Attributes as OA;

/**
 * A site with what stands on it, in metres about its take-off point.
 *
 * @mixin Site
 */
#[OA\Schema(schema: 'Site', required: ['id', 'name', 'about', 'version', 'document', 'subjects'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'about', type: 'string'),
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'document', ref: '#/components/schemas/SiteDocument'),
    new OA\Property(property: 'subjects', type: 'array', items: new OA\Items(ref: '#/components/schemas/SiteSubject')),
], type: 'object')]
class SiteResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'about' => $this->about,
            'version' => $this->version,
            'document' => $this->document,
            'subjects' => $this->placed(),
        ];
    }

    /**
     * Subjects with their place in the site's own metres.
     *
     * @return list<array<string, mixed>>
     */
    private function placed(): array
    {
        $frame = new LocalFrame(GeoPoint::read(Fields::of($this->document)->group('home')));

        return array_map(static function (array $subject) use ($frame): array {
            $position = $frame->position(new GeoPoint($subject['lat'], $subject['lon'], $subject['alt_m']));

            return [
                'id' => $subject['id'], 'name' => $subject['name'],
                'east_m' => round($position->east, 2), 'north_m' => round($position->north, 2), 'up_m' => round($position->up, 2),
                'base_m' => round($subject['base_alt_m'] - $frame->origin->altitude, 2),
            ];
        }, $this->subjects);
    }
}
