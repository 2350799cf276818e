<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Site;

/** Thrown where a site was saved by somebody else after it was opened; nothing is lost, both versions are at hand. */
final class SiteChanged extends \RuntimeException
{
    public function __construct(public readonly Site $latest)
    {
        parent::__construct('Somebody saved this site while you drew. Yours is still here: look at theirs, then save over it or take theirs.');
    }
}
