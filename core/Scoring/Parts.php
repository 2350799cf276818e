<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Statistics;
use Larkspur\Move\Framed;

/** The eight parts of a take, 0 to 100, and the overall score that follows from them (docs/scoring.md, section 5). */
final readonly class Parts
{
    private const EASE_UNKNOWN = 80.0;

    /** Shares of the weighted mean and of the weakest part in the overall score. */
    private const MEAN_SHARE = 0.85;

    /** A part lighter than this can't be the weakest part. */
    private const WEAKEST_LEAST_WEIGHT = 0.06;

    /**
     * @param  array<string, float>  $scores  by part; a part that the log or the move can't support is left out
     * @param  array<string, float>  $errors  one standard deviation of each, points
     * @param  float  $easeWeight  how measurable the eases were, 0 to 1
     */
    private function __construct(public array $scores, public array $errors, public float $easeWeight)
    {
    }

    public static function of(Measured $measured): self
    {
        if ($measured->figure !== null) {
            return new self($measured->figure->parts(), [], 1.0);
        }
        [$ease, $easeError, $easeWeight] = self::ease($measured->eases);
        $path = [Anchored::Path->score($measured->path->value), Anchored::Drift->score($measured->drift)];
        if ($measured->altitude !== null) {
            $path[] = Anchored::Path->score($measured->altitude->value);
        }
        $even = array_map(static fn (Corrected $c): float => Anchored::Evenness->score($c->value), array_values($measured->evenness));
        $evenError = array_map(static fn (Corrected $c): float => self::error(Anchored::Evenness, $c), array_values($measured->evenness));

        $framing = self::framing($measured->take->judging->framed, $measured->framing);
        $moves = $measured->take->judging->primary() !== null;

        return new self(
            array_filter([
                'path' => self::weakestAndMean($path),
                'framing' => $framing,
                'steady' => $moves ? self::weakestAndMean($even) : null,
                'ease' => $moves ? $ease : null,
                'smooth' => Anchored::Shake->score($measured->disturbance->value),
                'clean' => Anchored::Cross->score($measured->cross->total->value),
                'pace' => Anchored::Pace->score($measured->pace),
                'completion' => Anchored::Completion->score($measured->completion),
            ], static fn (?float $score): bool => $score !== null),
            [
                'path' => self::error(Anchored::Path, $measured->path),
                'framing' => self::error(Anchored::FrameRms, $measured->framing->rms),
                'steady' => $evenError === [] ? 0.0 : max($evenError),
                'ease' => $easeError,
                'smooth' => self::error(Anchored::Shake, $measured->disturbance),
                'clean' => self::error(Anchored::Cross, $measured->cross->total),
                'pace' => 0.0,
                'completion' => 0.0,
            ],
            $easeWeight,
        );
    }

    /**
     * Overall score before deductions, and its standard deviation.
     *
     * @param  array<string, float>  $weights
     * @return array{float, float}
     */
    public function overall(array $weights): array
    {
        $weights = array_intersect_key($weights, $this->scores);
        $weights['ease'] ??= 0.0;
        $weights['ease'] *= min(1.0, max(0.25, $this->easeWeight));
        $total = array_sum($weights);
        $mean = $variance = 0.0;
        $weakest = 100.0;
        foreach (array_intersect_key($weights, $this->scores) as $part => $weight) {
            $mean += $weight / $total * $this->scores[$part];
            $variance += (self::MEAN_SHARE * $weight / $total * ($this->errors[$part] ?? 0.0)) ** 2;
            if ($weight >= self::WEAKEST_LEAST_WEIGHT && $this->scores[$part] < $weakest) {
                $weakest = $this->scores[$part];
            }
        }

        return [self::MEAN_SHARE * $mean + (1 - self::MEAN_SHARE) * $weakest, sqrt($variance)];
    }

    /**
     * Score of the eases, its standard deviation, and how measurable they were.
     *
     * @return array{float, float, float}
     */
    private static function ease(Eases $eases): array
    {
        $fits = $eases->all();
        if ($fits === []) {
            return [self::EASE_UNKNOWN, 10.0, 0.0];
        }
        $weights = array_map(static fn (array $fit): float => $fit[2]->weight(), $fits);
        $combine = static function (bool $credited) use ($fits, $weights, $eases): float {
            $sum = 0.0;
            $worst = $worstRank = INF;
            foreach ($fits as $i => [$axis, , $fit]) {
                $score = Eases::score($axis, $credited ? $fit->usable() : $fit->duration);
                $sum += $weights[$i] * $score;
                // An ease that could hardly be measured must look worse than it is before it counts as the worst.
                $rank = $score + 60 * (1 - $weights[$i]);
                if ($rank < $worstRank) {
                    [$worst, $worstRank] = [$score, $rank];
                }
            }
            $mean = $sum / array_sum($weights);
            $ease = 0.6 * $mean + 0.4 * min($mean, $worst);

            return $eases->sync === null ? $ease : 0.8 * $ease + 0.2 * Anchored::Sync->score($eases->sync);
        };
        $score = $combine(true);
        // The credited time is one spread above the estimate, so the estimate itself is one spread below.
        $below = $combine(false);

        return [$score, abs($score - $below) / 2, Statistics::mean($weights)];
    }

    private static function framing(Framed $framed, Framing $framing): ?float
    {
        $rms = Anchored::FrameRms->score($framing->rms->value);
        $most = Anchored::FrameMax->score($framing->most);

        return match ($framed) {
            Framed::Subject => 0.6 * $rms + 0.4 * $most,
            Framed::Heading => 0.5 * $rms + 0.5 * $most,
            Framed::Sweep => $framing->endError === null ? null : Anchored::RevealError->score($framing->endError),
            Framed::Free => null,
            Framed::Reveal => 0.5 * Anchored::RevealError->score($framing->endError ?? 0.0) + 0.2 * Anchored::RevealError->score($framing->startError ?? 0.0) + 0.3 * $most,
        };
    }

    /**
     * Half weakest, half mean.
     *
     * @param  list<float>  $scores
     */
    private static function weakestAndMean(array $scores): float
    {
        return $scores === [] ? self::EASE_UNKNOWN : 0.5 * min($scores) + 0.5 * Statistics::mean($scores);
    }

    private static function error(Anchored $anchor, Corrected $figure): float
    {
        return abs($anchor->score(max(0.0, $figure->value - $figure->error)) - $anchor->score($figure->value + $figure->error)) / 2;
    }
}
