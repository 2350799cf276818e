<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\HeightsDocument;
use App\Outside\GroundHeights;
use Documents\Site\Spot;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;

/** Spot heights about a take-off point, from whoever knows how the ground lies: eight ways, half the reach and all of it. */
final readonly class FindHeights
{
    public function __construct(private GroundHeights $service)
    {
    }

    /** @param  float  $reach  m */
    public function __invoke(GeoPoint $home, float $reach): HeightsDocument
    {
        $places = [new Position(0, 0, 0)];
        foreach ([0.5, 1.0] as $share) {
            for ($k = 0; $k < 8; $k++) {
                $places[] = new Position(round($share * $reach * sin($k * M_PI / 4), 1), round($share * $reach * cos($k * M_PI / 4), 1), 0);
            }
        }
        $heights = $this->service->at(array_map((new LocalFrame($home))->geoPoint(...), $places));
        $spots = [];
        foreach (array_slice($places, 1) as $k => $place) {
            $spots[] = new Spot($place->east, $place->north, round($heights[$k + 1] - $heights[0], 2));
        }

        return new HeightsDocument($heights[0], $spots, $this->service->source(), $this->service->isSimulated());
    }
}
