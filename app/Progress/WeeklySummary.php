<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Larkspur\Fact;
use Larkspur\Training\Group\GroupPicture;
use Larkspur\Training\Next\Circumstances;

/** What a week came to, for whoever flew it and for those who train them: read by mail. */
final readonly class WeeklySummary
{
    /** Lines on those who need a trainer most. */
    private const NEEDIEST = 5;

    public function __construct(private SuggestNext $suggest)
    {
    }

    /**
     * Of somebody's own week.
     *
     * @return array{days: int, takes: int, practised: int, minutes: float, goal: ?int, reached: int, passed: int, next: list<Fact>}
     */
    public function ofOperator(User $operator): array
    {
        $record = OperatorRecord::of($operator);
        $week = DB::table('logbook_days')->where('operator_id', $operator->id)->where('date', '>=', self::from($operator))->get();
        $latest = array_slice(Logbook::latestDays($operator), -7);
        $next = ($this->suggest)($operator, $record, Circumstances::FIELD);

        return [
            'days' => count(array_filter($latest, static fn (array $day): bool => $day['minutes'] > 0.0)),
            'takes' => (int) $week->sum('takes') - (int) $week->sum('practised'),
            'practised' => (int) $week->sum('practised'), 'minutes' => round(array_sum(array_column($latest, 'minutes')), 0),
            'goal' => $operator->goal_min,
            'reached' => count(array_filter($latest, static fn (array $day): bool => $operator->goal_min !== null
                && $day['minutes'] >= $operator->goal_min)),
            'passed' => $record->passed(), 'next' => array_map(static fn ($one): Fact => $one->title, $next->said),
        ];
    }

    /**
     * Of the class.
     *
     * @return list<array{name: string, takes: int, why: list<Fact>}> who needs a trainer most first
     */
    public function ofClass(User $trainer): array
    {
        $operators = User::query()->withoutGlobalScope('school')->where('school_id', $trainer->school_id)->where('role', User::OPERATOR)
            ->where('disabled_at', null)->get()->all();
        $flown = DB::table('logbook_days')->where('school_id', $trainer->school_id)->where('date', '>=', self::from($trainer))
            ->groupBy('operator_id')->selectRaw('operator_id, sum(takes) as takes')->pluck('takes', 'operator_id');
        $rows = GroupPicture::byNeed(OperatorRecord::each(array_values($operators)), now()->getTimestamp() / 86400);

        return array_map(static fn (array $row): array => [
            'name' => $row['member']->name, 'takes' => (int) ($flown[$row['member']->id] ?? 0), 'why' => $row['why'],
        ], array_slice($rows, 0, self::NEEDIEST));
    }

    private static function from(User $user): string
    {
        return gmdate('Y-m-d', 86400 * ($user->school->clock()->date((float) now()->getTimestamp()) - 6));
    }
}
