<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Finger;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\HandShare;
use Larkspur\Scoring\Measurements;

/**
 * What made a fault: a hand, or something outside (wind, draught, positioning) that no finger asked for; unknown where the log does not say
 * what the fingers did. And the finger whose change would mend it, and to which side the picture went.
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

    /** Seconds before and after a fault in which its finger may have made it: the lag of a craft is shorter. */
    private const BEFORE = 0.8;

    private const AFTER = 0.4;

    /** Share of what an axis did from which its finger made it, of a jolt and of what lasts. */
    private const OF_A_JOLT = 0.35;

    private const OF_WHAT_LASTS = 0.65;

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
        $strayed = $fault->axis === 'picture' && $take->take->judging->hasSubject()
            ? Strayed::at($take, (int) round(($fault->worst - $take->take->grid->t[0]) / Grid::STEP))
            : null;
        $finger = $strayed === null ? self::fingerOf($fault, $take) : $strayed->finger;

        return new self(self::causeOf($fault, $take, $finger), $finger, $strayed?->side);
    }

    private static function fingerOf(Fault $fault, Measurements $take): ?Finger
    {
        return match (true) {
            $fault->axis !== 'travel' => Finger::tryFrom($fault->axis),
            $take->take->judging->primary() === null => null,
            $take->take->crab() > self::SLIDES => Finger::Slide,
            default => Finger::Run,
        };
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
        $jolts = $fault->until - $fault->t < self::BEFORE;
        $main = $take->take->main;
        $node = static fn (float $t): int => (int) round(($t - $take->take->grid->t[$main->from]) / Grid::STEP);
        // What lasts is looked at where it is held: at either end the fingers move for good reason.
        $from = $jolts ? $node($fault->t - self::BEFORE) : max($node($fault->t), $main->holdFrom - $main->from);
        $to = $jolts ? $node($fault->until + self::AFTER) : min($node($fault->until), $main->holdTo - $main->from);
        $share = 0.0;
        foreach (self::suspects($fault, $finger) as $one) {
            $share = max($share, HandShare::of($take->take, $take->sticks, $one)->within($from, $to));
        }

        return match (true) {
            $share >= ($jolts ? self::OF_A_JOLT : self::OF_WHAT_LASTS) => self::HAND,
            // A finger held steadily at the wrong travel and a craft that is pushed look alike in the frame.
            $fault->axis === 'picture' => self::UNKNOWN,
            default => self::OUTSIDE,
        };
    }

    /** @return list<Finger> fingers that may have made it */
    private static function suspects(Fault $fault, ?Finger $finger): array
    {
        return match (true) {
            $finger === null => Finger::cases(),
            // Off the line or the circle a craft goes across its way.
            $fault->id === 'drift' => [$finger === Finger::Run ? Finger::Slide : Finger::Run],
            default => [$finger],
        };
    }
}
