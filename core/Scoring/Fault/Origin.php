<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Finger;
use Larkspur\Scoring\CourseShare;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\HandShare;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\Sticks;

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
        'flick-start', 'flick-stop', 'throttle-bounce', 'wrong-way', 'stopped-short', 'too-quick', 'half-sky',
    ];

    /** Faults of the way over the ground, that last. */
    private const OF_THE_COURSE = ['drift', 'uneven', 'stall'];

    /** Seconds before and after a fault in which its finger may have made it: the lag of a craft is shorter. */
    private const BEFORE = 0.8;

    private const AFTER = 0.4;

    /** Share of what an axis did from which its finger made it, of a jolt and of what lasts. */
    private const OF_A_JOLT = 0.35;

    private const OF_WHAT_LASTS = 0.65;

    /** The same of the way over the ground, and up to which the air made it. */
    private const OF_THE_WAY = 0.5;

    private const OF_THE_AIR = 0.33;

    /** Spread of a pace that the receiver alone does not make, m/s. */
    private const A_GUST = 0.15;

    /** Push of the craft, as an angle from the subject: a small share of the stray in the frame, and so much that no finger was needed. */
    private const A_LITTLE = 0.35;

    private const FAR = 0.6;

    /** Of the seconds between the axes, the fingers' share below which they came together. */
    private const TOGETHER = 0.4;

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

        $side = match ($fault->wording) {
            'cut-off.foot' => 'down',
            'cut-off.top' => 'up',
            default => $strayed?->side,
        };

        return new self(self::causeOf($fault, $take, $finger), $finger, $side);
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
        // A line that lies askew may be the wind's; a finger that was seen to press is not.
        if ($fault->id === 'leak') {
            return self::HAND;
        }
        if ($fault->id === 'out-of-step') {
            $apart = $take->sticks->apart($fault->phase === 'start' ? 'start' : 'stop', ...$take->take->holdTimes());

            return $apart < self::TOGETHER * $fault->size->value ? self::OUTSIDE : self::HAND;
        }
        // A place in a figure may be missed by a hand or by the air.
        if ($fault->axis === 'all' && ! in_array($fault->id, self::OF_THE_HAND, true)) {
            return self::UNKNOWN;
        }
        $jolts = $fault->until - $fault->t < self::BEFORE;
        $main = $take->take->main;
        $node = static fn (float $t): int => (int) round(($t - $take->take->grid->t[$main->from]) / Grid::STEP);
        // What lasts is looked at where it is held: at either end the fingers move for good reason.
        $from = $jolts ? $node($fault->t - self::BEFORE) : max($node($fault->t), $main->holdFrom - $main->from);
        $to = $jolts ? $node($fault->until + self::AFTER) : min($node($fault->until), $main->holdTo - $main->from);
        if ($fault->axis === 'picture' && $take->take->judging->hasSubject()) {
            return self::causeOfStray($take, $take->sticks, $node($fault->worst));
        }
        if (in_array($fault->id, self::OF_THE_COURSE, true) && $fault->axis === 'travel') {
            return self::causeOnTheWay($fault, CourseShare::of($take->take, $take->sticks));
        }
        $share = 0.0;
        $rests = true;
        foreach (self::suspects($fault, $finger) as $one) {
            $hand = HandShare::of($take->take, $take->sticks, $one);
            $share = max($share, $hand->within($from, $to));
            $rests = $rests && $hand->rests($from, $to);
        }

        return match (true) {
            $share >= ($jolts ? self::OF_A_JOLT : self::OF_WHAT_LASTS) => self::HAND,
            $rests => self::OUTSIDE,
            default => self::UNKNOWN,
        };
    }

    /** @return self::HAND|self::OUTSIDE|self::UNKNOWN */
    private static function causeOnTheWay(Fault $fault, CourseShare $course): string
    {
        $share = $fault->id === 'drift' ? $course->offPath() : $course->ofPace();

        return match (true) {
            $share >= self::OF_THE_WAY => self::HAND,
            $share <= self::OF_THE_AIR && ($fault->id === 'drift' || $course->gusts() >= self::A_GUST) => self::OUTSIDE,
            default => self::UNKNOWN,
        };
    }

    /**
     * A finger held at the wrong travel and a craft that is pushed look alike in the frame: the place to which the fingers alone would
     * have brought the craft tells them apart.
     *
     * @return self::HAND|self::OUTSIDE|self::UNKNOWN
     */
    private static function causeOfStray(Measurements $take, Sticks $sticks, int $node): string
    {
        $node = max(0, min($node, count($take->framing->u) - 1));
        $lens = $take->take->lens;
        $stray = 2 * hypot($lens->halfWidth * $take->framing->u[$node], $lens->halfHeight * $take->framing->v[$node]);
        $pushed = CourseShare::of($take->take, $sticks)->pushed($node) / max(1.0, $take->take->moving($take->take->distance)[$node]);

        return match (true) {
            $pushed >= self::FAR => self::OUTSIDE,
            $pushed <= self::A_LITTLE * min(1.0, $stray) => self::HAND,
            default => self::UNKNOWN,
        };
    }

    /** @return list<Finger> fingers that may have made it */
    private static function suspects(Fault $fault, ?Finger $finger): array
    {
        return match (true) {
            $finger === null => Finger::cases(),
            // The way over the ground is made by two fingers, as the craft looks.
            $fault->axis === 'travel' => [Finger::Run, Finger::Slide],
            default => [$finger],
        };
    }
}
