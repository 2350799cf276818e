<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/** Where a take lies in its log, s: what is kept of it, and how it is found again. */
final readonly class TakeWindow
{
    /** Kept before and after each take, where the neighbouring takes allow, s. */
    private const MARGIN = 3.0;

    /**
     * @param  float  $cutFrom  begin of the stretch of log that belongs to it: the take with its margins
     * @param  float  $cutTo  end of that stretch
     */
    private function __construct(public float $from, public float $to, public float $cutFrom, public float $cutTo)
    {
    }

    /** A take that was found, its margins cut to the log. */
    private static function within(float $from, float $to, float $logFrom, float $logTo): self
    {
        return new self($from, $to, max($logFrom, $from - self::MARGIN), min($logTo, $to + self::MARGIN));
    }

    /** Limits that are known: those of a planned flight, or those that a take was kept with, whatever a later method would cut. */
    public static function known(float $from, float $to, float $cutFrom, float $cutTo): self
    {
        return new self($from, $to, $cutFrom, $cutTo);
    }

    /**
     * Takes one after another, each with its margins, halfway to its neighbours at most.
     *
     * @param  list<array{float, float}>  $found  begin and end of each
     * @return list<self>
     */
    public static function each(array $found, float $logFrom, float $logTo): array
    {
        $windows = [];
        foreach ($found as $i => [$from, $to]) {
            $before = isset($found[$i - 1]) ? ($found[$i - 1][1] + $from) / 2 : $logFrom;
            $after = isset($found[$i + 1]) ? ($to + $found[$i + 1][0]) / 2 : $logTo;
            $windows[] = self::within($from, $to, $before, $after);
        }

        return $windows;
    }
}
