<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\Judging\TakeTarget;

/**
 * Where the subject sat in the frame from first motion to last, against its planned place (docs/scoring.md,
 * section 4, "Framing"). Fractions of the frame; percent where a name says so.
 */
final readonly class Framing
{
    /** How far the subject's pin may be off on the map without that counting as aim error, m. */
    private const PIN = 1.2;

    private const PIN_RIDGE = 0.05;

    /** Below this the horizon is far outside the picture, rad: errors are told by the tilt itself. */
    private const STRAIGHT_DOWN = -85.0 * Angle::DEGREE;

    private const STEEP = -45.0 * Angle::DEGREE;

    /**
     * @param  list<float>  $u  place in the frame less the planned place, per node of S
     * @param  list<float>  $v
     * @param  float  $offset  offset of the pin that was found, m, before its limit
     * @param  NoiseCorrected  $rms  % of the frame
     * @param  float  $most  % of the frame, greatest stray less noise
     * @param  float  $stray  99th percentile of the stray, fraction: what a rescue crop must take
     * @param  float  $recompose  crop that would do if the subject might sit elsewhere, %
     * @param  ?float  $startError  of a reveal: how far its first picture lies off, % of the frame's height
     * @param  ?float  $endError  the same of its last picture, by the place of the horizon
     */
    private function __construct(
        public array $u,
        public array $v,
        public float $offset,
        public NoiseCorrected $rms,
        public float $most,
        public float $stray,
        public float $recompose,
        public ?float $startError = null,
        public ?float $endError = null,
    ) {
    }

    public static function of(Take $take, TakeTarget $wanted): self
    {
        return match ($take->judging->framed) {
            Framed::Subject => self::ofSubject($take, $wanted->aimU, self::places($take, $wanted)),
            Framed::Sweep => self::ofSweep($take, $wanted),
            Framed::Free => self::unjudged($take),
            Framed::Heading => self::ofHeading($take),
            Framed::Reveal => $take->judging->role(Axis::Turn) === Role::Still
                ? self::ofHeading($take, self::startError($take, $wanted), self::endError($take, $wanted))
                : self::ofTurningReveal($take, $wanted),
        };
    }

    /**
     * Without a subject the heading is what the frame keeps: its spread, and how far it ever left where it began.
     */
    private static function ofHeading(Take $take, ?float $startError = null, ?float $endError = null): self
    {
        $heading = $take->moving($take->grid->heading->value);
        $median = Statistics::median($heading);
        $first = Statistics::mean(array_slice($heading, 0, 5));
        $noise = $take->grid->heading->sigma * Statistics::mean($take->moving($take->grid->heading->g0));
        $spread = NoiseCorrected::value(
            Statistics::meanSquare(array_map(static fn (float $h): float => $h - $median, $heading)), $noise ** 2,
        );
        $u = array_map(static fn (float $h): float => ($h - $first) / $take->lens->horizontal, $heading);
        $most = Statistics::percentile(Series::sizes($u), 98);
        $reveals = $take->judging->framed === Framed::Reveal;

        return new self(
            $u, array_fill(0, count($u), 0.0), 0.0, $spread->times(100 / $take->lens->horizontal), 100 * $most,
            $reveals ? 0.0 : $most, $reveals ? 0.0 : 200 * $most, $startError, $endError,
        );
    }

    /**
     * Planned height of the subject in the frame at each node: it may wander with the way.
     *
     * @return list<float>
     */
    private static function places(Take $take, TakeTarget $wanted): array
    {
        return array_map($wanted->placeAt(...), $take->progress());
    }

    /** A picture that sweeps: how far it turned, against what was planned. */
    private static function ofSweep(Take $take, TakeTarget $wanted): self
    {
        if ($wanted->sweep === null) {
            return self::unjudged($take);
        }
        $still = array_fill(0, $take->main->nodes(), 0.0);

        return new self($still, $still, 0.0, NoiseCorrected::value(0.0, 0.0), 0.0, 0.0, 0.0, null, self::sweepError($take, $wanted->sweep));
    }

    /** A reveal that turns as it goes: its first and last picture, and how far it turned between them. */
    private static function ofTurningReveal(Take $take, TakeTarget $wanted): self
    {
        $still = array_fill(0, $take->main->nodes(), 0.0);

        return new self(
            $still, $still, 0.0, NoiseCorrected::value(0.0, 0.0), $wanted->sweep === null ? 0.0 : self::sweepError($take, $wanted->sweep),
            0.0, 0.0,
            self::startError($take, $wanted), self::endError($take, $wanted),
        );
    }

    /** By how much a turn misses its planned end, % of the frame's width. */
    private static function sweepError(Take $take, float $sweep): float
    {
        $heading = $take->grid->heading->value;
        $turned = Statistics::median(array_slice($heading, max(0, min($take->main->to, $take->grid->count() - 1) - 3)))
            - Statistics::median(array_slice($heading, 0, max($take->main->from, 3)));

        return 100 * abs(abs($turned) - abs($sweep)) / $take->lens->horizontal;
    }

    /** A frame that nobody judges. */
    private static function unjudged(Take $take): self
    {
        $still = array_fill(0, $take->main->nodes(), 0.0);

        return new self($still, $still, 0.0, NoiseCorrected::value(0.0, 0.0), 0.0, 0.0, 0.0);
    }

    /** First picture of a reveal: median tilt before the motion, against the planned one. */
    private static function startError(Take $take, TakeTarget $wanted): float
    {
        $tilt = Statistics::median(array_slice($take->grid->tilt->value, 0, max($take->main->from, 3)));

        return $wanted->tiltStart === null ? 0.0 : 100 * abs($tilt - $wanted->tiltStart) / $take->lens->vertical();
    }

    /** Last picture: median tilt from 0.3 s before the end of the motion on, told by where the horizon then stands. */
    private static function endError(Take $take, TakeTarget $wanted): float
    {
        if ($wanted->tiltEnd === null) {
            return 0.0;
        }
        $tilt = Statistics::median(array_slice($take->grid->tilt->value, max(0, min($take->main->to, $take->grid->count() - 1) - 3)));
        if ($wanted->tiltEnd <= self::STEEP) {
            return 100 * abs($tilt - $wanted->tiltEnd) / $take->lens->vertical();
        }
        $horizon = static fn (float $tilt): float => -tan(max(self::STRAIGHT_DOWN, $tilt)) / (2 * $take->lens->halfHeight);

        return 100 * abs($horizon($tilt) - $horizon($wanted->tiltEnd));
    }

    /**
     * @param  float  $aimU  planned place, fraction of the width right of the centre
     * @param  list<float>  $aimV  fraction of the height above the centre, per node of S
     */
    private static function ofSubject(Take $take, float $aimU, array $aimV): self
    {
        $dx = $take->moving($take->dx);
        $dy = $take->moving($take->dy);
        $dz = $take->moving($take->dz);
        $heading = $take->moving($take->grid->heading->value);
        $tilt = $take->moving($take->grid->tilt->value);
        $distance = $take->moving($take->distance);

        [$ex, $ey, $offset] = self::pinOffset($take, $dx, $dy, $dz, $heading, $tilt, $distance, $aimU, $aimV);
        $u = $v = [];
        foreach ($dx as $i => $x) {
            [$pu, $pv] = self::project($x + $ex, $dy[$i] + $ey, $dz[$i], $heading[$i], $tilt[$i], $take);
            $u[] = $pu - $aimU;
            $v[] = $pv - $aimV[$i];
        }
        [$nu, $nv] = self::noise($take, $dz, $distance);
        $ru = NoiseCorrected::value(Statistics::meanSquare($u), $nu ** 2);
        $rv = NoiseCorrected::value(Statistics::meanSquare($v), $nv ** 2);
        $absU = Series::sizes($u);
        $absV = Series::sizes($v);

        return new self(
            $u, $v, $offset,
            NoiseCorrected::combine($ru, $rv)->times(100),
            100 * max(0.0, Statistics::percentile($absU, 98) - 2 * $nu, Statistics::percentile($absV, 98) - 2 * $nv),
            self::strayOf($u, $v),
            100 * max(self::spread($u), self::spread($v)),
        );
    }

    /** Stray between two nodes of S, both included, fraction: what the crop of a part must take. */
    public function strayWithin(int $from, int $to): float
    {
        return self::strayOf(array_slice($this->u, $from, $to - $from + 1), array_slice($this->v, $from, $to - $from + 1));
    }

    /**
     * @param  list<float>  $u
     * @param  list<float>  $v
     */
    private static function strayOf(array $u, array $v): float
    {
        return max(Statistics::percentile(Series::sizes($u), 99), Statistics::percentile(Series::sizes($v), 99));
    }

    /**
     * Span of a stray, what lies more than two frames off held there.
     *
     * @param  list<float>  $values
     */
    private static function spread(array $values): float
    {
        return max(-2.0, min(2.0, Statistics::greatest($values))) - max(-2.0, min(2.0, Statistics::least($values)));
    }

    /**
     * Projection as the scorer needs it: a subject beside or behind the lens is held at 5 % of its range in depth, so
     * that it counts as far off and not as a division by nothing. Radians in, fractions out.
     *
     * @return array{float, float}
     */
    private static function project(float $dx, float $dy, float $dz, float $heading, float $tilt, Take $take): array
    {
        $ahead = $dx * sin($heading) + $dy * cos($heading);
        $right = $dx * cos($heading) - $dy * sin($heading);
        $depth = max($ahead * cos($tilt) + $dz * sin($tilt), 0.05 * sqrt($dx * $dx + $dy * $dy + $dz * $dz) + 1e-9);
        $up = -$ahead * sin($tilt) + $dz * cos($tilt);

        return [$right / (2 * $depth * $take->lens->halfWidth), $up / (2 * $depth * $take->lens->halfHeight)];
    }

    /**
     * One horizontal offset of the subject that explains the misses best, by ridge least squares, held to PIN.
     *
     * @param  list<float>  $dx
     * @param  list<float>  $dy
     * @param  list<float>  $dz
     * @param  list<float>  $heading
     * @param  list<float>  $tilt
     * @param  list<float>  $distance
     * @param  list<float>  $aimV
     * @return array{float, float, float} east and north after the limit, size before it, m
     */
    private static function pinOffset(
        Take $take, array $dx, array $dy, array $dz, array $heading, array $tilt, array $distance, float $aimU, array $aimV,
    ): array {
        $a11 = $a12 = $a22 = $b1 = $b2 = 0.0;
        $rows = 0;
        foreach ($dx as $i => $x) {
            [$u, $v] = self::project($x, $dy[$i], $dz[$i], $heading[$i], $tilt[$i], $take);
            $psi = $heading[$i];
            $theta = $tilt[$i];
            $lateral = -max(-1.0, min(1.0, 2 * $take->lens->halfWidth * ($u - $aimU))) * $distance[$i];
            $vertical = -max(-1.0, min(1.0, 2 * $take->lens->halfHeight * ($v - $aimV[$i]))) * $distance[$i];
            foreach ([
                [cos($psi), -sin($psi), $lateral], [-sin($theta) * sin($psi), -sin($theta) * cos($psi), $vertical],
            ] as [$p, $q, $miss]) {
                $a11 += $p * $p;
                $a12 += $p * $q;
                $a22 += $q * $q;
                $b1 += $p * $miss;
                $b2 += $q * $miss;
                $rows++;
            }
        }
        $a11 += self::PIN_RIDGE * $rows;
        $a22 += self::PIN_RIDGE * $rows;
        $determinant = $a11 * $a22 - $a12 * $a12;
        $ex = ($b1 * $a22 - $b2 * $a12) / $determinant;
        $ey = ($a11 * $b2 - $a12 * $b1) / $determinant;
        $size = hypot($ex, $ey);
        $held = $size > self::PIN ? self::PIN / $size : 1.0;

        return [$ex * $held, $ey * $held, $size];
    }

    /**
     * What position, height and compass noise alone would do to the place in the frame, fractions.
     *
     * @param  list<float>  $dz
     * @param  list<float>  $distance
     * @return array{float, float}
     */
    private static function noise(Take $take, array $dz, array $distance): array
    {
        $position = $take->grid->x->sigma * Statistics::mean($take->hold($take->grid->x->g0));
        $height = $take->grid->z->sigma * Statistics::mean($take->hold($take->grid->z->g0));
        $inverse = $slope = 0.0;
        foreach ($distance as $i => $range) {
            $inverse += 1 / max($range, 1.0) ** 2;
            $slope += $dz[$i] / $range;
        }
        $n = count($distance);
        $typical = max(1.0, ($inverse / $n) ** -0.5);
        $across = hypot($position, 0.3) / $typical;
        $compass = $take->grid->heading->sigma * Statistics::mean($take->moving($take->grid->heading->g0));
        $upward = hypot(hypot($height, 0.2), 0.3 * abs($slope / $n)) / $typical;

        return [hypot($across, $compass) / $take->lens->horizontal, hypot($upward, 0.03 * Angle::DEGREE) / $take->lens->vertical()];
    }
}
