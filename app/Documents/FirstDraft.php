<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Map;

/** What a plan begins with: the move where it flies as it is. */
final readonly class FirstDraft implements Document
{
    /**
     * @param  'slow'|'standard'|'fast'  $mode
     * @param  ?string  $subjectId  of the site; null where it is about no subject of it
     * @param  ?FirstPlace  $subjectAt  free ground, where it is about none of the site's
     * @param  Map<float|string>  $parameters  that are not as usual
     */
    public function __construct(public string $mode, public ?string $subjectId, public ?FirstPlace $subjectAt, public Map $parameters)
    {
    }
}
