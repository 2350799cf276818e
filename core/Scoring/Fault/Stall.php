<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Judging\Role;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Measurements;

/** The pace breaks off in the hold, so that the picture all but stands still. */
final readonly class Stall extends NamedFault
{
    /** Share of the held pace below which it has broken off, and nodes from which that counts. */
    private const BROKEN_OFF = 0.55;

    private const NODES = 7;

    /** Seconds of one that cost nothing, and from which one costs all: else the log's rate would decide over five points. */
    private const NOTHING = 0.6;

    private const ALL = 1.2;

    private const COST = 5.0;

    public function id(): string
    {
        return 'stall';
    }

    public function rank(): int
    {
        return 2;
    }

    public function spoils(Fault $fault): array
    {
        return ['steady'];
    }

    public function find(Measurements $take): array
    {
        $primary = $take->take->judging->primary();
        if ($primary === null || $take->take->judging->role($primary) === Role::Profile) {
            return [];
        }
        $pace = self::BROKEN_OFF * $take->take->main->rate;
        $low = array_map(static fn (float $rate): bool => $rate < $pace, $take->take->hold($take->take->rate[$primary->value]));
        $faults = [];
        foreach (Runs::of($low, 1) as [$from, $to, $nodes]) {
            if ($nodes >= self::NODES) {
                $seconds = $nodes * Grid::STEP;
                $hold = $take->take->main->holdFrom;
                $faults[] = Fault::lasting($this, $primary->value, $take->take, $hold + $from, $hold + $to)
                    ->measured(Quantity::seconds($seconds), 1 + $seconds, Fact::of('picture.stands-still'));
            }
        }

        return $faults;
    }

    public function cost(Fault $fault): float
    {
        return self::COST * max(0.0, min(1.0, ($fault->severity - 1 - self::NOTHING) / (self::ALL - self::NOTHING)));
    }

    public function ruins(): bool
    {
        return true;
    }

    public function disturbs(Fault $fault, float $t): float
    {
        return $t >= $fault->t && $t <= $fault->until ? 0.5 : 0.0;
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->slipping(new Slip('sag', $staging->main(), $staging->middle() - 1.5, 1.0, 3.0));
    }
}
