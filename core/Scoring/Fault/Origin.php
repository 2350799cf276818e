<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Finger;
use Larkspur\Scoring\Measurements;

/**
 * What made a fault: a hand, or something outside (wind, draught, positioning) while the fingers stood still; unknown where the log does not
 * say what the fingers did. And the finger whose change would mend it, and to which side the picture went.
 */
final readonly class Origin
{
    public const HAND = 'hand';

    public const OUTSIDE = 'outside';

    public const UNKNOWN = 'unknown';

    /** Faults that only a hand can make: they are read from the fingers, or are a choice. */
    private const OF_THE_HAND = [
        'flick-start', 'flick-stop', 'leak', 'throttle-bounce', 'wrong-way', 'stopped-short', 'out-of-step', 'too-quick', 'half-sky',
    ];

    /** Seconds before a jolt in which a finger may have made it: the lag of a craft is shorter. */
    private const BEFORE = 0.8;

    /** Travel within which a finger stands still, and within which it rests in its middle (derived: twice a calm hand's tremble). */
    private const STILL = 0.06;

    private const RESTS = 0.05;

    /** Sine of the angle between way and look from which a craft rather slides than runs. */
    private const SLIDES = 0.7;

    /**
     * @param  self::HAND|self::OUTSIDE|self::UNKNOWN  $cause
     * @param  ?Finger  $finger  null where several have a part in it
     * @param  'left'|'right'|'up'|'down'|null  $side  to which what is filmed went
     */
    private function __construct(public string $cause, public ?Finger $finger, public ?string $side)
    {
    }

    public static function of(Fault $fault, Measurements $take): self
    {
        $side = $fault->axis === 'picture' ? self::sideOf($fault, $take) : null;
        $finger = self::fingerOf($fault, $take, $side);

        return new self(self::causeOf($fault, $take, $finger), $finger, $side);
    }

    private static function fingerOf(Fault $fault, Measurements $take, ?string $side): ?Finger
    {
        return match ($fault->axis) {
            'travel' => $take->take->judging->primary() === null ? null : ($take->take->crab() > self::SLIDES ? Finger::Slide : Finger::Run),
            'picture' => match ($side) {
                null => null,
                'left', 'right' => Finger::Turn,
                default => Finger::Tilt,
            },
            default => Finger::tryFrom($fault->axis),
        };
    }

    /** @return 'left'|'right'|'up'|'down'|null where the subject stood at its worst moment */
    private static function sideOf(Fault $fault, Measurements $take): ?string
    {
        if (! $take->take->judging->hasSubject()) {
            return null;
        }
        $node = (int) round(($fault->t - $take->take->grid->t[$take->take->main->from]) / \Larkspur\Scoring\Grid::STEP);
        $u = $take->framing->u[$node] ?? 0.0;
        $v = $take->framing->v[$node] ?? 0.0;

        return abs($u) >= abs($v) ? ($u < 0 ? 'left' : 'right') : ($v < 0 ? 'down' : 'up');
    }

    /** @return self::HAND|self::OUTSIDE|self::UNKNOWN */
    private static function causeOf(Fault $fault, Measurements $take, ?Finger $finger): string
    {
        if (in_array($fault->id, self::OF_THE_HAND, true)) {
            return self::HAND;
        }
        if ($take->sticks === null) {
            return self::UNKNOWN;
        }
        $fingers = $fault->axis === 'travel' ? [Finger::Run, Finger::Slide] : ($finger === null ? Finger::cases() : [$finger]);
        $jolts = $fault->until - $fault->t < self::BEFORE;
        foreach ($fingers as $one) {
            $moved = $jolts
                ? $take->sticks->moved($one, $fault->t - self::BEFORE, $fault->t + 0.2) > self::STILL
                : $take->sticks->pressed($one, $fault->t, $fault->until) > self::RESTS
                    || $take->sticks->moved($one, $fault->t, $fault->until) > 2 * self::STILL;
            if ($moved) {
                return self::HAND;
            }
        }

        return self::OUTSIDE;
    }
}
