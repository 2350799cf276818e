<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\ComparisonDocument;
use App\Documents\NamedTake;
use App\Documents\TakeDocument;
use App\Models\Shot;
use App\Models\Take;
use Larkspur\Scoring\Comparison;

/** Lays the takes of a shot side by side: core/Scoring says which is best and why. */
final readonly class CompareTakes
{
    /** More takes of one shot than anyone compares at once. */
    private const MOST = 24;

    public function __invoke(Shot $shot): ComparisonDocument
    {
        $query = Take::query()->with(['operator', 'shot', 'judgement'])->withCount('comments')->where('shot_id', $shot->id);
        $query->orderByDesc('flown_at')->orderByDesc('id')->limit(self::MOST);
        $takes = $query->get();
        $number = $takes->count();
        $compared = $takes->values()->map(static fn (Take $take, int $i): array => [
            'id' => $take->id, 'name' => 'Take '.($number - $i), 'score' => $take->score, 'uncertainty' => $take->uncertainty,
            'verdict' => $take->verdict, 'clean_s' => $take->usable_s,
            'facets' => array_map(static fn (mixed $value): ?float => is_float($value) ? $value : null, $take->only(Take::FACETS)),
            'faults' => array_values(array_map(strval(...), array_column($take->judgement->document['faults'] ?? [], 'id'))),
            'automated' => $take->automated,
        ])->all();
        $comparison = Comparison::of(array_values($compared));
        $names = array_column($compared, 'name', 'id');
        $byId = $takes->keyBy('id');

        return new ComparisonDocument(
            array_map(static fn (int $id): NamedTake => new NamedTake($names[$id], TakeDocument::of($byId[$id])), $comparison->order),
            $comparison->best, $comparison->reason,
        );
    }
}
