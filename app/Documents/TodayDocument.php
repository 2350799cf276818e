<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Training\AdviceDocument;

/** What a person sees first. */
final readonly class TodayDocument implements Document
{
    /**
     * @param  ?AdviceDocument  $advice  an operator's own
     * @param  list<ClassMember>  $class  of a trainer
     * @param  list<TakeDocument>  $takes  the latest
     * @param  ?ShotDocument  $shot  the one worked on last
     */
    public function __construct(
        public ?AdviceDocument $advice,
        public array $class,
        public array $takes,
        public ?ShotDocument $shot,
        public ?LatestComment $comment,
    ) {
    }
}
