<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\Answers;
use Larkspur\Controls\Finger;
use Larkspur\Controls\Response;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Measure\Angle;

/**
 * One flight mode of a craft as it is set up: top rates, how hard it speeds up and brakes, how it lags behind the
 * sticks, the gimbal's tune and the curve of each finger. Metres, seconds, radians.
 */
final readonly class ModeTune implements Answers
{
    public const STOP = 'stop';

    public const ROUND = 'round';

    public const OFF = 'off';

    public const OBSTACLES = [self::STOP, self::ROUND, self::OFF];

    /** A first-order response has covered 95 % after three time constants. */
    private const CUSHION = 3.0;

    /**
     * @param  float  $run  top speed ahead and back, m/s
     * @param  float  $slide  top speed sideways, m/s
     * @param  float  $turn  top turn rate, rad/s
     * @param  float  $accelerate  greatest gain of ground speed, m/s2
     * @param  float  $brake  greatest loss of ground speed, m/s2
     * @param  float  $climbAccelerate  greatest change of climb rate, m/s2
     * @param  float  $turnAccelerate  greatest change of turn rate, rad/s2
     * @param  float  $travelLag  time constant of ground speed behind the stick, s
     * @param  float  $climbLag  the same of climb rate, s
     * @param  float  $turnLag  the same of turn rate, s
     * @param  float  $tilt  greatest tilt rate of the gimbal, rad/s
     * @param  float  $tiltCushion  seconds in which the tilt rate reaches 95 % of what the wheel asks
     * @param  array<value-of<Finger>, ResponseCurve>  $curves
     * @param  value-of<self::OBSTACLES>|null  $obstacles  what the craft does before what it senses; null where nobody said
     */
    public function __construct(
        public string $name,
        public float $run,
        public float $slide,
        public float $climb,
        public float $sink,
        public float $turn,
        public float $accelerate,
        public float $brake,
        public float $climbAccelerate,
        public float $turnAccelerate,
        public float $travelLag,
        public float $climbLag,
        public float $turnLag,
        public float $tilt,
        public float $tiltCushion,
        public array $curves,
        public ?string $obstacles = null,
    ) {
    }

    public static function read(string $name, Fields $fields): self
    {
        /** @var value-of<self::OBSTACLES>|null $obstacles */
        $obstacles = $fields->choiceOrNull('obstacles', self::OBSTACLES);
        $lag = $fields->group('lag_s');
        $gimbal = $fields->group('gimbal');
        $curves = [];
        foreach (Finger::cases() as $finger) {
            $curves[$finger->value] = CurveKinds::read($fields->group('curves')->group($finger->value));
        }

        return new self(
            $name,
            $fields->number('run_mps', 0.1, 60, 'm/s'),
            $fields->number('slide_mps', 0.1, 60, 'm/s'),
            $fields->number('climb_mps', 0.1, 30, 'm/s'),
            $fields->number('sink_mps', 0.1, 30, 'm/s'),
            $fields->number('turn_dps', 1, 1000, 'deg/s') * Angle::DEGREE,
            $fields->number('accelerate_mps2', 0.1, 50, 'm/s2'),
            $fields->number('brake_mps2', 0.1, 50, 'm/s2'),
            $fields->number('climb_accelerate_mps2', 0.1, 50, 'm/s2'),
            $fields->number('turn_accelerate_dps2', 1, 5000, 'deg/s2') * Angle::DEGREE,
            $lag->number('travel', 0, 5, 's'),
            $lag->number('climb', 0, 5, 's'),
            $lag->number('turn', 0, 5, 's'),
            $gimbal->number('top_rate_dps', 0.5, 500, 'deg/s') * Angle::DEGREE,
            $gimbal->number('cushion_s', 0, 5, 's'),
            $curves,
            $obstacles,
        );
    }

    /** A middling craft on straight curves: what defaults suit where no craft is known. */
    public static function ordinary(): self
    {
        return new self(
            'ordinary', 9.0, 8.0, 3.5, 2.8, 60 * Angle::DEGREE, 3.0, 3.6, 2.5, 120 * Angle::DEGREE, 0.38, 0.3, 0.18, 22 * Angle::DEGREE,
            0.6,
            array_map(static fn (): ResponseCurve => new HalfStickCurve(0.5), array_column(Finger::cases(), null, 'value')),
        );
    }

    /**
     * The same mode with one finger set up otherwise; what is left out stays.
     *
     * @param  ?float  $top  greatest rate, m/s or rad/s; of the climb the way up, the way down in proportion
     * @param  ?float  $cushion  seconds in which the turn or the tilt is there; other axes keep theirs
     */
    public function with(Finger $finger, ?float $top = null, ?ResponseCurve $curve = null, ?float $cushion = null): self
    {
        $share = $top === null ? 1.0 : $top / $this->top($finger);
        $of = static fn (Finger $one, float $rate): float => $finger === $one ? $rate * $share : $rate;

        return new self(
            $this->name, $of(Finger::Run, $this->run), $of(Finger::Slide, $this->slide), $of(Finger::Climb, $this->climb),
            $of(Finger::Climb, $this->sink), $of(Finger::Turn, $this->turn),
            $this->accelerate, $this->brake, $this->climbAccelerate, $this->turnAccelerate, $this->travelLag, $this->climbLag,
            $finger === Finger::Turn && $cushion !== null ? $cushion / self::CUSHION : $this->turnLag,
            $of(Finger::Tilt, $this->tilt), $finger === Finger::Tilt && $cushion !== null ? $cushion : $this->tiltCushion,
            $curve === null ? $this->curves : [...$this->curves, $finger->value => $curve], $this->obstacles,
        );
    }

    /** The same mode of a craft that answers so many times more slowly, as a heavier one does: its rates stay, what leads to them grows. */
    public function answering(float $times): self
    {
        return new self(
            $this->name, $this->run, $this->slide, $this->climb, $this->sink, $this->turn, $this->accelerate / $times,
            $this->brake / $times, $this->climbAccelerate / $times, $this->turnAccelerate / $times, $this->travelLag * $times,
            $this->climbLag * $times, $this->turnLag * $times, $this->tilt, $this->tiltCushion, $this->curves, $this->obstacles,
        );
    }

    /** What the mode is flown for, with both schools of thought about it (common practice, no published source; docs/schools.md). */
    public function task(): Fact
    {
        return Fact::of("mode.task.$this->name");
    }

    /** Seconds in which an axis of a time constant is there. */
    public static function cushionOf(float $lag): float
    {
        return self::CUSHION * $lag;
    }

    /** Seconds in which an axis is there: three time constants. */
    public function cushion(Finger $finger): float
    {
        return self::CUSHION * $this->lag($finger);
    }

    public function curve(Finger $finger): ResponseCurve
    {
        return $this->curves[$finger->value];
    }

    /** Greatest rate of an axis in the given direction: m/s or rad/s. */
    public function top(Finger $finger, bool $positive = true): float
    {
        return match ($finger) {
            Finger::Climb => $positive ? $this->climb : $this->sink,
            Finger::Turn => $this->turn,
            Finger::Run => $this->run,
            Finger::Slide => $this->slide,
            Finger::Tilt => $this->tilt,
        };
    }

    /** Time constant of an axis, s. */
    public function lag(Finger $finger): float
    {
        return match ($finger) {
            Finger::Climb => $this->climbLag,
            Finger::Turn => $this->turnLag,
            Finger::Run, Finger::Slide => $this->travelLag,
            Finger::Tilt => $this->tiltCushion / self::CUSHION,
        };
    }

    /** What a finger at the given travel asks of its axis: m/s or rad/s. */
    public function asked(Finger $finger, float $travel): float
    {
        return $this->curve($finger)->output($travel) * $this->top($finger, $travel >= 0);
    }

    /** The travel that asks for a rate; beyond -1..1 the rate can't be had, and the nearest end is given. */
    public function travelFor(Finger $finger, float $rate): float
    {
        return $this->curve($finger)->travel($rate / $this->top($finger, $rate >= 0));
    }

    /** How a finger's axis answers a full press toward its positive end, or its other one. */
    public function response(Finger $finger, bool $positive = true): Response
    {
        [$accelerate, $brake] = match ($finger) {
            Finger::Run, Finger::Slide => [$this->accelerate, $this->brake],
            Finger::Climb => [$this->climbAccelerate, $this->climbAccelerate],
            Finger::Turn => [$this->turnAccelerate, $this->turnAccelerate],
            Finger::Tilt => [INF, INF],
        };

        return new Response($this->top($finger, $positive), $accelerate, $brake, $this->lag($finger));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $curves = [];
        foreach ($this->curves as $finger => $curve) {
            $curves[$finger] = $curve->toArray();
        }

        return [
            'run_mps' => $this->run, 'slide_mps' => $this->slide, 'climb_mps' => $this->climb, 'sink_mps' => $this->sink,
            'turn_dps' => round($this->turn / Angle::DEGREE, 6),
            'accelerate_mps2' => $this->accelerate, 'brake_mps2' => $this->brake,
            'climb_accelerate_mps2' => $this->climbAccelerate,
            'turn_accelerate_dps2' => round($this->turnAccelerate / Angle::DEGREE, 6),
            'lag_s' => ['travel' => $this->travelLag, 'climb' => $this->climbLag, 'turn' => $this->turnLag],
            'gimbal' => ['top_rate_dps' => round($this->tilt / Angle::DEGREE, 6), 'cushion_s' => $this->tiltCushion],
            'curves' => $curves,
            ...$this->obstacles === null ? [] : ['obstacles' => $this->obstacles],
        ];
    }
}
