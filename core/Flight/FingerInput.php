<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Finger;

/** Travel of the five fingers at one instant, -1..1, before any curve. */
final readonly class FingerInput
{
    public function __construct(
        public float $climb = 0.0,
        public float $turn = 0.0,
        public float $run = 0.0,
        public float $slide = 0.0,
        public float $tilt = 0.0,
    ) {
    }

    /** @param  array<value-of<Finger>, float>  $travel */
    public static function of(array $travel): self
    {
        $held = static fn (string $finger): float => max(-1.0, min(1.0, $travel[$finger] ?? 0.0));

        return new self($held('climb'), $held('turn'), $held('run'), $held('slide'), $held('tilt'));
    }
}
