<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Statistics;
use Larkspur\Move\MovePlan;

/** What one finger does over a whole sheet, in the few numbers that an operator can keep in mind. */
final readonly class FingerPart
{
    /** Travel below which a finger is said to rest: less than a thumb can tell (common practice, no published source). */
    public const RESTS = 0.02;

    /** A held travel below this is a touch beside another axis, not a part of its own; it has no comfort band. */
    public const TOUCH = 0.15;

    /**
     * @param  float  $hold  median travel during the hold, signed
     * @param  float  $peak  travel of greatest size, signed
     * @param  ?float  $onset  when it leaves its rest, s; null for a finger that rests throughout
     * @param  ?float  $settled  when it has first come as near to its hold as a thumb can tell
     * @param  ?float  $off  when it is back at rest
     */
    private function __construct(
        public Finger $finger,
        public float $hold,
        public float $peak,
        public ?float $onset,
        public ?float $settled,
        public ?float $off,
    ) {
    }

    public static function of(Finger $finger, ThumbSheet $sheet, MovePlan $plan): self
    {
        $travel = $sheet->travel[$finger->value];
        $from = max(0, (int) round($plan->holdFrom / $sheet->step));
        $to = max($from, (int) round($plan->holdTo / $sheet->step));
        // A fifth of a second apart is close enough for what is held still.
        $held = [];
        for ($i = $from; $i <= $to; $i += 10) {
            $held[] = $travel[$i];
        }
        // The legs of a figure differ: there the longest pressed way of holding it stands for the finger.
        $hold = $plan->marks === [] ? Statistics::median($held) : self::ofLegs($travel);
        $peak = 0.0;
        $first = $last = $settled = null;
        foreach ($travel as $i => $x) {
            if (abs($x) > abs($peak)) {
                $peak = $x;
            }
            if (abs($x) > self::RESTS) {
                $first ??= $i;
                $last = $i;
            }
            if (abs($hold) > self::RESTS && abs($x - $hold) <= self::RESTS) {
                $settled ??= $i;
            }
        }
        $time = static fn (?int $i): ?float => $i === null ? null : $sheet->t[$i];

        return new self($finger, $hold, $peak, $time($first), $time($settled), $time($last));
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

    public function rests(): bool
    {
        return $this->onset === null;
    }

    public function isTouch(): bool
    {
        return ! $this->rests() && abs($this->hold) < self::TOUCH;
    }
}
