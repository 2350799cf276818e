<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\ShotDocument;
use App\Documents\SiteDocument;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot as PlannedShot;
use Larkspur\Fields;
use Larkspur\Move\Route;

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
        $subjects = self::subjects($file['subjects'] ?? []);
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

            $shot = Shot::query()->create([
                'school_id' => $user->school_id, 'operator_id' => $user->id, 'site_id' => $site->id, 'rig_id' => $rig->id,
                'title' => mb_substr($fields->textOrNull('title') ?? 'A shot from a file', 0, 120),
                'mode' => $plan->shot->mode, 'move' => $plan->move->intent->move,
                'intent' => [...$intent, 'parameters' => $plan->move->intent->parameters], 'wind' => $plan->shot->wind->toArray(),
                'brief' => $brief->toArray(),
            ]);
            // It is read back before it counts: what can't be shown is not kept.
            ShotDocument::whole($shot->load(['site', 'rig', 'operator.school'])->loadCount('takes'));
            SiteDocument::of($site->refresh());

            return $shot;
        });
    }

    /**
     * What can be filmed there, as a site keeps it.
     *
     * @return list<array{id: string, name: string, lat: float, lon: float, alt_m: float, base_alt_m: float}>
     */
    private static function subjects(mixed $given): array
    {
        $out = [];
        foreach (array_values(is_array($given) ? $given : []) as $k => $one) {
            $fields = Fields::of(is_array($one) ? $one : [], "subjects.$k");
            $out[] = [
                'id' => $fields->text('id'), 'name' => $fields->text('name'), 'lat' => $fields->number('lat', -90, 90, 'deg'),
                'lon' => $fields->number('lon', -180, 180, 'deg'), 'alt_m' => $fields->number('alt_m', -1000, 10000, 'm'),
                'base_alt_m' => $fields->number('base_alt_m', -1000, 10000, 'm'),
                ...$fields->groupOrNull('route') !== null ? ['route' => Route::read($fields->group('route'))->toArray()] : [],
            ];
        }

        return $out;
    }
}
