<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;
use Larkspur\Fact;

/** One move of a combination, as it was planned. */
final readonly class PlanPart implements Document
{
    /**
     * @param  Map<float|string>  $parameters  all that it is planned with
     * @param  list<string>  $decided  those that the part before it decides: there is nothing to choose
     */
    public function __construct(public string $move, public Fact $name, public Map $parameters, public array $decided)
    {
    }
}
