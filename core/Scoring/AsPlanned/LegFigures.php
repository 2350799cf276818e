<?php

declare(strict_types=1);

namespace Larkspur\Scoring\AsPlanned;

use Larkspur\Measure\Angle;
use Larkspur\Measure\CircleFit;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Mark;
use Larkspur\Scoring\MatchedMark;

/**
 * What a figure of several legs states, leg by leg: how long each is, how wide each lap, how far each corner turns, and how near its
 * crossings and touchdowns lie. Plan and flight are cut at the same marks, as the figure was matched with the flight; what they state bears
 * the number of the mark that it ends at, laps a count of their own.
 */
final readonly class LegFigures
{
    /** Chord over way from which a leg is straight. */
    private const STRAIGHT = 0.97;

    /** Spread of the radius, share of it, up to which a leg goes round, and turns from which it does, rad. */
    private const ROUND = 0.2;

    private const LEAST_ROUND = M_PI;

    /** A leg shorter than this has no length to judge, a turn smaller than this is none: m, rad. */
    private const NO_LEG = 1.0;

    private const NO_TURN = 0.15;

    /** How far a receiver wanders between two places of one figure, and how far off a mark one may be, m (our judgement). */
    private const WANDER = 1.0;

    private const PLACE = 1.6;

    /** A turn may be off by so many times what a heading may: it begins and ends. */
    private const TURN = 1.5;

    /** @param  list<MatchedMark>  $marks  in the order of the plan */
    public function __construct(
        private Pass $planned, private Pass $flown, private array $marks, private bool $headingIsKnown, private Tolerances $tolerances,
    ) {
    }

    /**
     * @param  bool  $sized  whether the plan says how large the figure is
     * @return list<PlanFigure> in the order in which they are flown
     */
    public function all(bool $sized): array
    {
        $figures = [];
        $laps = 0;
        [$from, $flownFrom] = [$this->planned->t[0], $this->flown->t[0]];
        foreach ($this->marks as $i => $mark) {
            foreach ($this->between($from, $mark->mark->t, $flownFrom, $mark->flown) as [$kind, $in, $planned, $flown, $tolerance]) {
                if ($sized || $kind === 'corner') {
                    $number = $kind === 'lap' ? ++$laps : $i + 1;
                    $figures[] = PlanFigure::stated("$kind-$number", $in, $planned, $flown, $tolerance);
                }
            }
            $kind = $mark->mark->kind;
            if (in_array($kind, [Mark::TOUCHDOWN, Mark::CROSSING], true)) {
                $figures[] = PlanFigure::stated($kind.'-'.($i + 1), Quantity::metres(...), 0.0, $mark->missed, self::PLACE);
            }
            [$from, $flownFrom] = [$mark->mark->t, $mark->flown];
        }

        return $figures;
    }

    /** @return list<array{'leg'|'lap'|'corner', callable(float): Quantity, float, float, float}> of the leg between two marks */
    private function between(float $from, float $to, float $flownFrom, float $flownTo): array
    {
        $planned = $this->planned->between($from, $to);
        $flown = $this->flown->between($flownFrom, $flownTo);
        $figures = [];
        $round = self::circle($planned);
        if ($round !== null) {
            $laps = max(1, (int) round(Statistics::greatest(self::wound($planned, $round)) / (2 * M_PI)));
            foreach (self::laps($flown, $laps) as $lap) {
                $fit = CircleFit::taubin($lap->east, $lap->north);
                if ($fit !== null) {
                    $tolerance = hypot(self::WANDER, $this->tolerances->length * min($fit->radius, $round->radius));
                    $figures[] = ['lap', Quantity::metres(...), $round->radius, $fit->radius, $tolerance];
                }
            }
        } elseif ($planned->length() > self::NO_LEG && $planned->length() > self::STRAIGHT * $planned->way()) {
            $tolerance = hypot(self::WANDER, $this->tolerances->length * min($planned->length(), $flown->length()));
            $figures[] = ['leg', Quantity::metres(...), $planned->length(), $flown->length(), $tolerance];
        }
        if ($this->headingIsKnown && abs($planned->turn()) > self::NO_TURN && $round === null) {
            $figures[] = ['corner', Quantity::radians(...), $planned->turn(), $flown->turn(), self::TURN * $this->tolerances->heading];
        }

        return $figures;
    }

    /** The circle that a leg goes round; null where it goes round none. */
    private static function circle(Pass $leg): ?CircleFit
    {
        $fit = count($leg->t) < 8 ? null : CircleFit::taubin($leg->east, $leg->north);
        if ($fit === null || $fit->radius < self::NO_LEG || Statistics::greatest(self::wound($leg, $fit)) < self::LEAST_ROUND) {
            return null;
        }
        $radii = array_map(static fn (float $x, float $y): float => hypot($x - $fit->x, $y - $fit->y), $leg->east, $leg->north);

        return sqrt(Statistics::variance($radii)) < self::ROUND * $fit->radius ? $fit : null;
    }

    /**
     * Angle by which a leg has gone round a middle, either way, by sample: rad.
     *
     * @return non-empty-list<float>
     */
    private static function wound(Pass $leg, CircleFit $round): array
    {
        $bearings = Angle::unwrap(array_map(
            static fn (float $x, float $y): float => atan2($x - $round->x, $y - $round->y), $leg->east, $leg->north,
        ));
        $first = $bearings[0] ?? 0.0;

        return [0.0, ...array_map(static fn (float $bearing): float => abs($bearing - $first), array_slice($bearings, 1))];
    }

    /** @return list<Pass> a leg cut into laps, as many as were planned, by the way round that is behind it */
    private static function laps(Pass $leg, int $laps): array
    {
        $fit = $laps === 1 ? null : CircleFit::taubin($leg->east, $leg->north);
        if ($fit === null) {
            return [$leg];
        }
        $wound = self::wound($leg, $fit);
        $whole = $wound[count($wound) - 1];
        $parts = [];
        $from = $i = 0;
        for ($lap = 1; $lap <= $laps; $lap++) {
            while ($i < count($wound) - 1 && $wound[$i] < $whole * $lap / $laps) {
                $i++;
            }
            $parts[] = $leg->between($leg->t[$from], $leg->t[$i]);
            $from = $i;
        }

        return $parts;
    }
}
