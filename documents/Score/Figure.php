<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Documents\Units;
use Larkspur\Fact;
use Larkspur\Scoring\Metric;

/** One measured quantity behind a petal, with what would be textbook and what unusable. */
final readonly class Figure implements Document
{
    /**
     * @param  'positions'|'speed'|'fingers'  $source
     */
    public function __construct(
        public string $id,
        public Fact $label,
        public float $value,
        public string $unit,
        public float $textbook,
        public float $unusable,
        public float $score,
        public string $source,
    ) {
    }

    public static function of(Metric $metric): self
    {
        return new self(
            $metric->id, $metric->label, round(Units::value($metric->value), 3),
            Units::name($metric->value).($metric->of === null ? '' : ' of '.$metric->of),
            round(Units::value($metric->textbook), 3), round(Units::value($metric->unusable), 3), round($metric->score, 1), $metric->source,
        );
    }
}
