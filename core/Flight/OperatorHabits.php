<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Refusal;

/**
 * How a simulated operator flies: what the hands do to a thumb sheet. Every habit acts on a finger, before curve,
 * limit and lag; none touches a position. The doses are our own; no published source.
 */
final readonly class OperatorHabits
{
    /**
     * @param  float  $tremor  standard deviation of the finger's tremble, travel
     * @param  float  $wander  slow variation of a held finger, share of its hold
     * @param  float  $leak  share of a thumb's travel that spills into its other axis
     * @param  float  $mismatch  by how much the turn is held wrong, share (positive too much)
     * @param  float  $reaction  delay between seeing and correcting, s
     * @param  float  $gain  strength of corrections toward the mark, 1/s
     * @param  float  $blind  stray that goes unnoticed, fraction of the frame
     * @param  float  $easeIn  share of the written ease that is taken at the start
     * @param  float  $easeOut  the same at the stop; a spring return is about 0.05
     * @param  float  $turnLate  seconds by which the turn starts after its cue
     * @param  list<array{finger: string, at: float, size: float, length: float}>  $pulses  faults put at a chosen time:
     *                                                                                     finger, s after first motion, travel, s
     */
    public function __construct(
        public float $tremor = 0.0,
        public float $wander = 0.0,
        public float $leak = 0.0,
        public float $mismatch = 0.0,
        public float $reaction = 0.3,
        public float $gain = 0.0,
        public float $blind = 0.01,
        public float $easeIn = 1.0,
        public float $easeOut = 1.0,
        public float $turnLate = 0.0,
        public array $pulses = [],
    ) {
    }

    public const NAMES = ['steady', 'hurried', 'flicker', 'drifter'];

    public static function named(string $name): self
    {
        return match ($name) {
            'steady' => new self(tremor: 0.0035, wander: 0.022, leak: 0.006, mismatch: 0.008, reaction: 0.26, gain: 0.55, blind: 0.008),
            'hurried' => new self(tremor: 0.012, wander: 0.09, leak: 0.03, mismatch: 0.06, reaction: 0.34, gain: 1.15, blind: 0.02, easeIn: 0.3, easeOut: 0.28),
            'flicker' => new self(
                tremor: 0.007, wander: 0.04, leak: 0.015, mismatch: 0.02, reaction: 0.3, gain: 0.6, blind: 0.012, easeIn: 0.8, easeOut: 0.05,
                pulses: [['finger' => 'turn', 'at' => 9.0, 'size' => 0.3, 'length' => 0.35]],
            ),
            'drifter' => new self(tremor: 0.006, wander: 0.13, leak: 0.05, mismatch: -0.07, reaction: 0.5, gain: 0.22, blind: 0.045, turnLate: 0.7),
            default => throw new Refusal(sprintf('There is no simulated operator “%s”.', $name), 'operator', 'one of '.implode(', ', self::NAMES)),
        };
    }

    /**
     * The same hands with more or less practice: every fault scaled, 0 flawless, 1 as they are.
     */
    public function scaled(float $share): self
    {
        $toward = static fn (float $value): float => 1 - (1 - $value) * min(1.0, $share);

        return new self(
            $this->tremor * $share, $this->wander * $share, $this->leak * $share, $this->mismatch * $share, $this->reaction, $this->gain,
            $this->blind * (0.4 + 0.6 * $share), $toward($this->easeIn), $toward($this->easeOut), $this->turnLate * $share,
            array_map(static fn (array $pulse): array => [...$pulse, 'size' => $pulse['size'] * $share], $this->pulses),
        );
    }

    /** @param  list<array{finger: string, at: float, size: float, length: float}>  $pulses */
    public function with(float $easeIn, float $easeOut, array $pulses): self
    {
        return new self($this->tremor, $this->wander, $this->leak, $this->mismatch, $this->reaction, $this->gain, $this->blind, $easeIn, $easeOut, $this->turnLate, $pulses);
    }
}
