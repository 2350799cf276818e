<?php

declare(strict_types=1);

namespace Documents\Replay;

use Documents\Document;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\PlannedReplay;
use Larkspur\Scoring\Replay;

/** A corner, touchdown, crossing or end of a planned figure, and where the flight was for it, in the site's own metres. */
final readonly class ReplayMark implements Document
{
    /** @param  'corner'|'heading'|'touchdown'|'crossing'|'close'|'seam'|'end'  $kind */
    public function __construct(
        public string $kind,
        public float $tS,
        public float $eastM,
        public float $northM,
        public float $plannedEastM,
        public float $plannedNorthM,
    ) {
    }

    /** @return list<self> in the order of the plan; none of a move that is no figure */
    public static function each(Replay $replay, PlannedReplay $planned): array
    {
        $flight = $planned->plan->move->flight;
        $grid = $replay->grid();
        $marks = [];
        foreach ($replay->score->measured->drill->marks ?? [] as $matched) {
            $i = (int) round(($matched->flown - $grid->t[0]) / Grid::STEP);
            $there = $flight->position($flight->indexAt($matched->mark->t));
            $marks[] = new self(
                $matched->mark->kind, round($matched->flown, 2),
                round($grid->x->value[$i] + $replay->origin->east, 2), round($grid->y->value[$i] + $replay->origin->north, 2),
                round($there->east, 2), round($there->north, 2),
            );
        }

        return $marks;
    }
}
