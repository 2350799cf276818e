<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Craft;
use App\Models\Rig;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Larkspur\Fact;
use Larkspur\Refusal;
use Larkspur\Rig\RigFile;

/** Takes a rig file in: its craft where the school has none of that name, and the rig as a version of its own. */
final readonly class ImportRig
{
    public function __construct(private SaveRig $save)
    {
    }

    public function __invoke(RigFile $file, ?User $operator, User $author): Rig
    {
        return DB::transaction(function () use ($file, $operator, $author): Rig {
            $name = $file->craft->name;
            $craft = Craft::query()->where('name', $name)->first();
            $reason = $file->reason === '' ? 'From a rig file' : 'From a rig file: '.$file->reason;
            $new = [
                ...['school_id' => $author->school_id, 'craft' => $name, 'author_id' => $author->id, 'version' => 1],
                'camera' => [...$file->craft->camera->lens($file->focal)->toArray(), 'focal_mm' => $file->focal],
            ];
            if ($craft === null) {
                $craft = Craft::query()->create([
                    'school_id' => $author->school_id, 'name' => $name, 'document' => $file->craft->toArray(),
                    'entered_by' => $author->id, 'shared' => $author->isTrainer(),
                ]);

                return Rig::query()->create([
                    ...$new, 'craft_id' => $craft->id, 'operator_id' => $operator?->id, 'reason' => $reason,
                    'document' => $file->rig->toArray(),
                ])->load(['model', 'author', 'operator']);
            }
            if ($author->cannot('view', $craft)) {
                throw new Refusal(Fact::of('craft.name-taken', name: $name), 'craft', Fact::of('expected.another-name'));
            }
            // A rig of another craft that happens to be called the same would be flown with the wrong limits.
            $another = $craft->sheet()->isAnother($file->craft);
            if ($another !== null) {
                throw new Refusal($another, 'craft', Fact::of('craft.rename-in-file'));
            }
            // A craft of that name is known here: its own envelope counts, and what the file asks beyond it is refused.
            $latest = Rig::of($craft->id, $operator?->id)->first();
            $base = $latest ?? Rig::of($craft->id, null)->first()
                ?? Rig::query()->where('craft_id', $craft->id)->latest('id')->firstOrFail();

            return ($this->save)($operator, $base, $file->rig->settings(), $file->focal, $reason, $author);
        });
    }
}
