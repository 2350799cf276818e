<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Telemetry\FlightLog;

/**
 * The samples of a log, cleaned: metres in a local frame, radians, heading unwrapped, and positions that a receiver
 * merely repeated taken out (docs/scoring.md, section 1).
 */
final readonly class Samples
{
    /** Consecutive positions closer than this are repeats, m. */
    private const SAME = 1e-9;

    /**
     * @param  list<float>  $t
     * @param  list<float>  $x  east, m, one a sample
     * @param  list<float>  $y  north, m
     * @param  list<float>  $z  up, m
     * @param  list<float>  $heading  rad, unwrapped
     * @param  list<float>  $tilt  rad
     * @param  list<float>  $positionT  times of the positions that are not repeats
     * @param  list<float>  $positionX
     * @param  list<float>  $positionY
     * @param  ?list<float>  $speed  over the ground, m/s, where the log has it
     * @param  ?list<float>  $climb  m/s, up positive
     */
    private function __construct(
        public array $t,
        public array $x,
        public array $y,
        public array $z,
        public array $heading,
        public array $tilt,
        public array $positionT,
        public array $positionX,
        public array $positionY,
        public ?array $speed = null,
        public ?array $climb = null,
    ) {
    }

    /** @param  float  $lift metres added to the log's heights, where they count from take-off */
    public static function of(FlightLog $log, LocalFrame $frame, float $lift = 0.0): self
    {
        $t = $log->column('t');
        $x = array_map($frame->eastOf(...), $log->column('lon'));
        $y = array_map($frame->northOf(...), $log->column('lat'));
        $floor = $frame->origin->altitude - $lift;
        $z = array_map(static fn (float $altitude): float => $altitude - $floor, $log->column('alt_m'));
        [$pt, $px, $py] = self::withoutRepeats($t, $x, $y);

        return new self(
            $t, $x, $y, $z, Angle::unwrap(Series::times($log->column('heading_deg'), Angle::DEGREE)),
            Series::times($log->column('gimbal_tilt_deg'), Angle::DEGREE),
            $pt, $px, $py, self::whole($log, 'speed_mps'), self::whole($log, 'climb_mps'),
        );
    }

    /**
     * A column without holes; null where the log has none.
     *
     * @return ?list<float>
     */
    private static function whole(FlightLog $log, string $name): ?array
    {
        $column = $log->column($name);

        return $column === [] || array_filter($column, is_nan(...)) !== [] ? null : $column;
    }

    /**
     * Samples given as they are, in metres and radians: for closed-form flights.
     *
     * @param  list<float>  $t
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @param  list<float>  $z
     * @param  list<float>  $heading
     * @param  list<float>  $tilt
     */
    public static function given(array $t, array $x, array $y, array $z, array $heading, array $tilt): self
    {
        return new self($t, $x, $y, $z, Angle::unwrap($heading), $tilt, ...self::withoutRepeats($t, $x, $y));
    }

    /**
     * Drops repeats where the log is a staircase: over 30 % of steps without motion, in more than ten runs, none of
     * them 1.5 s long. A true hover stays as it is.
     *
     * @param  list<float>  $t
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return array{list<float>, list<float>, list<float>}
     */
    private static function withoutRepeats(array $t, array $x, array $y): array
    {
        $n = count($t);
        $same = $runs = 0;
        $run = $longest = 1;
        for ($i = 1; $i < $n; $i++) {
            if (abs($x[$i] - $x[$i - 1]) < self::SAME && abs($y[$i] - $y[$i - 1]) < self::SAME) {
                $same++;
                $run++;
            } else {
                $runs++;
                $run = 1;
            }
            $longest = max($longest, $run);
        }
        $runs++;
        $step = $n > 1 ? ($t[$n - 1] - $t[0]) / ($n - 1) : 0.0;
        if ($n < 2 || $same / ($n - 1) <= 0.3 || $runs <= 10 || $longest * $step >= 1.5) {
            return [$t, $x, $y];
        }
        $pt = [$t[0]];
        $px = [$x[0]];
        $py = [$y[0]];
        for ($i = 1; $i < $n; $i++) {
            if (abs($x[$i] - $x[$i - 1]) >= self::SAME || abs($y[$i] - $y[$i - 1]) >= self::SAME) {
                $pt[] = $t[$i];
                $px[] = $x[$i];
                $py[] = $y[$i];
            }
        }

        return [$pt, $px, $py];
    }
}
