<?php

declare(strict_types=1);

namespace Documents\Site;

use Documents\Document;
use Larkspur\Fact;

/** What is wrong with a drawing, and where. */
final readonly class DrawingFault implements Document
{
    /**
     * @param  ?list<array{float, float}>  $repair  the same corners in an order that does not cross
     */
    public function __construct(
        public string $place,
        public Fact $message,
        public Fact $expected,
        public ?array $repair,
    ) {
    }
}
