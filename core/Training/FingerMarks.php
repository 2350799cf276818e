<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Controls\Finger;
use Larkspur\Move\Catalogue;

/**
 * How clean each finger was in a take: 100 less what its faults cost. A finger that the move lets rest, and that did rest, has no mark.
 * A fault along the path is charged to whichever of run and slide plays the move, since a log can't tell them apart; faults of the picture
 * as a whole are nobody's.
 */
final class FingerMarks
{
    /**
     * @param  list<array{string, float}>  $faults  axis and cost in points of each
     * @return array<string, ?float> by finger, 0 to 100
     */
    public static function of(string $move, array $faults): array
    {
        $fingering = Catalogue::move($move)->about()->fingering;
        $marks = [];
        foreach (Finger::cases() as $finger) {
            $plays = $fingering->group($finger) !== null && ! $fingering->isOptional($finger);
            $cost = 0.0;
            $charged = false;
            foreach ($faults as [$axis, $points]) {
                $shared = $axis === 'travel' && $plays && $finger->axis()->value === 'travel';
                if ($axis === $finger->value || $shared) {
                    $cost += $points;
                    $charged = true;
                }
            }
            $marks[$finger->value] = $plays || $charged ? max(0.0, 100.0 - $cost) : null;
        }

        return $marks;
    }
}
