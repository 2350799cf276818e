<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;

/** How long a battery was flown. */
final readonly class FlownBattery implements Document
{
    /** @param  ?string  $since  null where it does not run */
    public function __construct(public bool $running, public ?string $since, public float $flownS)
    {
    }
}
