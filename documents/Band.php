<?php

declare(strict_types=1);

namespace Documents;

/** The least and the most of something, such as a comfortable travel. */
final readonly class Band implements Document
{
    public function __construct(public float $least, public float $most)
    {
    }
}
