<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\AsPlanned\Tolerances;
use Larkspur\Scoring\JudgingStyle;

/** What a school has chosen about judging, and what is ordinary. */
final readonly class JudgingStyleDocument implements Document
{
    public function __construct(
        public float $cropBudgetPercent, public ToleranceDocument $tolerances, public float $ordinaryCropBudgetPercent,
        public ToleranceDocument $ordinary,
    ) {
    }

    public static function of(JudgingStyle $style): self
    {
        return new self(
            round(100 * $style->cropBudget, 3), ToleranceDocument::of($style->tolerances), 100 * JudgingStyle::CROP_BUDGET,
            ToleranceDocument::of(new Tolerances),
        );
    }
}
