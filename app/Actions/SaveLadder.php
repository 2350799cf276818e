<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\LadderEffect;
use App\Models\Ladder;
use App\Models\User;
use App\Progress\ClimbLadder;
use App\Progress\PastTakes;
use Documents\Person;
use Illuminate\Support\Facades\Cache;
use Larkspur\Training\Ladder\Ladder as Steps;

/** Makes the next version of a school's ladder, and tells beforehand what it would do. What was signed off stays signed off. */
final readonly class SaveLadder
{
    /** @throws SavedFirst where another version came between */
    public function __invoke(User $author, Steps $steps, int $seen, string $reason): Ladder
    {
        return Cache::lock("ladder $author->school_id", 10)->block(10, static function () use ($author, $steps, $seen, $reason): Ladder {
            $latest = Ladder::latestOf($author->school_id);
            if ($latest !== null && $latest->version !== $seen) {
                throw new SavedFirst($latest);
            }

            return Ladder::query()->create([
                'school_id' => $author->school_id, 'author_id' => $author->id, 'version' => ($latest->version ?? 0) + 1,
                'reason' => $reason, 'document' => $steps->toArray(),
            ]);
        });
    }

    /** @return list<LadderEffect> whose steps would stand otherwise */
    public function effects(int $school, Steps $steps): array
    {
        $now = ClimbLadder::ofSchool($school);
        $then = $now->with($steps);
        $operators = User::operators();
        $said = ClimbLadder::said(array_map(static fn (User $one): int => $one->id, $operators));
        $effects = [];
        foreach ($operators as $operator) {
            $takes = PastTakes::of($operator->id, $operator->school->clock());
            $was = $now->of($operator, $takes, $said[$operator->id]);
            $is = $then->of($operator, $takes, $said[$operator->id]);
            foreach ($was + $is as $id => $one) {
                $from = $was[$id]->state ?? null;
                $to = $is[$id]->state ?? null;
                if ($from !== $to) {
                    $effects[] = new LadderEffect(
                        new Person($operator->id, $operator->name), $one->step->name(), $from?->words(), $to?->words(),
                        $one->record->signedDay !== null,
                    );
                }
            }
        }

        return $effects;
    }
}
