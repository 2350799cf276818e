<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Statistics;

/** How a take looks while it sets out, while it is held and while it comes to rest: from what each of its moments costs. */
final readonly class Thirds
{
    /** Mean cost of a moment at which nothing of a third can be used. */
    private const USELESS = 0.8;

    /** @param  float  $start  0 to 100 */
    private function __construct(public float $start, public float $middle, public float $end)
    {
    }

    public static function of(Span $main, UsableStretches $usable): self
    {
        $points = static function (int $from, int $to) use ($usable): float {
            $costs = array_slice($usable->cost, $from, max(1, $to - $from + 1));

            return 100 * (1 - min(1.0, Statistics::mean($costs) / self::USELESS));
        };

        return new self(
            $points($main->from, $main->holdFrom), $points($main->holdFrom, $main->holdTo), $points($main->holdTo, $main->to),
        );
    }
}
