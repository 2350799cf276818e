<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** What ended a practice flight before its pilot did: something touched, a hard landing, an empty battery. */
final readonly class Ending
{
    public const TOUCHED = 'touched';

    public const GROUND = 'ground';

    public const BATTERY = 'battery';

    /**
     * @param  self::*  $reason
     * @param  int  $step  after which it happened
     * @param  float  $speed  at that moment, m/s, all directions
     * @param  string  $what  name of what was touched
     * @param  float  $margin  what the margin to it should have been, m
     */
    public function __construct(
        public string $reason, public int $step, public float $speed = 0.0, public string $what = '', public float $margin = 0.0,
    ) {
    }

    public function said(): Fact
    {
        return match ($this->reason) {
            self::TOUCHED => Fact::of(
                'exercise.touched', what: $this->what, speed: Quantity::metresPerSecond($this->speed),
                margin: Quantity::metres($this->margin),
            ),
            self::GROUND => Fact::of('exercise.ground', speed: Quantity::metresPerSecond($this->speed)),
            self::BATTERY => Fact::of('exercise.battery'),
        };
    }
}
