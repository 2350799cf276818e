<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

/**
 * Which takes of imported logs are the passes that were logged in the field: of the same shot, flown shortly before the pass was entered,
 * each take once. A pass without one awaits its log.
 */
final class PassTakes
{
    /** A pass is entered after it was flown, and no later than this, s (our judgement: a battery's time). */
    public const AFTER = 900.0;

    /** Clocks of a craft and a tablet may differ by this, s. */
    public const CLOCKS = 60.0;

    /**
     * @param  array<string, array<int, float>>  $flown  by "shot-…", as in the log: when each take began, s since 1970, by its id
     * @return array<string, int> id of the take by the uuid of the pass
     */
    public static function match(FieldLog $log, array $flown): array
    {
        $found = [];
        foreach ($log->passes as $item => $passes) {
            $free = $flown[$item] ?? [];
            foreach ($passes as $pass) {
                $near = array_filter(
                    array_map(static fn (float $began): float => $pass['made'] - $began, $free),
                    static fn (float $before): bool => $before >= -self::CLOCKS && $before <= self::AFTER,
                );
                if ($near !== []) {
                    $take = (int) array_search(min($near), $near, true);
                    $found[$pass['uuid']] = $take;
                    unset($free[$take]);
                }
            }
        }

        return $found;
    }
}
