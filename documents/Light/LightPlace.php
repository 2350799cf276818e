<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Geo\GeoPoint;

/** Where the sun is looked at from. */
final readonly class LightPlace implements Document
{
    public function __construct(public float $lat, public float $lon)
    {
    }

    public static function of(GeoPoint $place): self
    {
        return new self($place->latitude, $place->longitude);
    }
}
