<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;

/** How the fingers hold the stick. Each has its school; what is assumed of each is common practice, no published source. */
enum Grip: string
{
    case Thumbs = 'thumbs';
    case Pinch = 'pinch';
    case OneFinger = 'one-finger';

    public function words(): Fact
    {
        return match ($this) {
            self::Thumbs => Fact::of('grip.thumbs-top'),
            self::Pinch => Fact::of('grip.pinched-between-finger-thumb'),
            self::OneFinger => Fact::of('grip.one-finger-side-cold'),
        };
    }

    /** Tremble of the tip of the stick under this grip, mm, standard deviation, where nobody measured the operator's own. */
    public function tremble(): float
    {
        return match ($this) {
            self::Thumbs => 0.085,
            self::Pinch => 0.06,
            self::OneFinger => 0.16,
        };
    }
}
