<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** One measured quantity behind a petal, with what would be textbook and what unusable. */
final readonly class Metric
{
    public const POSITIONS = 'positions';

    public const SPEED = 'speed';

    public const FINGERS = 'fingers';

    /**
     * @param  Fact  $label  what was measured
     * @param  self::POSITIONS|self::SPEED|self::FINGERS  $source  what of the log it rests on
     * @param  'distance'|'frame'|null  $of  what a share is a share of
     */
    private function __construct(
        public string $id,
        public Fact $label,
        public Quantity $value,
        public Quantity $textbook,
        public Quantity $unusable,
        public float $score,
        public string $source,
        public ?string $of,
    ) {
    }

    /**
     * @param  float  $value  as the scale has it
     * @param  callable(float): Quantity  $quantity  what a number of the scale is
     * @param  'distance'|'frame'|null  $of
     */
    public static function of(string $id, Fact $label, float $value, callable $quantity, MetricScale $scale, ?string $of = null): self
    {
        return new self(
            $id, $label, $quantity($value), $quantity($scale->textbook()), $quantity($scale->unusable()), $scale->score($value),
            self::POSITIONS, $of,
        );
    }

    /** @param  self::POSITIONS|self::SPEED|self::FINGERS  $source  what the log itself says instead */
    public function restingOn(string $source): self
    {
        return new self($this->id, $this->label, $this->value, $this->textbook, $this->unusable, $this->score, $source, $this->of);
    }

    /**
     * The metric that scores least.
     *
     * @param  list<self>  $metrics
     */
    public static function weakest(array $metrics): ?self
    {
        $weakest = null;
        foreach ($metrics as $metric) {
            if ($weakest === null || $metric->score < $weakest->score) {
                $weakest = $metric;
            }
        }

        return $weakest;
    }
}
