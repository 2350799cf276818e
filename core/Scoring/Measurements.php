<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Scoring\Path\CirclePath;

/** Everything that a take is judged by, measured once (docs/scoring.md, section 4). */
final readonly class Measurements
{
    /** Seconds to cross the frame where nothing is meant to: neither hurried nor slow. */
    public const AT_REST = 20.0;

    /** Nodes before and after a moment in which the subject is seen to jump. */
    private const BEFORE = 4;

    private const AFTER = 8;

    /** Fraction of the frame from which a jump is seen at all. */
    private const SHOWS = 0.001;

    /**
     * @param  TakeTarget  $target  what the take was meant to be
     * @param  ?Sticks  $sticks  what the fingers did, where the log has it
     * @param  ?DrillFigure  $drill  of a drill: how far it lies off its figure
     * @param  ?FrameEdge  $edge  how far the subject lies beyond the frame; null where its height or its plan is not known
     * @param  ?Fact  $doubt  why what the log says of the fingers is not believed
     * @param  AskedOfTheHand  $asked  what the plan itself asks of the picture
     * @param  array<value-of<Axis>, NoiseCorrected>  $evenness  share of the held rate
     * @param  NoiseCorrected  $path  % of the viewing distance
     * @param  float  $drift  %
     * @param  ?NoiseCorrected  $altitude  % of the viewing distance; null where the move climbs
     * @param  NoiseCorrected  $disturbance  shake of the picture that its eases don't explain, %/s
     * @param  ?float  $pace  seconds that a point takes to cross the frame; null where the log does not tell
     * @param  float  $completion  flown over planned; 1 where nothing was planned
     * @param  float  $radius  mean radius of a round path, m; 0 of any other
     * @param  float  $extent  flown: radians of arc, or metres
     */
    private function __construct(
        public Take $take,
        public TakeTarget $target,
        public ?Sticks $sticks,
        public ?DrillFigure $drill,
        public ?Fact $doubt,
        public ?FrameEdge $edge,
        public AskedOfTheHand $asked,
        public array $evenness,
        public Eases $eases,
        public NoiseCorrected $path,
        public float $drift,
        public ?NoiseCorrected $altitude,
        public Framing $framing,
        public Shake $shake,
        public NoiseCorrected $disturbance,
        public CrossTalk $cross,
        public ?float $pace,
        public float $completion,
        public float $radius,
        public float $extent,
    ) {
    }

    public static function of(
        Take $take, TakeTarget $target, ?Sticks $sticks = null, ?DrillFigure $drill = null, ?Fact $doubt = null, ?FrameEdge $edge = null,
    ): self {
        $eases = Eases::of($take, $target->lead, $sticks);
        $shake = Shake::of($take);
        $stray = $take->path->stray($take->main);
        $extent = $take->path->extent($take->main);

        return new self(
            $take, $target, $sticks, $drill, $doubt, $edge, $drill->asked ?? AskedOfTheHand::nothing(),
            evenness: Evenness::of($take, $target),
            eases: $eases,
            path: $stray['wander']->times(100 / $take->viewing),
            drift: 100 * $stray['drift'] / ($stray['over'] ?? $take->viewing),
            altitude: $take->judging->role(Axis::Climb) === Role::Still ? self::altitude($take) : null,
            framing: Framing::of($take, $target),
            shake: $shake,
            disturbance: $shake->image->less(EaseShare::of($take, $eases, $shake, $target)),
            cross: CrossTalk::of($take),
            pace: $take->judging->primary() === null ? self::AT_REST : self::pace($take),
            completion: $target->extent === null ? 1.0 : $extent / $target->extent,
            radius: $take->path instanceof CirclePath ? $take->path->meanRadius($take->main) : 0.0,
            extent: $extent,
        );
    }

    /** The eight parts: by the measures of its figure for a drill, by those of a held move for anything else. */
    public function judged(): JudgedParts
    {
        return $this->drill ?? new HeldMove($this);
    }

    /** Seconds in which what is seen crosses the frame. */
    private static function pace(Take $take): ?float
    {
        $axis = match ($take->judging->crossing) {
            Crossing::Turn => Axis::Turn,
            Crossing::Tilt => Axis::Tilt,
            default => null,
        };
        if ($axis !== null && $take->judging->role($axis) === Role::Free) {
            return null;
        }

        $rate = max(0.01, abs($take->main->rate));
        $width = 2 * $take->viewing * $take->lens->halfWidth;
        $slowest = 0.01 * Angle::DEGREE;

        return match ($take->judging->crossing) {
            Crossing::Turn => $take->lens->horizontal / max($slowest, $take->held(Axis::Turn)),
            Crossing::Tilt => $take->lens->vertical() / max($slowest, $take->held(Axis::Tilt)),
            Crossing::Sideways => $width / $rate / ($take->judging->straightDown ? 1.0 : max(0.2, $take->crab())),
            Crossing::Upright => 2 * $take->viewing * $take->lens->halfHeight / $rate,
            Crossing::Ahead => $take->viewing / $rate + 2,
        };
    }

    /** Spread of the height about its mean, less noise and the slow walk of a satellite height. */
    private static function altitude(Take $take): NoiseCorrected
    {
        $noise = $take->grid->z->sigma * Statistics::mean($take->hold($take->grid->z->g0));

        return NoiseCorrected::value(Statistics::variance($take->moving($take->grid->z->value)), $noise ** 2 + 0.15 ** 2)
            ->times(100 / $take->viewing);
    }

    /** How far what is filmed is thrown about a moment; null where the frame was not measured, or hardly shows it. */
    public function jumpAt(int $node): ?Fact
    {
        if ($this->take->judging->framed === Framed::Free) {
            return null;
        }
        $from = $this->take->main->from;
        $first = max(0, $node - $from - self::BEFORE);
        $last = min(count($this->framing->u) - 1, $node - $from + self::AFTER);
        if ($last <= $first) {
            return null;
        }
        $most = 0.0;
        foreach ([$this->framing->u, $this->framing->v] as $series) {
            $most = max($most, Statistics::span(array_slice($series, $first, $last - $first + 1)));
        }

        if ($most < self::SHOWS) {
            return null;
        }

        return $this->take->judging->hasSubject()
            ? Fact::of('picture.subject-jumps', jump: Quantity::share($most))
            : Fact::of('picture.jumps', jump: Quantity::share($most));
    }
}
