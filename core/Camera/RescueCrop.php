<?php

declare(strict_types=1);

namespace Larkspur\Camera;

/**
 * How much of the picture's width and height a crop takes away to put a take right.
 *
 * Recentring a subject that strays by x of the width leaves 1 - 2x. Levelling a roll of a leaves
 * 1 / (cos a + aspect sin a). The shares that are left multiply.
 */
final readonly class RescueCrop
{
    /**
     * @param  float  $drift  share lost to recentring, 0..1
     * @param  ?float  $level  share lost to levelling, 0..1; null where the log has no roll
     */
    public function __construct(public float $drift, public ?float $level = null)
    {
    }

    /** @param  float  $stray greatest distance from the planned place, in fractions of the frame */
    public static function ofStray(float $stray, ?float $roll = null, float $aspect = 16 / 9): self
    {
        $level = $roll === null ? null : 1 - 1 / (cos($roll) + $aspect * abs(sin($roll)));

        return new self(min(1.0, 2 * $stray), $level);
    }

    public function total(): float
    {
        return 1 - (1 - $this->drift) * (1 - ($this->level ?? 0.0));
    }
}
