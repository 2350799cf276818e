<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Rig\Rig;
use Larkspur\Rig\SettingsWarning;

/** Something in settings that is seldom meant, and where. */
final readonly class Oddity implements Document
{
    public function __construct(public string $place, public Fact $text)
    {
    }

    /** @return list<self> */
    public static function in(Rig $rig): array
    {
        return array_map(static fn (SettingsWarning $odd): self => new self($odd->place, $odd->text), SettingsWarning::of($rig));
    }
}
