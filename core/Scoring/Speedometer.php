<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\LocalQuadratic;
use Larkspur\Measure\NoiseLevel;
use Larkspur\Measure\Statistics;

/**
 * The log's own speed column of an axis, where it has one: receivers measure speed itself, far cleaner than the difference
 * of two positions. Seen through the same kernels as positions, by way of its integral.
 */
final readonly class Speedometer
{
    /** A column that differs from the positions by more than this is not believed: share of the pace, and m/s. */
    private const SHARE = 0.15;

    private const AMOUNT = 0.3;

    /** Slow wander of a receiver's speed, m/s (common practice, no published source). */
    public const WANDER = 0.015;

    /**
     * @param  list<float>  $t  of the samples, s
     * @param  list<float>  $way  integral of the speed, m
     * @param  list<float>  $steady  speed by the 1.8 s kernel, per node, m/s
     * @param  float  $sigma  noise of one reading, m/s
     * @param  float  $step  between readings, s
     */
    private function __construct(public array $t, public array $way, public array $steady, public float $sigma, public float $step)
    {
    }

    /**
     * @param  ?list<float>  $speed  m/s per sample; null where the log has none
     * @param  list<float>  $known  the same by positions, per node, m/s
     */
    public static function of(Grid $grid, ?array $speed, array $known): ?self
    {
        $t = $grid->samples->t;
        $n = count($t);
        if ($speed === null || count($speed) !== $n || $n < 20) {
            return null;
        }
        $way = [0.0];
        for ($i = 1; $i < $n; $i++) {
            $way[] = $way[$i - 1] + ($t[$i] - $t[$i - 1]) * ($speed[$i] + $speed[$i - 1]) / 2;
        }
        [[$steady]] = LocalQuadratic::rates($t, [$way], $grid->t, Grid::STEADY);
        $pace = Statistics::percentile(array_map(abs(...), $known), 75);
        $off = Statistics::median(array_map(static fn (float $a, float $b): float => abs($a - $b), $steady, $known));
        if ($off > self::SHARE * $pace + self::AMOUNT) {
            return null;
        }

        return new self($t, $way, $steady, NoiseLevel::of($t, $speed, 0.01, 0.3), ($t[$n - 1] - $t[0]) / ($n - 1));
    }

    /** Variance of the speed seen through the 1.8 s kernel that the readings' noise alone gives, (m/s)^2. */
    public function noise(): float
    {
        return $this->sigma ** 2 * $this->step / (1.2 * Grid::STEADY) + self::WANDER ** 2;
    }
}
