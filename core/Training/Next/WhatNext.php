<?php

declare(strict_types=1);

namespace Larkspur\Training\Next;

use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Parameter;
use Larkspur\Training\HouseStyle;
use Larkspur\Training\Ladder\StepStanding;
use Larkspur\Training\Ladder\StepState;
use Larkspur\Training\PastTake;
use Larkspur\Training\Standing\Measure;
use Larkspur\Training\Standing\Standing;

/**
 * What one operator does today: everything that could be done is weighed, the one or two with most weight are said, and so is what else was
 * weighed. What a trainer set comes first; then what is stuck, what is open, what is due again, and what lags behind. The weights are ours
 * (docs/progress.md), no published source. What automation flew says nothing of the hands, and is left out.
 */
final class WhatNext
{
    /** Days without flying after which the hand has to be found again. */
    public const AWAY = 14.0;

    /** So many of the latest takes tell a fault that keeps coming back, and in so many it has to be. */
    private const LATEST = 8;

    private const KEEPS_COMING = 3;

    /** Weight that is left of something for each time somebody said "not today" in the last two weeks. */
    private const DECLINED = 0.5;

    public const DECLINED_FOR = 14.0;

    private const SAID = 2;

    private const WEIGHED = 6;

    /**
     * @param  list<PastTake>  $takes  of one operator, in order of days
     * @param  array<string, StepStanding>  $climb  by id of step
     * @param  array<string, Standing>  $standings  by measure: petals and fingers
     * @param  list<Assignment>  $assignments
     * @param  array<string, list<float>>  $declined  by key of a suggestion, days on which it was not wanted
     * @param  array<string, int>  $shots  the latest shot of the operator by move
     * @param  float  $today  days on the clock of the takes
     * @return array{said: list<Suggestion>, weighed: list<Suggestion>} the first in each with most weight
     */
    public static function of(
        array $takes, array $climb, array $standings, array $assignments, array $declined, array $shots, Circumstances $now, float $today,
        HouseStyle $style = new HouseStyle,
    ): array {
        $takes = array_values(array_filter($takes, static fn (PastTake $take): bool => ! $take->automated));
        $all = [];
        foreach ([
            ...self::assigned($assignments, $now), ...self::beginning($takes, $climb, $now, $today),
            ...self::stuck($takes, $standings, $now),
            ...self::steps($climb, $now, $today), ...self::behind($climb, $takes, $now, $style), ...self::faults($takes, $now),
        ] as $suggestion) {
            $days = array_filter(
                $declined[$suggestion->key()] ?? [], static fn (float $day): bool => $today - $day < self::DECLINED_FOR,
            );
            $wanted = array_filter($days, static fn (float $day): bool => $day >= ($now->began ?? floor($today))) === [];
            $all[] = self::onShot($suggestion, $shots)->weighing($wanted ? $suggestion->weight * self::DECLINED ** count($days) : 0.0);
        }
        usort($all, static fn (Suggestion $a, Suggestion $b): int => $b->weight <=> $a->weight);
        $said = $weighed = [];
        foreach ($all as $suggestion) {
            $alike = array_filter($said, static fn (Suggestion $one): bool => $one->move === $suggestion->move
                || ($one->kind === $suggestion->kind && $one->kind !== 'assigned'));
            if ($suggestion->weight > 0.0 && count($said) < self::SAID && $alike === []) {
                $said[] = $suggestion;
            } elseif (count($weighed) < self::WEIGHED) {
                $weighed[] = $suggestion;
            }
        }

        return ['said' => $said, 'weighed' => $weighed];
    }

    /**
     * @param  list<Assignment>  $assignments
     * @return list<Suggestion>
     */
    private static function assigned(array $assignments, Circumstances $now): array
    {
        $suggestions = [];
        foreach ($assignments as $k => $set) {
            $activity = $set->activity === Activity::Fly && $set->move !== '' ? $now->activityFor($set->move) : $set->activity;
            $suggestions[] = new Suggestion(
                'assigned', $set->move, "lesson-$set->id", 100.0 - $k + ($set->dueIn !== null && $set->dueIn < 3.0 ? 10.0 : 0.0), $activity,
                $set->move === '' ? $set->lesson : Catalogue::nameOf($set->move),
                [match (true) {
                    $set->dueIn === null => Fact::of('next.set-by-trainer', lesson: $set->lesson),
                    $set->dueIn < 0.0 => Fact::of('next.set-and-late', lesson: $set->lesson, days: (int) ceil(-$set->dueIn)),
                    default => Fact::of('next.set-until', lesson: $set->lesson, days: (int) floor($set->dueIn)),
                }], null, $set->shot,
            );
        }

        return $suggestions;
    }

    /**
     * The first flight of all, and the first after a break.
     *
     * @param  list<PastTake>  $takes
     * @param  array<string, StepStanding>  $climb
     * @return list<Suggestion>
     */
    private static function beginning(array $takes, array $climb, Circumstances $now, float $today): array
    {
        $last = $takes[count($takes) - 1] ?? null;
        if ($last === null) {
            $step = array_values(array_filter($climb, static fn (StepStanding $one): bool => $one->state === StepState::Open))[0] ?? null;
            $move = $step?->step->moves[0] ?? 'hover';
            $activity = $now->activityFor($move);

            return [new Suggestion(
                'first', $move, '', 90.0, $activity, Catalogue::nameOf($move), [Fact::of('next.no-take-yet')],
                Catalogue::move($move)->about()->clean(), step: $step?->step->id,
            )];
        }
        $away = $today - $last->day;
        if ($away <= self::AWAY) {
            return [];
        }
        $known = self::best($takes, $last);
        $activity = $now->activityFor($known->move);

        return [new Suggestion(
            'come-back', $known->move, '', 85.0, $activity, Catalogue::nameOf($known->move),
            [Fact::of('next.away', days: (int) floor($away)), Fact::of('next.you-know-it', score: round($known->score))],
            Catalogue::move($known->move)->about()->clean(), setting: ['mode' => 'slow'],
        )];
    }

    /**
     * What is weak or stuck: a finger before a petal, since a finger can be told what to do.
     *
     * @param  list<PastTake>  $takes
     * @param  array<string, Standing>  $standings
     * @return list<Suggestion>
     */
    private static function stuck(array $takes, array $standings, Circumstances $now): array
    {
        $suggestions = [];
        foreach ($standings as $measure => $standing) {
            $good = $standing->mean + $standing->deviation >= Standing::GOOD;
            if ($measure === Measure::SCORE || $standing->takes < Standing::FEWEST || $good) {
                continue;
            }
            $finger = Measure::isFinger($measure);
            $move = self::weakestIn($takes, $measure);
            $activity = $now->activityFor($move);
            // At a desk a finger is trained without a world around it.
            $activity = $finger && $activity === Activity::Practise ? Activity::Rehearse : $activity;
            $weight = ($standing->stuck ? 62.0 : 40.0) + ($finger ? 4.0 : 0.0) + min(15.0, 0.5 * (Standing::GOOD - $standing->mean));
            $suggestions[] = new Suggestion(
                'stuck', $move, $measure, $weight, $activity,
                Fact::of(
                    $finger ? 'next.work-on-finger' : 'next.work-on-petal', what: Measure::named($measure),
                    move: Catalogue::nameOf($move),
                ),
                [Fact::of(
                    $standing->stuck ? 'next.stands-still' : 'next.is-weakest', mean: round($standing->mean),
                    sure: round(Standing::SURE * $standing->deviation), days: (int) round($standing->over), takes: $standing->takes,
                    what: Measure::named($measure),
                )],
                Fact::of($finger ? "next.cue.finger.$measure" : "practice.cue.$measure"),
            );
        }

        return $suggestions;
    }

    /**
     * Open steps, what is due again, and what only wants a word.
     *
     * @param  array<string, StepStanding>  $climb
     * @return list<Suggestion>
     */
    private static function steps(array $climb, Circumstances $now, float $today): array
    {
        $suggestions = [];
        foreach ($climb as $id => $one) {
            $move = $one->step->moves[0];
            $activity = $now->activityFor($move);
            $title = Catalogue::nameOf($move);
            if ($one->waitsForWord()) {
                $suggestions[] = new Suggestion(
                    'word', $move, $id, 58.0, $activity, Fact::of('next.say-it-is-settled', step: $one->step->name()), $one->missing,
                    step: $id,
                );
            } elseif ($one->state === StepState::InWork || $one->state === StepState::Open) {
                $weight = ($one->state === StepState::InWork ? 44.0 + 10.0 * $one->evidence->share : 42.0) - 1.5 * $one->rank
                    - ($one->step->supervised ? 12.0 : 0.0);
                $suggestions[] = new Suggestion(
                    'step', $move, $id, $weight, $activity, $title,
                    [Fact::of(
                        $one->state === StepState::Open ? 'next.step-is-open' : 'next.step-is-in-work', step: $one->step->name(),
                    ), ...array_slice($one->missing, 0, 2)],
                    Catalogue::move($move)->about()->clean(), step: $id,
                );
            } elseif ($one->repetition !== null && $one->isDue($today)) {
                $late = $today - $one->repetition->due();
                $suggestions[] = new Suggestion(
                    'again', $move, $id, 38.0 + min(16.0, 8.0 * $late / $one->repetition->gap), $activity, $title,
                    [Fact::of('next.due-again', days: (int) floor($today - $one->repetition->last), gap: (int) $one->repetition->gap,
                        step: $one->step->name())],
                    step: $id,
                );
            }
        }

        return $suggestions;
    }

    /**
     * One way flown less than the other, and steps whose slow mode is wanting.
     *
     * @param  array<string, StepStanding>  $climb
     * @param  list<PastTake>  $takes
     * @return list<Suggestion>
     */
    private static function behind(array $climb, array $takes, Circumstances $now, HouseStyle $style): array
    {
        $suggestions = [];
        $counts = [];
        foreach ($takes as $take) {
            if ($take->direction !== '') {
                $counts[$take->move][$take->direction] = ($counts[$take->move][$take->direction] ?? 0) + 1;
            }
        }
        $other = ['clockwise' => 'counterclockwise', 'counterclockwise' => 'clockwise', 'left' => 'right', 'right' => 'left'];
        foreach ($counts as $move => $ways) {
            $most = (string) array_search(max($ways), $ways, true);
            $least = $ways[$other[$most] ?? ''] ?? 0;
            if (isset($other[$most]) && $ways[$most] >= 4 && $least < 0.4 * $ways[$most]) {
                $activity = $now->activityFor($move);
                $suggestions[] = new Suggestion(
                    'other-way', $move, $other[$most], 46.0 + ($least === 0 ? 14.0 : 0.0), $activity,
                    Fact::of('next.the-other-way', move: Catalogue::nameOf($move), way: Fact::of('direction.'.$other[$most])),
                    [Fact::of('next.one-way-only', most: $ways[$most], least: $least, way: Fact::of("direction.$most"),
                        other: Fact::of('direction.'.$other[$most]))],
                    Fact::of('practice.thumbs-swap-sides-say'),
                    setting: self::wayOf($move, $other[$most]),
                );
            }
        }
        foreach ($climb as $id => $one) {
            $slow = array_filter($takes, static fn (PastTake $take): bool => $take->mode === 'slow'
                && in_array($take->move, $one->step->moves, true));
            $asked = $style->slow && $one->step->criterion->slowToo && ! $one->state->isPassed();
            if ($asked && $slow === [] && $one->evidence->looked >= 3) {
                $move = $one->evidence->counting === [] ? $one->step->moves[0]
                    : $one->evidence->counting[count($one->evidence->counting) - 1]->move;
                $activity = $now->activityFor($move);
                $suggestions[] = new Suggestion(
                    'slow', $move, $id, 41.0, $activity, Fact::of('next.once-slowly', move: Catalogue::nameOf($move)),
                    [Fact::of('next.never-slow', step: $one->step->name())], null, setting: ['mode' => 'slow'], step: $id,
                );
            }
        }

        return $suggestions;
    }

    /**
     * @param  list<PastTake>  $takes
     * @return list<Suggestion>
     */
    private static function faults(array $takes, Circumstances $now): array
    {
        $latest = array_slice($takes, -self::LATEST);
        $counts = $moves = [];
        foreach ($latest as $take) {
            foreach (array_unique($take->faults) as $fault) {
                $counts[$fault] = ($counts[$fault] ?? 0) + 1;
                $moves[$fault] = $take->move;
            }
        }
        arsort($counts);
        $fault = array_key_first($counts);
        if ($fault === null || $counts[$fault] < self::KEEPS_COMING) {
            return [];
        }
        $grounded = $now->grounded() !== null;

        return [new Suggestion(
            'fault', $moves[$fault], $fault, 39.0 + 2.0 * $counts[$fault], $grounded ? Activity::Spot : $now->activityFor($moves[$fault]),
            Fact::of($grounded ? 'next.train-the-eye' : 'next.mind-the-fault', fault: Fact::of("fault.$fault")),
            [Fact::of('next.keeps-coming', count: $counts[$fault], of: count($latest), fault: Fact::of("fault.$fault"))],
            Fact::of("fault.$fault.try"),
        )];
    }

    /** @param  array<string, int>  $shots */
    private static function onShot(Suggestion $suggestion, array $shots): Suggestion
    {
        $shot = $suggestion->shot ?? $shots[$suggestion->move] ?? null;

        return new Suggestion(
            $suggestion->kind, $suggestion->move, $suggestion->about, $suggestion->weight, $suggestion->activity, $suggestion->title,
            $suggestion->evidence, $suggestion->cue, $shot, $suggestion->setting, $suggestion->step,
        );
    }

    /**
     * The take that went best of the last dozen.
     *
     * @param  list<PastTake>  $takes
     */
    private static function best(array $takes, PastTake $last): PastTake
    {
        $best = $last;
        foreach (array_slice($takes, -12) as $take) {
            if ($take->score > $best->score) {
                $best = $take;
            }
        }

        return $best;
    }

    /**
     * The move among the latest takes in which a measure is lowest on average.
     *
     * @param  list<PastTake>  $takes
     */
    private static function weakestIn(array $takes, string $measure): string
    {
        $sums = $counts = [];
        foreach (array_slice($takes, -20) as $take) {
            $mark = $take->mark($measure);
            if ($mark !== null) {
                $sums[$take->move] = ($sums[$take->move] ?? 0.0) + $mark;
                $counts[$take->move] = ($counts[$take->move] ?? 0) + 1;
            }
        }
        $means = array_map(static fn (float $sum, int $count): float => $sum / $count, $sums, $counts);

        return $means === [] ? $takes[count($takes) - 1]->move : array_keys($sums)[(int) array_search(min($means), $means, true)];
    }

    /** @return array<string, string> the dial that says which way a move goes; none where its turn does */
    private static function wayOf(string $move, string $way): array
    {
        $dials = array_intersect(['direction', 'side'], Parameter::names(Catalogue::move($move)->parameters()));

        return array_fill_keys($dials, $way);
    }
}
