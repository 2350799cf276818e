<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Rig\Craft;
use Larkspur\Rig\Rig;
use Larkspur\Rig\SettingsWarning;

/** Something in settings that is seldom meant, and where. */
final readonly class Oddity implements Document
{
    /** @param  ?float  $mend  what would mend it at that place */
    public function __construct(public string $place, public Fact $text, public ?float $mend)
    {
    }

    /** @return list<self> */
    public static function in(Rig $rig, Craft $craft): array
    {
        return array_map(
            static fn (SettingsWarning $odd): self => new self($odd->place, $odd->text, $odd->mend), SettingsWarning::of($rig, $craft),
        );
    }
}
