<?php

declare(strict_types=1);

namespace App\Actions;

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

    /** @return list<RigVersion> the latest first */
    public function __invoke(Rig $rig): array
    {
        $query = $rig->versions()->with('author');
        $query->limit(self::MOST);
        $versions = $query->get()->values();
        $flown = Take::query()->where('automated', false);
        $flown->whereIn('rig_id', $versions->modelKeys());
        $takes = $flown->get(['rig_id', 'move', 'score'])->groupBy('rig_id');
        $scores = static function (Rig $version) use ($takes): array {
            $scores = [];
            foreach ($takes[$version->id] ?? [] as $take) {
                $scores[] = [$take->move, $take->score];
            }

            return $scores;
        };
        $history = [];
        foreach ($versions as $i => $version) {
            $before = $versions[$i + 1] ?? null;
            $history[] = RigVersion::of(
                $version, count($scores($version)),
                $before === null ? [] : RigChange::each(Difference::between($before->settings(), $version->settings())),
                $before === null ? null : SinceChangeDocument::of(SinceChange::of($scores($before), $scores($version))),
            );
        }

        return $history;
    }
}
