<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Judging\Role;
use Larkspur\Scoring\Measurements;

/** Pace that is made with the throttle: only the fingers show it. */
final readonly class ThrottleBounce extends NamedFault
{
    private const FEWEST = 2;

    public function id(): string
    {
        return 'throttle-bounce';
    }

    public function rank(): int
    {
        return 4;
    }

    /** No stabiliser takes it out: the more often, the worse. */
    public function cost(Fault $fault): float
    {
        return min(10.0, 3 * $fault->severity);
    }

    public function find(Measurements $take): array
    {
        if ($take->drill !== null || $take->sticks === null || $take->take->judging->role(Axis::Climb) !== Role::Still) {
            return [];
        }
        $bounces = $take->sticks->bounces(...$take->take->holdTimes());
        if (count($bounces) < self::FEWEST) {
            return [];
        }

        return [new Fault(
            $this, 'climb', $bounces[0], $bounces[count($bounces) - 1], 'hold', count($bounces) / self::FEWEST,
            Quantity::times(count($bounces)), Fact::of('picture.hops'),
        )];
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->slipping(new Slip('bounce', Finger::Climb, $staging->middle() - 2.0, 0.5, 4.0));
    }
}
