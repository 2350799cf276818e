<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Shape;
use Larkspur\Fact;

/** What to fly after enough passes. */
final readonly class NextStep implements Document
{
    /**
     * @param  'without-help'|'other-way'|'gusts'  $kind
     * @param  ?array<string, mixed>  $wind  null for the same as before
     */
    public function __construct(public string $kind, public Fact $said, #[Shape('Wind')] public ?array $wind)
    {
    }
}
