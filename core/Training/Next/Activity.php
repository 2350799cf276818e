<?php

declare(strict_types=1);

namespace Larkspur\Training\Next;

use Larkspur\Fact;

/** How something is practised. */
enum Activity: string
{
    case Fly = 'fly';
    case Practise = 'practise';
    case Rehearse = 'rehearse';
    case Spot = 'spot';
    case Read = 'read';

    public function words(): Fact
    {
        return Fact::of("activity.$this->value");
    }
}
