<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Rig\StepFitDocument;
use Documents\Shape;
use Larkspur\Fact;

/** A step test, fitted, and the craft as it would be with what was measured. */
final readonly class StepTestDocument implements Document
{
    /**
     * @param  list<StepFitDocument>  $fits
     * @param  array<string, mixed>  $document
     * @param  list<Fact>  $unlike  what is so far from what is kept that it may be of another craft
     */
    public function __construct(
        public string $mode,
        public array $fits,
        #[Shape('CraftDocument')]
        public array $document,
        public array $unlike,
    ) {
    }
}
