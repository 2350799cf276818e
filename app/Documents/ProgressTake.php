<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Map;
use Larkspur\Training\PastTake;
use Larkspur\Training\Standing\Comparable;
use Larkspur\Training\Standing\Measure;

/** One take as a dot in a standing: its marks, as they would be in a move of middling difficulty. */
final readonly class ProgressTake implements Document
{
    /** @param  Map<float>  $marks  by measure, 0 to 100 and a little beyond */
    public function __construct(public int $id, public string $at, public string $move, public float $uncertainty, public Map $marks)
    {
    }

    /**
     * @param  list<PastTake>  $takes
     * @return list<self>
     */
    public static function each(array $takes, Comparable $moves): array
    {
        $dots = [];
        foreach ($takes as $take) {
            if (! $take->automated && ! $take->practised) {
                $marks = [];
                foreach (Measure::all() as $measure) {
                    $mark = $take->mark($measure);
                    if ($mark !== null) {
                        $marks[$measure] = round($mark - $moves->offset($measure, $take->move), 1);
                    }
                }
                $dots[] = new self(
                    $take->id, gmdate('Y-m-d\TH:i:s\Z', (int) round(86400 * $take->day)), $take->move, $take->uncertainty, new Map($marks),
                );
            }
        }

        return $dots;
    }
}
