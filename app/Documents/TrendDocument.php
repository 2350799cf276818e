<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Take;
use Documents\Document;
use Larkspur\Training\Trend;

/** An operator's scores over time, oldest first. */
final readonly class TrendDocument implements Document
{
    /** @param  list<TrendPoint>  $points */
    public function __construct(public string $operator, public array $points)
    {
    }

    /** @param  list<Take>  $takes  oldest first */
    public static function of(string $operator, array $takes): self
    {
        $medians = Trend::medians(array_map(static fn (Take $take): float => $take->score, $takes));

        return new self($operator, array_map(TrendPoint::of(...), $takes, $medians));
    }
}
