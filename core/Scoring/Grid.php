<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Bins;
use Larkspur\Measure\LocalQuadratic;
use Larkspur\Measure\NoiseLevel;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;

/**
 * A log on the common 10 Hz grid (docs/scoring.md, section 1): the ground on which logs of 5 to 50 Hz agree.
 * Metres, radians, seconds.
 */
final readonly class Grid
{
    public const STEP = 0.1;

    /** Half-widths of the kernels, s. */
    public const POSITION = 1.2;

    public const ALTITUDE = 1.0;

    public const ANGLE = 0.7;

    public const STEADY = 1.8;

    public const SLOW = 2.5;

    public const BOB = 0.6;

    /** Bins in which fast logs are gathered before the kernels: of up to 1.2 s, and wider, s. */
    private const FINE_BIN = 0.04;

    public const WIDE_BIN = 0.1;

    /** A climb column and the heights agree within this, m/s. */
    private const AGREES = 0.3;

    /** Around a gap in the log this much on either side is not judged, s. */
    private const GAP_MARGIN = 0.3;

    /**
     * @param  list<float>  $t
     * @param  list<float>  $bob  climb rate by the 0.6 s kernel
     * @param  list<float>  $gBob  its noise gain
     * @param  list<bool>  $valid  false inside and about a gap
     */
    private function __construct(
        public Samples $samples,
        public array $t,
        public Channel $x,
        public Channel $y,
        public Channel $z,
        public Channel $heading,
        public Channel $tilt,
        public array $bob,
        public array $gBob,
        public array $valid,
    ) {
    }

    public static function of(Samples $samples): self
    {
        $t = $samples->t;
        $nodes = self::nodes($t);
        [$sx, $sz, $sh, $st] = self::noise($samples);

        $place = Bins::of($samples->positionT, [$samples->positionX, $samples->positionY], self::FINE_BIN);
        [[$fx, $fy], $gp] = LocalQuadratic::fit($place->t, $place->channels, $nodes, self::POSITION, $place->counts);
        $rest = Bins::of($t, [$samples->z, $samples->heading, $samples->tilt], self::FINE_BIN);
        [$z, $heading, $tilt] = $rest->channels;
        [[$fz], $gz] = LocalQuadratic::fit($rest->t, [$z], $nodes, self::ALTITUDE, $rest->counts);
        [[$fh, $ft], $ga] = LocalQuadratic::fit($rest->t, [$heading, $tilt], $nodes, self::ANGLE, $rest->counts);
        [[$bob], $gBob] = LocalQuadratic::rates($rest->t, [$z], $nodes, self::BOB, $rest->counts);

        $place = Bins::of($samples->positionT, [$samples->positionX, $samples->positionY], self::WIDE_BIN);
        $rest = Bins::of($t, [$samples->z, $samples->heading, $samples->tilt], self::WIDE_BIN);
        $wide = [];
        foreach ([self::STEADY, self::SLOW] as $width) {
            if ($place->t === $rest->t) {
                // The same times serve all five, so their weights are worked out once.
                [[$x, $y, $z, $h, $g], $gain] = LocalQuadratic::rates(
                    $rest->t, [...$place->channels, ...$rest->channels], $nodes, $width, $rest->counts,
                );
                $wide[] = [$x, $y, $z, $h, $g, $gain, $gain];
            } else {
                [[$x, $y], $placeGain] = LocalQuadratic::rates($place->t, $place->channels, $nodes, $width, $place->counts);
                [[$z, $h, $g], $gain] = LocalQuadratic::rates($rest->t, $rest->channels, $nodes, $width, $rest->counts);
                $wide[] = [$x, $y, $z, $h, $g, $placeGain, $gain];
            }
        }
        [$steady, $slow] = $wide;
        [$bob, $gBob] = self::bobOfClimb($samples, $nodes, $bob, $gBob, $slow[2], $sz);

        // Inside a gap a kernel would extrapolate from either side; a straight bridge between the two is the least to be said.
        $valid = self::valid($t, $nodes);
        $gaps = self::gaps($valid);
        if ($gaps !== []) {
            [$fx, $fy, $fz, $fh, $ft] = array_map(
                static fn (array $fit): array => [
                    self::bridged($fit[0], $gaps), self::bridged($fit[1], $gaps), self::bridged($fit[2], $gaps),
                ],
                [$fx, $fy, $fz, $fh, $ft],
            );
            foreach ([0, 1, 2, 3, 4] as $c) {
                $steady[$c] = self::bridged($steady[$c], $gaps);
                $slow[$c] = self::bridged($slow[$c], $gaps);
            }
            $bob = self::bridged($bob, $gaps);
        }

        return new self(
            $samples, $nodes,
            new Channel($fx[0], $fx[1], $fx[2], $steady[0], $slow[0], $gp[0], $gp[1], $gp[2], $steady[5], $slow[5], $sx),
            new Channel($fy[0], $fy[1], $fy[2], $steady[1], $slow[1], $gp[0], $gp[1], $gp[2], $steady[5], $slow[5], $sx),
            new Channel($fz[0], $fz[1], $fz[2], $steady[2], $slow[2], $gz[0], $gz[1], $gz[2], $steady[6], $slow[6], $sz),
            new Channel($fh[0], $fh[1], $fh[2], $steady[3], $slow[3], $ga[0], $ga[1], $ga[2], $steady[6], $slow[6], $sh),
            new Channel($ft[0], $ft[1], $ft[2], $steady[4], $slow[4], $ga[0], $ga[1], $ga[2], $steady[6], $slow[6], $st),
            $bob, $gBob, $valid,
        );
    }

    /**
     * Gaps with ground on both sides: the last node before each and the first after it.
     *
     * @param  list<bool>  $valid
     * @return list<array{int, int}>
     */
    private static function gaps(array $valid): array
    {
        $gaps = [];
        $from = null;
        foreach ([...$valid, true] as $i => $fine) {
            if (! $fine) {
                $from ??= $i;
            } elseif ($from !== null) {
                if ($from > 0 && $i < count($valid)) {
                    $gaps[] = [$from - 1, $i];
                }
                $from = null;
            }
        }

        return $gaps;
    }

    /**
     * @param  list<float>  $values
     * @param  list<array{int, int}>  $gaps
     * @return list<float>
     */
    private static function bridged(array $values, array $gaps): array
    {
        foreach ($gaps as [$a, $b]) {
            for ($i = $a + 1; $i < $b; $i++) {
                $values[$i] = $values[$a] + ($values[$b] - $values[$a]) * ($i - $a) / ($b - $a);
            }
        }

        return array_values($values);
    }

    /**
     * The quick part of the climb by the log's own climb column, where it has one that agrees with its heights: cleaner than
     * the difference of two heights. As a rate by the 0.6 s kernel with its noise gain, like those given.
     *
     * @param  list<float>  $nodes
     * @param  list<float>  $bob
     * @param  list<float>  $gBob
     * @param  list<float>  $slow  climb by the 2.5 s kernel, from heights
     * @return array{list<float>, list<float>}
     */
    private static function bobOfClimb(Samples $samples, array $nodes, array $bob, array $gBob, array $slow, float $sigma): array
    {
        $t = $samples->t;
        $n = count($t);
        if ($samples->climb === null || $n < 20) {
            return [$bob, $gBob];
        }
        $way = [0.0];
        for ($i = 1; $i < $n; $i++) {
            $way[] = $way[$i - 1] + ($t[$i] - $t[$i - 1]) * ($samples->climb[$i] + $samples->climb[$i - 1]) / 2;
        }
        [[$quick]] = LocalQuadratic::rates($t, [$way], $nodes, self::BOB);
        [[$calm]] = LocalQuadratic::rates($t, [$way], $nodes, self::SLOW);
        if (Statistics::median(array_map(static fn (float $a, float $b): float => abs($a - $b), $calm, $slow)) > self::AGREES) {
            return [$bob, $gBob];
        }
        $gain = NoiseLevel::of($t, $samples->climb, 0.01, 0.3) * sqrt(($t[$n - 1] - $t[0]) / ($n - 1) / (1.2 * self::BOB)) / $sigma;

        return [
            array_map(static fn (float $q, float $c, float $s): float => $s + $q - $c, $quick, $calm, $slow),
            array_fill(0, count($nodes), $gain),
        ];
    }

    /**
     * White noise of position (the larger of both directions), height, heading and tilt. The upper bounds keep a
     * shaky pilot from being excused as noise.
     *
     * @return array{float, float, float, float}
     */
    public static function noise(Samples $samples): array
    {
        return [
            max(
                NoiseLevel::of($samples->positionT, $samples->positionX, 0.02, 0.4),
                NoiseLevel::of($samples->positionT, $samples->positionY, 0.02, 0.4),
            ),
            NoiseLevel::of($samples->t, $samples->z, 0.02, 0.25),
            NoiseLevel::of($samples->t, $samples->heading, 0.03 * Angle::DEGREE, 0.6 * Angle::DEGREE),
            NoiseLevel::of($samples->t, $samples->tilt, 0.03 * Angle::DEGREE, 0.12 * Angle::DEGREE),
        ];
    }

    /**
     * @param  list<float>  $t
     * @return list<float>
     */
    public static function nodes(array $t): array
    {
        $n = count($t);
        if ($n < 5) {
            throw new Refusal(Fact::of('grid.too-few-samples-judge'), '', Fact::of('grid.least-five'));
        }
        $nodes = [];
        $last = $t[$n - 1] + 1e-9;
        for ($k = (int) ceil($t[0] / self::STEP - 1e-9); $k * self::STEP <= $last; $k++) {
            $nodes[] = $k * self::STEP;
        }
        if (count($nodes) < 10) {
            throw new Refusal(Fact::of('grid.log-too-short-judge'), '', Fact::of('grid.least-second-flight'));
        }

        return $nodes;
    }

    /**
     * @param  list<float>  $t
     * @param  list<float>  $nodes
     * @return list<bool>
     */
    private static function valid(array $t, array $nodes): array
    {
        $steps = [];
        for ($i = 1, $n = count($t); $i < $n; $i++) {
            $steps[] = $t[$i] - $t[$i - 1];
        }
        $limit = max(0.6, 3 * Statistics::median($steps));
        $valid = array_fill(0, count($nodes), true);
        foreach ($steps as $i => $step) {
            if ($step > $limit) {
                foreach ($nodes as $k => $node) {
                    if ($node > $t[$i] - self::GAP_MARGIN && $node < $t[$i + 1] + self::GAP_MARGIN) {
                        $valid[$k] = false;
                    }
                }
            }
        }

        return array_values($valid);
    }

    public function count(): int
    {
        return count($this->t);
    }
}
