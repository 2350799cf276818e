<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Angle;
use Larkspur\Measure\LocalQuadratic;
use Larkspur\Measure\Ramp;
use Larkspur\Move\Axis;
use Larkspur\Move\Role;

/**
 * The part of the picture's shake that is no shake at all: what the ends of a clean ease leave in the band between
 * the main and the slow kernel.
 *
 * The slow kernel looks 2.5 s each way, so a perfect orbit that pans across the frame in seven seconds reads 0.5 to
 * 0.9 %/s of "shake" from its own eases. Each axis is rebuilt from its fitted eases (never shorter than a textbook
 * one, so that a hasty start is not excused), put through the same kernels over the same hold, and its mean square
 * is taken off the measured one.
 */
final class EaseShare
{
    /** Image speed, %/s, comparable to Shake::$image; of a tilt that holds a subject never more than the tilt trembled. */
    public static function of(Take $take, Eases $eases, Shake $shake): float
    {
        return match (true) {
            $take->path instanceof CirclePath => self::ofOrbit($take, $eases),
            $take->judging->role(Axis::Tilt) === Role::Coupled => min($shake->tilt->value, self::ofHeldSubject($take)),
            default => 0.0,
        };
    }

    /** What holding the subject asks of the tilt, seen through the same band: from where the craft was at each moment. */
    private static function ofHeldSubject(Take $take): float
    {
        $nodes = $take->grid->t;
        $wanted = [];
        foreach ($take->dz as $i => $up) {
            $wanted[] = atan2($up, hypot($take->dx[$i], $take->dy[$i])) / Angle::DEGREE;
        }
        [[$main]] = LocalQuadratic::rates($nodes, [$wanted], $nodes, Grid::ANGLE);
        [[$slow]] = LocalQuadratic::rates($nodes, [$wanted], $nodes, Grid::SLOW);
        $sum = 0.0;
        for ($i = $take->main->holdFrom; $i <= $take->main->holdTo; $i++) {
            $sum += ($main[$i] - $slow[$i]) ** 2;
        }

        return 100 / $take->hfov() * sqrt($sum / ($take->main->holdTo - $take->main->holdFrom + 1));
    }

    private static function ofOrbit(Take $take, Eases $eases): float
    {
        $nodes = $take->grid->t;
        $travel = self::profile($take, $eases, Axis::Travel);
        $x = $y = [0.0];
        foreach ($nodes as $i => $_) {
            $reach = max(1e-6, hypot($take->dx[$i], $take->dy[$i]));
            $x[] = $x[$i] - $take->way * $travel[$i] * $take->dy[$i] / $reach * Grid::STEP;
            $y[] = $y[$i] + $take->way * $travel[$i] * $take->dx[$i] / $reach * Grid::STEP;
        }
        array_shift($x);
        array_shift($y);
        $heading = self::integrated(self::profile($take, $eases, Axis::Turn));
        $tilt = self::integrated(self::profile($take, $eases, Axis::Tilt));

        [[$xm, $ym]] = LocalQuadratic::rates($nodes, [$x, $y], $nodes, Grid::POSITION);
        [[$hm, $gm]] = LocalQuadratic::rates($nodes, [$heading, $tilt], $nodes, Grid::ANGLE);
        [[$xs, $ys, $hs, $gs]] = LocalQuadratic::rates($nodes, [$x, $y, $heading, $tilt], $nodes, Grid::SLOW);

        $angles = $surge = 0.0;
        for ($i = $take->main->holdFrom; $i <= $take->main->holdTo; $i++) {
            $share = cos(max(-89.0, min(0.0, $take->grid->tilt->value[$i])) * Angle::DEGREE);
            $angles += (($hm[$i] - $hs[$i]) * $share) ** 2 + ($gm[$i] - $gs[$i]) ** 2;
            $surge += ($xm[$i] - $xs[$i]) ** 2 + ($ym[$i] - $ys[$i]) ** 2;
        }
        $n = $take->main->holdTo - $take->main->holdFrom + 1;

        return hypot(100 / $take->hfov() * sqrt($angles / $n), 0.5 * $take->imageSpeed(sqrt($surge / $n)));
    }

    /**
     * Rate of an axis as its fitted eases describe it, per node: 0, swell, held rate, fade, 0.
     *
     * @return list<float>
     */
    private static function profile(Take $take, Eases $eases, Axis $axis): array
    {
        $start = $eases->fits[$axis->value]['start'] ?? null;
        $stop = $eases->fits[$axis->value]['stop'] ?? null;
        if ($start === null || $stop === null) {
            return array_fill(0, $take->grid->count(), 0.0);
        }
        $textbook = ($axis->rotates() ? Anchored::EaseAngle : Anchored::EaseTravel)->textbook();
        $in = max($textbook, $start->usable());
        $out = max($textbook, $stop->usable());
        $held = $take->held($axis);

        return array_map(
            static fn (float $t): float => $held * (Ramp::rate(($t - $start->centre) / $in + 0.5) - Ramp::rate(($t - $stop->centre) / $out + 0.5)),
            $take->grid->t,
        );
    }

    /**
     * @param  list<float>  $rate
     * @return list<float>
     */
    private static function integrated(array $rate): array
    {
        $sum = 0.0;
        $values = [];
        foreach ($rate as $value) {
            $values[] = $sum += $value * Grid::STEP;
        }

        return $values;
    }
}
