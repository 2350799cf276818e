<?php

declare(strict_types=1);

namespace Larkspur\Training\Standing;

use Larkspur\Training\PastTake;

/**
 * Makes takes of different moves comparable: what each move takes off or gives, beside who flies it and how far they are by then, and how
 * much takes scatter about that. Moves with few takes are drawn toward nothing (partial pooling: the mean of what is left, shrunk by the
 * ratio of the scatter within a move to that between moves; any text on shrinkage, such as B. Efron, C. Morris, J. Am. Stat. Assoc. 70
 * (1975) 311-319, from memory).
 */
final readonly class Comparable
{
    /** Points² by which moves differ, and takes of one hand in one move, where nothing is known. */
    private const BETWEEN = 49.0;

    private const SCATTER = 25.0;

    /** Takes whose worth that guess of the scatter has. */
    private const GUESSED = 20;

    private const ROUNDS = 3;

    /**
     * @param  array<string, array<string, float>>  $offsets  by measure and move, points
     * @param  array<string, float>  $scatter  by measure, points²
     */
    public function __construct(public array $offsets, public array $scatter)
    {
    }

    /**
     * @param  list<list<PastTake>>  $class  of each operator, in order of days
     * @param  list<string>  $measures
     */
    public static function among(array $class, array $measures): self
    {
        $offsets = $scatter = [];
        foreach ($measures as $measure) {
            [$offsets[$measure], $scatter[$measure]] = self::ofMeasure($class, $measure);
        }

        return new self($offsets, $scatter);
    }

    /** Points that a move gives beside the hand that flies it; below 0 for a hard one. */
    public function offset(string $measure, string $move): float
    {
        return $this->offsets[$measure][$move] ?? 0.0;
    }

    /**
     * The takes as they would be in a move of middling difficulty.
     *
     * @param  list<PastTake>  $takes  in order of days
     * @return list<array{float, float, float}> day, points and variance; takes that do not say are left out
     */
    public function marks(array $takes, string $measure): array
    {
        $marks = [];
        foreach ($takes as $take) {
            $mark = $take->mark($measure);
            if ($mark !== null) {
                $marks[] = [
                    $take->day, $mark - $this->offset($measure, $take->move),
                    ($this->scatter[$measure] ?? self::SCATTER) + $take->uncertainty ** 2,
                ];
            }
        }

        return $marks;
    }

    /**
     * @param  list<list<PastTake>>  $class
     * @return array{array<string, float>, float} offsets by move, and the scatter
     */
    private static function ofMeasure(array $class, string $measure): array
    {
        $offsets = [];
        $scatter = self::SCATTER;
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $sums = $counts = [];
            $squares = $noise = 0.0;
            $pairs = 0;
            foreach ($class as $takes) {
                $level = new self([$measure => $offsets], [$measure => $scatter]);
                $marks = $level->marks($takes, $measure);
                $band = Standing::of($marks)->band ?? [];
                $k = 0;
                foreach ($takes as $take) {
                    $mark = $take->mark($measure);
                    if ($mark === null) {
                        continue;
                    }
                    $sums[$take->move] = ($sums[$take->move] ?? 0.0) + $mark - $band[$k][1];
                    $counts[$take->move] = ($counts[$take->move] ?? 0) + 1;
                    // From one take to the next the level hardly moves: what they differ by is twice the scatter.
                    if ($k > 0 && $marks[$k][0] - $marks[$k - 1][0] < 1.0) {
                        $squares += ($marks[$k][1] - $marks[$k - 1][1]) ** 2 / 2;
                        $noise += $take->uncertainty ** 2;
                        $pairs++;
                    }
                    $k++;
                }
            }
            foreach ($sums as $move => $sum) {
                $offsets[$move] = $sum / ($counts[$move] + $scatter / self::BETWEEN);
            }
            $scatter = max(4.0, (self::GUESSED * self::SCATTER + $squares - $noise) / (self::GUESSED + $pairs));
        }

        return [$offsets, $scatter];
    }
}
