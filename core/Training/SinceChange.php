<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;

/**
 * How scores moved since a change of settings: takes of the same move before and after, with the 95 % interval of their
 * difference.
 *
 * Moves differ in how they score, so each is compared with itself and the differences are weighted by n m / (n + m); the
 * scatter within the cells is pooled (two-way analysis of variance without interaction: any text, such as
 * G. W. Snedecor, W. G. Cochran, Statistical Methods). Takes on one day are not quite independent: the interval is a
 * lower bound of the doubt.
 */
final readonly class SinceChange
{
    /** Takes of a move on each side below which nothing can be told (common practice, no published source). */
    public const FEWEST = 4;

    private function __construct(public int $before, public int $after, public ?float $change, public ?float $margin, public Fact $words)
    {
    }

    /**
     * @param  list<array{string, float}>  $before  move and score of each take, flown with the version before
     * @param  list<array{string, float}>  $after  the same, with the version that changed it
     */
    public static function of(array $before, array $after): self
    {
        $cells = [];
        foreach ([$before, $after] as $side => $takes) {
            foreach ($takes as [$move, $score]) {
                $cells[$move][$side][] = $score;
            }
        }
        $sum = $weights = $left = 0.0;
        $n = [0, 0];
        $count = 0;
        foreach ($cells as $sides) {
            [$a, $b] = [$sides[0] ?? [], $sides[1] ?? []];
            if ($a === [] || $b === []) {
                continue;
            }
            $weight = count($a) * count($b) / (count($a) + count($b));
            $sum += $weight * (Statistics::mean($b) - Statistics::mean($a));
            $weights += $weight;
            $left += count($a) * Statistics::variance($a) + count($b) * Statistics::variance($b);
            $n = [$n[0] + count($a), $n[1] + count($b)];
            $count += 2;
        }
        $freedom = $n[0] + $n[1] - $count;
        if (min($n) < self::FEWEST || $freedom < 3) {
            return new self(
                $n[0], $n[1], null, null, Fact::of('since-change.too-few-takes-tell', before: $n[0], after: $n[1], fewest: self::FEWEST),
            );
        }
        $change = $sum / $weights;
        $margin = self::student($freedom) * sqrt($left / $freedom / $weights);

        return new self($n[0], $n[1], $change, $margin, match (true) {
            $change > $margin => Fact::of(
                'since-change.scores-rose-since-give', change: Quantity::points($change), margin: Quantity::points($margin),
            ),
            $change < -$margin => Fact::of(
                'since-change.scores-fell-since-give', change: Quantity::points(-$change), margin: Quantity::points($margin),
            ),
            default => Fact::of(
                'since-change.scores-moved-but-chance', change: Quantity::points($change), margin: Quantity::points($margin),
            ),
        });
    }

    /**
     * The two-sided 95 % point of Student's t by the expansion about the normal (M. Abramowitz, I. A. Stegun, Handbook of
     * Mathematical Functions, 26.7.5); within 0.01 from 4 degrees of freedom on.
     */
    public static function student(int $freedom): float
    {
        $z = 1.959963984540054;
        $g1 = ($z ** 3 + $z) / 4;
        $g2 = (5 * $z ** 5 + 16 * $z ** 3 + 3 * $z) / 96;
        $g3 = (3 * $z ** 7 + 19 * $z ** 5 + 17 * $z ** 3 - 15 * $z) / 384;
        $g4 = (79 * $z ** 9 + 776 * $z ** 7 + 1482 * $z ** 5 - 1920 * $z ** 3 - 945 * $z) / 92160;

        return $z + $g1 / $freedom + $g2 / $freedom ** 2 + $g3 / $freedom ** 3 + $g4 / $freedom ** 4;
    }
}
