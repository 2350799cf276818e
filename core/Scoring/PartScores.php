<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/** The eight parts of a take, 0 to 100, and the overall score that follows from them (docs/scoring.md, section 5). */
final readonly class PartScores
{
    /** Shares of the weighted mean and of the weakest part in the overall score. */
    private const MEAN_SHARE = 0.85;

    /** A part lighter than this can't be the weakest part. */
    private const WEAKEST_LEAST_WEIGHT = 0.06;

    /** However little the eases could be measured, they keep this share of their weight. */
    private const EASE_LEAST = 0.25;

    /**
     * @param  array<string, float>  $scores  by part; a part that the log or the move can't support is left out
     * @param  array<string, float>  $errors  one standard deviation of each, points
     * @param  float  $easeWeight  how measurable the eases were, 0 to 1
     */
    public function __construct(public array $scores, public array $errors = [], public float $easeWeight = 1.0)
    {
    }

    /**
     * Overall score before deductions, and its standard deviation.
     *
     * @param  array<string, float>  $weights
     * @return array{float, float}
     */
    public function overall(array $weights): array
    {
        $variance = 0.0;
        foreach ($this->shares($weights) as $part => $share) {
            $variance += (self::MEAN_SHARE * $share * ($this->errors[$part] ?? 0.0)) ** 2;
        }

        return [100 - array_sum($this->losses($weights)), sqrt($variance)];
    }

    /**
     * Points that each part lacks of the overall score: they add up to 100 less that score.
     *
     * @param  array<string, float>  $weights
     * @return array<string, float>
     */
    public function losses(array $weights): array
    {
        $losses = [];
        $weakest = null;
        foreach ($this->shares($weights) as $part => $share) {
            $losses[$part] = self::MEAN_SHARE * $share * (100 - $this->scores[$part]);
            $least = $weakest === null ? 100.0 : $this->scores[$weakest];
            if ($weights[$part] >= self::WEAKEST_LEAST_WEIGHT && $this->scores[$part] < $least) {
                $weakest = $part;
            }
        }
        if ($weakest !== null) {
            $losses[$weakest] += (1 - self::MEAN_SHARE) * (100 - $this->scores[$weakest]);
        }

        return $losses;
    }

    /**
     * Share of each part that was scored in the weighted mean: they add up to 1.
     *
     * @param  array<string, float>  $weights
     * @return array<string, float>
     */
    private function shares(array $weights): array
    {
        $weights = array_intersect_key($weights, $this->scores);
        if (isset($weights['ease'])) {
            $weights['ease'] *= min(1.0, max(self::EASE_LEAST, $this->easeWeight));
        }
        $total = array_sum($weights);

        return array_map(static fn (float $weight): float => $total > 0 ? $weight / $total : 0.0, $weights);
    }

    /**
     * A petal: the mean of its parts under the move's weights; null where none of them could be judged.
     *
     * @param  array<string, float>  $weights
     */
    public function petal(Petal $petal, array $weights): ?float
    {
        $sum = $total = 0.0;
        foreach (array_intersect($petal->parts(), array_keys($this->scores)) as $part) {
            $sum += $weights[$part] * $this->scores[$part];
            $total += $weights[$part];
        }

        return $total > 0 ? $sum / $total : null;
    }
}
