<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Larkspur\Choreography\Notes\WindNotes;
use Larkspur\Fact;

/** Whether a move can be held in the wind at its height. */
final readonly class WindReading implements Document
{
    /**
     * @param  list<Fact>  $sentences
     */
    public function __construct(
        public float $meanMps,
        public float $gustMps,
        public float $headMps,
        public float $crossMps,
        public float $crossShare,
        public float $upwindMps,
        public float $downwindMps,
        public float $topMps,
        public float $ratedMps,
        public bool $holds,
        public array $sentences,
    ) {
    }

    public static function of(WindNotes $notes): self
    {
        return new self(
            meanMps: round($notes->mean, 1), gustMps: round($notes->gust, 1), headMps: round($notes->head, 1),
            crossMps: round($notes->cross, 1),
            crossShare: round($notes->share, 2), upwindMps: round($notes->upwind, 1), downwindMps: round($notes->downwind, 1),
            topMps: round($notes->top, 1), ratedMps: $notes->rated, holds: $notes->holdsRadius, sentences: $notes->sentences(),
        );
    }
}
