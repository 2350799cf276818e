<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Site\Ground;

/** The ground about take-off as a square grid of heights, between them bilinear, beyond its edge as at its edge. Metres. */
final readonly class GroundGrid
{
    private const CELLS = 40;

    /** @param  non-empty-list<non-empty-list<float>>  $rows  heights from south to north, each from west to east */
    private function __construct(public float $least, public float $cell, public array $rows)
    {
    }

    /**
     * @param  float  $reach  half its side, m
     * @param  float  $level  its height where nobody said how it lies
     */
    public static function of(?Ground $ground, float $reach, float $level = 0.0): self
    {
        if ($ground === null) {
            return new self(0.0, 1.0, [[$level]]);
        }
        $cell = 2 * $reach / self::CELLS;
        $along = range(0, self::CELLS);
        $row = static fn (int $r): array => array_map(
            static fn (int $c): float => round($ground->at(-$reach + $c * $cell, -$reach + $r * $cell), 3), $along,
        );
        $rows = [$row(0)];
        for ($r = 1; $r <= self::CELLS; $r++) {
            $rows[] = $row($r);
        }

        /** @var non-empty-list<non-empty-list<float>> $rows */
        return new self(-$reach, $cell, $rows);
    }

    public function at(float $east, float $north): float
    {
        $last = count($this->rows) - 1;
        if ($last === 0) {
            return $this->rows[0][0];
        }
        $x = max(0.0, min((float) $last, ($east - $this->least) / $this->cell));
        $y = max(0.0, min((float) $last, ($north - $this->least) / $this->cell));
        $c = (int) min($last - 1, floor($x));
        $r = (int) min($last - 1, floor($y));
        $low = $this->rows[$r][$c] + ($x - $c) * ($this->rows[$r][$c + 1] - $this->rows[$r][$c]);
        $high = $this->rows[$r + 1][$c] + ($x - $c) * ($this->rows[$r + 1][$c + 1] - $this->rows[$r + 1][$c]);

        return $low + ($y - $r) * ($high - $low);
    }
}
