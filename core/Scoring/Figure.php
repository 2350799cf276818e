<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/** One measured figure behind a facet, with what would be textbook and what unusable. */
final readonly class Figure
{
    public function __construct(
        public string $id,
        public string $label,
        public float $value,
        public string $unit,
        public float $textbook,
        public float $unusable,
        public float $score,
        public string $source = 'positions',
    ) {
    }

    /** The same figure, resting on what the log itself says: 'speed' or 'fingers' instead of 'positions'. */
    public function restingOn(string $source): self
    {
        return new self($this->id, $this->label, $this->value, $this->unit, $this->textbook, $this->unusable, $this->score, $source);
    }

    public static function of(string $id, string $label, float $value, string $unit, Anchored $anchor, float $scale = 1.0): self
    {
        return new self($id, $label, $value * $scale, $unit, $anchor->textbook() * $scale, $anchor->unusable() * $scale, $anchor->score($value));
    }

    /** @return array{id: string, label: string, value: float, unit: string, textbook: float, unusable: float, score: float, source: string} */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'label' => $this->label, 'value' => round($this->value, 3), 'unit' => $this->unit,
            'textbook' => round($this->textbook, 3), 'unusable' => round($this->unusable, 3), 'score' => round($this->score, 1), 'source' => $this->source,
        ];
    }
}
