<?php

declare(strict_types=1);

namespace Tests\Core;

use Larkspur\Fact;
use Larkspur\Scoring\AsPlanned\PlanMatch;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Loss;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Verdict;

/** What a judgement must never say beside something else that it says. */
final class Contradictions
{
    /** @return list<string> empty where it is of one piece */
    public static function in(Score $score): array
    {
        $verdict = $score->verdict;
        $said = self::codes($verdict->reason);
        $kept = $verdict->verdict === Verdict::KEEP;
        $lost = array_sum(array_map(static fn (Loss $loss): float => $loss->points, $score->losses));
        $grave = array_filter($score->allFaults, static fn (Fault $fault): bool => $fault->isGrave() && $fault->kind->isSeen());
        $ruinous = array_filter(
            $score->allFaults, static fn (Fault $fault): bool => $fault->grade() === 'ruinous' && $fault->id !== 'stopped-short',
        );
        $costly = array_filter($score->losses, static fn (Loss $loss): bool => $loss->fault !== null);

        return array_keys(array_filter([
            'the losses do not add up' => abs($lost - (100 - $score->score)) > 0.1,
            'kept with something ruinous in it' => $kept && $ruinous !== [],
            'kept, and another shot' => $kept && $score->plan?->verdict === PlanMatch::ANOTHER,
            'another shot, and none was planned' => $verdict->verdict === Verdict::OTHER && $score->plan === null,
            'kept without having seen the frame' => $kept && $score->assignment->lacksFrame(),
            'nothing disturbs, and a fault cost points' => in_array('verdict.nothing-disturbs', $said, true) && $costly !== [],
            'on its mark, and nobody measured it' => in_array('verdict.stays-on-mark', $said, true)
                && ! in_array('frame', $score->judged(), true),
            'off its mark, and on it' => in_array('verdict.stays-on-mark', $said, true) && self::names($score, 'off-mark'),
            'a usable stretch holds what one sees' => self::holdsGrave($score, $grave),
            'eased, and a finger sprang' => ($score->facetScores()['ease'] ?? 0.0) > 90 && $score->measured->eases->flicks !== [],
            'a fault outside the log' => self::liesOutside($score),
            'the faults are not sorted by what they cost' => self::isUnsorted($score),
        ]));
    }

    private static function names(Score $score, string $id): bool
    {
        return array_filter($score->faults, static fn (Fault $fault): bool => $fault->id === $id) !== [];
    }

    private static function liesOutside(Score $score): bool
    {
        [$from, $to] = [$score->cut->from() - 0.2, $score->cut->to() + 0.2];

        return array_filter(
            $score->allFaults,
            static fn (Fault $fault): bool => $fault->t < $from || $fault->until > $to || $fault->until < $fault->t,
        ) !== [];
    }

    private static function isUnsorted(Score $score): bool
    {
        $costs = array_map($score->cost(...), $score->faults);
        $sorted = $costs;
        rsort($sorted);

        return $costs !== $sorted;
    }

    /** @param  array<int, Fault>  $grave */
    private static function holdsGrave(Score $score, array $grave): bool
    {
        $stretches = [...$score->usable->stretches, ...array_filter([$score->usable->cut, $score->usable->longCut])];
        foreach ($stretches as $stretch) {
            foreach ($grave as $fault) {
                if ($fault->t < $stretch['to'] - 0.2 && $fault->until > $stretch['from'] + 0.2) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> codes of all that a fact says */
    private static function codes(Fact $fact): array
    {
        preg_match_all('/"say":"([^"]+)"/', (string) json_encode($fact, JSON_UNESCAPED_SLASHES), $found);

        return $found[1];
    }
}
