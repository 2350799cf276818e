<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\MovePlan;

/** What one finger does over a whole sheet, in the few numbers that an operator can keep in mind. */
final readonly class FingerPart
{
    /** Travel below which a finger is said to rest: less than a thumb can tell (common practice, no published source). */
    public const RESTS = 0.02;

    /** A held travel below this is a touch beside another axis, not a part of its own; it has no comfort band. */
    public const TOUCH = 0.15;

    /** Samples from one that is looked at in the hold to the next: a fifth of a second is close enough. */
    private const APART = 10;

    /**
     * @param  bool  $main  whether the move is made of it; the others only hold what it makes
     * @param  float  $hold  what it is judged by during the hold, signed: its median where it is held, else its travel of greatest size
     * @param  float  $peak  travel of greatest size, signed
     * @param  ?float  $onset  when it leaves its rest, s; null for a finger that rests throughout
     * @param  ?float  $off  when it is back at rest
     */
    private function __construct(
        public Finger $finger,
        public bool $main,
        public Course $course,
        public float $hold,
        public float $peak,
        public ?float $onset,
        public ?float $off,
    ) {
    }

    public static function of(Finger $finger, ThumbSheet $sheet, MovePlan $plan): self
    {
        $travel = $sheet->travel[$finger->value];
        $from = max(0, (int) round($plan->holdFrom / $sheet->step));
        $to = max($from, min(count($travel) - 1, (int) round($plan->holdTo / $sheet->step)));
        $held = [$travel[$from]];
        for ($i = $from + self::APART; $i <= $to; $i += self::APART) {
            $held[] = $travel[$i];
        }
        $median = Statistics::median($held);
        $course = Course::of($held, $sheet->t[$from], self::APART * $sheet->step, $median);
        // The legs of a figure differ: there the longest pressed way of holding it stands for the finger.
        $hold = $plan->marks === [] ? $course->most : self::ofLegs($travel);
        $peak = 0.0;
        $first = $last = null;
        foreach ($travel as $i => $x) {
            if (abs($x) > abs($peak)) {
                $peak = $x;
            }
            if (abs($x) > self::RESTS) {
                $first ??= $i;
                $last = $i;
            }
        }
        // What only helps before or after the hold is told as the touch that it is there, not as the nothing that it is in the hold.
        $hold = abs($hold) <= self::RESTS && abs($peak) < self::TOUCH ? $peak : $hold;
        $time = static fn (?int $i): ?float => $i === null ? null : $sheet->t[$i];

        $main = Catalogue::move($plan->intent->move)->about()->fingering;

        return new self(
            $finger, $main->group($finger) !== null && ! $main->isOptional($finger), $course, $hold, $peak,
            $time($first), $time($last),
        );
    }

    /**
     * Median of the travel while the finger is pressed toward the side on which it spends the most time.
     *
     * @param  list<float>  $travel
     */
    private static function ofLegs(array $travel): float
    {
        $up = array_values(array_filter($travel, static fn (float $x): bool => $x > self::RESTS));
        $down = array_values(array_filter($travel, static fn (float $x): bool => $x < -self::RESTS));

        return Statistics::percentile(count($up) >= count($down) ? $up : $down, count($up) >= count($down) ? 75 : 25);
    }

    /** When it has first come as near to a travel as a thumb can tell, s. */
    public function settledAt(ThumbSheet $sheet, float $travel): ?float
    {
        foreach ($sheet->travel[$this->finger->value] as $i => $x) {
            if (abs($x - $travel) <= self::RESTS) {
                return $sheet->t[$i];
            }
        }

        return null;
    }

    public function rests(): bool
    {
        return $this->onset === null;
    }

    public function isTouch(): bool
    {
        return ! $this->rests() && ! $this->main && abs($this->hold) < self::TOUCH;
    }
}
