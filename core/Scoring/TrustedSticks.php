<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Judging\Role;

/**
 * The finger columns of a log, where they can be believed: within their range, not merely empty, and of this flight. What is doubtful
 * is left out and said, and never held against the hand.
 */
final readonly class TrustedSticks
{
    /** Travel beyond which a column states something else than -1 to 1. */
    private const MOST = 1.05;

    /** Share of what an axis did that its own finger explains in any flight by hand, of axes on which no wind pushes. */
    private const EXPLAINS = 0.3;

    /** @param  ?Fact  $doubt  why the log's columns are not believed; null where they are, or where it has none */
    private function __construct(public ?Sticks $sticks, public ?Fact $doubt)
    {
    }

    public static function of(?Sticks $sticks, Take $take): self
    {
        $doubt = $sticks === null ? null : self::doubt($sticks, $take);

        return new self($doubt === null ? $sticks : null, $doubt);
    }

    private static function doubt(Sticks $sticks, Take $take): ?Fact
    {
        $most = $sticks->most();
        if ($most > self::MOST) {
            return Fact::of('remark.sticks-beyond', most: Quantity::number($most));
        }
        if ($most === 0.0) {
            // A craft that should stay where it is may well be pushed about with idle fingers.
            return $take->judging->primary() === null ? null : Fact::of('remark.sticks-empty');
        }
        $finger = self::telling($sticks, $take);
        if ($finger === null) {
            return null;
        }
        $share = HandShare::of($take, $sticks, $finger);

        return match (true) {
            $share->explained() < self::EXPLAINS => Fact::of('remark.sticks-of-another-flight', finger: $finger->value),
            $share->isReversed() => Fact::of('remark.sticks-reversed', finger: $finger->value),
            default => null,
        };
    }

    /** The finger that is pressed most of those whose axis the wind leaves alone; null where none of them is pressed through the hold. */
    private static function telling(Sticks $sticks, Take $take): ?Finger
    {
        [$from, $to] = $take->holdTimes();
        $most = [Sticks::TAKES_PART, null];
        foreach ([Finger::Turn, Finger::Tilt, Finger::Climb] as $finger) {
            // An axis of which the log tells nothing tells nothing of its finger.
            $held = $take->judging->role($finger->axis()) === Role::Free ? 0.0 : $sticks->held($finger, $from, $to);
            $most = $held > $most[0] ? [$held, $finger] : $most;
        }

        return $most[1];
    }
}
