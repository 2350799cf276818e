<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Statistics;

/**
 * How much of what an axis did in some seconds its finger asked for: what the air or the positioning did is the rest.
 *
 * What a craft answers is read off the take itself: the rate of the axis is fitted to its finger, some tenths of a second before, as
 * r = a x + b x^3 (least squares; a soft curve is odd). What the fit tells of the rate's changes in those seconds is the hand's share.
 */
final readonly class HandShare
{
    /** Lags that are tried, grid nodes. */
    private const LAGS = [0, 1, 2, 3, 4, 6, 8];

    /** Travel within which a finger lies still: what a calm thumb trembles. */
    private const STILL = 0.04;

    /**
     * @param  list<float>  $rate  per grid node from first motion to last, m/s or rad/s
     * @param  list<float>  $asked  what the fit says of it
     * @param  list<float>  $travel  of the finger, so much earlier as fits best
     */
    private function __construct(private array $rate, private array $asked, private array $travel)
    {
    }

    public static function of(Take $take, Sticks $sticks, Finger $finger): self
    {
        $rate = $take->moving(self::rate($take, $finger));
        $best = [INF, $rate, $rate];
        foreach (self::LAGS as $lag) {
            $travel = $sticks->at($finger, array_map(static fn (float $t): float => $t - $lag * Grid::STEP, $take->moving($take->grid->t)));
            $asked = self::fitted($rate, $travel);
            $error = 0.0;
            foreach ($rate as $i => $value) {
                $error += ($value - $asked[$i]) ** 2;
            }
            $best = $error < $best[0] ? [$error, $asked, $travel] : $best;
        }

        return new self($rate, $best[1], $best[2]);
    }

    /** Share of what the axis did in all that its finger explains: 0 where they have nothing to do with each other, 1 at most. */
    public function explained(): float
    {
        $left = $all = 0.0;
        foreach ($this->rate as $i => $rate) {
            $left += ($rate - $this->asked[$i]) ** 2;
            $all += $rate ** 2;
        }

        return $all > 0 ? max(0.0, 1 - $left / $all) : 0.0;
    }

    /** Whether the axis goes against its finger: a column that counts the other way. */
    public function isReversed(): bool
    {
        return array_sum(array_map(static fn (float $rate, float $travel): float => $rate * $travel, $this->rate, $this->travel)) < 0;
    }

    /**
     * @param  int  $from  node after first motion
     * @return float 0 where the finger asked for nothing of it, 1 for all
     */
    public function within(int $from, int $to): float
    {
        $from = max(0, min($from, count($this->rate) - 1));
        $length = max(1, min($to, count($this->rate) - 1) - $from + 1);
        $usual = Statistics::median($this->rate);
        $asked = Statistics::median($this->asked);
        $both = $own = 0.0;
        for ($i = $from; $i < $from + $length; $i++) {
            $moved = $this->rate[$i] - $usual;
            $both += $moved * ($this->asked[$i] - $asked);
            $own += $moved ** 2;
        }

        return $own > 0 ? max(0.0, min(1.0, $both / $own)) : 0.0;
    }

    /**
     * Whether its finger lay still, in some seconds in which the axis did not.
     *
     * @param  int  $from  node after first motion
     */
    public function rests(int $from, int $to): bool
    {
        $from = max(0, min($from, count($this->travel) - 1));

        return Statistics::span(array_slice($this->travel, $from, max(1, $to - $from + 1))) < self::STILL;
    }

    /** @return list<float> rate of a finger's axis in the craft's own frame, per grid node */
    private static function rate(Take $take, Finger $finger): array
    {
        $grid = $take->grid;
        if ($finger !== Finger::Run && $finger !== Finger::Slide) {
            return $take->channel($finger->axis())->rate;
        }
        $rate = [];
        foreach ($grid->heading->value as $i => $heading) {
            $rate[] = $finger === Finger::Run
                ? $grid->x->rate[$i] * sin($heading) + $grid->y->rate[$i] * cos($heading)
                : $grid->x->rate[$i] * cos($heading) - $grid->y->rate[$i] * sin($heading);
        }

        return $rate;
    }

    /**
     * Least squares of r = a x + b x^3.
     *
     * @param  list<float>  $rate
     * @param  list<float>  $travel
     * @return list<float>
     */
    private static function fitted(array $rate, array $travel): array
    {
        $xx = $xc = $cc = $rx = $rc = 0.0;
        foreach ($travel as $i => $x) {
            $c = $x ** 3;
            $xx += $x * $x;
            $xc += $x * $c;
            $cc += $c * $c;
            $rx += $rate[$i] * $x;
            $rc += $rate[$i] * $c;
        }
        $determinant = $xx * $cc - $xc * $xc;
        // Too little travel to tell a curve from a straight line: straight, or nothing at all.
        [$a, $b] = match (true) {
            $determinant > 1e-6 * max(1e-12, $xx * $cc) => [($rx * $cc - $rc * $xc) / $determinant, ($rc * $xx - $rx * $xc) / $determinant],
            $xx > 1e-9 => [$rx / $xx, 0.0],
            default => [0.0, 0.0],
        };

        return array_map(static fn (float $x): float => $a * $x + $b * $x ** 3, $travel);
    }
}
