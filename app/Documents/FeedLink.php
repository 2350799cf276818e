<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** The link to a calendar of one's own. */
final readonly class FeedLink implements Document
{
    public function __construct(public string $link)
    {
    }
}
