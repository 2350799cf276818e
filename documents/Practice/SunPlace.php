<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Larkspur\Measure\Angle;
use Larkspur\Site\Sun;

/** Where the sun stands over the site. */
final readonly class SunPlace implements Document
{
    public function __construct(public float $azimuthDeg, public float $altitudeDeg)
    {
    }

    public static function of(Sun $sun): self
    {
        return new self(round(Angle::bearing($sun->azimuth), 2), round($sun->altitude / Angle::DEGREE, 2));
    }
}
