<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Fact;

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

    /** What it is called on screen. */
    public function words(): Fact
    {
        return Fact::of("group.$this->value");
    }
}
