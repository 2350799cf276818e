<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Measurements;

/** Fingers that should set out or come off together do not. */
final readonly class OutOfStep extends NamedFault
{
    /** Seconds by which they may miss each other. */
    private const APART = 1.2;

    public function id(): string
    {
        return 'out-of-step';
    }

    public function spoils(Fault $fault): array
    {
        return ['ease'];
    }

    public function find(Measurements $take): array
    {
        $sync = $take->eases->sync;

        return $sync === null || $sync->seconds <= self::APART
            ? []
            : [Fault::momentary($this, 'all', $sync->t, $sync->phase)->measured(
                Quantity::seconds($sync->lag), $sync->seconds / self::APART,
                $sync->phase === 'start'
                    ? Fact::of('picture.sets-out-apart', lag: Quantity::seconds($sync->lag))
                    : Fact::of('picture.comes-to-rest-apart', lag: Quantity::seconds($sync->lag)),
            )];
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->slipping(new Slip('late', $staging->joining(), 0.0, 2.8, 1.0));
    }
}
