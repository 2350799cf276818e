<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Larkspur\Practice\Detection;

/** How well an eye tells a fault from none. */
final readonly class DetectionDocument implements Document
{
    /**
     * @param  ?float  $sensitivity  d'; null while too few rounds of either kind were seen
     * @param  ?float  $bias  c: above 0 the eye says "nothing" too often
     */
    public function __construct(
        public int $rounds, public int $hits, public int $misses, public int $falseAlarms, public int $correctRejections,
        public ?float $sensitivity, public ?float $bias,
    ) {
    }

    public static function of(Detection $seen): self
    {
        return new self(
            $seen->rounds(), $seen->hits, $seen->misses, $seen->falseAlarms, $seen->correctRejections,
            $seen->tells() ? round($seen->sensitivity(), 2) : null, $seen->tells() ? round($seen->bias(), 2) : null,
        );
    }
}
