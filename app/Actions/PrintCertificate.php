<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\StepSaying;
use App\Models\Take;
use App\Models\User;
use App\Progress\ClimbLadder;
use App\Progress\PastTakes;
use Larkspur\Training\Ladder\StepStanding;
use Larkspur\Training\Ladder\StepState;
use Larkspur\Training\PastTake;

/** Prints what somebody has passed on the ladder, and what each step rests on: takes, their own word, and whose sign-off. */
final readonly class PrintCertificate
{
    public function __construct(private MakePdf $pdf)
    {
    }

    public function __invoke(User $operator): string
    {
        $takes = PastTakes::of($operator->id, $operator->school->clock());
        $passed = array_filter(
            ClimbLadder::ofSchool($operator->school_id)->of($operator, $takes),
            static fn (StepStanding $one): bool => $one->state->isPassed(),
        );
        $signed = [];
        $query = StepSaying::query()->where('operator_id', $operator->id)->where('kind', StepSaying::SIGN_OFF);
        $query->orderBy('id');
        foreach ($query->get() as $said) {
            $signed[$said->step] = $said;
        }

        return ($this->pdf)('print.certificate', [
            'operator' => $operator->name, 'school' => $operator->school->name, 'date' => now()->format('j F Y'),
            'simulated' => Take::query()->where('operator_id', $operator->id)->whereHas('log', static fn ($log) => $log->where(
                'source', 'simulated',
            ))->exists(),
            'steps' => array_map(
                static fn (StepStanding $one): array => self::step($one, $signed[$one->step->id] ?? null), array_values($passed),
            ),
        ], 'A4');
    }

    /** @return array<string, mixed> */
    private static function step(StepStanding $one, ?StepSaying $signed): array
    {
        $counting = $one->evidence->counting;
        $days = array_map(static fn (PastTake $take): int => (int) round(86400 * $take->day), $counting);

        return [
            'name' => $one->step->name(), 'level' => $one->step->level, 'stale' => $one->state === StepState::Stale,
            'passes' => count($counting),
            'practised' => count(array_filter($counting, static fn (PastTake $take): bool => $take->practised)),
            'score' => $counting === [] ? null : round(array_sum(array_column($counting, 'score')) / count($counting)),
            'from' => $days === [] ? null : gmdate('j M Y', min($days)), 'to' => $days === [] ? null : gmdate('j M Y', max($days)),
            'word' => $one->record->word, 'signed_by' => $one->record->signedDay === null ? null : $signed?->author,
            'signed_on' => $one->record->signedDay === null ? null : gmdate('j M Y', (int) round(86400 * $one->record->signedDay)),
            'overruled' => $one->record->overruled, 'reason' => $one->record->overruled ? $signed?->text : null,
        ];
    }
}
