<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Fact;

/** Takes of one shot side by side, and why one is the best. */
final readonly class ComparisonDocument implements Document
{
    /**
     * @param  list<NamedTake>  $takes  the best first
     * @param  ?int  $best  id; null where there is none
     */
    public function __construct(public array $takes, public ?int $best, public ?Fact $reason)
    {
    }
}
