<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Shape\Stance;
use Larkspur\Move\Timing\Pace;
use Larkspur\Refusal;

/** One thing that can be chosen about a move: a number with unit and range, or one of a few words. */
final readonly class Parameter
{
    /** Answered to by every move, whether or not it has a dial for it: how long it takes, how it is eased, where it
     * begins, whether it is flown low and slow. */
    private const OF_ANY_MOVE = ['duration_s', 'ease_s', 'start_at', LowAndSlow::MANNER];

    /**
     * @param  string  $unit  'm', 'm/s', 's', 'deg', 'deg/s', or '' for a bare number or a choice
     * @param  list<float>  $usual  the stretch that a dial shows; all that is allowed can still be typed
     * @param  list<string>  $choices
     */
    private function __construct(
        public string $id,
        public string $unit,
        public float $least,
        public float $most,
        public float $step,
        public array $usual = [],
        public array $choices = [],
    ) {
    }

    /** @param  array{float, float}  $usual */
    public static function number(string $id, string $unit, float $least, float $most, float $step, array $usual): self
    {
        return new self($id, $unit, $least, $most, $step, $usual);
    }

    /** @param  list<string>  $choices */
    public static function choice(string $id, array $choices): self
    {
        return new self($id, '', 0, 0, 0, [], $choices);
    }

    /**
     * The words that every intent may use, whatever its move: one program's "pull-away" states its seconds, another's its
     * way (docs/formats.md). A move reads those that mean something to it.
     *
     * @return list<self>
     */
    public static function vocabulary(): array
    {
        return [
            self::number('radius_m', 'm', 2, 500, 0.5, [4.0, 80.0]),
            self::number('radius_end_m', 'm', 2, 500, 0.5, [4.0, 80.0]),
            self::number('arc_deg', 'deg', 10, 1080, 5, [20.0, 400.0]),
            self::number('bias_deg', 'deg', -15, 15, 1, [-8.0, 8.0]),
            self::choice('direction', [Stance::CLOCKWISE, Stance::COUNTERCLOCKWISE]),
            self::number('pace_mps', 'm/s', 0.1, 40, 0.1, [0.3, 9.0]),
            self::number('pace_end_mps', 'm/s', 0.1, 40, 0.1, [0.3, 9.0]),
            self::number('climb_mps', 'm/s', -20, 20, 0.1, [0.3, 4.0]),
            self::number('climb_m', 'm', -500, 500, 0.5, [-40.0, 40.0]),
            self::number('duration_s', 's', 0.5, 600, 0.5, [5.0, 40.0]),
            self::number('length_m', 'm', 0.5, 2000, 0.5, [5.0, 80.0]),
            self::number('height_m', 'm', 0, 500, 0.5, [1.0, 60.0]),
            self::number('distance_m', 'm', 0.5, 2000, 0.5, [4.0, 80.0]),
            self::number('heading_deg', 'deg', -360, 360, 5, [0.0, 360.0]),
            self::number('course_deg', 'deg', -360, 360, 5, [-180.0, 180.0]),
            self::number('tilt_start_deg', 'deg', -120, 90, 1, [-90.0, 20.0]),
            self::number('tilt_end_deg', 'deg', -120, 90, 1, [-90.0, 20.0]),
            self::number('tilt_after_s', 's', 0, 60, 0.1, [0.0, 6.0]),
            self::number('lift_after_s', 's', 0, 120, 0.1, [2.0, 12.0]),
            self::number('turn_deg', 'deg', -720, 720, 5, [-180.0, 180.0]),
            self::number('spin_dps', 'deg/s', -360, 360, 1, [-20.0, 20.0]),
            self::number('follow_s', 's', 0, 60, 0.5, [0.0, 12.0]),
            self::choice('side', ['left', 'right']),
            self::number('start_bearing_deg', 'deg', -360, 360, 5, [0.0, 360.0]),
            self::number('first_y', '', 0, 1, 0.01, [0.0, 1.0]),
            self::number('last_y', '', 0, 1, 0.01, [0.0, 1.0]),
            self::number('trigger_y', '', 0, 1, 0.01, [0.0, 0.6]),
            self::number('ease_s', 's', 0.3, 10, 0.1, [0.5, 6.0]),
            self::number('subject_mps', 'm/s', 0, 40, 0.1, [0.5, 8.0]),
            self::number('subject_course_deg', 'deg', -360, 360, 5, [0.0, 360.0]),
            self::number('gap_m', 'm', 0.3, 200, 0.1, [1.0, 12.0]),
            self::number('side_m', 'm', 1, 100, 0.5, [2.0, 12.0]),
            self::number('bay_m', 'm', 1, 100, 0.5, [2.0, 12.0]),
            self::number('turns', '', 1, 10, 1, [1.0, 4.0]),
            self::choice('finger', array_map(static fn (Finger $finger): string => $finger->value, Finger::cases())),
            self::choice('start_at', [Pace::FIRST_MOTION, Pace::FIRST_FRAME]),
            self::choice(LowAndSlow::MANNER, [LowAndSlow::USUAL, LowAndSlow::LOW]),
        ];
    }

    /**
     * Words of the vocabulary, in the order asked for; "climb_m+" is one that only goes up, "climb_m-" only down.
     *
     * @return list<self>
     */
    public static function common(string ...$ids): array
    {
        $all = [];
        foreach (self::vocabulary() as $parameter) {
            $all[$parameter->id] = $parameter;
        }

        return array_map(static function (string $id) use ($all): self {
            $word = $all[rtrim($id, '+-')] ?? throw new \LogicException("“{$id}” is not in the vocabulary.");

            return match (substr($id, -1)) {
                '+' => $word->between($word->step, $word->most),
                '-' => $word->between($word->least, -$word->step),
                default => $word,
            };
        }, array_values($ids));
    }

    /**
     * The same parameter within a narrower range, for a move that needs it.
     *
     * @param  ?array{float, float}  $usual
     */
    public function between(float $least, float $most, ?array $usual = null): self
    {
        return new self(
            $this->id, $this->unit, $least, $most, $this->step, $usual ?? [max($least, $this->usual[0]), min($most, $this->usual[1])],
            $this->choices,
        );
    }

    /**
     * The nearest value that it can take.
     *
     * @param  ?float  $step  to which it is rounded; its own where null
     */
    public function nearest(float $value, ?float $step = null): float
    {
        $step ??= $this->step;

        return round(min($this->most, max($this->least, round($value / $step) * $step)), 3);
    }

    /** What it is called. */
    public function label(): Fact
    {
        return Fact::of("parameter.$this->id");
    }

    /**
     * Names of all that a move answers to.
     *
     * @param  list<self>  $parameters  of the move
     * @return list<string>
     */
    public static function names(array $parameters): array
    {
        return array_values(array_unique([
            ...array_map(static fn (self $parameter): string => $parameter->id, $parameters), ...self::OF_ANY_MOVE,
        ]));
    }

    /**
     * What a person chooses about a move: its own parameters, and for a shot whether it is flown low and slow.
     *
     * @return list<self>
     */
    public static function dials(Move $move): array
    {
        $own = $move->parameters();

        return $own === [] || $move->about()->group === Group::Drill ? $own : [...$own, ...self::common(LowAndSlow::MANNER)];
    }

    /**
     * What was given of a move's own parameters, and of those few that any move answers to.
     *
     * @param  list<self>  $parameters  of the move
     * @return array<string, float|string> what was given, by id
     */
    public static function readAll(array $parameters, Fields $fields): array
    {
        $values = [];
        $own = array_map(static fn (self $parameter): string => $parameter->id, $parameters);
        $read = [...$parameters, ...self::common(...array_values(array_diff(self::OF_ANY_MOVE, $own)))];
        foreach ($read as $parameter) {
            $value = $parameter->choices === []
                ? $fields->numberOrNull($parameter->id, $parameter->least, $parameter->most, $parameter->unit)
                : $fields->choiceOrNull($parameter->id, $parameter->choices);
            if ($value !== null) {
                $values[$parameter->id] = $value;
            }
        }
        foreach (array_diff($fields->names(), $own, self::OF_ANY_MOVE) as $unknown) {
            throw new Refusal(
                Fact::of('parameter.move-such-parameter'), $fields->place($unknown), Fact::of('parameter.one-of', own: implode(', ', $own)),
            );
        }

        return $values;
    }
}
