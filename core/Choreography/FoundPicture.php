<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Camera\Composition;
use Larkspur\Fact;

/** Where the lens must be for a wanted picture, the parameters that bring a move there, and what it then comes to. */
final readonly class FoundPicture
{
    /**
     * @param  array<string, float>  $parameters  metres, degrees, m/s
     * @param  float  $distance  over the ground, m, that the move reaches
     * @param  float  $height  above the subject's foot, m
     * @param  float  $hold  length of the hold, s
     * @param  ?bool  $hidden  whether what must not be seen is hidden; null where nothing must
     * @param  list<Fact>  $notes
     */
    public function __construct(
        public Composition $wanted,
        public array $parameters,
        public float $distance,
        public float $height,
        public float $hold,
        public ?bool $hidden,
        public array $notes,
    ) {
    }
}
