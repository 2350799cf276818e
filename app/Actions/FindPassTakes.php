<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightDay;
use App\Models\Take;
use Larkspur\FlightDay\FieldLog;

/**
 * Which takes of imported logs are the passes that were logged in the field: of the same shot, flown shortly before the pass was entered,
 * each take once. A pass without one awaits its log.
 */
final readonly class FindPassTakes
{
    /** A pass is entered after it was flown, and no later than this, s; by this much two clocks may differ. */
    private const AFTER = 900;

    private const CLOCKS = 60;

    /** @return array<string, int> id of the take by the uuid of the pass */
    public function __invoke(FlightDay $day, FieldLog $log): array
    {
        $shots = array_map(static fn (string $item): int => (int) substr($item, 5), array_keys($log->passes));
        if ($shots === []) {
            return [];
        }
        $takes = Take::query()->whereIn('shot_id', $shots)->where('practised', false)->orderBy('flown_at')
            ->get(['id', 'shot_id', 'operator_id', 'flown_at'])->groupBy('shot_id');
        $found = [];
        foreach ($log->passes as $item => $passes) {
            $free = $takes->get((int) substr($item, 5))?->all() ?? [];
            foreach ($passes as $pass) {
                $best = null;
                foreach ($free as $k => $take) {
                    $before = $pass['made'] - $take->flown_at->getTimestamp();
                    if ($before >= -self::CLOCKS && $before <= self::AFTER && ($best === null || $before < $best[1])) {
                        $best = [$k, $before];
                    }
                }
                if ($best !== null) {
                    $found[$pass['uuid']] = $free[$best[0]]->id;
                    unset($free[$best[0]]);
                }
            }
        }

        return $found;
    }
}
