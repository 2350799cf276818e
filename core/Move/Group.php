<?php

declare(strict_types=1);

namespace Larkspur\Move;

/** What a move does to the picture: how a practitioner looks for one. */
enum Group: string
{
    case Toward = 'toward';
    case Away = 'away';
    case Across = 'across';
    case Upright = 'upright';
    case Look = 'look';
    case Reveal = 'reveal';
    case Around = 'around';
    case Follow = 'follow';
    case Above = 'above';
    case Combined = 'combined';
    case Drill = 'drill';

    public function words(): string
    {
        return match ($this) {
            self::Toward => 'Goes toward it',
            self::Away => 'Leaves it behind',
            self::Across => 'Slides past it',
            self::Upright => 'Lifts and sinks',
            self::Look => 'Looks from one spot',
            self::Reveal => 'Uncovers what was hidden',
            self::Around => 'Goes round it',
            self::Follow => 'Keeps up with it',
            self::Above => 'Looks straight down',
            self::Combined => 'Several in one',
            self::Drill => 'Drills for the thumbs',
        };
    }
}
