<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/**
 * Least squares, linear and nonlinear: the latter by the method of Levenberg and Marquardt (D. W. Marquardt, J. SIAM 11 (1963)
 * 431-441), with the Jacobian by forward differences; small problems of a handful of parameters.
 */
final readonly class LeastSquares
{
    private const ROUNDS = 60;

    /**
     * @param  list<float>  $parameters
     * @param  float  $cost  sum of squares of what is left
     * @param  list<list<float>>  $normal  J'J at the solution
     */
    private function __construct(public array $parameters, public float $cost, private array $normal, private int $freedom)
    {
    }

    /**
     * @param  callable(list<float>): list<float>  $model
     * @param  list<float>  $start
     * @param  list<float>  $values  what was measured
     */
    public static function fit(callable $model, array $start, array $values): self
    {
        $p = $start;
        $left = self::left($model($p), $values);
        $cost = self::squares($left);
        $damping = 1e-2;
        $normal = [];
        for ($round = 0; $round < self::ROUNDS; $round++) {
            [$normal, $gradient] = self::normal($model, $p, $left, $values);
            $moved = false;
            for ($try = 0; $try < 12; $try++) {
                $damped = [];
                foreach ($normal as $i => $row) {
                    $row[$i] += $damping * max(1e-12, $row[$i]);
                    $damped[] = array_values($row);
                }
                $step = self::solve($damped, $gradient);
                $next = [];
                foreach ($p as $i => $value) {
                    $next[] = $value + $step[$i];
                }
                $nextLeft = self::left($model($next), $values);
                $nextCost = self::squares($nextLeft);
                if (is_finite($nextCost) && $nextCost < $cost) {
                    $moved = $cost - $nextCost > 1e-10 * $cost;
                    [$p, $left, $cost] = [$next, $nextLeft, $nextCost];
                    $damping = max(1e-9, $damping / 5);
                    break;
                }
                $damping *= 4;
            }
            if (! $moved) {
                break;
            }
        }

        return new self($p, $cost, $normal, max(1, count($values) - count($p)));
    }

    /**
     * Linear least squares with a ridge (A. N. Tikhonov, Soviet Math. Dokl. 4 (1963) 1035-1038): the coefficients of the columns whose sum
     * comes closest to the values, kept small by a share of each column's own square. A column of zeros gets 0.
     *
     * @param  list<list<float>>  $columns
     * @param  list<float>  $values
     * @return list<float> one coefficient per column
     */
    public static function linear(array $columns, array $values, float $ridge = 1e-6): array
    {
        $normal = $right = [];
        foreach ($columns as $i => $a) {
            $row = [];
            foreach ($columns as $j => $b) {
                $sum = self::dot($a, $b);
                $row[] = $i === $j ? max(1e-12, $sum * (1 + $ridge)) : $sum;
            }
            $normal[] = $row;
            $right[] = self::dot($a, $values);
        }

        return self::solve($normal, $right);
    }

    /** Scatter of what is left, one standard deviation. */
    public function noise(): float
    {
        return sqrt($this->cost / $this->freedom);
    }

    /**
     * One standard deviation of each parameter, from the scatter of what is left; INF where the data say nothing about it.
     *
     * @return list<float>
     */
    public function deviations(): array
    {
        $variance = $this->cost / $this->freedom;
        $deviations = [];
        foreach (array_keys($this->normal) as $i) {
            $unit = array_map(static fn (int $k): float => $k === $i ? 1.0 : 0.0, array_keys($this->normal));
            $share = self::solve($this->normal, $unit)[$i];
            $deviations[] = is_finite($share) && $share > 0 ? sqrt($variance * $share) : INF;
        }

        return $deviations;
    }

    /**
     * @param  callable(list<float>): list<float>  $model
     * @param  list<float>  $p
     * @param  list<float>  $left
     * @param  list<float>  $values
     * @return array{list<list<float>>, list<float>} J'J and J' times what is left
     */
    private static function normal(callable $model, array $p, array $left, array $values): array
    {
        $columns = [];
        foreach ($p as $i => $value) {
            $step = 1e-6 * max(1.0, abs($value));
            $moved = $p;
            $moved[$i] = $value + $step;
            $column = [];
            foreach (self::left($model(array_values($moved)), $values) as $k => $one) {
                $column[] = ($left[$k] - $one) / $step;
            }
            $columns[] = $column;
        }
        $normal = $gradient = [];
        foreach ($columns as $a) {
            $row = [];
            foreach ($columns as $b) {
                $row[] = self::dot($a, $b);
            }
            $normal[] = $row;
            $gradient[] = self::dot($a, $left);
        }

        return [$normal, $gradient];
    }

    /**
     * Gaussian elimination with row exchange.
     *
     * @param  list<list<float>>  $matrix
     * @param  list<float>  $right
     * @return list<float>
     */
    private static function solve(array $matrix, array $right): array
    {
        $n = count($right);
        for ($i = 0; $i < $n; $i++) {
            $pivot = $i;
            for ($r = $i + 1; $r < $n; $r++) {
                $pivot = abs($matrix[$r][$i]) > abs($matrix[$pivot][$i]) ? $r : $pivot;
            }
            [$matrix[$i], $matrix[$pivot]] = [$matrix[$pivot], $matrix[$i]];
            [$right[$i], $right[$pivot]] = [$right[$pivot], $right[$i]];
            $head = $matrix[$i][$i];
            if (abs($head) < 1e-300) {
                return array_fill(0, $n, NAN);
            }
            for ($r = $i + 1; $r < $n; $r++) {
                $share = $matrix[$r][$i] / $head;
                for ($c = $i; $c < $n; $c++) {
                    $matrix[$r][$c] -= $share * $matrix[$i][$c];
                }
                $right[$r] -= $share * $right[$i];
            }
        }
        $solution = array_fill(0, $n, 0.0);
        for ($i = $n - 1; $i >= 0; $i--) {
            $sum = $right[$i];
            for ($c = $i + 1; $c < $n; $c++) {
                $sum -= $matrix[$i][$c] * $solution[$c];
            }
            $solution[$i] = $sum / $matrix[$i][$i];
        }

        return array_values($solution);
    }

    /**
     * @param  list<float>  $said
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function left(array $said, array $values): array
    {
        $left = [];
        foreach ($values as $i => $value) {
            $left[] = $value - $said[$i];
        }

        return $left;
    }

    /** @param  list<float>  $left */
    private static function squares(array $left): float
    {
        return self::dot($left, $left);
    }

    /**
     * @param  list<float>  $a
     * @param  list<float>  $b
     */
    private static function dot(array $a, array $b): float
    {
        $sum = 0.0;
        foreach ($a as $k => $one) {
            $sum += $one * $b[$k];
        }

        return $sum;
    }
}
