<?php

declare(strict_types=1);

namespace Larkspur\Scoring\AsPlanned;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Stance;
use Larkspur\Scoring\Fault\SwayOffCentre;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\TakeAssignment;

/**
 * The quantities that a plan states, each beside what was flown. Plan and flight are measured by the same rule (Pass), so that what a
 * parameter means is left to the move. A figure is judged only where the plan states every parameter that it rests on.
 *
 * Tolerances (of the school, else ordinary) allow for the error of the positions and of a pin on a map besides, and grow with the quantity.
 */
final class PlanFigures
{
    /** How far off a pin on a map may be, m. */
    private const PIN = 1.5;

    /** The least by which an angle that is flown, a pace and a turn rate may be off: rad, m/s, rad/s. */
    private const LEAST_ARC = 6 * Angle::DEGREE;

    private const LEAST_PACE = 0.15;

    private const LEAST_SPIN = 1.5 * Angle::DEGREE;

    /** Seconds by which a turn may follow its way otherwise than planned: fingers out of step are a fault from 1.2 s on. */
    private const LEAD = 1.5;

    /** A way or a climb this short has no direction, m. */
    private const NO_WAY = 3.0;

    /** Parameters that say how large a figure is. */
    private const SIZES = ['length_m', 'side_m', 'radius_m', 'bay_m', 'climb_m', 'radius_end_m'];

    private Pass $planned;

    private Pass $flown;

    /** @var array<string, mixed> parameters that the plan states */
    private array $stated;

    /** @var list<string> parameters of the move */
    private array $own;

    /** @param  float  $positionError  of a position of this log, m */
    public function __construct(
        private readonly Measurements $measured,
        private readonly TakeAssignment $assignment,
        private readonly MovePlan $plan,
        private readonly Tolerances $tolerances,
        private readonly float $positionError,
    ) {
        $this->planned = Pass::ofPlan($plan);
        $this->flown = Pass::ofTake($measured->take);
        $this->stated = $assignment->intent->parameters;
        $this->own = Parameter::names(Catalogue::move($assignment->intent->move)->parameters());
    }

    /** @return list<PlanFigure> in the order in which a pass is flown */
    public function all(): array
    {
        $figures = match ($this->assignment->judging->path) {
            PathKind::Circle => [
                $this->place(), $this->radius(), $this->lastRadius(), $this->direction(), $this->arc(), $this->end(), $this->pace(),
                $this->climb(), $this->height(),
            ],
            PathKind::Line, PathKind::Arc => [
                $this->place(), $this->length(), $this->course(), $this->across(), $this->end(), $this->pace(), $this->climb(),
                $this->height(), $this->turn(),
            ],
            PathKind::Vertical => [$this->place(), $this->climb(), $this->climbRate(), $this->height(), $this->turn()],
            PathKind::Spot => [$this->place(), $this->turn(), $this->spin(), $this->height()],
            PathKind::Beside => [$this->distance(), $this->side(), $this->height()],
            PathKind::Figure => $this->figure(),
        };

        return array_values(array_filter([...$figures, $this->lead(), $this->gap(), ...$this->picture()]));
    }

    /** Whether the plan states all of these that its move has, and at least one of them. */
    private function states(string ...$parameters): bool
    {
        $asked = array_intersect($parameters, $this->own);

        return $asked !== [] && array_diff($asked, array_keys($this->stated)) === [];
    }

    /** Whether the plan is tied to a place: to a subject that stands still. */
    private function isAnchored(): bool
    {
        return $this->assignment->intent->subject !== null && $this->assignment->intent->track === []
            && ($this->plan->subject === null || ! $this->plan->subject->moves());
    }

    private function placeTolerance(): float
    {
        $viewing = min($this->plan->viewing, $this->measured->take->viewing);

        return hypot(hypot($this->positionError, self::PIN), $this->tolerances->place * $viewing);
    }

    /** Of a length, a climb or a height: it grows with the lesser of planned and flown, so that half and twice weigh alike. */
    private function lengthTolerance(float $planned, float $flown): float
    {
        return hypot($this->positionError * M_SQRT2, $this->tolerances->length * min(abs($planned), abs($flown)));
    }

    /** Of a direction between two places so far apart, rad. */
    private function angularError(float $length): float
    {
        return atan($this->positionError * M_SQRT2 / $length);
    }

    private function radiusTolerance(float $planned, float $flown): float
    {
        return hypot($this->positionError, $this->tolerances->length * min($planned, $flown));
    }

    private function place(): ?PlanFigure
    {
        if (! $this->isAnchored() || ! $this->states('start_bearing_deg', 'distance_m', 'radius_m', 'side', 'course_deg')) {
            return null;
        }
        $off = $this->flown->start()->minus($this->planned->start())->ground();

        return PlanFigure::stated('start', Quantity::metres(...), 0.0, $off, $this->placeTolerance());
    }

    private function end(): ?PlanFigure
    {
        if ($this->place() === null || ! $this->states('length_m', 'arc_deg', 'direction', 'heading_deg')) {
            return null;
        }
        $radius = $this->planned->distance() ?? 0.0;
        $way = $this->assignment->judging->path === PathKind::Circle
            ? $this->arcTolerance($this->planned->arc() ?? 0.0, $this->flown->arc() ?? 0.0) * $radius
            : $this->lengthTolerance($this->planned->length(), $this->flown->length());

        return PlanFigure::stated(
            'end', Quantity::metres(...), 0.0, $this->flown->end()->minus($this->planned->end())->ground(),
            hypot($this->placeTolerance(), $way),
        );
    }

    private function radius(): ?PlanFigure
    {
        $flown = $this->flown->distance();
        $planned = $this->planned->distance();
        if ($flown === null || $planned === null) {
            return null;
        }

        return $this->states('radius_m') && $this->assignment->intent->subject !== null
            ? PlanFigure::stated('radius', Quantity::metres(...), $planned, $flown, $this->radiusTolerance($planned, $flown))
            : PlanFigure::open('radius', Quantity::metres($flown));
    }

    private function lastRadius(): ?PlanFigure
    {
        $flown = $this->flown->lastDistance();
        $planned = $this->planned->lastDistance();

        return $flown === null || $planned === null || ! $this->states('radius_end_m') || $this->assignment->intent->subject === null
            ? null
            : PlanFigure::stated('radius-end', Quantity::metres(...), $planned, $flown, $this->radiusTolerance($planned, $flown));
    }

    private function direction(): ?PlanFigure
    {
        return $this->states('direction')
            ? PlanFigure::way(
                'direction', $this->assignment->intent->choice('direction') === Stance::CLOCKWISE ? 1.0 : -1.0, $this->assignment->flownWay,
            )
            : null;
    }

    private function arcTolerance(float $planned, float $flown): float
    {
        return hypot(self::LEAST_ARC, $this->tolerances->arc * min(abs($planned), abs($flown)));
    }

    private function arc(): PlanFigure
    {
        $flown = abs($this->flown->arc() ?? 0.0);
        $planned = abs($this->planned->arc() ?? 0.0);

        return $this->states('arc_deg')
            ? PlanFigure::stated('arc', Quantity::radians(...), $planned, $flown, $this->arcTolerance($planned, $flown))
            : PlanFigure::open('arc', Quantity::radians($flown));
    }

    private function length(): PlanFigure
    {
        $flown = $this->flown->length();

        return $this->states('length_m')
            ? PlanFigure::stated(
                'length', Quantity::metres(...), $this->planned->length(), $flown, $this->lengthTolerance($this->planned->length(), $flown),
            )
            : PlanFigure::open('length', Quantity::metres($flown));
    }

    private function course(): ?PlanFigure
    {
        $length = min($this->planned->length(), $this->flown->length());
        if ($length < self::NO_WAY || ! $this->isAnchored() || ! $this->states('start_bearing_deg', 'heading_deg', 'course_deg')) {
            return null;
        }
        $planned = $this->planned->course();

        return PlanFigure::stated(
            'course', Quantity::radians(...), Angle::turn($planned), Angle::turn($this->flown->course()),
            hypot($this->tolerances->course, $this->angularError($length)), Angle::wrap($this->flown->course() - $planned),
        );
    }

    /** Which way the lens looked as it went: part of what the move is, stated or not. */
    private function across(): ?PlanFigure
    {
        $judging = $this->assignment->judging;
        $length = min($this->planned->length(), $this->flown->length());
        if ($length < self::NO_WAY || $judging->path !== PathKind::Line || $judging->straightDown || ! $this->headingIsKnown()) {
            return null;
        }
        $planned = $this->planned->across();

        return PlanFigure::stated(
            'across', Quantity::radians(...), $planned, $this->flown->across(),
            hypot($this->tolerances->across, $this->angularError($length)), Angle::wrap($this->flown->across() - $planned),
        );
    }

    private function pace(): ?PlanFigure
    {
        return $this->rate(
            'pace', 'pace_mps', Quantity::metresPerSecond(...), $this->planned->pace(), $this->flown->pace(), self::LEAST_PACE,
        );
    }

    private function climbRate(): ?PlanFigure
    {
        return $this->rate(
            'climb-rate', 'climb_mps', Quantity::metresPerSecond(...), $this->planned->climbRate(), $this->flown->climbRate(),
            self::LEAST_PACE,
        );
    }

    private function spin(): ?PlanFigure
    {
        return $this->headingIsKnown()
            ? $this->rate(
                'spin', 'spin_dps', Quantity::radiansPerSecond(...), $this->planned->spin(), $this->flown->spin(), self::LEAST_SPIN,
            )
            : null;
    }

    /** @param  callable(float): Quantity  $in */
    private function rate(string $id, string $parameter, callable $in, float $planned, float $flown, float $least): ?PlanFigure
    {
        if (! in_array($parameter, $this->own, true)) {
            return null;
        }

        return $this->states($parameter)
            ? PlanFigure::stated($id, $in, $planned, $flown, hypot($least, $this->tolerances->pace * min($planned, $flown)))
            : PlanFigure::open($id, $in($flown));
    }

    private function climb(): ?PlanFigure
    {
        $planned = $this->planned->climb();
        $flown = $this->flown->climb();

        return $this->states('climb_m') && $this->heightIsKnown()
            ? PlanFigure::stated('climb', Quantity::metres(...), $planned, $flown, $this->lengthTolerance($planned, $flown))
            : null;
    }

    private function height(): ?PlanFigure
    {
        if (! $this->states('height_m') || $this->assignment->intent->subject === null || ! $this->heightIsKnown()) {
            return null;
        }
        $planned = $this->planned->height() - $this->plan->ground;

        $flown = $this->flown->height() - $this->plan->ground;

        return PlanFigure::stated('height', Quantity::metres(...), $planned, $flown, $this->lengthTolerance($planned, $flown));
    }

    private function distance(): ?PlanFigure
    {
        $flown = $this->flown->distance();
        $planned = $this->planned->distance();

        return $flown === null || $planned === null || ! $this->states('distance_m')
            ? null
            : PlanFigure::stated('distance', Quantity::metres(...), $planned, $flown, $this->placeTolerance());
    }

    private function side(): ?PlanFigure
    {
        $flown = $this->flown->side();
        $planned = $this->planned->side();

        return $flown === null || $planned === null || ! $this->states('side') ? null : PlanFigure::way('side', $planned, $flown);
    }

    private function turn(): ?PlanFigure
    {
        if (! $this->states('turn_deg') || ! $this->headingIsKnown()) {
            return null;
        }
        $planned = $this->planned->turn();
        $flown = $this->flown->turn();

        return PlanFigure::stated('turn', Quantity::radians(...), $planned, $flown, $this->arcTolerance($planned, $flown));
    }

    /** By how much the turn follows the way, where both are held: part of what the move is. */
    private function lead(): ?PlanFigure
    {
        $judging = $this->assignment->judging;
        $turns = $judging->role(Axis::Turn) === Role::Steady && $this->planned->spin() > self::LEAST_SPIN;
        if (! $turns || $judging->role(Axis::Travel) !== Role::Steady || $this->planned->pace() < self::LEAST_PACE) {
            return null;
        }
        $planned = $this->planned->lead();
        $flown = $this->flown->lead();

        return $planned === null || $flown === null
            ? null
            : PlanFigure::stated('lead', Quantity::seconds(...), $planned, $flown, self::LEAD);
    }

    /** How far from the middle of an opening it was flown through. */
    private function gap(): ?PlanFigure
    {
        $aside = SwayOffCentre::aside($this->measured);

        return $aside === null
            ? null
            : PlanFigure::stated('gap', Quantity::metres(...), 0.0, $aside['metres'], $aside['limit']);
    }

    /** @return list<?PlanFigure> what the lens shows at either end */
    private function picture(): array
    {
        $judging = $this->assignment->judging;
        $framed = $judging->framed;
        $tilts = $framed !== Framed::Subject && $judging->role(Axis::Tilt) !== Role::Free && ! $judging->straightDown;
        $heads = $framed !== Framed::Subject && $this->headingIsKnown() && $judging->path !== PathKind::Figure
            && ! $judging->straightDown && $this->states('heading_deg', 'start_bearing_deg')
            && ($this->isAnchored() || $this->states('heading_deg'));

        return [
            $heads ? $this->heading() : null,
            $tilts && $this->states('tilt_start_deg')
                ? $this->tilt('tilt-start', $this->planned->firstTilt(), $this->flown->firstTilt())
                : null,
            $tilts && $this->states('tilt_end_deg')
                ? $this->tilt('tilt-end', $this->planned->lastTilt(), $this->flown->lastTilt())
                : null,
            $this->frameAt('frame-first', 'first_y', true), $this->frameAt('frame-last', 'last_y', false),
        ];
    }

    private function heading(): PlanFigure
    {
        $planned = $this->planned->firstHeading();
        $flown = $this->flown->firstHeading();

        return PlanFigure::stated(
            'heading', Quantity::radians(...), Angle::turn($planned), Angle::turn($flown), $this->tolerances->heading,
            Angle::wrap($flown - $planned),
        );
    }

    private function tilt(string $id, float $planned, float $flown): PlanFigure
    {
        return PlanFigure::stated($id, Quantity::radians(...), $planned, $flown, $this->tolerances->tilt);
    }

    /** Where the subject stands in the first or the last picture, share of the frame from its top. */
    private function frameAt(string $id, string $parameter, bool $first): ?PlanFigure
    {
        $v = $this->measured->framing->v;
        $wanted = $this->assignment->intent->number($parameter);
        if ($wanted === null || $v === [] || $this->assignment->judging->framed !== Framed::Subject) {
            return null;
        }

        $flown = $wanted - ($first ? $v[0] : $v[count($v) - 1]);

        return PlanFigure::stated($id, Quantity::share(...), $wanted, $flown, $this->tolerances->frame);
    }

    /** @return list<?PlanFigure> of a figure of several legs: how far it reaches, and leg by leg */
    private function figure(): array
    {
        $combined = $this->assignment->intent->move === Combination::ID;
        $sizes = array_intersect(self::SIZES, $this->own);
        $sized = $combined || ($sizes !== [] && $this->states(...self::SIZES));
        $legs = $combined ? [] : (new LegFigures(
            $this->planned, $this->flown, $this->measured->drill->marks ?? [], $this->headingIsKnown(), $this->tolerances,
        ))->all($sized || $sizes === []);
        if (! $sized) {
            return $legs;
        }
        $planned = $this->planned->reach();
        $flown = $this->flown->reach();
        $closes = abs($this->planned->gone()) > 2 * self::NO_WAY ** 2;

        return [
            $this->reach('ahead', $planned->ahead, $flown->ahead), $this->reach('aside', $planned->aside, $flown->aside),
            $this->reach('up', $planned->up, $flown->up),
            $closes && $this->states('direction')
                ? PlanFigure::way('direction', $this->planned->gone() >= 0 ? 1.0 : -1.0, $this->flown->gone() >= 0 ? 1.0 : -1.0)
                : null,
            ...$legs,
        ];
    }

    private function reach(string $id, float $planned, float $flown): ?PlanFigure
    {
        return max($planned, $flown) < self::NO_WAY
            ? null
            : PlanFigure::stated($id, Quantity::metres(...), $planned, $flown, $this->lengthTolerance($planned, $flown));
    }

    private function heightIsKnown(): bool
    {
        return $this->assignment->judging->role(Axis::Climb) !== Role::Free;
    }

    private function headingIsKnown(): bool
    {
        return $this->assignment->judging->role(Axis::Turn) !== Role::Free;
    }
}
