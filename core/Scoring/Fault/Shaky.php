<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Measurements;

/** A picture that trembles by turn or tilt through the hold. */
final readonly class Shaky extends NamedFault
{
    /** Image speed, % of the frame's width a second. */
    private const TREMBLES = 1.2;

    public function id(): string
    {
        return 'shaky';
    }

    public function spoils(Fault $fault): array
    {
        return ['smooth'];
    }

    public function find(Measurements $take): array
    {
        // At a pace that is too quick for the eye the whole picture trembles, however calm the hand.
        if ($take->drill !== null || ($take->pace !== null && $take->pace < TooQuick::RUSHED)) {
            return [];
        }
        $grid = $take->take->grid;
        $main = $take->take->main;
        $faults = [];
        foreach ([
            ['turn', $grid->heading, $take->shake->pan->value], ['tilt', $grid->tilt, $take->shake->tilt->value],
        ] as [$axis, $channel, $shake]) {
            if ($shake > self::TREMBLES) {
                $squares = [];
                for ($i = $main->holdFrom; $i <= $main->holdTo; $i++) {
                    $squares[] = $channel->band($i) ** 2;
                }
                [$from, $to] = Runs::window($main->holdFrom, Runs::worst($squares)[0], $grid->count() - 1);
                $faults[] = Fault::lasting($this, $axis, $take->take, $from, $to)
                    ->measured(
                        Quantity::percentPerSecond($shake), $shake / self::TREMBLES,
                        Fact::of('picture.trembles', shake: Quantity::percentPerSecond($shake)),
                    );
            }
        }

        return $faults;
    }

    /** A kick of the same axis within it explains it. */
    public function isWorthSaying(Fault $fault, array $others): bool
    {
        return Kick::explaining($fault, $others) === null;
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->slipping(new Slip('tremble', $staging->turning(), $staging->begin(), 0.07, $staging->hold()));
    }
}
