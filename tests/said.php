<?php

declare(strict_types=1);

namespace Tests;

use Larkspur\Controls\StickMode;
use Larkspur\Fact;
use Words\Reader;
use Words\Speaker;

/** What a reader is told: in metres and for stick mode 2 where nothing else is asked. */
function said(?Fact $fact, StickMode $sticks = StickMode::Mode2, bool $feet = false): string
{
    /** @var ?Speaker $speaker */
    static $speaker = null;
    $speaker ??= new Speaker;

    return $speaker->to(new Reader($feet ? Reader::FEET : Reader::METRIC, $sticks))->say($fact);
}
