<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\Finish;

/** How a take comes to rest. */
final readonly class FinishDocument implements Document
{
    /**
     * @param  ?float  $score  0 to 100; null where nothing of it could be measured
     * @param  list<Figure>  $figures
     */
    public function __construct(public ?float $score, public array $figures)
    {
    }

    public static function of(Finish $finish): self
    {
        return new self($finish->score === null ? null : round($finish->score, 1), array_map(Figure::of(...), $finish->metrics));
    }
}
