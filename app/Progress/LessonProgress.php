<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\Lesson;
use App\Models\LessonMember;
use App\Models\Recording;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * How far those are with a lesson to whom it was given: what can be counted is counted from their record since then, the rest is ticked by
 * hand. One question a step, however many they are.
 */
final readonly class LessonProgress
{
    /** Steps that nobody can measure. */
    private const TICKED = ['read', 'debrief'];

    /** @param  list<array{have: int, want: int}>  $steps */
    private function __construct(public array $steps)
    {
    }

    /**
     * @param  list<LessonMember>  $members  of the lesson
     * @return array<int, self> by operator
     */
    public static function each(Lesson $lesson, array $members): array
    {
        $counted = [];
        foreach ($lesson->steps as $k => $step) {
            $counted[$k] = self::counted($lesson, $step['kind'], $step['move'], $members);
        }
        $progress = [];
        foreach ($members as $member) {
            $steps = [];
            foreach ($lesson->steps as $k => $step) {
                $byHand = in_array($step['kind'], self::TICKED, true);
                $want = $byHand ? 1 : max(1, $step['passes']);
                $have = $byHand ? (int) in_array($k, $member->ticked, true) : $counted[$k][$member->operator_id] ?? 0;
                $steps[] = ['have' => min($have, $want), 'want' => $want];
            }
            $progress[$member->operator_id] = new self($steps);
        }

        return $progress;
    }

    /** Number of the step that is next; null where all is done. */
    public function next(): ?int
    {
        foreach ($this->steps as $k => $step) {
            if ($step['have'] < $step['want']) {
                return $k;
            }
        }

        return null;
    }

    /**
     * @param  list<LessonMember>  $members
     * @return array<int, int> how often, by operator
     */
    private static function counted(Lesson $lesson, string $kind, string $move, array $members): array
    {
        if ($members === [] || in_array($kind, self::TICKED, true)) {
            return [];
        }
        $since = static fn (string $table, string $at): Builder => DB::table($table)->join(
            'lesson_members', static fn ($join) => $join->on('lesson_members.operator_id', "$table.operator_id")
                ->on("$table.$at", '>=', 'lesson_members.created_at'),
        )->where('lesson_members.lesson_id', $lesson->id)->whereIn(
            "$table.operator_id", array_map(static fn (LessonMember $member): int => $member->operator_id, $members),
        )->when($move !== '', static fn (Builder $query): Builder => $query->where("$table.move", $move));
        $query = match ($kind) {
            'fly', 'practise' => $since('takes', 'flown_at')->whereNull('takes.deleted_at')->where('takes.automated', false)
                ->where('takes.practised', $kind === 'practise'),
            'rehearse' => $since('recordings', 'made_at')->where('recordings.kind', Recording::REHEARSAL),
            default => $since('spottings', 'created_at')->whereNotNull('spottings.outcome'),
        };
        $rows = $query->selectRaw('lesson_members.operator_id as operator, count(*) as done')->groupBy('lesson_members.operator_id');

        return array_map(intval(...), $rows->pluck('done', 'operator')->all());
    }
}
