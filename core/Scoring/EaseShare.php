<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Angle;
use Larkspur\Measure\LocalQuadratic;
use Larkspur\Measure\Ramp;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Scoring\Path\CirclePath;

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
    /** What the method's reference flights keep of an upright move's own eases, %/s: only what goes beyond it is taken off. */
    private const KEPT = 0.15;

    /** Image speed, %/s, comparable to Shake::$image; of a tilt that holds a subject never more than the tilt trembled. */
    public static function of(Take $take, Eases $eases, Shake $shake, TakeTarget $wanted): float
    {
        $turns = $take->judging->role(Axis::Turn);
        $held = $take->judging->role(Axis::Tilt) === Role::Coupled ? min($shake->tilt->value, self::ofHeldSubject($take, $wanted)) : 0.0;

        return match (true) {
            $take->path instanceof CirclePath && $turns === Role::Steady => hypot(self::ofOrbit($take, $eases), $held),
            $turns === Role::Coupled => hypot(
                hypot(
                    min(
                        hypot($shake->pan->value, 0.5 * $take->imageSpeed($shake->surge->value)),
                        hypot(self::ofHeldHeading($take), self::ofTravel($take)),
                    ),
                    $held,
                ),
                self::ofBob($take, $eases, $shake),
            ),
            $take->judging->framed === Framed::Sweep
                || ($turns === Role::Steady && $take->judging->framed === Framed::Reveal) => min(
                    $shake->image->value,
                    hypot(
                        self::ofTurn($take, $eases),
                        $take->judging->path === PathKind::Vertical ? self::ofClimb($take, $eases, $shake) : 0.0,
                    ),
                ),
            $take->judging->path === PathKind::Line
                || $take->judging->path === PathKind::Beside => hypot($held, self::ofWay($take, $eases, $shake)),
            $take->judging->path === PathKind::Vertical => hypot($held, self::ofClimb($take, $eases, $shake)),
            default => $held,
        };
    }

    /** What holding the subject asks of the tilt, seen through the same band: from where the craft was at each moment. */
    private static function ofHeldSubject(Take $take, TakeTarget $wanted): float
    {
        $tilt = array_map(static fn (float $up, float $x, float $y): float => atan2($up, hypot($x, $y)), $take->dz, $take->dx, $take->dy);
        if ($wanted->places !== []) {
            // A place that is planned to change is followed by the tilt as the subject is.
            $gone = $take->progress();
            foreach ($tilt as $i => $sight) {
                $share = $gone[max(0, min(count($gone) - 1, $i - $take->main->from))];
                $tilt[$i] = $sight - atan(2 * $wanted->placeAt($share) * $take->lens->halfHeight);
            }
        }

        return self::band($take, [$tilt], Grid::ANGLE, 100 / $take->lens->horizontal);
    }

    /** The same for the heading, where it too holds the subject. */
    private static function ofHeldHeading(Take $take): float
    {
        $wanted = Angle::unwrap(array_map(atan2(...), $take->dx, $take->dy));

        return self::band($take, [$wanted], Grid::ANGLE, 100 / $take->lens->horizontal);
    }

    /** What a bend in the path leaves in the surge. */
    private static function ofTravel(Take $take): float
    {
        $speed = Statistics::median($take->hold($take->rate[Axis::Travel->value]));
        $x = $y = [];
        $east = $north = 0.0;
        foreach ($take->grid->t as $i => $_) {
            $size = hypot($take->grid->x->slow[$i], $take->grid->y->slow[$i]);
            $moving = min(1.0, $size / max(0.1, 0.9 * $speed));
            $x[] = $east += $size > 0 ? $moving * $speed * $take->grid->x->slow[$i] / $size * Grid::STEP : 0.0;
            $y[] = $north += $size > 0 ? $moving * $speed * $take->grid->y->slow[$i] / $size * Grid::STEP : 0.0;
        }

        return self::band($take, [$x, $y], Grid::POSITION, 0.5 * $take->imageSpeed(1.0));
    }

    /** What the eases of a steady turn leave in the pan, and the bend that it draws in the surge. */
    private static function ofTurn(Take $take, Eases $eases): float
    {
        return hypot(
            self::band($take, [self::integrated(self::profile($take, $eases, Axis::Turn))], Grid::ANGLE, 100 / $take->lens->horizontal),
            $take->judging->path === PathKind::Arc ? self::ofTravel($take) : 0.0,
        );
    }

    /**
     * Mean square of what lies between the main and the slow kernel, over the hold, as a rate of the picture.
     *
     * @param  list<list<float>>  $channels
     */
    private static function band(Take $take, array $channels, float $width, float $scale): float
    {
        [$main] = LocalQuadratic::rates($take->grid->t, $channels, $take->grid->t, $width);
        [$slow] = LocalQuadratic::rates($take->grid->t, $channels, $take->grid->t, Grid::SLOW);
        $sum = 0.0;
        foreach ($channels as $c => $_) {
            for ($i = $take->main->holdFrom; $i <= $take->main->holdTo; $i++) {
                $sum += ($main[$c][$i] - $slow[$c][$i]) ** 2;
            }
        }

        return $scale * sqrt($sum / ($take->main->holdTo - $take->main->holdFrom + 1));
    }

    /** What the eases of a straight way leave in the surge, and those of its climb in the bobbing. */
    private static function ofWay(Take $take, Eases $eases, Shake $shake): float
    {
        $surge = self::band(
            $take, [self::integrated(self::profile($take, $eases, Axis::Travel))], Grid::POSITION, 0.5 * $take->imageSpeed(1.0),
        );

        return hypot(min($surge, 0.5 * $take->imageSpeed($shake->surge->value)), self::ofBob($take, $eases, $shake));
    }

    /** What the eases of a steady climb leave in the bobbing. */
    private static function ofBob(Take $take, Eases $eases, Shake $shake): float
    {
        return $take->judging->role(Axis::Climb) !== Role::Steady ? 0.0
            : min(
                $take->imageSpeed($shake->bob->value),
                self::band($take, [self::integrated(self::profile($take, $eases, Axis::Climb))], Grid::BOB, $take->imageSpeed(1.0)),
            );
    }

    /** Of an upright move, what goes beyond KEPT. */
    private static function ofClimb(Take $take, Eases $eases, Shake $shake): float
    {
        return sqrt(max(0.0, self::ofWay($take, $eases, $shake) ** 2 - self::KEPT ** 2));
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
            $share = cos(max(-89.0 * Angle::DEGREE, min(0.0, $take->grid->tilt->value[$i])));
            $angles += (($hm[$i] - $hs[$i]) * $share) ** 2 + ($gm[$i] - $gs[$i]) ** 2;
            $surge += ($xm[$i] - $xs[$i]) ** 2 + ($ym[$i] - $ys[$i]) ** 2;
        }
        $n = $take->main->holdTo - $take->main->holdFrom + 1;

        return hypot(100 / $take->lens->horizontal * sqrt($angles / $n), 0.5 * $take->imageSpeed(sqrt($surge / $n)));
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
        $textbook = ($axis->rotates() ? MetricScale::EaseAngle : MetricScale::EaseTravel)->textbook();
        $in = max($textbook, $start->usable());
        $out = max($textbook, $stop->usable());
        $held = $take->held($axis);

        return array_map(
            static fn (float $t): float => $held * (
                Ramp::rate(($t - $start->centre) / $in + 0.5) - Ramp::rate(($t - $stop->centre) / $out + 0.5)
            ),
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
