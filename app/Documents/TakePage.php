<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** A page of takes, newest first. */
final readonly class TakePage implements Document
{
    /**
     * @param  list<TakeDocument>  $takes
     * @param  ?string  $next  cursor of the page after it; null on the last
     */
    public function __construct(public array $takes, public ?string $next)
    {
    }
}
