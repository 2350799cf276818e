<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Measurements;

/** A pace that surges and sags. */
final readonly class Uneven extends NamedFault
{
    /** Spread of the rate as a share of it. */
    public const UNEVEN = 0.12;

    public function id(): string
    {
        return 'uneven';
    }

    public function spoils(Fault $fault): array
    {
        return ['steady'];
    }

    public function find(Measurements $take): array
    {
        $faults = [];
        foreach ($take->evenness as $axis => $evenness) {
            if ($evenness->value > self::UNEVEN) {
                [$from, $to] = self::worst($take, $axis);
                $faults[] = Fault::lasting($this, $axis, $take->take, $from, $to)->measured(
                    Quantity::share($evenness->value), $evenness->value / self::UNEVEN,
                    $axis === 'turn' ? Fact::of('picture.background-hurries') : Fact::of('picture.surges'),
                );
            }
        }
        $leg = $take->drill->evenness ?? null;
        if ($leg !== null && $leg > self::UNEVEN) {
            $main = $take->take->main;
            $faults[] = Fault::lasting($this, 'travel', $take->take, $main->from, $main->to)
                ->measured(Quantity::share($leg), $leg / self::UNEVEN, Fact::of('picture.surges-within-leg'));
        }

        return $faults;
    }

    /** A kick of the same axis within it explains it. */
    public function isWorthSaying(Fault $fault, array $others): bool
    {
        return Kick::explaining($fault, $others) === null;
    }

    /** @return array{int, int} the seconds of the hold in which the rate lies farthest off, nodes */
    private static function worst(Measurements $take, string $axis): array
    {
        $main = $take->take->main;
        $rates = $take->take->hold($take->take->steady[$axis]);
        $median = Statistics::median($rates);

        return Runs::window(
            $main->holdFrom, Runs::worst(array_map(static fn (float $rate): float => ($rate - $median) ** 2, $rates))[0],
            $take->take->grid->count() - 1,
        );
    }

    public function stage(Staging $staging): Staging
    {
        $hold = $staging->hold();
        // Where two fingers share the way, both let off: one alone hardly changes the pace.
        foreach ($staging->travelling() as $finger) {
            $staging = $staging->slipping(...array_map(
                static fn (float $share): Slip => new Slip('sag', $finger, $staging->begin() + $share * $hold, 0.6, min(2.6, 0.22 * $hold)),
                [0.12, 0.4, 0.68],
            ));
        }

        return $staging;
    }
}
