<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

/** What people have said of somebody's step, beside what the takes say. */
final readonly class StepRecord
{
    /**
     * @param  bool  $word  the operator says that it feels settled
     * @param  ?float  $signedDay  of the sign-off that stands, days on the clock of the takes
     * @param  bool  $overruled  signed off against what the evidence said
     * @param  string  $supervisor  who stands by; empty where nobody is named
     */
    public function __construct(
        public bool $word = false, public ?float $signedDay = null, public bool $overruled = false, public string $supervisor = '',
    ) {
    }
}
