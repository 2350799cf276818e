<?php

declare(strict_types=1);

namespace Larkspur\Telemetry\Analysis;

use Larkspur\Controls\Finger;
use Larkspur\Controls\Response;
use Larkspur\Measure\LeastSquares;
use Larkspur\Measure\Statistics;

/**
 * How one axis answered one or several full presses: Response fitted to what was measured, each number with one
 * standard deviation. Rates in m/s or rad/s.
 */
final readonly class StepFit
{
    /** A limit was felt, and has a number, where it lies this many deviations below the slope that the lag alone would give. */
    private const FELT = 3.0;

    /**
     * @param  array<int, array{value: float, sd: float}>  $tops  full rate by way: 1 for the finger's positive end, -1 for the other
     * @param  Response  $response  toward the positive end where that was pressed
     * @param  array{top: float, accelerate: float, brake: float, lag: float}  $sd  one standard deviation of each
     */
    private function __construct(public Finger $finger, public array $tops, public Response $response, public array $sd, public int $steps)
    {
    }

    /**
     * @param  int  $way  1 for the finger's positive end, -1 for the other
     * @param  list<float>  $t
     * @param  list<float>  $values  rates, or ways where $isWay
     * @param  float  $out  about when the finger was out, s, and $back when it was back
     * @return ?self null where nothing moved, or where it was let go before the full rate was there
     */
    public static function of(Finger $finger, int $way, array $t, array $values, bool $isWay, float $out, float $back): ?self
    {
        $top = $isWay ? self::steepest($t, $values) : Statistics::percentile($values, 90);
        if ($top < 0.05) {
            return null;
        }
        // Logarithms keep positive what must be. Two limits for the travel, one for climb and turn, none for the tilt: as a
        // craft's envelope has them. The moments of the finger are free within a sample, and so is where a way began.
        $limits = match ($finger) {
            Finger::Run, Finger::Slide => 2, Finger::Tilt => 0, default => 1,
        };
        $first = null;
        // Whether the limit or the lag rules is not known beforehand: begin from either.
        foreach ($limits === 0 ? [[1.0, 0.2]] : [[0.5, 0.3], [0.5, 0.12], [2.0, 0.15]] as [$steep, $lag]) {
            $start = [log($top), log($lag), ...array_fill(0, $limits, log($steep * $top)), $out, $back, ...$isWay ? [$values[0]] : []];
            $fit = LeastSquares::fit(static fn (array $p): array => self::said($p, $limits, $t), $start, $values);
            if ($first === null || $fit->cost < $first->cost) {
                $first = $fit;
            }
        }
        // The finger moved somewhere between two rows: that is worth an observation each, as good as the log is dense.
        $weight = $first->noise() * sqrt(12) / max(
            1e-6,
            Statistics::median(array_map(static fn (float $a, float $b): float => $b - $a, array_slice($t, 0, -1), array_slice($t, 1))),
        );
        $fit = LeastSquares::fit(
            static fn (array $p): array => [...self::said($p, $limits, $t), $weight * $p[2 + $limits], $weight * $p[3 + $limits]],
            $first->parameters, [...$values, $weight * $out, $weight * $back],
        );
        $response = self::response($fit->parameters, $limits);
        $sd = $fit->deviations();

        if ($response->pressed($fit->parameters[3 + $limits] - $fit->parameters[2 + $limits]) < (1 - Response::ARRIVED) * $response->top) {
            return null;
        }

        return new self($finger, [$way => ['value' => $response->top, 'sd' => $response->top * $sd[0]]], $response, [
            'top' => $response->top * $sd[0],
            'accelerate' => $limits === 0 ? 0.0 : $response->accelerate * $sd[2],
            'brake' => $limits === 0 ? 0.0 : $response->brake * $sd[1 + $limits],
            'lag' => $response->lag * $sd[1],
        ], 1);
    }

    /**
     * What the log would say: rates, or ways where the parameters end with where the way began.
     *
     * @param  list<float>  $p  logarithms of top rate, lag and limits; the two moments of the finger; where the way began
     * @param  list<float>  $t
     * @return list<float>
     */
    private static function said(array $p, int $limits, array $t): array
    {
        $response = self::response($p, $limits);
        [$from, $to] = [$p[2 + $limits], $p[3 + $limits]];
        $length = max(0.0, $to - $from);
        // A press too short for the full rate is let go from what it reached.
        $reached = new Response(max(1e-9, $response->pressed($length)), $response->accelerate, $response->brake, $response->lag);
        $way = $response->pressedWay($length);
        $said = [];
        foreach ($t as $time) {
            $since = $time - $from;
            if (isset($p[4 + $limits])) {
                $said[] = $p[4 + $limits] + ($since <= 0 ? 0.0 : (
                    $since <= $length ? $response->pressedWay($since) : $way + $reached->releasedWay($since - $length)
                ));
            } else {
                $said[] = $since <= 0 ? 0.0 : ($since <= $length ? $response->pressed($since) : $reached->released($since - $length));
            }
        }

        return $said;
    }

    /** @param  list<float>  $p  logarithms of top rate and lag, then of the limits */
    private static function response(array $p, int $limits): Response
    {
        return new Response(exp($p[0]), $limits === 0 ? INF : exp($p[2]), $limits === 0 ? INF : exp($p[1 + $limits]), exp($p[1]));
    }

    /**
     * Several steps of one finger, averaged by their weight: the full rate each way, and what both ways share. Where the
     * steps scatter more than each of them claims, the scatter counts.
     *
     * @param  non-empty-list<self>  $fits
     */
    public static function together(array $fits): self
    {
        $mean = $sd = [];
        foreach (['accelerate', 'brake', 'lag'] as $name) {
            [$mean[$name], $sd[$name]] = self::weighted(
                array_map(static fn (self $fit): float => match ($name) {
                    'accelerate' => $fit->response->accelerate, 'brake' => $fit->response->brake, default => $fit->response->lag,
                }, $fits),
                array_map(static fn (self $fit): float => $fit->sd[$name], $fits),
            );
        }
        $tops = [];
        foreach ([1, -1] as $way) {
            $ofWay = array_values(array_filter($fits, static fn (self $fit): bool => isset($fit->tops[$way])));
            if ($ofWay !== []) {
                [$top, $deviation] = self::weighted(
                    array_map(static fn (self $fit): float => $fit->response->top, $ofWay),
                    array_map(static fn (self $fit): float => $fit->sd['top'], $ofWay),
                );
                $tops[$way] = ['value' => $top, 'sd' => $deviation];
            }
        }
        $first = $tops[1] ?? $tops[-1] ?? $fits[0]->tops[1] ?? ['value' => $fits[0]->response->top, 'sd' => $fits[0]->sd['top']];

        return new self(
            $fits[0]->finger, $tops, new Response($first['value'], $mean['accelerate'], $mean['brake'], $mean['lag']),
            ['top' => $first['sd'], ...$sd], count($fits),
        );
    }

    /** Whether a limit on the gain of rate was felt at all, so that it has a number. */
    public function accelerates(): bool
    {
        return $this->felt($this->response->accelerate, $this->sd['accelerate']);
    }

    public function brakes(): bool
    {
        return $this->felt($this->response->brake, $this->sd['brake']);
    }

    private function felt(float $limit, float $sd): bool
    {
        return is_finite($limit) && $limit + self::FELT * $sd < $this->response->top / max(1e-6, $this->response->lag);
    }

    /** One standard deviation of the way from the release to rest, by propagation of the fitted numbers' own. */
    public function stopWayDeviation(): float
    {
        $r = $this->response;
        $at = static fn (float $top, float $brake, float $lag): float => (new Response($top, $r->accelerate, $brake, $lag))->stopWay();
        $base = $r->stopWay();

        return sqrt(
            ($at($r->top + $this->sd['top'], $r->brake, $r->lag) - $base) ** 2
            + (is_finite($r->brake) && $this->brakes() ? ($at($r->top, $r->brake + $this->sd['brake'], $r->lag) - $base) ** 2 : 0.0)
            + ($at($r->top, $r->brake, $r->lag + $this->sd['lag']) - $base) ** 2,
        );
    }

    /**
     * Greatest slope over a second.
     *
     * @param  list<float>  $t
     * @param  list<float>  $values
     */
    private static function steepest(array $t, array $values): float
    {
        $steepest = 0.0;
        for ($i = 0, $j = 0, $n = count($t); $i < $n; $i++) {
            while ($j < $n - 1 && $t[$j] - $t[$i] < 1.0) {
                $j++;
            }
            if ($t[$j] - $t[$i] >= 0.5) {
                $steepest = max($steepest, ($values[$j] - $values[$i]) / ($t[$j] - $t[$i]));
            }
        }

        return $steepest;
    }

    /**
     * @param  list<float>  $values
     * @param  list<float>  $sds
     * @return array{float, float}
     */
    private static function weighted(array $values, array $sds): array
    {
        if (! is_finite($values[0])) {
            return [$values[0], 0.0];
        }
        // What the data say nothing about (an infinite deviation) weighs nothing beside what they do.
        $sum = $weight = 0.0;
        foreach ($values as $i => $value) {
            $w = 1 / max(1e-9, min(1e9, $sds[$i])) ** 2;
            $sum += $w * $value;
            $weight += $w;
        }
        $n = count($values);
        $scatter = $n > 1 ? sqrt(Statistics::variance($values) / ($n - 1)) : 0.0;

        return [$sum / $weight, max(1 / sqrt($weight), $scatter)];
    }
}
