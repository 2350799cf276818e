<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;

/**
 * What the plan itself asks of the picture, so that nobody is blamed for it: nothing of a held move, its turns and touchdowns of a drill.
 */
final readonly class AskedOfTheHand
{
    /**
     * @param  array<string, float>  $accelerations  greatest of each axis, m/s2 and rad/s2
     * @param  float  $bob  greatest bobbing over three seconds, m/s
     */
    public function __construct(private array $accelerations, public float $bob)
    {
    }

    public static function nothing(): self
    {
        return new self([], 0.0);
    }

    public function acceleration(Axis $axis): float
    {
        return $this->accelerations[$axis->value] ?? 0.0;
    }
}
