<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Training\TypicalTake;

/** What a person sees first. */
final readonly class TodayDocument implements Document
{
    /**
     * @param  ?NextDocument  $next  an operator's own
     * @param  ?TypicalTake  $standing  of the operator
     * @param  list<ClassMember>  $class  of a trainer, who needs them most first
     * @param  list<TakeDocument>  $takes  the latest
     * @param  ?ShotDocument  $shot  the one worked on last
     * @param  list<NoticeDocument>  $notices  what came back, the latest first
     */
    public function __construct(
        public ?NextDocument $next,
        public ?TypicalTake $standing,
        public array $class,
        public array $takes,
        public ?ShotDocument $shot,
        public ?LatestComment $comment,
        public array $notices,
    ) {
    }
}
