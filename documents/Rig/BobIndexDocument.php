<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Telemetry\Analysis\BobIndex;

/** Whether the speed of a take was made with throttle. */
final readonly class BobIndexDocument implements Document
{
    public function __construct(
        public float $index,
        public float $throttleWork,
        public float $runWork,
        public float $correlation,
        public float $hopM,
        public Fact $words,
    ) {
    }

    public static function of(BobIndex $bob): self
    {
        return new self(
            round($bob->index, 1), round($bob->throttle, 4), round($bob->run, 4), round($bob->correlation, 3), round($bob->hop, 3),
            $bob->words(),
        );
    }
}
