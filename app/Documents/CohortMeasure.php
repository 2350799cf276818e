<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Training\Group\CohortComparison;
use Larkspur\Training\Standing\Measure;

/** How two cohorts stand in one measure. */
final readonly class CohortMeasure implements Document
{
    /**
     * @param  string  $id  score, a petal or a finger
     * @param  ?float  $mean  points, of those of the one whose takes are enough
     * @param  int  $counted  who they are, how many
     * @param  ?float  $difference  points; null where there are too few to say
     * @param  ?float  $low  of its interval of 90 %
     */
    public function __construct(
        public string $id, public string|Fact $name, public ?float $mean, public int $counted, public ?float $otherMean,
        public int $otherCounted, public ?float $difference, public ?float $low, public ?float $high, public string|Fact $said,
    ) {
    }

    public static function of(CohortComparison $one): self
    {
        $points = static fn (?float $value): ?float => $value === null ? null : round($value, 1);

        return new self(
            $one->measure, Measure::named($one->measure), $points($one->oneMean), $one->one, $points($one->otherMean), $one->other,
            $points($one->difference), $points($one->interval[0] ?? null), $points($one->interval[1] ?? null), $one->said(),
        );
    }
}
