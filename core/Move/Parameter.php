<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Rig\Finger;

/** One thing that can be chosen about a move: a number with unit and range, or one of a few words. */
final readonly class Parameter
{
    /**
     * @param  string  $unit  'm', 'm/s', 's', 'deg', 'deg/s', or '' for a bare number or a choice
     * @param  list<float>  $usual  the stretch that a dial shows; all that is allowed can still be typed
     * @param  list<string>  $choices
     */
    private function __construct(
        public string $id,
        public string $label,
        public string $unit,
        public float $least,
        public float $most,
        public float $step,
        public array $usual = [],
        public array $choices = [],
    ) {
    }

    /** @param  array{float, float}  $usual */
    public static function number(string $id, string $label, string $unit, float $least, float $most, float $step, array $usual): self
    {
        return new self($id, $label, $unit, $least, $most, $step, $usual);
    }

    /** @param  list<string>  $choices */
    public static function choice(string $id, string $label, array $choices): self
    {
        return new self($id, $label, '', 0, 0, 0, [], $choices);
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
            self::number('radius_m', 'Radius', 'm', 2, 500, 0.5, [4.0, 80.0]),
            self::number('radius_end_m', 'Radius at the end', 'm', 2, 500, 0.5, [4.0, 80.0]),
            self::number('arc_deg', 'Arc', 'deg', 10, 1080, 5, [20.0, 400.0]),
            self::choice('direction', 'Way round, from above', [Stance::CLOCKWISE, Stance::COUNTERCLOCKWISE]),
            self::number('pace_mps', 'Pace', 'm/s', 0.1, 40, 0.1, [0.3, 9.0]),
            self::number('pace_end_mps', 'Pace at the end', 'm/s', 0.1, 40, 0.1, [0.3, 9.0]),
            self::number('climb_mps', 'Rate of climb', 'm/s', -20, 20, 0.1, [0.3, 4.0]),
            self::number('climb_m', 'Climb on the way', 'm', -500, 500, 0.5, [-40.0, 40.0]),
            self::number('duration_s', 'Length in time', 's', 0.5, 600, 0.5, [5.0, 40.0]),
            self::number('length_m', 'Way over the ground', 'm', 0.5, 2000, 0.5, [5.0, 80.0]),
            self::number('height_m', 'Height above its foot', 'm', 0, 500, 0.5, [1.0, 60.0]),
            self::number('distance_m', 'Distance', 'm', 0.5, 2000, 0.5, [4.0, 80.0]),
            self::number('heading_deg', 'Heading', 'deg', -360, 360, 5, [0.0, 360.0]),
            self::number('course_deg', 'Course against the heading', 'deg', -360, 360, 5, [-180.0, 180.0]),
            self::number('tilt_start_deg', 'First tilt', 'deg', -120, 90, 1, [-90.0, 20.0]),
            self::number('tilt_end_deg', 'Last tilt', 'deg', -120, 90, 1, [-90.0, 20.0]),
            self::number('tilt_after_s', 'Tilt starts after', 's', 0, 60, 0.1, [0.0, 6.0]),
            self::number('lift_after_s', 'Lift starts after', 's', 0, 120, 0.1, [2.0, 12.0]),
            self::number('turn_deg', 'Turn on the way', 'deg', -720, 720, 5, [-180.0, 180.0]),
            self::number('spin_dps', 'Spin', 'deg/s', -360, 360, 1, [-20.0, 20.0]),
            self::choice('side', 'Side', ['left', 'right']),
            self::number('start_bearing_deg', 'Start, seen from it', 'deg', -360, 360, 5, [0.0, 360.0]),
            self::number('first_y', 'Its place at the start, from the top', '', 0, 1, 0.01, [0.0, 1.0]),
            self::number('last_y', 'Its place at the end, from the top', '', 0, 1, 0.01, [0.0, 1.0]),
            self::number('ease_s', 'Ease in and out', 's', 0.3, 10, 0.1, [0.5, 6.0]),
            self::number('subject_mps', 'Pace of the subject', 'm/s', 0, 40, 0.1, [0.5, 8.0]),
            self::number('subject_course_deg', 'Course of the subject', 'deg', -360, 360, 5, [0.0, 360.0]),
            self::number('gap_m', 'Width of the gap', 'm', 0.3, 200, 0.1, [1.0, 12.0]),
            self::number('side_m', 'Side', 'm', 1, 100, 0.5, [2.0, 12.0]),
            self::number('bay_m', 'Depth of the bay', 'm', 1, 100, 0.5, [2.0, 12.0]),
            self::number('turns', 'Times round', '', 1, 10, 1, [1.0, 4.0]),
            self::choice('finger', 'Finger', array_map(static fn (Finger $finger): string => $finger->value, Finger::cases())),
            self::choice('start_at', 'The start is', [Pace::FIRST_MOTION, Pace::FIRST_FRAME]),
            self::number('trim_run', 'Touch of run', '', -1, 1, 0.01, [-0.1, 0.1]),
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
        return new self($this->id, $this->label, $this->unit, $least, $most, $this->step, $usual ?? [max($least, $this->usual[0]), min($most, $this->usual[1])], $this->choices);
    }

    public function labelled(string $label): self
    {
        return new self($this->id, $label, $this->unit, $this->least, $this->most, $this->step, $this->usual, $this->choices);
    }

    /**
     * @param  list<self>  $parameters  of the move; the rest of the vocabulary is read too
     * @return array<string, float|string> what was given, by id
     */
    public static function readAll(array $parameters, Fields $fields): array
    {
        $values = [];
        $known = [];
        $own = array_map(static fn (self $parameter): string => $parameter->id, $parameters);
        foreach (self::vocabulary() as $common) {
            if (! in_array($common->id, $own, true)) {
                $parameters[] = $common;
            }
        }
        foreach ($parameters as $parameter) {
            $known[] = $parameter->id;
            $value = $parameter->choices === []
                ? $fields->numberOrNull($parameter->id, $parameter->least, $parameter->most, $parameter->unit)
                : $fields->choiceOrNull($parameter->id, $parameter->choices);
            if ($value !== null) {
                $values[$parameter->id] = $value;
            }
        }
        foreach (array_diff($fields->names(), $known) as $unknown) {
            throw new Refusal('This move has no such parameter.', $fields->place($unknown), 'one of '.implode(', ', $own));
        }

        return $values;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->choices === []
            ? ['id' => $this->id, 'label' => $this->label, 'unit' => $this->unit, 'least' => $this->least, 'most' => $this->most, 'usual' => $this->usual, 'step' => $this->step]
            : ['id' => $this->id, 'label' => $this->label, 'choices' => $this->choices];
    }
}
