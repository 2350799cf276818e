<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Training\HouseStyle;

/** What is held, choice by choice. */
final readonly class HeldStyle implements Document
{
    /**
     * @param  'hand'|'welcome'  $automation
     * @param  string  $house  of thought about settings
     */
    public function __construct(
        public string $automation, public bool $slow, public int $passes, public float $mostGustMps, public string $house,
    ) {
    }

    public static function of(HouseStyle $style, string $house): self
    {
        return new self($style->automation, $style->slow, $style->passes, $style->mostGust, $house);
    }
}
