<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Choreography\Cue as PlannedCue;
use Larkspur\Fact;

/** One instruction of a thumb sheet: when which finger does what. */
final readonly class Cue implements Document
{
    /** @param  ?Fact  $thumb  which one it is for, in the reader’s stick mode */
    public function __construct(
        public float $t,
        public string $finger,
        public ?Fact $thumb,
        public Fact $text,
    ) {
    }

    public static function of(PlannedCue $cue): self
    {
        return new self(round($cue->t, 2), $cue->finger, $cue->thumb(), $cue->text);
    }
}
