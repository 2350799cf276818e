<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Practice\RehearsedFinger;

/** One finger of a dry rehearsal. */
final readonly class RehearsedFingerDocument implements Document
{
    /**
     * @param  ?float  $lateS  behind its stave; negative early
     * @param  ?float  $gain  how much of the written travel was pressed
     * @param  list<Fact>  $faults
     */
    public function __construct(
        public string $finger, public bool $rests, public bool $clean, public ?float $lateS, public ?float $gain, public ?float $snap,
        public float $leak, public Fact $said, public array $faults,
    ) {
    }

    public static function of(RehearsedFinger $one): self
    {
        return new self(
            $one->finger->value, $one->rests(), $one->isClean(), $one->late === null ? null : round($one->late, 2),
            $one->gain === null ? null : round($one->gain, 3), $one->snap === null ? null : round($one->snap, 2), round($one->leak, 3),
            $one->said(), $one->faults(),
        );
    }
}
