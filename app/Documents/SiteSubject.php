<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Move\Route;

/** A thing to film, in the site's own metres: its mark, and its foot. */
final readonly class SiteSubject implements Document
{
    public function __construct(
        public string $id,
        public string $name,
        public float $eastM,
        public float $northM,
        public float $upM,
        public float $baseM,
        public ?SubjectRoute $route,
    ) {
    }

    /**
     * @param array{
     *     id: string, name: string, lat: float, lon: float, alt_m: float, base_alt_m: float, route?: array<string, mixed>,
     * } $kept
     */
    public static function of(array $kept, LocalFrame $frame): self
    {
        $place = $frame->position(new GeoPoint($kept['lat'], $kept['lon'], $kept['alt_m']));

        return new self(
            $kept['id'], $kept['name'], round($place->east, 2), round($place->north, 2), round($place->up, 2),
            round($kept['base_alt_m'] - $frame->origin->altitude, 2),
            isset($kept['route']) ? SubjectRoute::of(Route::read(Fields::of($kept['route'], 'route'))) : null,
        );
    }
}
