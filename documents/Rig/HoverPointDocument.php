<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Telemetry\Analysis\HoverPoint;

/** The throttle that holds the height, a share of full, and from what it was found. */
final readonly class HoverPointDocument implements Document
{
    public function __construct(public float $throttle, public float $sd, public Fact $from)
    {
    }

    public static function of(HoverPoint $hover): self
    {
        return new self(round($hover->throttle, 4), round($hover->sd, 4), $hover->from);
    }
}
