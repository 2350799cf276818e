<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Lesson;
use Documents\Document;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;

/**
 * One step of a lesson.
 *
 * @phpstan-import-type LessonStep from Lesson
 */
final readonly class GivenLessonStep implements Document
{
    /**
     * @param  'read'|'spot'|'rehearse'|'practise'|'fly'|'debrief'  $kind
     * @param  string  $move  empty where it does not matter
     */
    public function __construct(
        public string $kind, public string $move, public string|Fact|null $moveName, public ?int $shotId, public int $passes,
        public string $note,
    ) {
    }

    /**
     * @param  LessonStep  $step
     */
    public static function of(array $step): self
    {
        return new self(
            $step['kind'], $step['move'], $step['move'] === '' ? null : Catalogue::nameOf($step['move']), $step['shot_id'], $step['passes'],
            $step['note'],
        );
    }
}
