<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;

/** How the finger lies on the wheel: each has its school (docs/schools.md). Kept with the hands, so that takes can be told apart. */
enum Touch: string
{
    case Firm = 'firm';
    case Feather = 'feather';

    public function words(): Fact
    {
        return match ($this) {
            self::Firm => Fact::of('touch.firm'),
            self::Feather => Fact::of('touch.feather'),
        };
    }
}
