<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\StepSaying;
use App\Models\User;
use App\Progress\ClimbLadder;
use App\Progress\PastTakes;
use Larkspur\Fact;
use Larkspur\Refusal;
use Larkspur\Training\PastTake;

/** Keeps what somebody says of an operator's step, with the takes that it rests on. A sign-off against the evidence has to say so. */
final readonly class SayOfStep
{
    /** @throws Refusal where there is no such step, or the evidence is not enough and nobody overrules it */
    public function __invoke(User $operator, User $author, string $step, string $kind, string $text, bool $overrule): StepSaying
    {
        $ladder = ClimbLadder::ofSchool($operator->school_id);
        $standing = $ladder->of($operator, PastTakes::of($operator->id, $operator->school->clock()))[$step] ?? null;
        if ($standing === null) {
            throw new Refusal(Fact::of('ladder.no-such-step', id: mb_substr($step, 0, 48)), 'step', Fact::of('ladder.id-of-a-step'));
        }
        $lacks = $standing->lacksForSignOff();
        if ($kind === StepSaying::SIGN_OFF && $lacks && ! $overrule) {
            throw new Refusal(
                Fact::all(Fact::of('ladder.not-enough', step: $standing->step->name()), ...array_filter(
                    $standing->missing, static fn (Fact $fact): bool => $fact->code !== 'step.missing.sign-off',
                )), 'overrule', Fact::of('ladder.overrule-with-a-reason'),
            );
        }

        return StepSaying::query()->create([
            'school_id' => $operator->school_id, 'operator_id' => $operator->id, 'author_id' => $author->id, 'author' => $author->name,
            'step' => $step, 'kind' => $kind, 'overruled' => $kind === StepSaying::SIGN_OFF && $lacks, 'text' => $text,
            'ladder_version' => $ladder->version,
            'rests_on' => array_map(static fn (PastTake $take): int => $take->id, $standing->evidence->counting),
        ]);
    }
}
