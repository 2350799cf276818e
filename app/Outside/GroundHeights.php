<?php

declare(strict_types=1);

namespace App\Outside;

use Larkspur\Geo\GeoPoint;

/** Tells how high the ground lies. A real terrain service is another class behind this contract. */
interface GroundHeights
{
    /**
     * @param  list<GeoPoint>  $places
     * @return list<float> metres above mean sea level, in the order asked
     */
    public function at(array $places): array;

    public function isSimulated(): bool;

    public function source(): string;
}
