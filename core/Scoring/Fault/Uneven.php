<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
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

    public function find(Measurements $take): array
    {
        $faults = [];
        foreach ($take->evenness as $axis => $evenness) {
            if ($evenness->value > self::UNEVEN) {
                $faults[] = Fault::ofHold($this, $axis, $take->take)->measured(
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
