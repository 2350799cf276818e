<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Telemetry\Analysis\BobIndex;
use Larkspur\Telemetry\Analysis\TurnsAbove;

/** Whether the speed of a take was made with throttle. */
final readonly class BobIndexDocument implements Document
{
    /** @param  ?Fact  $turns  how long it turned faster than a cap; null where none was asked */
    public function __construct(
        public float $index,
        public float $throttleWork,
        public float $runWork,
        public float $correlation,
        public float $hopM,
        public Fact $words,
        public ?Fact $turns,
    ) {
    }

    public static function of(BobIndex $bob, ?TurnsAbove $turns = null): self
    {
        return new self(
            round($bob->index, 1), round($bob->throttle, 4), round($bob->run, 4), round($bob->correlation, 3), round($bob->hop, 3),
            $bob->words(), $turns?->words(),
        );
    }
}
