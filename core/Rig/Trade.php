<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;

/** A number of a finger, loosened or tightened: what that buys, and what it costs. */
final readonly class Trade
{
    /**
     * @param  list<Fact>  $buys
     * @param  list<Fact>  $costs
     */
    public function __construct(public Fact $change, public array $buys, public array $costs)
    {
    }
}
