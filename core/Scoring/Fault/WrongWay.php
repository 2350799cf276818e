<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Role;
use Larkspur\Scoring\Measurements;

/** A turn or tilt that sets out against its own way and has to come back. */
final readonly class WrongWay extends NamedFault
{
    /** How far it may set out against its way, and how long before it moves off it is looked at, nodes. */
    private const AGAINST = 2.0 * Angle::DEGREE;

    private const LOOK_BACK = 20;

    /** A finger that presses against its way this long went the wrong way, however little the picture followed, s. */
    private const PRESSED = 0.5;

    public function id(): string
    {
        return 'wrong-way';
    }

    public function rank(): int
    {
        return 4;
    }

    /** One is seen, and costs as a kick does: from nothing at its threshold on. */
    public function cost(Fault $fault): float
    {
        return min(8.0, 6 * max(0.0, $fault->severity - 1));
    }

    public function find(Measurements $take): array
    {
        $faults = [];
        foreach ([Axis::Turn, Axis::Tilt] as $axis) {
            $span = $take->take->spans[$axis->value] ?? null;
            if ($span === null || $take->take->judging->role($axis) !== Role::Steady) {
                continue;
            }
            $value = $take->take->channel($axis)->value;
            $first = max(0, $span->from - self::LOOK_BACK);
            $way = $value[$span->to] >= $value[$span->from] ? 1.0 : -1.0;
            $against = array_map(
                static fn (float $v): float => $way * ($value[$first] - $v), array_slice($value, $first, $span->holdFrom - $first + 1),
            );
            $back = Statistics::greatest($against);
            if ($back > self::AGAINST) {
                $at = $first + (int) array_search($back, $against, true);
                $faults[] = Fault::momentary($this, $axis->value, $take->take->grid->t[$at], 'start')
                    ->measured(
                        Quantity::radians($back), $back / self::AGAINST, Fact::of('picture.goes-wrong-way', back: Quantity::radians($back)),
                    );

                continue;
            }
            $t = $take->take->grid->t;
            $pressed = $take->sticks?->against(
                $axis === Axis::Turn ? Finger::Turn : Finger::Tilt, $way, $t[$first], $t[$span->holdFrom],
            );
            if ($pressed !== null && $pressed['seconds'] >= self::PRESSED) {
                // The picture hardly followed: it costs nothing, and is said.
                $faults[] = Fault::momentary($this, $axis->value, $pressed['at'], 'start')->measured(
                    Quantity::seconds($pressed['seconds']), 1.0,
                    Fact::of('picture.pressed-wrong-way', pressed: Quantity::seconds($pressed['seconds'])),
                );
            }
        }

        return $faults;
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->nothingTurns()
            ? $staging->slipping(new Slip('nose-in', Finger::Slide, $staging->begin() + 0.3 * $staging->hold(), 0.3, 4.0))
            : $staging->slipping(new Slip('wrong-way', $staging->turning(), $staging->onset($staging->turning()), 1.0, 1.6));
    }
}
