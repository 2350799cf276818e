<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Bins;
use Larkspur\Measure\LocalQuadratic;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Telemetry\FlightLog;

/**
 * Finds the takes in a log: stretches in which the picture moves, between stretches in which it rests
 * (docs/scoring.md, section 2).
 */
final class TakeFinder
{
    /** Image speed at which a take begins, and below which it is over, % of the frame's width a second. */
    private const ON = 1.0;

    private const OFF = 0.5;

    /** A take ends when the picture has rested this long, s. */
    private const IDLE = 1.5;

    private const SHORTEST = 3.0;

    /** A hole in the log longer than this parts two takes, s. */
    public const PARTING_GAP = 5.0;

    /** Longest mean step between samples from which anything can be told of a take, s. */
    private const SELDOM = 2.0;

    /** Kept before and after each take, where the neighbouring takes allow, s. */
    private const MARGIN = 3.0;

    /**
     * The takes of a log, hole by hole: what is worked out grows with the samples and never with the clock.
     *
     * @param  callable(FlightLog): Samples  $laidOut
     * @return list<array{float, float}> begin and end of each take, s
     *
     * @throws Refusal where samples are too seldom for any
     */
    public static function each(FlightLog $log, callable $laidOut, float $hfov, ?float $pace): array
    {
        $runs = $log->runs(self::PARTING_GAP);
        $dense = array_values(array_filter(
            $runs,
            static fn (array $run): bool => $run['to'] - $run['from'] >= self::SHORTEST
                && self::SELDOM * ($run['samples'] - 1) >= $run['to'] - $run['from'],
        ));
        if ($dense === [] && $log->to() - $log->from() >= self::SHORTEST) {
            throw new Refusal(
                Fact::of('take-finder.seldom'), 't', Fact::of('take-finder.often-wanted', seconds: Quantity::seconds(self::SELDOM)),
            );
        }
        $takes = [];
        foreach ($dense === [] ? $runs : $dense as $run) {
            $takes = [...$takes, ...self::find($laidOut($log->between($run['from'], $run['to'])), hfov: $hfov, pace: $pace)];
        }

        return $takes;
    }

    /**
     * @param  float  $viewing  viewing distance, m
     * @param  float  $hfov  horizontal field of view, rad
     * @param  ?float  $pace  planned pace, m/s: a move planned slower than ON is looked for at half its own image speed
     * @return list<array{float, float}> begin and end of each take, s
     */
    public static function find(Samples $samples, float $viewing = 20.0, float $hfov = 70.0 * Angle::DEGREE, ?float $pace = null): array
    {
        $on = $pace === null ? self::ON : min(self::ON, 50 * $pace / $viewing / $hfov);
        $off = $on * self::OFF / self::ON;
        $nodes = Grid::nodes($samples->t);
        $activity = Statistics::movingAverage(self::activity($samples, $nodes, $viewing, $hfov), 11);
        $n = count($nodes);
        $takes = [];
        $start = null;
        for ($i = 0; $i < $n;) {
            if ($start === null) {
                if ($activity[$i] > $on) {
                    $start = $i;
                    while ($start > 0 && $activity[$start - 1] > $off) {
                        $start--;
                    }
                }
                $i++;
            } elseif ($activity[$i] < $off) {
                $j = $i;
                while ($j < $n && $activity[$j] < $off && $nodes[$j] - $nodes[$i] < self::IDLE) {
                    $j++;
                }
                if ($j >= $n || self::IDLE - 1e-9 <= $nodes[$j] - $nodes[$i]) {
                    $takes[] = [$nodes[$start], $nodes[$i]];
                    $start = null;
                }
                $i = $j;
            } else {
                $i++;
            }
        }
        if ($start !== null) {
            $takes[] = [$nodes[$start], $nodes[$n - 1]];
        }

        return array_values(array_filter($takes, static fn (array $take): bool => $take[1] - $take[0] >= self::SHORTEST));
    }

    /**
     * The stretch of log that belongs to one take: the take with its margins, halfway to its neighbours at most.
     *
     * @param  list<array{float, float}>  $takes
     * @return array{float, float}
     */
    public static function cut(array $takes, int $index, float $from, float $to): array
    {
        [$begin, $end] = $takes[$index];
        $before = isset($takes[$index - 1]) ? ($takes[$index - 1][1] + $begin) / 2 : $from;
        $after = isset($takes[$index + 1]) ? ($end + $takes[$index + 1][0]) / 2 : $to;

        return [max($before, $begin - self::MARGIN), min($after, $end + self::MARGIN)];
    }

    /**
     * How fast the picture moves at each node, % of the frame's width a second, less twice the noise.
     *
     * @param  list<float>  $nodes
     * @return list<float>
     */
    private static function activity(Samples $samples, array $nodes, float $viewing, float $hfov): array
    {
        [$sp, $sz, $sh, $st] = Grid::noise($samples);
        $place = Bins::of($samples->positionT, [$samples->positionX, $samples->positionY], Grid::WIDE_BIN);
        $rest = Bins::of($samples->t, [$samples->z, $samples->heading, $samples->tilt], Grid::WIDE_BIN);
        [$z, $heading, $tilt] = $rest->channels;
        [[$vx, $vy], $gp] = LocalQuadratic::rates($place->t, $place->channels, $nodes, Grid::POSITION, $place->counts);
        [[$vz], $gz] = LocalQuadratic::rates($rest->t, [$z], $nodes, Grid::ALTITUDE, $rest->counts);
        [[$vh, $vt], $ga] = LocalQuadratic::rates($rest->t, [$heading, $tilt], $nodes, Grid::ANGLE, $rest->counts);
        $activity = [];
        foreach ($nodes as $i => $_) {
            $activity[] = 100 / $hfov * max(
                0.0,
                (hypot($vx[$i], $vy[$i]) - 2 * $sp * $gp[$i]) / $viewing,
                (abs($vz[$i]) - 2 * $sz * $gz[$i]) / $viewing,
                abs($vh[$i]) - 2 * $sh * $ga[$i],
                abs($vt[$i]) - 2 * $st * $ga[$i],
            );
        }

        return $activity;
    }
}
