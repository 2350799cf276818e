<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

use Larkspur\Fact;
use Larkspur\Training\PastTake;
use Larkspur\Training\Repetition;

/**
 * Where an operator stands on a ladder: every step with its state, worked out from takes and from what people said. A step is shown again
 * by whatever builds on it: whoever flies a clean orbit has not forgotten how to hover.
 */
final class Climb
{
    /**
     * @param  list<PastTake>  $takes  of one operator, in order of days
     * @param  array<string, StepRecord>  $records  by id of step
     * @param  float  $today  days on the clock of the takes
     * @return array<string, StepStanding> by id of step, as the ladder has them
     */
    public static function of(Ladder $ladder, array $takes, array $records, float $today): array
    {
        $standings = [];
        $flown = self::byStep($ladder, $takes);
        $shown = self::shown($ladder, $flown);
        $stand = static function (string $id) use (&$stand, &$standings, $ladder, $flown, $records, $today, $shown): StepStanding {
            return $standings[$id] ??= self::stand(
                $ladder->steps[$id], $ladder->ranks[$id], $flown[$id], $records[$id] ?? new StepRecord, $today, $shown[$id],
                array_map($stand, $ladder->steps[$id]->needs),
            );
        };
        $all = [];
        foreach (array_keys($ladder->steps) as $id) {
            $all[$id] = $stand($id);
        }

        return $all;
    }

    /**
     * The takes of the moves of each step: a step looks at a few of hundreds, and there are dozens of steps.
     *
     * @param  list<PastTake>  $takes  in order of days
     * @return array<string, list<PastTake>> by id of step, in order of days
     */
    private static function byStep(Ladder $ladder, array $takes): array
    {
        $steps = [];
        foreach ($ladder->steps as $id => $step) {
            foreach ($step->moves as $move) {
                $steps[$move][$id] = $id;
            }
        }
        $flown = array_fill_keys(array_keys($ladder->steps), []);
        foreach ($takes as $take) {
            foreach ($steps[$take->move] ?? [] as $id) {
                $flown[$id][] = $take;
            }
        }

        return $flown;
    }

    /**
     * @param  list<PastTake>  $takes  of its moves
     * @param  list<float>  $days  on which it was shown
     * @param  list<StepStanding>  $needs
     */
    private static function stand(
        Step $step, int $rank, array $takes, StepRecord $record, float $today, array $days, array $needs,
    ): StepStanding {
        $criterion = $step->criterion;
        $evidence = Evidence::of($criterion, $step->moves, $takes);
        if ($record->signedDay !== null) {
            $days = [...array_filter($days, static fn (float $day): bool => $day >= $record->signedDay), $record->signedDay];
            sort($days);
        }
        $repetition = Repetition::after(array_values($days));
        $closed = array_values(array_filter($needs, static fn (StepStanding $need): bool => ! $need->state->isPassed()));
        $missing = $evidence->missing;
        if ($step->supervised && $record->supervisor === '') {
            array_unshift($missing, Fact::of('step.missing.supervisor'));
        }
        // What was shown and felt settled stays so until its operator doubts it, or it goes stale.
        $settled = ($record->word || ! $criterion->ownWord) && ! $criterion->signOff && $missing !== []
            && $missing === $evidence->missing && Evidence::wasEverEnough($criterion, $step->moves, $takes);
        if ($settled) {
            $missing = [];
        }
        if ($criterion->ownWord && ! $record->word) {
            $missing[] = Fact::of('step.missing.word');
        }
        if ($criterion->signOff) {
            $missing[] = Fact::of('step.missing.sign-off');
        }
        if ($closed !== []) {
            array_unshift($missing, Fact::of('step.missing.needs', steps: array_map(
                static fn (StepStanding $need): Fact => $need->step->name(), $closed,
            )));
        }
        $state = match (true) {
            $record->signedDay !== null => StepState::Signed,
            $closed !== [] => StepState::Closed,
            $missing === [] => StepState::Settled,
            $evidence->missing === [] => StepState::Enough,
            $evidence->looked > 0 => StepState::InWork,
            default => StepState::Open,
        };
        if ($state->isPassed()) {
            $missing = [];
            if ($repetition !== null && $today > $repetition->staleFrom()) {
                $state = StepState::Stale;
                $missing = [Fact::of('step.missing.again', days: (int) floor($today - $repetition->last))];
            }
        }

        return new StepStanding($step, $rank, $state, $evidence, $missing, $record, $repetition);
    }

    /**
     * Days on which each step was shown: by a pass that reached its criterion, however long ago, or by one of a step that builds on it.
     *
     * @param  array<string, list<PastTake>>  $flown  by id of step
     * @return array<string, list<float>> by id of step, in order
     */
    private static function shown(Ladder $ladder, array $flown): array
    {
        $shown = [];
        foreach ($ladder->steps as $id => $step) {
            $shown[$id] = [];
            foreach ($flown[$id] as $take) {
                if (Evidence::isAsked($step->criterion, $step->moves, $take) && Evidence::reaches($step->criterion, $take)) {
                    $shown[$id][] = $take->day;
                }
            }
        }
        $ranks = $ladder->ranks;
        arsort($ranks);
        foreach (array_keys($ranks) as $id) {
            foreach ($ladder->steps[$id]->needs as $need) {
                $shown[$need] = array_values(array_unique([...$shown[$need], ...$shown[$id]]));
            }
        }

        return array_map(static function (array $days): array {
            sort($days);

            return $days;
        }, $shown);
    }
}
