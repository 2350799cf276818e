<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Flight;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Move\Judging\Mark;

/** A move worked out: the flight it asks for, and when its phases begin and end (s since the start of recording). */
final readonly class MovePlan
{
    /** Time between samples of every planned flight, s. */
    public const STEP = 0.02;

    /**
     * @param  Intent  $intent  complete: every parameter has a value
     * @param  list<string>  $assumed  parameters that were left open and took a default
     * @param  ?MovingPoint  $subject  aimed-at point in the local frame, still or moving
     * @param  float  $ground  height of the ground (or the subject's foot) under the move, m in the local frame
     * @param  float  $viewing  viewing distance d: lens to subject, m
     * @param  float  $pan  rate at which the picture pans during the hold, rad/s; 0 where it does not
     * @param  float  $lead  seconds by which rotation is planned to follow translation
     * @param  list<Mark>  $marks  of a figure: where it is measured
     * @param  list<self>  $parts  of a combination: its parts, each planned alone where it is flown
     */
    public function __construct(
        public Intent $intent,
        public array $assumed,
        public Flight $flight,
        public float $onset,
        public float $holdFrom,
        public float $holdTo,
        public float $stop,
        public ?MovingPoint $subject,
        public float $ground,
        public float $viewing,
        public float $pan,
        public float $lead,
        public array $marks = [],
        public array $parts = [],
    ) {
    }

    /** Where the craft is at a time, s. */
    public function at(float $t): Position
    {
        return $this->flight->position($this->flight->indexAt($t));
    }

    /** The same plan with another flight in it. */
    public function flying(Flight $flight): self
    {
        return new self(
            $this->intent, $this->assumed, $flight, $this->onset, $this->holdFrom, $this->holdTo, $this->stop, $this->subject,
            $this->ground, $this->viewing, $this->pan, $this->lead, $this->marks, $this->parts,
        );
    }

    /**
     * Samples a flight every STEP from a function of time.
     *
     * @param  callable(float): array{Position, float, float}  $pose  place, heading and tilt (rad) at a time
     */
    public static function sample(float $duration, callable $pose): Flight
    {
        $t = $east = $north = $up = $heading = $tilt = [];
        $last = (int) ceil($duration / self::STEP);
        $previous = null;
        for ($i = 0; $i <= $last; $i++) {
            $time = $i * self::STEP;
            [$place, $psi, $theta] = $pose($time);
            if ($previous !== null) {
                $psi -= 2 * M_PI * round(($psi - $previous) / (2 * M_PI));
            }
            $previous = $psi;
            $t[] = $time;
            $east[] = $place->east;
            $north[] = $place->north;
            $up[] = $place->up;
            $heading[] = $psi;
            $tilt[] = $theta;
        }

        return new Flight($t, $east, $north, $up, $heading, $tilt);
    }
}
