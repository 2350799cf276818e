<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Site;
use Documents\Document;

/** A site in the list of sites. */
final readonly class SiteNameDocument implements Document
{
    /** @param  int  $subjects  how many things can be filmed there */
    public function __construct(
        public int $id,
        public string $name,
        public string $about,
        public int $version,
        public int $subjects,
    ) {
    }

    public static function of(Site $site): self
    {
        return new self(
            $site->id, $site->name, $site->about, $site->version, is_array($site->getAttribute('subjects')) ? count($site->subjects) : 0,
        );
    }
}
