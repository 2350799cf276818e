<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Rig\Trade;

/** A number loosened or tightened: what it buys, and what it costs. */
final readonly class AdviceTrade implements Document
{
    /**
     * @param  list<Fact>  $buys
     * @param  list<Fact>  $costs
     */
    public function __construct(public Fact $change, public array $buys, public array $costs)
    {
    }

    public static function of(Trade $trade): self
    {
        return new self($trade->change, $trade->buys, $trade->costs);
    }
}
