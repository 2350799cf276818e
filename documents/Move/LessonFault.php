<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Larkspur\Fact;

/** A fault that was found on a lesson’s flight. */
final readonly class LessonFault implements Document
{
    public function __construct(
        public string $id,
        public Fact $name,
        public string $axis,
        public float $tS,
        public string $severity,
        public ?Fact $picture,
    ) {
    }
}
