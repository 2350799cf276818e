<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Response;
use Larkspur\Measure\Lag;
use Larkspur\Measure\Ramp;

/**
 * The finger that must have been behind a start or a stop, worked back from the motion where no column tells of it: how long it took to
 * press or to let go, with how sure that is (docs/scoring.md, section 4, "The finger behind it").
 *
 * The response of a craft is known by its law (Controls\Response); its inverse is ill-posed, so it is held to fingers of one shape: a
 * quintic ramp of T seconds, sent through the response and laid over the raw samples by least squares, for each T over a range of
 * moments (a regularisation by a small family of answers; A. N. Tikhonov, V. Y. Arsenin, Solutions of Ill-posed Problems, 1977). What
 * the errors say of each T is its likelihood. A log seldom says which craft it was, and never how it was set: it may answer faster and
 * slower than an ordinary one, each as likely.
 */
final readonly class FingerBehind
{
    /** Durations of the finger's way that are tried, s. Those below LET_GO look alike behind the lag of a craft: no ease that was flown. */
    private const DURATIONS = [0.08, 0.15, 0.25, 0.4, 0.6, 0.8, 1.1, 1.5, 2.0, 2.7, 3.5, 4.5];

    private const LET_GO = 0.9;

    /** How likely it has to be that a finger was let go before anybody is told so. */
    private const SURE = 0.8;

    /** How much slower than an ordinary craft it may answer, or faster (our judgement). */
    private const SLOWER = [0.7, 0.85, 1.0, 1.2, 1.4];

    /** Seconds about the middle of a start or stop in which its finger may have begun. */
    private const EARLIEST = -2.6;

    private const LATEST = 1.2;

    private const COARSE = 0.2;

    private const FINE = 0.05;

    /** Step of the tables, s, and their length after the finger began: past the window of the samples for the earliest finger. */
    private const STEP = 0.02;

    private const LONGEST = 6.0;

    /** Samples in a second that err on their own: a receiver's error changes slowly. */
    private const INDEPENDENT = 2.0;

    /** No log is truer than this: m or rad. */
    private const EXACT = 0.005;

    private const FEWEST = 16;

    /**
     * @param  float  $seconds  in which the finger was pressed or let go: exp of the mean of the logarithm
     * @param  float  $spread  standard deviation of the logarithm
     * @param  float  $sprung  how likely it is that it took less than LET_GO, 0 to 1
     */
    private function __construct(public float $seconds, public float $spread, public float $sprung)
    {
    }

    /**
     * @param  list<float>  $t  raw sample times, s
     * @param  list<float>  $y  raw samples of the axis: metres or radians
     * @param  float  $centre  middle of the start or the stop, s
     * @param  float  $limit  the middle of the hold: a start looks no later, a stop no earlier
     * @param  Response  $response  of an ordinary craft's axis to the rate that was held
     * @return ?self null where there are too few samples
     */
    public static function fit(
        array $t, array $y, float $centre, bool $stop, float $limit, Response $response,
    ): ?self {
        $samples = RampSamples::about($t, $y, $centre, $stop, $limit, self::FEWEST);
        if ($samples === null) {
            return null;
        }
        $errors = [];
        $least = INF;
        foreach (self::SLOWER as $slower) {
            $craft = new Response($response->top, $response->accelerate / $slower, $response->brake / $slower, $response->lag * $slower);
            foreach (self::DURATIONS as $duration) {
                $errors[] = [$duration, $error = self::error($samples->t, $samples->y, self::way($craft, $duration, $stop))];
                $least = min($least, $error);
            }
        }

        return self::weighed($errors, $least, $samples->count(), $samples->seconds());
    }

    public function wasLetGo(): bool
    {
        return $this->sprung >= self::SURE;
    }

    /** @param  list<array{float, float}>  $errors  duration of the finger's way and sum of squares of what it leaves */
    private static function weighed(array $errors, float $least, int $n, float $seconds): self
    {
        // Errors that lean on each other say less than their number.
        $variance = max(self::EXACT ** 2, $least / max(1, $n - 3)) * max(1.0, $n / (self::INDEPENDENT * $seconds));
        $sum = $mean = $square = $sprung = 0.0;
        foreach ($errors as [$duration, $error]) {
            $weight = exp(-0.5 * ($error - $least) / $variance);
            $sum += $weight;
            $mean += $weight * log($duration);
            $square += $weight * log($duration) ** 2;
            $sprung += $duration < self::LET_GO ? $weight : 0.0;
        }
        $mean /= $sum;

        return new self(exp($mean), sqrt(max(0.0, $square / $sum - $mean ** 2)), $sprung / $sum);
    }

    /**
     * Way that a craft covers whose finger begins at 0 and takes so long: one value per STEP. Before that it goes on, or rests.
     *
     * @return array{list<float>, float} way, and the rate before it
     */
    private static function way(Response $craft, float $duration, bool $stop): array
    {
        $rate = $stop ? $craft->top : 0.0;
        $share = Lag::share($craft->lag, self::STEP);
        $most = ($stop ? $craft->brake : $craft->accelerate) * self::STEP;
        $way = [0.0];
        for ($i = 1, $steps = (int) (self::LONGEST / self::STEP); $i <= $steps; $i++) {
            $eased = Ramp::rate(min(1.0, $i * self::STEP / $duration));
            $asked = $craft->top * ($stop ? 1 - $eased : $eased);
            $rate += max(-$most, min($most, $share * ($asked - $rate)));
            $way[] = $way[$i - 1] + $rate * self::STEP;
        }

        return [$way, $stop ? $craft->top : 0.0];
    }

    /**
     * Least sum of squares of y - a - b way(t - c), over a, b and the moment c.
     *
     * @param  list<float>  $t
     * @param  list<float>  $y  about their mean
     * @param  array{list<float>, float}  $way
     */
    private static function error(array $t, array $y, array $way): float
    {
        $yy = 0.0;
        foreach ($y as $value) {
            $yy += $value * $value;
        }
        $best = [INF, 0.0];
        for ($c = self::EARLIEST; $c <= self::LATEST; $c += self::COARSE) {
            $best = min($best, [self::errorAt($t, $y, $yy, $way, $c), $c]);
        }
        $middle = $best[1];
        foreach ([-3, -2, -1, 1, 2, 3] as $step) {
            $c = $middle + $step * self::FINE;
            $best = min($best, [self::errorAt($t, $y, $yy, $way, $c), $c]);
        }
        // About its least the error is a parabola.
        $before = self::errorAt($t, $y, $yy, $way, $best[1] - self::FINE);
        $after = self::errorAt($t, $y, $yy, $way, $best[1] + self::FINE);
        $bend = $before + $after - 2 * $best[0];

        return $bend > 0 ? max(0.0, $best[0] - ($after - $before) ** 2 / (8 * $bend)) : $best[0];
    }

    /**
     * @param  list<float>  $t
     * @param  list<float>  $y  about their mean
     * @param  float  $yy  the sum of their squares
     * @param  array{list<float>, float}  $way
     */
    private static function errorAt(array $t, array $y, float $yy, array $way, float $c): float
    {
        [$table, $rate] = $way;
        $f = $ff = $fy = 0.0;
        foreach ($t as $i => $time) {
            $place = ($time - $c) / self::STEP;
            if ($place > 0) {
                $k = (int) $place;
                $value = $table[$k] + ($table[$k + 1] - $table[$k]) * ($place - $k);
            } elseif ($rate === 0.0) {
                // It rests until its finger begins.
                continue;
            } else {
                $value = $rate * ($time - $c);
            }
            $f += $value;
            $ff += $value * $value;
            $fy += $value * $y[$i];
        }
        $ff -= $f * $f / count($t);

        return $ff > 1e-12 ? max(0.0, $yy - $fy * $fy / $ff) : $yy;
    }
}
