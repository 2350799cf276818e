<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\LessonMember;
use App\Progress\LessonProgress;
use Documents\Document;
use Documents\Person;

/** How far somebody is with a lesson, and what they said of it. */
final readonly class GivenLessonMember implements Document
{
    /**
     * @param  list<int>  $have  per step, as far as it is asked
     * @param  list<int>  $want
     */
    public function __construct(public Person $operator, public array $have, public array $want, public bool $done, public string $comment)
    {
    }

    public static function of(LessonMember $member, LessonProgress $progress): self
    {
        return new self(
            new Person($member->operator_id, $member->operator->name ?? ''), array_column($progress->steps, 'have'),
            array_column($progress->steps, 'want'), $progress->next() === null, $member->comment,
        );
    }
}
