<?php

declare(strict_types=1);

namespace Larkspur\Training\Standing;

use Larkspur\Measure\LocalLevel;

/**
 * How good somebody is at something now, and how sure that is: the level behind takes on irregular days (Measure/LocalLevel), each with its
 * own doubt. Whether it is coming, slipping or standing still is said of that level, with its interval; never of two medians.
 *
 * The variances are ours, chosen so that a hand may move by some five points in a week of daily practice; no published source. That nominal
 * intervals of 90 % hold 90 % is checked by simulation (tests/Core/Training/StandingTest).
 */
final readonly class Standing
{
    /** Points² that a hand may change by in a day, and by one more take. */
    public const PER_DAY = 0.5;

    public const PER_TAKE = 0.9;

    /** Of somebody of whom nothing is known. */
    private const PRIOR = [72.0, 625.0];

    /** Standard normal at 90 %, both sides. */
    public const SURE = 1.6448536269514722;

    /** Fewer takes tell no course. */
    public const FEWEST = 5;

    /** Days that its course is looked at over. */
    private const WINDOW = 42.0;

    /** A change that no trainer would see, points. */
    private const NOTHING = 7.0;

    /** So long, and over so many takes, is stuck. */
    private const STUCK_DAYS = 21.0;

    private const STUCK_TAKES = 8;

    /** From here on nobody minds that it stands still. */
    public const GOOD = 88.0;

    /**
     * @param  float  $deviation  one standard deviation of the mean, points
     * @param  ?float  $change  points since the beginning of the window; null where there are too few takes
     * @param  float  $changeDeviation  of it
     * @param  float  $over  days of that window
     * @param  list<array{float, float, float}>  $band  day, mean and deviation at each take, with all of them known
     */
    private function __construct(
        public float $mean, public float $deviation, public int $takes, public Heading $heading, public bool $stuck,
        public ?float $change, public float $changeDeviation, public float $over, public array $band,
    ) {
    }

    /** For where nobody draws it: a class would be full of them. */
    public function withoutBand(): self
    {
        return new self(
            $this->mean, $this->deviation, $this->takes, $this->heading, $this->stuck, $this->change, $this->changeDeviation,
            $this->over, [],
        );
    }

    /**
     * @param  list<array{float, float, float}>  $marks  day, points and variance of each take, in order of days
     * @return ?self null where there is none
     */
    public static function of(array $marks): ?self
    {
        if ($marks === []) {
            return null;
        }
        $days = array_column($marks, 0);
        $level = LocalLevel::of($days, array_column($marks, 1), array_column($marks, 2), self::PRIOR, self::PER_DAY, self::PER_TAKE);
        $last = count($marks) - 1;
        $from = $last;
        while ($from > 0 && $days[$last] - $days[$from - 1] <= self::WINDOW) {
            $from--;
        }
        // Somebody who flies seldom is seen over more days.
        $from = max(0, min($from, $last - self::FEWEST + 1));
        [$mean, $variance] = $level->now();
        $enough = $last - $from + 1 >= self::FEWEST;
        [$change, $spread] = $enough ? $level->changeSince($from) : [0.0, 0.0];
        $spread = sqrt($spread);
        $over = $days[$last] - $days[$from];
        $heading = $enough ? self::heading($change, $spread) : Heading::Unsure;
        $stuck = $heading === Heading::Still && $over >= self::STUCK_DAYS && $last - $from + 1 >= self::STUCK_TAKES
            && $mean + self::SURE * sqrt($variance) < self::GOOD;

        return new self(
            $mean, sqrt($variance), $last + 1, $heading, $stuck, $enough ? $change : null, $spread, $over,
            array_map(static fn (float $day, array $at): array => [$day, $at[0], sqrt($at[1])], $days, $level->smoothed),
        );
    }

    /** Where it stands on the scale: beyond its ends nothing can be seen. */
    public function onScale(): float
    {
        return max(0.0, min(100.0, $this->mean));
    }

    private static function heading(float $change, float $spread): Heading
    {
        $margin = self::SURE * $spread;

        return match (true) {
            $change - $margin > 0.0 => Heading::Coming,
            $change + $margin < 0.0 => Heading::Slipping,
            abs($change) + 0.5 * $margin < self::NOTHING => Heading::Still,
            default => Heading::Unsure,
        };
    }
}
