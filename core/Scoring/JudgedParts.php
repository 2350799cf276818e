<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/** How the parts of a take are measured: one implementation for moves that are held, one for the figures of drills. */
interface JudgedParts
{
    public function scores(): PartScores;

    /** @return list<Metric> what a petal rests on */
    public function metrics(Petal $petal): array;
}
