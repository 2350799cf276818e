<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\HeldTakes;
use App\Documents\RigVersion;
use App\Models\Rig;
use App\Models\Take;
use Documents\Rig\RigChange;
use Documents\Rig\SinceChangeDocument;
use Larkspur\Rig\Difference;
use Larkspur\Training\SinceChange;

/** The versions of a rig, what each changed, and how scores moved since. */
final readonly class TellHistory
{
    private const MOST = 50;

    /** Latest takes of a version whose scores are compared: more say no more. */
    private const COMPARED = 200;

    /** @return list<RigVersion> the latest first */
    public function __invoke(Rig $rig): array
    {
        $query = $rig->versions()->with('author');
        $query->limit(self::MOST);
        $versions = $query->get()->values();
        // Counted off the index alone; whoever asks may see the rig.
        $many = Take::handFlown()->withoutGlobalScope('school')->whereIn('rig_id', $versions->modelKeys())
            ->selectRaw('rig_id, COUNT(*) AS many')->groupBy('rig_id')->pluck('many', 'rig_id');
        $held = self::held(array_values(array_map(static fn (Rig $one): int => $one->id, $versions->all())));
        $scores = $versions->mapWithKeys(static fn (Rig $version): array => [$version->id => self::scores($version)]);
        $history = [];
        foreach ($versions as $i => $version) {
            $before = $versions[$i + 1] ?? null;
            $history[] = RigVersion::of(
                $version, (int) ($many[$version->id] ?? 0), $held[$version->id] ?? [],
                $before === null ? [] : RigChange::each(Difference::between($before->settings(), $version->settings())),
                $before === null ? null : SinceChangeDocument::of(SinceChange::of($scores[$before->id], $scores[$version->id])),
            );
        }

        return $history;
    }

    /**
     * How the takes of each version were held, where they were held in more than one way: grip, touch, how many, and how they scored.
     *
     * @param  list<int>  $versions
     * @return array<int, list<HeldTakes>>
     */
    private static function held(array $versions): array
    {
        $rows = Take::handFlown()->withoutGlobalScope('school')->toBase()->whereIn('rig_id', $versions)->whereNotNull('hands')
            ->selectRaw("rig_id, json_value(hands, '$.grip') as grip, coalesce(json_value(hands, '$.touch'), 'firm') as touch")
            ->selectRaw('count(*) as many, avg(score) as score')->groupBy('rig_id', 'grip', 'touch')->orderByRaw('count(*) desc')
            ->get()->groupBy('rig_id');

        return $rows->filter(static fn ($of): bool => count($of) > 1)->map(static fn ($of): array => array_values($of->map(
            static fn (object $row): HeldTakes => HeldTakes::of((array) $row),
        )->all()))->all();
    }

    /** @return list<array{string, float}> move and score of the latest takes */
    private static function scores(Rig $version): array
    {
        $flown = Take::handFlown()->where('rig_id', $version->id)->latest('flown_at');
        $flown->limit(self::COMPARED);

        return array_values(array_map(static fn (Take $take): array => [$take->move, $take->score], $flown->get(['move', 'score'])->all()));
    }
}
