<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Site\Spot;

/** How the ground lies about a take-off, by a service of heights. */
final readonly class HeightsDocument implements Document
{
    /** @param  list<Spot>  $spots */
    public function __construct(
        public float $homeAltM,
        public array $spots,
        public string $source,
        public bool $simulated,
    ) {
    }
}
