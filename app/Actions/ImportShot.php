<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot as PlannedShot;
use Larkspur\Fields;

/** Takes a shot file in: its site where the school has none just like it, and the shot itself, on a rig of the school's. */
final readonly class ImportShot
{
    /** @param  array<string, mixed>  $file  what the fields read from */
    public function __invoke(User $user, Rig $rig, Fields $fields, array $file): Shot
    {
        $read = PlannedShot::read($fields);
        $brief = Brief::read($fields->groupOrNull('brief'));
        $sheet = $read->site;
        $document = array_diff_key($sheet->toArray(), ['name' => 1]);
        $subjects = array_values(array_filter(
            is_array($file['subjects'] ?? null) ? $file['subjects'] : [],
            static fn (mixed $one): bool => is_array($one) && isset(
                $one['id'], $one['name'], $one['lat'], $one['lon'], $one['alt_m'], $one['base_alt_m'],
            ),
        ));
        $intent = array_diff_key($read->intent->toArray(), ['camera' => 1]);
        $shot = PlannedShot::read(Fields::of([
            ...$read->toArray(), 'intent' => [...$intent, 'camera' => $rig->camera], 'rig' => $rig->document,
        ]));
        $plan = Planner::plan($shot);

        return DB::transaction(static function () use ($user, $rig, $fields, $brief, $sheet, $document, $subjects, $intent, $plan): Shot {
            $site = null;
            foreach (Site::query()->where('name', $sheet->name)->get() as $known) {
                // Compared as core/ writes it, so that an older document of the same site is the same.
                $site = $site === null && array_diff_key($known->sheet()->toArray(), ['name' => 1]) == $document ? $known : $site;
            }
            $site ??= Site::query()->create([
                'school_id' => $user->school_id, 'author_id' => $user->id, 'name' => $sheet->name, 'about' => '', 'document' => $document,
                'subjects' => $subjects,
            ]);

            return Shot::query()->create([
                'school_id' => $user->school_id, 'operator_id' => $user->id, 'site_id' => $site->id, 'rig_id' => $rig->id,
                'title' => mb_substr($fields->textOrNull('title') ?? 'A shot from a file', 0, 120),
                'mode' => $plan->shot->mode, 'move' => $plan->move->intent->move,
                'intent' => [...$intent, 'parameters' => $plan->move->intent->parameters], 'wind' => $plan->shot->wind->toArray(),
                'brief' => $brief->toArray(),
            ]);
        });
    }
}
