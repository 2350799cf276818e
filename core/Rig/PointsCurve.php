<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;
use Larkspur\Refusal;

/**
 * A curve given by points that it passes through, where a craft states no number: monotone cubic interpolation
 * (F. N. Fritsch, R. E. Carlson, SIAM J. Numer. Anal. 17 (1980) 238-246), from (0, 0) to (1, 1) and odd.
 */
final readonly class PointsCurve implements ResponseCurve
{
    public const KIND = 'drawn';

    /** Nearer than this in travel two points can't be told apart. */
    private const APART = 0.02;

    /** @var list<float> */
    private array $slopes;

    /**
     * @param  list<array{float, float}>  $points  travel and share of the full rate, rising, from (0, 0) to (1, 1)
     */
    public function __construct(public array $points)
    {
        $last = count($points) - 1;
        if ($last < 1 || $last > 12 || $points[0] !== [0.0, 0.0] || $points[$last] !== [1.0, 1.0]) {
            throw new Refusal(Fact::of('points-curve.drawn-curve-goes-rest'), 'points', Fact::of('points-curve.2-13-points-first'));
        }
        for ($i = 1; $i <= $last; $i++) {
            if ($points[$i][0] - $points[$i - 1][0] < self::APART) {
                throw new Refusal(
                    Fact::of('points-curve.points-curve-must-follow'), "points.$i",
                    Fact::of('points-curve.travel-least-beyond-point', apart: self::APART),
                );
            }
            if ($points[$i][1] <= $points[$i - 1][1]) {
                throw new Refusal(
                    Fact::of('points-curve.curve-falls-more-finger'), "points.$i", Fact::of('points-curve.output-above-point-before'),
                );
            }
        }
        $this->slopes = self::slopes($points);
    }

    public function output(float $travel): float
    {
        $x = min(1.0, abs($travel));
        $i = $this->segment($x, 0);
        [[$x0, $y0], [$x1, $y1]] = [$this->points[$i], $this->points[$i + 1]];
        $h = $x1 - $x0;
        $s = ($x - $x0) / $h;
        $y = $y0 * (1 + 2 * $s) * (1 - $s) ** 2 + $h * $this->slopes[$i] * $s * (1 - $s) ** 2
            + $y1 * $s * $s * (3 - 2 * $s) + $h * $this->slopes[$i + 1] * $s * $s * ($s - 1);

        return $travel < 0 ? -$y : $y;
    }

    public function travel(float $output): float
    {
        $y = min(1.0, abs($output));
        $i = $this->segment($y, 1);
        [$low, $high] = [$this->points[$i][0], $this->points[$i + 1][0]];
        for ($k = 0; $k < 60; $k++) {
            $middle = ($low + $high) / 2;
            if ($this->output($middle) < $y) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return $output < 0 ? -$high : $high;
    }

    public function toArray(): array
    {
        return ['kind' => self::KIND, 'points' => $this->points];
    }

    /** Index of the piece that holds a value of a coordinate, 0 travel or 1 output. */
    private function segment(float $value, int $coordinate): int
    {
        $i = 0;
        while ($i < count($this->points) - 2 && $value > $this->points[$i + 1][$coordinate]) {
            $i++;
        }

        return $i;
    }

    /**
     * Slopes at the points that keep the pieces from overshooting.
     *
     * @param  list<array{float, float}>  $points
     * @return list<float>
     */
    private static function slopes(array $points): array
    {
        $secants = [];
        $n = count($points) - 1;
        for ($i = 0; $i < $n; $i++) {
            $secants[] = ($points[$i + 1][1] - $points[$i][1]) / ($points[$i + 1][0] - $points[$i][0]);
        }
        $slopes = [$secants[0]];
        for ($i = 1; $i < $n; $i++) {
            $slopes[] = ($secants[$i - 1] + $secants[$i]) / 2;
        }
        $slopes[] = $secants[$n - 1];
        for ($i = 0; $i < $n; $i++) {
            $size = hypot($slopes[$i] / $secants[$i], $slopes[$i + 1] / $secants[$i]);
            if ($size > 3) {
                $slopes[$i] *= 3 / $size;
                $slopes[$i + 1] *= 3 / $size;
            }
        }

        return array_values($slopes);
    }
}
