<?php

declare(strict_types=1);

namespace Larkspur\Training\Standing;

use Larkspur\Fact;

/** Where a standing is going, as far as it can be told. */
enum Heading: string
{
    case Coming = 'coming';
    case Slipping = 'slipping';
    case Still = 'still';
    case Unsure = 'unsure';

    public function words(): Fact
    {
        return Fact::of("standing.$this->value");
    }
}
