<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Fields;
use Larkspur\Rig\Finger;

/**
 * One fault that a simulated operator makes on purpose: what, with which finger, when, how strongly and for how long.
 * Every slip acts on a finger, before curve, limit and lag.
 */
final readonly class Slip
{
    /** What each kind does, and what its size means. */
    public const KINDS = [
        'kick' => 'a sudden press on top of what is held; travel',
        'tremble' => 'the finger trembles; standard deviation, travel',
        'sag' => 'the held finger lets off and comes back; share of its hold',
        'snap' => 'the finger goes to its hold at once instead of swelling; size is not used',
        'spring' => 'the finger is let go and the spring returns it; size is not used',
        'leak' => 'the other axis of the thumb is pressed along; share of the thumb’s travel',
        'mismatch' => 'the finger holds too much (below zero: too little); share',
        'late' => 'the finger sets out late; seconds',
        'bounce' => 'pace by throttle: the climb is pressed and let go in turn; travel',
        'wrong-way' => 'the finger sets out the wrong way and has to come back; share of its travel',
        'nose-in' => 'left and right are taken for each other: corrections go the wrong way; travel of the first one',
    ];

    /**
     * @param  key-of<self::KINDS>  $kind
     * @param  float  $at  seconds after first motion
     */
    public function __construct(public string $kind, public Finger $finger, public float $at, public float $size, public float $length = 0.35)
    {
    }

    public static function read(Fields $fields): self
    {
        /** @var key-of<self::KINDS> $kind */
        $kind = $fields->choiceOrNull('kind', array_keys(self::KINDS)) ?? 'kick';

        return new self(
            $kind,
            Finger::from($fields->choiceOrNull('finger', array_map(static fn (Finger $finger): string => $finger->value, Finger::cases())) ?? 'turn'),
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
        return new self($this->kind, $this->finger, $this->at, $this->size * $share, $this->length);
    }
}
