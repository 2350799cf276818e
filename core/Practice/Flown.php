<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Fact;
use Larkspur\Flight;
use Larkspur\Flight\Pose;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Flight\Track;
use Larkspur\Refusal;
use Larkspur\Telemetry\FlightLog;

/** A recording flown again: the flight that is judged and kept, whatever the page showed meanwhile. */
final readonly class Flown
{
    /** Samples of its log in a second, as of a craft's own. */
    private const RATE = 10.0;

    /** Kept after the release of record, s. */
    private const HANDLES = 2.0;

    /**
     * Where the fingers rest for so long after the press, s, its shake is trimmed off the head as any editor would; who moves at once has
     * it
     * in the take (common practice, no published source).
     */
    private const HEAD = 1.0;

    /** A finger that is pressed less than this rests, whatever the press of record shook, travel. */
    private const RESTING = 0.15;

    /** A recording shorter than this holds no pass, s. */
    public const SHORTEST = 3.0;

    /**
     * @param  Flight  $flight  one sample a step, and one at the end of the last
     */
    private function __construct(
        public Exercise $exercise, public Recording $recording, public Flight $flight, public Pose $last, public ?Ending $ending,
    ) {
    }

    /** @throws Refusal where the recording was flown in another world */
    public static function of(Exercise $exercise, Recording $recording): self
    {
        $world = $exercise->world();
        if (! hash_equals($world->hash(), $recording->sheet)) {
            throw new Refusal(Fact::of('exercise.other-sheet'), 'sheet', Fact::of('exercise.the-same-sheet'));
        }
        $flying = new PracticeFlight($world);
        $track = new Track;
        $step = 0;
        for ($steps = $recording->steps(); $step < $steps && $flying->ending() === null; $step++) {
            $fingers = $recording->at($step);
            $track->add($step * ResponseSheet::STEP, self::asSeen($flying->pose(), $world), $fingers);
            $flying->step($fingers);
        }
        $track->add($step * ResponseSheet::STEP, self::asSeen($flying->pose(), $world), $recording->at($step - 1));

        return new self($exercise, $recording, $track->flight(), $flying->pose(), $flying->ending());
    }

    /** As a log has it: the lens where the gimbal holds it. */
    private static function asSeen(Pose $pose, World $world): Pose
    {
        $tilt = PracticeFlight::lensTilt($pose, $world);

        return $tilt === $pose->tilt
            ? $pose : new Pose($pose->east, $pose->north, $pose->up, $pose->heading, $tilt, leanAhead: $pose->leanAhead);
    }

    /** Whether the camera recorded long enough for a pass. */
    public function isPass(): bool
    {
        [$from, $to] = $this->recorded();

        return ($to - $from) * ResponseSheet::STEP >= self::SHORTEST;
    }

    /**
     * From the first press of record to its last release, steps; nothing where it was never pressed.
     *
     * @return array{int, int}
     */
    private function recorded(): array
    {
        $spans = $this->recording->recorded;
        $last = $this->flight->count() - 1;

        return $spans === [] ? [0, 0] : [$spans[0][0], min($last, $spans[count($spans) - 1][1])];
    }

    /** The whole flight as the craft would have kept it, with what it says of recording and automation. */
    public function log(): FlightLog
    {
        return $this->written($this->flight, 0, $this->setsOut());
    }

    /**
     * The part of it that holds the pass: what was recorded, and a little after. Its seconds are those of the plan, which sets out with the
     * press of record, and with it a subject that moves.
     */
    public function pass(): FlightLog
    {
        [$from, $to] = $this->recorded();
        $first = $from + ($this->restsAfter($from) ? (int) round(self::HEAD / ResponseSheet::STEP) : 0);
        $last = min($this->flight->count() - 1, $to + (int) round(self::HANDLES / ResponseSheet::STEP));

        return $this->written($this->flight->between($first, $last)->later(-$this->setsOut()), $first, 0.0);
    }

    /** Second of the flight at which the plan begins, and a subject with it: the press of record; a loop is under way at once. */
    private function setsOut(): float
    {
        return $this->exercise->conditions->loop === null
            ? ($this->recording->recorded[0][0] ?? 0) * ResponseSheet::STEP : -$this->exercise->startsAt();
    }

    private function restsAfter(int $from): bool
    {
        $to = $from + (int) round(self::HEAD / ResponseSheet::STEP);
        foreach ($this->flight->fingers ?? [] as $travel) {
            for ($k = $from; $k < $to; $k++) {
                if (abs($travel[$k] ?? 1.0) > self::RESTING) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param  float  $setsOut  second of the flight at which a subject sets out */
    private function written(Flight $flight, int $first, float $setsOut): FlightLog
    {
        $recording = $automated = [];
        for ($k = 0, $n = $flight->count(); $k < $n; $k++) {
            $recording[] = Recording::within($this->recording->recorded, $first + $k) ? 1.0 : 0.0;
            $automated[] = Recording::within($this->recording->automated, $first + $k) ? 1.0 : 0.0;
        }
        $extra = ['recording' => $recording, ...$this->recording->automated === [] ? [] : ['automated' => $automated]];

        return (new Recorder(self::RATE))->record(
            $flight, $this->exercise->shot->site->frame(), $this->exercise->seed, $this->exercise->shot->mode, $extra,
            $this->exercise->plan->move->subject?->later($setsOut),
        );
    }
}
