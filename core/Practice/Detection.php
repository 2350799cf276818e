<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Measure\NormalDistribution;

/**
 * How well an eye tells a fault from none: d' = z(H) - z(F), c = -(z(H) + z(F)) / 2, H the share of hits among the rounds with a fault,
 * F that of false alarms among those without (D. M. Green and J. A. Swets, Signal Detection Theory and Psychophysics, 1966; from memory).
 * Half a round is added to each count and one to each total, so that a share of 0 or 1 does not lead beyond all bounds (M. J. Hautus,
 * Behav. Res. Methods 27 (1995) 46-51; from memory).
 */
final readonly class Detection
{
    /** Fewer rounds of a kind say nothing (common practice, no published source). */
    private const ENOUGH = 4;

    public function __construct(public int $hits, public int $misses, public int $falseAlarms, public int $correctRejections)
    {
    }

    public function rounds(): int
    {
        return $this->hits + $this->misses + $this->falseAlarms + $this->correctRejections;
    }

    /** Whether enough rounds of both kinds were seen to say anything of the eye. */
    public function tells(): bool
    {
        return min($this->hits + $this->misses, $this->falseAlarms + $this->correctRejections) >= self::ENOUGH;
    }

    /** d', in standard deviations: 0 guessing, 1 fair, 2 good. */
    public function sensitivity(): float
    {
        return $this->z(true) - $this->z(false);
    }

    /** c: above 0 the eye says "nothing" too often, below it sees faults everywhere. */
    public function bias(): float
    {
        return -($this->z(true) + $this->z(false)) / 2;
    }

    private function z(bool $withFault): float
    {
        [$said, $not] = $withFault ? [$this->hits, $this->misses] : [$this->falseAlarms, $this->correctRejections];

        return NormalDistribution::quantile(($said + 0.5) / ($said + $not + 1));
    }
}
