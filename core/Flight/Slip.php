<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Finger;
use Larkspur\Fields;

/**
 * One fault that a simulated operator makes on purpose: what, with which finger, when, how strongly and for how long.
 * Every slip acts on a finger, before curve, limit and lag.
 */
final readonly class Slip
{
    /** A sudden press on top of what is held; size in travel. */
    public const KICK = 'kick';

    /** The finger trembles; standard deviation, travel. */
    public const TREMBLE = 'tremble';

    /** The held finger lets off and comes back; share of its hold. */
    public const SAG = 'sag';

    /** The finger goes to its hold at once instead of swelling; size is not used. */
    public const SNAP = 'snap';

    /** The finger is let go and the spring returns it; size is not used. */
    public const SPRING = 'spring';

    /** The other axis of the thumb is pressed along; share of the thumb's travel. */
    public const LEAK = 'leak';

    /** The finger holds too much (below zero: too little); share. */
    public const MISMATCH = 'mismatch';

    /** The finger sets out late; seconds. */
    public const LATE = 'late';

    /** Pace by throttle: the climb is pressed and let go in turn; travel. */
    public const BOUNCE = 'bounce';

    /** The finger sets out the wrong way and has to come back; share of its travel. */
    public const WRONG_WAY = 'wrong-way';

    /** Left and right are taken for each other: corrections go the wrong way; travel of the first one. */
    public const NOSE_IN = 'nose-in';

    public const KINDS = [
        self::KICK, self::TREMBLE, self::SAG, self::SNAP, self::SPRING, self::LEAK, self::MISMATCH, self::LATE, self::BOUNCE,
        self::WRONG_WAY, self::NOSE_IN,
    ];

    /**
     * @param  value-of<self::KINDS>  $kind
     * @param  float  $at  seconds after first motion
     */
    public function __construct(
        public string $kind, public Finger $finger, public float $at, public float $size, public float $length = 0.35,
    ) {
    }

    public static function read(Fields $fields): self
    {
        /** @var value-of<self::KINDS> $kind */
        $kind = $fields->choiceOrNull('kind', self::KINDS) ?? 'kick';

        return new self(
            $kind,
            Finger::from(
                $fields->choiceOrNull('finger', array_map(static fn (Finger $finger): string => $finger->value, Finger::cases())) ?? 'turn',
            ),
            $fields->number('at', 0, 600, 's'),
            $fields->numberOrNull('size', -2, 5) ?? 0.3,
            $fields->numberOrNull('length', 0.02, 600, 's') ?? 0.35,
        );
    }

    /** Whether it is going on at a time after first motion, s. */
    public function acts(float $since): bool
    {
        return $since >= $this->at && $since < $this->at + $this->length;
    }

    public function scaled(float $share): self
    {
        return new self(
            $this->kind, $this->finger, $this->at, $this->kind === self::SAG ? min(1.0, $this->size * $share) : $this->size * $share,
            $this->length,
        );
    }
}
