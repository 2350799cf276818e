<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\Take;
use Illuminate\Support\Facades\DB;
use Larkspur\Site\Zone;
use Larkspur\Training\PastTake;
use stdClass;

/** Takes as core/Training looks at them, read straight from their rows: a class has thousands, and of each a few numbers are wanted. */
final readonly class PastTakes
{
    /** Takes looked at of one operator; older ones say little about today's hand. */
    private const LATEST = 600;

    /** The same of each of a class, so that a class costs what its people do, however many takes there are. */
    private const LATEST_EACH = 350;

    private const COLUMNS = [
        'id', 'operator_id', 'flown_at', 'move', 'direction', 'mode', 'score', 'uncertainty', 'verdict', ...Take::FACETS, ...Take::FINGERS,
        'practised', 'practice', 'automated', 'distance_m', 'pace_mps', 'faults',
    ];

    /** @return list<PastTake> in the order in which they were flown, whenever they were sent */
    public static function of(int $operator, Zone $clock): array
    {
        return self::latest($operator, $clock, self::LATEST);
    }

    /**
     * @param  list<int>  $operators
     * @return array<int, list<PastTake>> by operator, in the order in which they were flown
     */
    public static function each(array $operators, Zone $clock): array
    {
        $takes = [];
        foreach ($operators as $operator) {
            $takes[$operator] = self::ofClass($operator, $clock);
        }

        return $takes;
    }

    /** @return list<PastTake> fewer than of one who is looked at alone */
    public static function ofClass(int $operator, Zone $clock): array
    {
        return self::latest($operator, $clock, self::LATEST_EACH);
    }

    /** @return list<PastTake> */
    private static function latest(int $operator, Zone $clock, int $count): array
    {
        $rows = DB::table('takes')->select(self::COLUMNS)->where('operator_id', $operator)->whereNull('deleted_at')
            ->orderByDesc('flown_at')->orderByDesc('id')->limit($count)->get()->all();

        return array_map(static fn (stdClass $row): PastTake => self::past($row, $clock), array_reverse(array_values($rows)));
    }

    private static function past(stdClass $row, Zone $clock): PastTake
    {
        $at = (int) strtotime($row->flown_at.' UTC');
        $number = static fn (mixed $value): ?float => is_numeric($value) ? (float) $value : null;
        $facets = $fingers = [];
        foreach (Take::FACETS as $facet) {
            $facets[$facet] = $number($row->{$facet});
        }
        foreach (Take::FINGERS as $finger) {
            $fingers[$finger] = $number($row->{$finger});
        }
        $practice = $row->practice === null ? [] : (array) json_decode((string) $row->practice, true);
        $aids = is_array($practice['aids'] ?? null) ? $practice['aids'] : [];

        return new PastTake(
            (int) $row->id, $at / 86400, (string) $row->move, (string) $row->direction, (string) $row->mode,
            (float) $row->score, (float) $row->uncertainty, (string) $row->verdict, $facets, $fingers, (bool) $row->practised,
            (bool) $row->automated, array_values(array_map(strval(...), $aids)), $number($row->distance_m), $number($row->pace_mps),
            $row->faults === '' ? [] : explode(',', (string) $row->faults), $clock->date($at),
        );
    }
}
