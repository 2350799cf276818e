<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Move\Judging\Mark;

/** A moment of a planned figure, and the moment of the flight that stands for it. */
final readonly class MatchedMark
{
    /**
     * @param  float  $flown  when the flight was there, s on the log's clock
     * @param  float  $missed  how far from its place in the figure, m
     */
    public function __construct(public Mark $mark, public float $flown, public float $missed)
    {
    }
}
