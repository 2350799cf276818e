<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Fact;
use Larkspur\Geo\LocalFrame;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;

/** The registry of moves: a row here and a class in this folder is all that a new move needs. */
final class Catalogue
{
    /** @var array<string, class-string<Move>> shot moves from one axis to many, then the drills */
    private const MOVES = [
        'push-in' => Shot\PushIn::class,
        'straight-back' => Shot\StraightBack::class,
        'lateral-dolly' => Shot\LateralDolly::class,
        'diagonal-dolly' => Shot\DiagonalDolly::class,
        'rise' => Shot\Rise::class,
        'sink' => Shot\Sink::class,
        'pan' => Shot\Pan::class,
        'tilt' => Shot\Tilt::class,
        'locked-off' => Shot\LockedOff::class,
        'top-down-hold' => Shot\TopDownHold::class,
        'top-down-travel' => Shot\TopDownTravel::class,
        'top-down-spin' => Shot\TopDownSpin::class,
        'top-down-helix' => Shot\TopDownHelix::class,
        'skim' => Shot\Skim::class,
        'low-over-water' => Shot\LowOverWater::class,
        'rise-and-advance' => Shot\RiseAndAdvance::class,
        'rise-and-retreat' => Shot\RiseAndRetreat::class,
        'sink-and-retreat' => Shot\SinkAndRetreat::class,
        'ascent-late-tilt' => Shot\AscentLateTilt::class,
        'rise-and-rotate' => Shot\RiseAndRotate::class,
        'lift-and-tilt' => Shot\LiftAndTilt::class,
        'drop-and-tilt' => Shot\DropAndTilt::class,
        'sideways-crane' => Shot\SidewaysCrane::class,
        'round-the-side' => Shot\RoundTheSide::class,
        'ground-to-horizon' => Shot\GroundToHorizon::class,
        'low-tilt-up' => Shot\LowTiltUp::class,
        'reverse-tilt-up' => Shot\ReverseTiltUp::class,
        'reverse-tilt-down' => Shot\ReverseTiltDown::class,
        'over-the-edge' => Shot\OverTheEdge::class,
        'sink-to-eye-level' => Shot\SinkToEyeLevel::class,
        'fly-over' => Shot\FlyOver::class,
        'slide-with-pan' => Shot\SlideWithPan::class,
        'run-and-lift' => Shot\RunAndLift::class,
        'backward-with-pan' => Shot\BackwardWithPan::class,
        'curved-retreat' => Shot\CurvedRetreat::class,
        'rise-slide-turn' => Shot\RiseSlideTurn::class,
        'gap' => Shot\Gap::class,
        'orbit' => Shot\Orbit::class,
        'orbit-finish' => Shot\OrbitFinish::class,
        'orbit-yourself' => Shot\OrbitYourself::class,
        'climbing-orbit' => Shot\ClimbingOrbit::class,
        'spiral-orbit' => Shot\SpiralOrbit::class,
        'reveal-orbit' => Shot\RevealOrbit::class,
        'reveal-orbit-reversed' => Shot\RevealOrbitReversed::class,
        'side-track' => Shot\SideTrack::class,
        'follow' => Shot\Follow::class,
        'chase' => Shot\Chase::class,
        'overtake' => Shot\Overtake::class,
        'head-on' => Shot\HeadOn::class,
        'lead' => Shot\Lead::class,
        'top-down-follow' => Shot\TopDownFollow::class,
        'top-down-overtake' => Shot\TopDownOvertake::class,
        'pull-away' => Shot\PullAway::class,
        'push-in-from-high' => Shot\PushInFromHigh::class,
        'sink-to-horizon' => Shot\SinkToHorizon::class,
        'sink-turn-tilt' => Shot\SinkTurnTilt::class,
        'rise-turn-tilt' => Shot\RiseTurnTilt::class,
        'back-rise-tilt' => Shot\BackRiseTilt::class,
        'climbing-orbit-with-tilt' => Shot\ClimbingOrbitWithTilt::class,
        Combination::ID => Combination::class,
        'hover' => Drill\Hover::class,
        'hover-and-turn' => Drill\HoverAndTurn::class,
        'slowest-line' => Drill\SlowestLine::class,
        'return-to-centre' => Drill\ReturnToCentre::class,
        'pure-axis' => Drill\PureAxis::class,
        'pad-to-pad' => Drill\PadToPad::class,
        'landing' => Drill\Landing::class,
        'square-fixed-heading' => Drill\SquareFixedHeading::class,
        'circle-fixed-heading' => Drill\CircleFixedHeading::class,
        'out-and-back' => Drill\OutAndBack::class,
        'square-with-turns' => Drill\SquareWithTurns::class,
        'coordinated-circle' => Drill\CoordinatedCircle::class,
        'figure-of-eight' => Drill\FigureOfEight::class,
        'nose-in-bay' => Drill\NoseInBay::class,
        'ceiling-climb' => Drill\CeilingClimb::class,
        'straight-down' => Drill\StraightDown::class,
        'return-home' => Drill\ReturnHome::class,
        'close-to-object' => Drill\CloseToObject::class,
        'no-positioning' => Drill\NoPositioning::class,
        'speed-by-pitch' => Drill\SpeedByPitch::class,
        'indoor-tour' => Drill\IndoorTour::class,
    ];

    public static function move(string $id, string $place = 'move'): Move
    {
        $class = self::MOVES[$id] ?? throw new Refusal(
            Fact::of('catalogue.not-move-can-planned', id: $id), $place, Fact::of('catalogue.one-of', ids: implode(', ', self::ids())),
        );

        return new $class;
    }

    /** @return list<Move> shot moves first, then drills */
    public static function all(): array
    {
        return array_map(self::move(...), self::ids());
    }

    /** Name of a move on screen; its id where it is none of today's. */
    public static function nameOf(string $id): Fact
    {
        return isset(self::MOVES[$id]) ? Fact::of("move.$id") : Fact::name($id);
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::MOVES);
    }

    /** Whether a move keeps up with a subject that moves, or passes it. */
    public static function follows(string $id): bool
    {
        return isset(self::MOVES[$id]) && (
            is_subclass_of(self::MOVES[$id], Shape\Following::class) || is_subclass_of(self::MOVES[$id], Shape\Passing::class)
        );
    }

    /**
     * Parameters that a way of its own decides where a subject goes one: there is nothing to choose about them.
     *
     * @return list<string>
     */
    public static function decidedByItsWay(Intent $intent): array
    {
        if ($intent->track === [] || ! self::follows($intent->move)) {
            return [];
        }

        // Who keeps up goes as far as the subject does; who passes has a way of its own.
        return ['subject_mps', 'subject_course_deg', ...self::move($intent->move) instanceof Shape\Following ? ['length_m'] : []];
    }

    /** Completes an intent with defaults that suit the craft, and plans it. */
    public static function plan(Intent $intent, LocalFrame $frame, ModeTune $mode): MovePlan
    {
        $move = self::move($intent->move);
        if ($move instanceof Combination) {
            return $move->joined($intent, $frame, $mode);
        }
        $open = array_diff_key($move->defaults($intent, $frame, $mode), $intent->parameters);
        if (LowAndSlow::asked($intent) && $move->about()->group !== Group::Drill) {
            // What follows from a height or a pace, the first tilt for one, follows from the low one.
            $low = LowAndSlow::of($open, $intent);
            $open = [...array_diff_key($move->defaults($intent->with($low), $frame, $mode), $intent->parameters), ...$low];
        }

        return $move->plan($intent->with($open), array_keys($open), $frame);
    }
}
