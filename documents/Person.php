<?php

declare(strict_types=1);

namespace Documents;

/** Somebody of the school. */
final readonly class Person implements Document
{
    public function __construct(public int $id, public string $name)
    {
    }
}
