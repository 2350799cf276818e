<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\LessonMember;
use App\Models\NotToday;
use App\Models\Shot;
use App\Models\User;
use App\Outside\WeatherService;
use Illuminate\Support\Facades\DB;
use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Site\Sun;
use Larkspur\Training\Next\Activity;
use Larkspur\Training\Next\Assignment;
use Larkspur\Training\Next\Circumstances;
use Larkspur\Training\Next\WhatNext;
use Larkspur\Training\Record;

/** What an operator does today, by core/Training, from their own record and from what today allows. */
final readonly class SuggestNext
{
    public function __construct(private WeatherService $weather)
    {
    }

    /** @param  'desk'|'hall'|'field'  $place */
    public function __invoke(User $operator, Record $record, string $place, ?float $gust = null, ?float $battery = null): NextUp
    {
        [$now, $simulated] = $this->circumstances($operator, $place, $gust, $battery);
        $next = WhatNext::of(
            $record->takes, $record->climb, $record->standings, self::assignments($operator), self::declined($operator),
            self::shots($operator), $now, now()->getTimestamp() / 86400, $operator->training(),
        );

        return new NextUp($now, $simulated, $next['said'], $next['weighed']);
    }

    /**
     * What today allows at a place: in the field the wind is the weather service's unless it was typed, at the site flown last.
     *
     * @param  'desk'|'hall'|'field'  $place
     * @return array{Circumstances, bool} and whether the wind in it is simulated
     */
    private function circumstances(User $operator, string $place, ?float $gust, ?float $battery): array
    {
        $light = null;
        $simulated = false;
        $most = $operator->training()->mostGust;
        $home = $place === Circumstances::FIELD ? self::lastSite($operator) : null;
        if ($home !== null) {
            if ($gust === null) {
                $weather = $this->weather->at($home, (float) now()->getTimestamp());
                [$gust, $simulated] = [$weather->wind->gust, $weather->simulated];
            }
            $light = Sun::lightLeft((float) now()->getTimestamp(), $home) / 60;
        }

        $clock = $operator->school->clock();
        $began = $clock->instantOf(86400.0 * $clock->date((float) now()->getTimestamp())) / 86400;

        return [new Circumstances($place, $gust, $battery, $light, $most, $began), $simulated];
    }

    /** Where their latest shot is flown. */
    private static function lastSite(User $operator): ?GeoPoint
    {
        $query = Shot::query()->with('site')->where('operator_id', $operator->id)->latest('updated_at');

        return $query->first()?->site?->sheet()->home;
    }

    /** @return list<Assignment> what is set and not done, what is wanted soonest first */
    private static function assignments(User $operator): array
    {
        $open = [];
        $members = LessonMember::query()->with('lesson')->where('operator_id', $operator->id)->whereHas('lesson')->get();
        foreach ($members as $member) {
            $next = LessonProgress::each($member->lesson, [$member])[$operator->id]->next();
            if ($next !== null) {
                $step = $member->lesson->steps[$next];
                $wanted = $member->lesson->wanted_on;
                $today = $operator->school->clock()->date((float) now()->getTimestamp());
                $open[] = new Assignment(
                    $member->lesson_id, Fact::name($member->lesson->title), $step['move'], match ($step['kind']) {
                        'fly' => Activity::Fly, 'practise' => Activity::Practise, 'rehearse' => Activity::Rehearse,
                        'spot' => Activity::Spot, default => Activity::Read,
                    }, $wanted === null ? null : floor($wanted->getTimestamp() / 86400) - $today, $step['shot_id'],
                );
            }
        }
        usort($open, static fn (Assignment $a, Assignment $b): int => ($a->dueIn ?? INF) <=> ($b->dueIn ?? INF));

        return $open;
    }

    /** @return array<string, list<float>> by key of a suggestion, the days on which it was not wanted */
    private static function declined(User $operator): array
    {
        $declined = [];
        $query = NotToday::query()->where('operator_id', $operator->id)
            ->where('created_at', '>=', now()->subDays((int) WhatNext::DECLINED_FOR));
        foreach ($query->get() as $one) {
            $declined[$one->suggestion][] = $one->created_at->getTimestamp() / 86400;
        }

        return $declined;
    }

    /** @return array<string, int> the latest shot by move */
    private static function shots(User $operator): array
    {
        $rows = DB::table('shots')->where('operator_id', $operator->id)->whereNull('deleted_at')
            ->selectRaw('move, max(id) as shot')->groupBy('move')->pluck('shot', 'move')->all();

        return array_map(intval(...), $rows);
    }
}
