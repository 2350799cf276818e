<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Take;
use Illuminate\Support\Carbon;
use Larkspur\FlightDay\FieldLog;
use Larkspur\FlightDay\PassTakes;

/** Finds the takes that the passes of a day are, among those that were flown about then. */
final readonly class FindPassTakes
{
    /** @return array<string, int> id of the take by the uuid of the pass */
    public function __invoke(FieldLog $log): array
    {
        $made = array_merge(...array_map(static fn (array $of): array => array_column($of, 'made'), array_values($log->passes)));
        if ($made === []) {
            return [];
        }
        $takes = Take::query()->where('practised', false)->whereIn(
            'shot_id', array_map(static fn (string $item): int => (int) substr($item, 5), array_keys($log->passes)),
        )->whereBetween('flown_at', [
            Carbon::createFromTimestampUTC((int) (min($made) - PassTakes::AFTER) - 1),
            Carbon::createFromTimestampUTC((int) (max($made) + PassTakes::CLOCKS) + 1),
        ])->get(['id', 'shot_id', 'flown_at']);
        $flown = [];
        foreach ($takes as $take) {
            $flown["shot-$take->shot_id"][$take->id] = (float) $take->flown_at->getTimestamp();
        }

        return PassTakes::match($log, $flown);
    }
}
