<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\SeededNoise;
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
     * @param  float  $unrest  how far a finger that should rest strays from its detent, standard deviation, travel
     * @param  list<Slip>  $slips  faults made on purpose, each at its time
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
        public float $unrest = 0.0,
        public array $slips = [],
    ) {
    }

    /** Levels of practice, from the first day to the examiner's own hands. */
    public const LEVELS = ['novice', 'beginner', 'intermediate', 'advanced', 'expert'];

    public const NAMES = ['steady', 'hurried', 'flicker', 'drifter'];

    /** @param  int  $seed  of the person, where the name is a level: no two of one level have the same hands */
    public static function named(string $name, int $seed = 1): self
    {
        $level = array_search($name, self::LEVELS, true);
        if ($level !== false) {
            return self::ofLevel($level, $seed);
        }

        return match ($name) {
            'steady' => new self(tremor: 0.0035, wander: 0.022, leak: 0.006, mismatch: 0.008, reaction: 0.26, gain: 0.55, blind: 0.008),
            'hurried' => new self(
                tremor: 0.012, wander: 0.09, leak: 0.03, mismatch: 0.06, reaction: 0.34, gain: 1.15, blind: 0.02, easeIn: 0.3,
                easeOut: 0.28,
            ),
            'flicker' => new self(
                tremor: 0.007, wander: 0.04, leak: 0.015, mismatch: 0.02, reaction: 0.3, gain: 0.6, blind: 0.012, easeIn: 0.8,
                easeOut: 0.05,
                slips: [new Slip('kick', Finger::Turn, 9.0, 0.3)],
            ),
            'drifter' => new self(
                tremor: 0.006, wander: 0.13, leak: 0.05, mismatch: -0.07, reaction: 0.5, gain: 0.22, blind: 0.045, turnLate: 0.7,
            ),
            default => throw new Refusal(
                Fact::of('operator-habits.simulated-operator', name: $name), 'operator',
                Fact::of('operator-habits.one-of', value: implode(', ', [...self::NAMES, ...self::LEVELS])),
            ),
        };
    }

    /**
     * Somebody of a level, 0 novice to 4 expert: no two of one level have the same hands.
     *
     * The medians are our own, no published source: each step of practice takes about a half to two thirds of every fault.
     */
    public static function ofLevel(int $level, int $seed): self
    {
        $noise = SeededNoise::named($seed, 'person');
        $own = static fn (float $median, float $spread = 0.16): float => $median * exp($spread * $noise->normal());
        [$tremor, $wander, $leak, $mismatch, $reaction, $gain, $blind, $easeIn, $easeOut, $late, $unrest, $kicks] = [
            [0.050, 0.27, 0.190, 0.160, 0.60, 1.35, 0.060, 0.14, 0.10, 0.90, 0.095, 2.0],
            [0.027, 0.15, 0.100, 0.085, 0.47, 1.05, 0.036, 0.32, 0.26, 0.50, 0.064, 0.9],
            [0.0145, 0.080, 0.052, 0.044, 0.37, 0.80, 0.022, 0.54, 0.48, 0.27, 0.036, 0.35],
            [0.0076, 0.042, 0.026, 0.021, 0.30, 0.65, 0.013, 0.78, 0.74, 0.13, 0.022, 0.08],
            [0.0038, 0.021, 0.011, 0.009, 0.26, 0.55, 0.008, 0.95, 0.95, 0.04, 0.012, 0.0],
        ][max(0, min(4, $level))];
        $slips = [];
        for ($t = $noise->between(4.0, 9.0); $t < 60.0; $t += $noise->between(6.0, 14.0)) {
            if ($noise->uniform() < $kicks / 2.5) {
                $finger = [Finger::Turn, Finger::Tilt, Finger::Climb, Finger::Slide, Finger::Run][(int) floor(5 * $noise->uniform()) % 5];
                $slips[] = new Slip('kick', $finger, $t, $own(0.22) * ($noise->uniform() < 0.5 ? -1 : 1));
            }
        }

        return new self(
            $own($tremor), $own($wander), $own($leak), $own($mismatch) * ($noise->uniform() < 0.5 ? -1 : 1), $own($reaction, 0.12),
            $own($gain, 0.15), $own($blind),
            min(1.0, $own($easeIn)), min(1.0, $own($easeOut)), $own($late, 0.25), $own($unrest), $slips,
        );
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
            $this->unrest * $share,
            array_map(static fn (Slip $slip): Slip => $slip->scaled($share), $this->slips),
        );
    }

    /**
     * The same hands with eases and slips of their own.
     *
     * @param  list<Slip>  $slips
     */
    public function with(float $easeIn, float $easeOut, array $slips): self
    {
        return new self(
            $this->tremor, $this->wander, $this->leak, $this->mismatch, $this->reaction, $this->gain, $this->blind, $easeIn, $easeOut,
            $this->turnLate, $this->unrest, $slips,
        );
    }

    /** The same hands that make these faults too. */
    public function slipping(Slip ...$slips): self
    {
        return $this->with($this->easeIn, $this->easeOut, [...$this->slips, ...array_values($slips)]);
    }
}
