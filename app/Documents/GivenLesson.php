<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Lesson;
use App\Models\LessonMember;
use App\Models\User;
use App\Progress\LessonProgress;
use Documents\Document;

/** A lesson, and how far those are to whom it was given; an operator sees their own part. */
final readonly class GivenLesson implements Document
{
    /**
     * @param  list<GivenLessonStep>  $steps
     * @param  ?string  $wantedOn  a date
     * @param  list<GivenLessonMember>  $members
     */
    public function __construct(
        public int $id, public int $version, public string $title, public string $purpose, public string $author, public array $steps,
        public ?int $minutes, public ?int $batteries, public ?string $wantedOn, public array $members,
    ) {
    }

    public static function of(Lesson $lesson, User $reader): self
    {
        $members = array_values($lesson->members->filter(static fn (LessonMember $one): bool => $one->operator !== null
            && ($reader->seesClass() || $one->operator_id === $reader->id))->all());
        $progress = LessonProgress::each($lesson, $members);

        return new self(
            $lesson->id, $lesson->version, $lesson->title, $lesson->purpose, $lesson->author->name ?? '',
            array_map(GivenLessonStep::of(...), $lesson->steps), $lesson->minutes, $lesson->batteries,
            $lesson->wanted_on?->format('Y-m-d'),
            array_map(
                static fn (LessonMember $one): GivenLessonMember => GivenLessonMember::of($one, $progress[$one->operator_id]), $members,
            ),
        );
    }
}
