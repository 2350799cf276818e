<?php

declare(strict_types=1);

namespace App\Actions;

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

    /** @return list<array<string, mixed>> the latest first */
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
            $history[] = [
                'id' => $version->id, 'version' => $version->version, 'author' => $version->author?->name,
                'at' => $version->created_at->toIso8601String(), 'reason' => $version->reason,
                'takes' => count($scores($version)),
                'changes' => $before === null ? [] : RigChange::each(Difference::between($before->settings(), $version->settings())),
                'since' => $before === null ? null : SinceChangeDocument::of(SinceChange::of($scores($before), $scores($version))),
            ];
        }

        return $history;
    }
}
