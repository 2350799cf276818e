<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Rig\Hands;

/** How the sticks were held when a take was flown. */
final readonly class HeldHands implements Document
{
    /** @param  'push'|'pull'  $wheelUp */
    public function __construct(
        public int $stickMode, public string $wheelUp, public Fact|string $grip, public float $stickMm, public Fact|string $touch,
    ) {
    }

    public static function of(Hands $hands): self
    {
        return new self(
            $hands->mode->value, $hands->wheelUp ? 'push' : 'pull', $hands->grip->words(), $hands->stickMm, $hands->touch->words(),
        );
    }
}
