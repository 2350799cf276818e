<?php

declare(strict_types=1);

namespace Larkspur\Training;

/**
 * When what was learnt is asked again: after gaps that double with every day on which it was shown again in time. Growing gaps are common
 * practice; the numbers are ours, no published schedule is followed.
 */
final readonly class Repetition
{
    /** Days after which it is asked for the first time, and the longest gap. */
    private const FIRST = 4.0;

    private const LONGEST = 64.0;

    /** Share of a gap after which a repeat counts as one. */
    private const IN_TIME = 0.5;

    /** Gaps after which it has gone stale. */
    private const STALE = 3.0;

    private function __construct(public float $last, public float $gap)
    {
    }

    /**
     * @param  list<float>  $days  on which a pass counted, in order
     * @return ?self null where there was none
     */
    public static function after(array $days): ?self
    {
        if ($days === []) {
            return null;
        }
        $last = $days[0];
        $gap = self::FIRST;
        foreach ($days as $day) {
            if ($day - $last >= self::IN_TIME * $gap) {
                $gap = min(self::LONGEST, 2 * $gap);
                $last = $day;
            }
        }

        return new self(max($last, $days[count($days) - 1]), $gap);
    }

    /** Day on which it is due again. */
    public function due(): float
    {
        return $this->last + $this->gap;
    }

    /** Day from which on nobody can say that it still holds. */
    public function staleFrom(): float
    {
        return $this->last + max(28.0, self::STALE * $this->gap);
    }
}
