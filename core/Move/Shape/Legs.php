<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\Stroke;

/** Legs flown one after another, each from rest to rest, with a breath between them: how a drill is put together. */
final readonly class Legs
{
    /** Breath between two legs, s. */
    private const BREATH = 1.2;

    /**
     * @param  float  $now  when the next leg begins, s
     * @param  array<value-of<Finger>, list<Stroke>>  $strokes
     * @param  list<Mark>  $marks
     */
    private function __construct(public float $now, public array $strokes, public array $marks, private float $ease)
    {
    }

    public static function begin(float $ease): self
    {
        return new self(Pace::SETTLE, [], [], $ease);
    }

    /**
     * One leg: fingers that start and stop together.
     *
     * @param  array<value-of<Finger>, float>  $amounts  metres, and degrees of turn and tilt
     * @param  float  $rate  m/s (or degrees a second, where only turn and tilt move) of the largest of them
     * @param  Mark::*|null  $mark  what is measured at its end
     */
    public function leg(array $amounts, float $rate, ?string $mark = null): self
    {
        $largest = 0.0;
        foreach ($amounts as $finger => $amount) {
            $travels = ! Finger::from($finger)->rotates();
            if ($travels || array_diff(array_keys($amounts), ['turn', 'tilt']) === []) {
                $largest = max($largest, abs($amount));
            }
        }
        $to = $this->now + max(2 * $this->ease, $largest / max(0.01, $rate) + $this->ease);
        $strokes = $this->strokes;
        foreach ($amounts as $finger => $amount) {
            if (abs($amount) > 1e-9) {
                $strokes[$finger][] = new Stroke(
                    $amount * (Finger::from($finger)->rotates() ? Angle::DEGREE : 1.0), $this->now, $to, $this->ease,
                );
            }
        }

        return new self($to + self::BREATH, $strokes, self::marked($this->marks, $mark, $to + self::BREATH / 2), $this->ease);
    }

    /**
     * A stretch of rest, s.
     *
     * @param  Mark::*|null  $mark
     */
    public function rest(float $seconds, ?string $mark = null): self
    {
        return new self($this->now + $seconds, $this->strokes, self::marked($this->marks, $mark, $this->now + $seconds / 2), $this->ease);
    }

    /**
     * The same, with another stroke laid over it.
     *
     * @param  Mark::*|null  $mark
     */
    public function with(Finger $finger, Stroke $stroke, ?string $mark = null): self
    {
        $strokes = $this->strokes;
        $strokes[$finger->value][] = $stroke;

        return new self(max($this->now, $stroke->to + self::BREATH), $strokes, self::marked($this->marks, $mark, $stroke->to), $this->ease);
    }

    /**
     * @param  list<Mark>  $marks
     * @param  Mark::*|null  $kind
     * @return list<Mark>
     */
    private static function marked(array $marks, ?string $kind, float $t): array
    {
        return $kind === null ? $marks : [...$marks, new Mark($kind, $t)];
    }

    /** The same, with a crossing measured at a time, s. */
    public function crossed(float $t): self
    {
        return new self($this->now, $this->strokes, [new Mark(Mark::CROSSING, $t), ...$this->marks], $this->ease);
    }

    /** When the last leg has come to rest, s. */
    public function end(): float
    {
        $end = $this->now - self::BREATH;
        foreach ($this->strokes as $of) {
            foreach ($of as $stroke) {
                $end = max($end, $stroke->to);
            }
        }

        return $end;
    }
}
