<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Lesson;
use App\Models\LessonMember;
use App\Models\Shot;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Sets a lesson, or changes one, and gives it to operators. Whoever had it keeps what they ticked and said. */
final readonly class GiveLesson
{
    /**
     * @param  array<string, mixed>  $attributes
     * @param  list<int>  $operators
     *
     * @throws SavedFirst where another version came between
     */
    public function __invoke(User $author, ?Lesson $lesson, array $attributes, array $operators, int $seen): Lesson
    {
        $known = User::query()->whereIn('id', $operators)->where('role', User::OPERATOR)->pluck('id')->all();
        if (count($known) < count(array_unique($operators))) {
            throw ValidationException::withMessages(['operators' => 'A lesson is given to operators of your school.']);
        }
        foreach ($attributes['steps'] as $k => $step) {
            if ($step['shot_id'] !== null && Shot::query()->whereKey($step['shot_id'])->doesntExist()) {
                throw ValidationException::withMessages(["steps.$k.shot_id" => 'There is no such shot in your school.']);
            }
        }

        return DB::transaction(static function () use ($author, $lesson, $attributes, $known, $seen): Lesson {
            $saved = $lesson === null
                ? Lesson::query()->create(['school_id' => $author->school_id, 'author_id' => $author->id, ...$attributes])
                : $lesson->saveOver($seen, $attributes);
            foreach ($known as $operator) {
                LessonMember::query()->firstOrCreate(['lesson_id' => $saved->id, 'operator_id' => $operator]);
            }
            LessonMember::query()->where('lesson_id', $saved->id)->whereNotIn('operator_id', $known)->delete();

            return $saved;
        });
    }
}
