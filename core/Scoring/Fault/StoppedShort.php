<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Measurements;

/** The move ends before the planned one does. */
final readonly class StoppedShort extends NamedFault
{
    /** Share of the planned way that must be flown. */
    private const FLOWN = 0.85;

    public function id(): string
    {
        return 'stopped-short';
    }

    public function spoils(Fault $fault): array
    {
        return ['completion'];
    }

    public function missesThePlan(): bool
    {
        return true;
    }

    public function find(Measurements $take): array
    {
        return $take->completion >= self::FLOWN
            ? []
            : [Fault::momentary($this, 'all', $take->take->grid->t[$take->take->main->to], 'stop')->measured(
                Quantity::share($take->completion), self::FLOWN / max($take->completion, 0.05), Fact::of('picture.end-missing'),
            )];
    }

    public function stage(Staging $staging): Staging
    {
        $at = $staging->begin() + 0.35 * $staging->hold();

        return $staging->slipping(
            new Slip('spring', $staging->main(), $at, 0.0, 60.0), new Slip('spring', $staging->turning(), $at, 0.0, 60.0),
        );
    }
}
