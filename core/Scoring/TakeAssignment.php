<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\Lens;
use Larkspur\Controls\Axis;
use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\CircleFit;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Stance;
use Larkspur\Refusal;
use Larkspur\Telemetry\FlightLog;

/**
 * What a take is judged against: the intent that was given or the move that was recognised, its subject, which way round it goes, and what
 * of it can't be judged because the log does not tell.
 */
final readonly class TakeAssignment
{
    /** Least arc on which a circle is fitted through a noisy log, and the noise from which that matters, m. */
    private const LEAST_ARC = 45.0 * Angle::DEGREE;

    private const ARC_NOISE = 0.3;

    /** Share of a take for which nobody need say where its subject was. */
    private const UNKNOWN = 0.1;

    /** A fitted circle wider than this is a straight line, m. */
    private const WIDEST = 2000.0;

    /**
     * @param  bool  $given  whether the move was stated rather than recognised
     * @param  float  $confidence  that the move is this one, 0 to 1
     * @param  float  $way  +1 clockwise, -1 counterclockwise: as planned, or as flown where the plan leaves it open
     * @param  float  $flownWay  the same, as flown
     * @param  list<Fact>  $remarks  what had to be assumed or left out
     * @param  Judging  $whole  how its takes are judged where nothing is left out
     */
    private function __construct(
        public Intent $intent,
        public bool $given,
        public float $confidence,
        public Judging $judging,
        public ?MovingPoint $subject,
        public float $way,
        public float $flownWay,
        public array $remarks,
        private Judging $whole,
    ) {
    }

    /** Whether what the move shows in its frame could not be judged: the log or the plan does not tell. */
    public function lacksFrame(): bool
    {
        return $this->whole->framed !== Framed::Free && $this->judging->framed === Framed::Free;
    }

    /** Whether it is a drill: flown to learn, with no film to mend. */
    public function isPractice(): bool
    {
        return Catalogue::move($this->intent->move)->about()->group === Group::Drill;
    }

    /**
     * @param  FlightLog  $cut  the take's stretch of the log
     * @param  float  $lift  metres that were added to the log's heights
     * @param  list<string>  $empty  columns of the log that are zero throughout, and not believed
     *
     * @throws Refusal where the move can't be told, or nothing can be found that it goes round
     */
    public static function of(
        ?Intent $intent, FlightLog $cut, Grid $grid, LocalFrame $frame, TakeWindow $window, float $lift, array $empty = [],
    ): self {
        $remarks = [];
        $confidence = 1.0;
        $given = $intent !== null;
        if ($intent === null) {
            $recognition = Recognition::of($grid, $window->from, $window->to);
            $intent = self::recognised($recognition, $window);
            $confidence = $recognition->confidence;
            $remarks[] = Fact::of('remark.no-plan');
        }
        if ($lift !== 0.0) {
            $remarks[] = Fact::of('remark.heights-lifted', lift: Quantity::metres($lift));
        }
        if ($intent->lens->assumed) {
            $remarks[] = Fact::of('remark.camera-assumed', hfov: Quantity::radians($intent->lens->horizontal));
        }
        $whole = Catalogue::move($intent->move)->judging($intent);
        $judging = $whole->without($cut->unknownAxes());
        foreach ($cut->lacks as $column) {
            $remarks[] = in_array($column, $empty, true) ? Fact::of('remark.zeros.'.$column) : Fact::of('remark.lacks.'.$column);
        }
        if ($judging->primary() === Axis::Climb && $judging->role(Axis::Climb) === Role::Free) {
            throw new Refusal(Fact::of('take.no-heights'), 'alt_m', Fact::of('take.heights-wanted'));
        }
        $subject = self::subjectOf($intent, $cut, $frame);
        if ($subject !== null && $subject->moves() && ! self::covers($subject, $window)) {
            $remarks[] = Fact::of('remark.subject-track-short');
            $subject = null;
        }
        $round = $judging->path === PathKind::Circle;
        if ($subject === null && $round) {
            $subject = MovingPoint::still(self::fittedCentre($grid, $window));
            $remarks[] = Fact::of('remark.fitted-middle');
        }
        if ($subject === null && $judging->hasSubject()) {
            $remarks[] = Fact::of($judging->path === PathKind::Beside ? 'remark.subject-track-unknown' : 'remark.no-subject');
            $judging = $judging->withoutSubject();
        }
        $flownWay = $round && $subject !== null ? self::flownWay($grid, $subject->first(), $window) : 1.0;
        $way = ! $round ? 1.0 : match ($intent->choice('direction')) {
            Stance::CLOCKWISE => 1.0,
            Stance::COUNTERCLOCKWISE => -1.0,
            default => $flownWay,
        };

        return new self($intent, $given, $confidence, $judging, $subject, $way, $flownWay, $remarks, $whole);
    }

    /** Whether a subject is known to be somewhere for all but a tenth of the take. */
    private static function covers(MovingPoint $subject, TakeWindow $window): bool
    {
        [$from, $to] = $subject->span();
        $missing = max(0.0, $from - $window->from) + max(0.0, $window->to - $to);

        return $missing <= self::UNKNOWN * ($window->to - $window->from);
    }

    private static function recognised(Recognition $recognition, TakeWindow $window): Intent
    {
        [$first, $second] = array_keys($recognition->likelihoods);
        if ($recognition->confidence < Recognition::SURE) {
            throw new MoveUnsure([$first, $second], $window->from, $window->to);
        }

        return new Intent($recognition->move, null, null, 0.5, 0.5, Lens::assumed(), null, []);
    }

    /**
     * The subject of an intent, or the one that the log itself tracked; null where there is none, and where something that
     * moves was followed of which nobody says when it was where.
     */
    private static function subjectOf(Intent $intent, FlightLog $cut, LocalFrame $frame): ?MovingPoint
    {
        $filmed = $intent->filmed($frame);
        if ($filmed !== null && $filmed->moves()) {
            return $filmed;
        }
        if (Catalogue::move($intent->move)->about()->group === Group::Follow) {
            $filmed = null;
        }
        if (! $cut->has('subject_lat') || ! $cut->has('subject_lon')) {
            return $filmed;
        }
        $t = $places = [];
        foreach ($cut->column('subject_lat') as $i => $latitude) {
            $longitude = $cut->column('subject_lon')[$i];
            if (! is_nan($latitude) && ! is_nan($longitude)) {
                $altitude = $cut->column('subject_alt_m')[$i] ?? NAN;
                $t[] = $cut->column('t')[$i];
                $places[] = $frame->position(new GeoPoint(
                    $latitude, $longitude, is_nan($altitude) ? ($intent->subject->altitude ?? 0.0) : $altitude,
                ));
            }
        }

        return $t === [] || $places === [] ? $filmed : MovingPoint::track($t, $places);
    }

    /** The middle of the circle flown, at the height on which the lens was trained. */
    private static function fittedCentre(Grid $grid, TakeWindow $window): Position
    {
        $x = $y = $z = $tilt = [];
        foreach ($grid->t as $i => $t) {
            if ($t >= $window->from && $t <= $window->to) {
                $x[] = $grid->x->value[$i];
                $y[] = $grid->y->value[$i];
                $z[] = $grid->z->value[$i];
                $tilt[] = $grid->tilt->value[$i];
            }
        }
        $circle = CircleFit::taubin($x, $y);
        if ($circle === null || $circle->radius > self::WIDEST) {
            throw new Refusal(Fact::of('take.path-is-straight'), 'subject', Fact::of('take.subject-wanted'));
        }
        $bearings = Angle::unwrap(array_map(
            static fn (float $east, float $north): float => atan2($east - $circle->x, $north - $circle->y), $x, $y,
        ));
        $arc = Statistics::span($bearings);
        if ($arc < self::LEAST_ARC && $grid->x->sigma > self::ARC_NOISE) {
            throw new Refusal(Fact::of('take.arc-too-short', arc: Quantity::radians($arc)), 'subject', Fact::of('take.subject-wanted'));
        }

        return new Position($circle->x, $circle->y, Statistics::median($z) + $circle->radius * tan(Statistics::median($tilt)));
    }

    /** +1 where the craft went round clockwise, seen from above. */
    private static function flownWay(Grid $grid, Position $subject, TakeWindow $window): float
    {
        $bearings = [];
        foreach ($grid->t as $i => $t) {
            if ($t >= $window->from && $t <= $window->to) {
                $bearings[] = atan2($grid->x->value[$i] - $subject->east, $grid->y->value[$i] - $subject->north);
            }
        }
        $bearings = Angle::unwrap($bearings);

        return $bearings !== [] && $bearings[count($bearings) - 1] < $bearings[0] ? -1.0 : 1.0;
    }

    /**
     * The intent with what was left open filled in from the flight.
     *
     * @return array{Intent, list<string>} and the names of what was filled in
     */
    public function completed(Measurements $measured, LocalFrame $frame): array
    {
        $grid = $measured->take->grid;
        $main = $measured->take->main;
        $climb = round($grid->z->value[$main->to] - $grid->z->value[$main->from], 1);
        $turns = $main->rate > 0 && $measured->take->judging->primary() === Axis::Turn;
        $flown = match ($this->judging->path) {
            PathKind::Figure => [],
            PathKind::Spot => $turns ? [
                'turn_deg' => round(($grid->heading->value[$main->to] - $grid->heading->value[$main->from]) / Angle::DEGREE, 1),
                'spin_dps' => round($main->rate / Angle::DEGREE, 2),
            ] : [],
            PathKind::Vertical => ['climb_m' => $climb, 'climb_mps' => round(abs($main->rate), 2)],
            PathKind::Line, PathKind::Arc, PathKind::Beside => [
                'length_m' => round($measured->extent, 1), 'pace_mps' => round($main->rate, 2), 'climb_m' => $climb,
            ],
            PathKind::Circle => [
                'radius_m' => round($measured->radius, 1),
                'arc_deg' => round($measured->extent / Angle::DEGREE, 1),
                'pace_mps' => round($main->rate, 2),
                'direction' => $this->flownWay > 0 ? Stance::CLOCKWISE : Stance::COUNTERCLOCKWISE,
            ],
        };
        // A move is told by its own words alone.
        $own = array_flip(Parameter::names(Catalogue::move($this->intent->move)->parameters()));
        $open = array_diff_key(array_intersect_key($flown, $own), $this->intent->parameters);
        if ($this->intent->subject !== null || $this->subject === null) {
            return [$this->intent->with($open), array_keys($open)];
        }

        return [$this->intent->filming($frame->geoPoint($this->subject->first()))->with($open), ['subject', ...array_keys($open)]];
    }
}
