<?php

declare(strict_types=1);

namespace Documents\Site;

use Documents\Document;
use Documents\Shape;

/** A thing to film that a file of places names, m about take-off. */
final readonly class ImportedSubject implements Document
{
    /** @param  ?array<string, mixed>  $route  where it goes */
    public function __construct(
        public string $id,
        public string $name,
        public float $eastM,
        public float $northM,
        public float $baseM,
        public float $aimM,
        #[Shape('SubjectRoute')]
        public ?array $route,
    ) {
    }
}
