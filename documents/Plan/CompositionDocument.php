<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;
use Larkspur\Choreography\FoundPicture;
use Larkspur\Fact;
use Larkspur\Measure\Angle;

/** Where the lens must be for a wanted picture, and the parameters that bring it there. */
final readonly class CompositionDocument implements Document
{
    /**
     * @param  Map<float>  $parameters
     * @param  ?bool  $hidden  whether what must not be seen is hidden; null where nothing must
     * @param  list<Fact>  $notes
     */
    public function __construct(
        public float $distanceM,
        public float $heightM,
        public float $tiltDeg,
        public Map $parameters,
        public PictureReached $reached,
        public ?bool $hidden,
        public array $notes,
    ) {
    }

    public static function of(FoundPicture $found): self
    {
        return new self(
            round($found->wanted->distance, 2), round($found->wanted->height, 2), round($found->wanted->tilt / Angle::DEGREE, 2),
            new Map(array_map(static fn (float $value): float => round($value, 2), $found->parameters)),
            new PictureReached(round($found->distance, 2), round($found->height, 2), round($found->hold, 2)), $found->hidden, $found->notes,
        );
    }
}
