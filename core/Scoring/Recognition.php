<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;

/**
 * Tells from the log alone what kind of move a take is (docs/scoring.md, section 9). Families only: a follow without a
 * subject is a push-in.
 */
final readonly class Recognition
{
    /** Seconds trimmed from each end of the take before its features are read. */
    private const TRIM = 0.5;

    /** Moves as which a log alone can show itself; the rest belong to one of these families. */
    public const FAMILIES = [
        'orbit', 'climbing-orbit', 'push-in', 'straight-back', 'diagonal-dolly', 'lateral-dolly', 'lift-and-tilt', 'top-down-helix',
        'ground-to-horizon', 'reverse-tilt-down',
        'pull-away', 'push-in-from-high', 'reverse-tilt-up', 'over-the-edge', 'sideways-crane', 'rise-and-rotate', 'backward-with-pan',
        'pan', 'tilt', 'top-down-spin', 'top-down-travel',
    ];

    /** Below this the two best are offered instead of one. */
    public const SURE = 0.5;

    /**
     * @param  array<string, float>  $likelihoods  by move id, the best first; they sum to 1
     * @param  float  $confidence  0 to 1
     */
    private function __construct(public string $move, public float $confidence, public array $likelihoods)
    {
    }

    public static function of(Grid $grid, float $from, float $to): self
    {
        $costs = self::costs(...self::features($grid, $from, $to));
        asort($costs);
        $least = Statistics::least(array_values($costs));
        $likelihoods = array_map(static fn (float $cost): float => exp(-1.3 * ($cost - $least)), $costs);
        $total = array_sum($likelihoods);
        $likelihoods = array_map(static fn (float $likelihood): float => $likelihood / $total, $likelihoods);
        $move = (string) array_key_first($likelihoods);

        return new self($move, $likelihoods[$move] * exp(-0.25 * $least), $likelihoods);
    }

    /**
     * @return array{elevation: float, course: float, pan: float, crab: float, straight: float, tiltChange: float, tilt: float, way: float}
     *     degrees; straight a share, way m
     */
    private static function features(Grid $grid, float $from, float $to): array
    {
        $nodes = [];
        foreach ($grid->t as $i => $t) {
            if ($t >= $from + self::TRIM && $t <= $to - self::TRIM && $grid->valid[$i]) {
                $nodes[] = $i;
            }
        }
        $first = $nodes[0] ?? 0;
        $last = $nodes[count($nodes) - 1] ?? 0;
        $noise = 0.0;
        foreach ($nodes as $i) {
            $noise += $grid->x->sigma * $grid->x->g1[$i] / count($nodes);
        }
        $speeds = $courses = $tilts = [];
        $length = 0.0;
        foreach ($nodes as $i) {
            $vx = $grid->x->rate[$i];
            $vy = $grid->y->rate[$i];
            $speeds[] = $speed = hypot($vx, $vy);
            $courses[] = atan2($vx, $vy) / Angle::DEGREE;
            $tilts[] = $grid->tilt->value[$i] / Angle::DEGREE;
            $length += Grid::STEP * sqrt(max(0.0, $speed ** 2 - 2 * $noise ** 2 - 0.02));
        }
        $courses = Angle::unwrap($courses, 360.0);
        $half = 0.5 * Statistics::percentile($speeds, 90);
        $moving = array_keys(array_filter($speeds, static fn (float $speed): bool => $speed > $half));
        $sin = $cos = 0.0;
        foreach ($moving as $k) {
            $crab = $courses[$k] * Angle::DEGREE - $grid->heading->value[$nodes[$k]];
            $sin += sin($crab);
            $cos += cos($crab);
        }
        $net = hypot($grid->x->value[$last] - $grid->x->value[$first], $grid->y->value[$last] - $grid->y->value[$first]);
        $rise = abs($grid->z->value[$last] - $grid->z->value[$first]);

        return [
            'elevation' => atan2($rise, max($net, $length, 1e-3)) / Angle::DEGREE,
            'course' => count($moving) > 2 ? $courses[$moving[count($moving) - 1]] - $courses[$moving[0]] : 0.0,
            'pan' => ($grid->heading->value[$last] - $grid->heading->value[$first]) / Angle::DEGREE,
            'crab' => abs(atan2($sin, $cos)) / Angle::DEGREE,
            'straight' => $net / max($length, 0.1),
            'tiltChange' => ($grid->tilt->value[$last] - $grid->tilt->value[$first]) / Angle::DEGREE,
            'tilt' => Statistics::mean($tilts),
            'way' => hypot($length, $rise),
        ];
    }

    /** @return array<string, float> cost of each family, 0 for a perfect match */
    private static function costs(
        float $elevation, float $course, float $pan, float $crab, float $straight, float $tiltChange, float $tilt, float $way,
    ): array {
        $off = static fn (
            float $value, float $least, float $most, float $scale,
        ): float => max(0.0, $least - $value, $value - $most) / $scale;
        $curved = $off(abs($course), 40, INF, 15) + $off(abs($pan), 40, INF, 15) + $off(
            min(abs($course - $pan), 400), 0, 35, 20,
        ) + $off($crab, 55, 125, 12);
        $line = $off(abs($course), 0, 30, 15) + $off(abs($pan), 0, 22, 10) + $off($straight, 0.9, 2, 0.06);
        $level = $off($elevation, 0, 7, 4);
        $still = $off(abs($tiltChange), 0, 9, 4);
        $spot = $off($way, 0, 2, 1);
        $upright = $off($elevation, 62, 90, 7);
        // Straight down, ahead and sideways look alike: what travels there is one family.
        $ahead = $off($tilt, -78, 90, 6);

        return [
            'orbit' => $curved + $off($elevation, 0, 4, 3) + $off($tilt, -70, 20, 8),
            'climbing-orbit' => $curved + $off($elevation, 5, 60, 2.5) + $off($tilt, -75, 20, 8),
            'push-in' => $line + $level + $still + $ahead + $off($crab, 0, 14, 7),
            'straight-back' => $line + $level + $still + $ahead + $off($crab, 166, 180, 7),
            'diagonal-dolly' => $line + $level + $still + $ahead + ($crab < 90 ? $off($crab, 22, 68, 6) : $off($crab, 112, 158, 6)),
            'lateral-dolly' => $line + $level + $still + $ahead + $off($crab, 76, 104, 6),
            'lift-and-tilt' => $upright + $off(abs($pan), 0, 25, 12) + $off($tilt, -70, 40, 6),
            'top-down-helix' => $upright + $off($way, 3, INF, 1) + $off($tilt, -90, -80, 4),
            'ground-to-horizon' => $line + $off($elevation, 0, 10, 4) + $off($tiltChange, 13, INF, 4) + $off($crab, 0, 20, 8),
            'reverse-tilt-down' => $line + $off($elevation, 0, 10, 4) + $off($tiltChange, -INF, -13, 4) + $off($crab, 160, 180, 8),
            'pull-away' => $line + $off($elevation, 11, 62, 4) + $off($crab, 158, 180, 8),
            'reverse-tilt-up' => $line + $off($elevation, 0, 10, 4) + $off($tiltChange, 13, INF, 4) + $off($crab, 160, 180, 8),
            'over-the-edge' => $line + $off($elevation, 0, 10, 4) + $off($tiltChange, -INF, -13, 4) + $off($crab, 0, 20, 8),
            'sideways-crane' => $line + $off($elevation, 11, 62, 4) + $off($crab, 70, 110, 6),
            'rise-and-rotate' => $upright + $off(abs($pan), 32, INF, 8) + $off($tilt, -70, 40, 6) + $off($way, 3, INF, 1),
            'backward-with-pan' => $off(abs($course), 25, INF, 10) + $off(abs($pan), 25, INF, 10) + $off(
                min(abs($course - $pan), 400), 0, 30, 15,
            ) + $off($crab, 128, 180, 8),
            'pan' => $spot + $off(abs($pan), 15, INF, 6) + $still + $ahead,
            'tilt' => $spot + $off(abs($pan), 0, 10, 5) + $off(abs($tiltChange), 10, INF, 4),
            'top-down-spin' => $spot + $off(abs($pan), 15, INF, 6) + $off($tilt, -90, -80, 4),
            'top-down-travel' => $off(abs($course), 0, 30, 15) + $off(abs($pan), 0, 22, 10) + $level + $still
                + $off($straight, 0.9, 2, 0.06) + $off($tilt, -90, -80, 4),
            'push-in-from-high' => $line + $off($elevation, 11, 62, 4) + $off($crab, 0, 22, 8),
        ];
    }
}
