<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** A page of the trail, the latest first. */
final readonly class TrailPage implements Document
{
    /**
     * @param  list<TrailStep>  $steps
     * @param  ?int  $before  where the next page begins
     */
    public function __construct(
        public array $steps,
        public ?int $before,
    ) {
    }
}
