<?php

declare(strict_types=1);

namespace Larkspur\Training\Group;

use Larkspur\Fact;
use Larkspur\Training\HouseStyle;
use Larkspur\Training\Ladder\StepState;
use Larkspur\Training\Next\WhatNext;
use Larkspur\Training\PastTake;
use Larkspur\Training\Standing\Heading;
use Larkspur\Training\Standing\Measure;
use Larkspur\Training\Standing\Standing;

/**
 * A class at a glance: who needs the trainer and why, what most of them get wrong, and who could show whom. The weights of need are ours,
 * no published source.
 */
final class GroupPicture
{
    /** Latest takes in which a fault is looked for, and in how many it has to be to be somebody's. */
    private const LATEST = 8;

    private const OFTEN = 3;

    /** Share of a class that makes a fault the class's. */
    private const COMMON = 0.34;

    /** Measured so well, with its doubt taken off, one can show it to others. */
    private const SHOWS = 90.0;

    private const PAIRS = 6;

    /**
     * Members by how much they need the trainer, the neediest first.
     *
     * @param  list<Member>  $members
     * @param  float  $today  days on the clock of the takes
     * @return list<array{member: Member, need: float, why: list<Fact>}>
     */
    public static function byNeed(array $members, float $today): array
    {
        $rows = array_map(static fn (Member $member): array => ['member' => $member, ...self::need($member, $today)], $members);
        usort($rows, static fn (array $a, array $b): int => [$b['need'], $a['member']->name] <=> [$a['need'], $b['member']->name]);

        return $rows;
    }

    /**
     * What many of a class get wrong, the commonest first: the next lesson.
     *
     * @param  list<Member>  $members
     * @return list<array{fault: string, who: list<int>}>
     */
    public static function common(array $members): array
    {
        $flying = array_filter($members, static fn (Member $member): bool => $member->latest !== []);
        $who = [];
        foreach ($flying as $member) {
            foreach (self::often($member) as $fault) {
                $who[$fault][] = $member->id;
            }
        }
        $common = [];
        foreach ($who as $fault => $ids) {
            if (count($ids) >= 2 && count($ids) >= self::COMMON * count($flying)) {
                $common[] = ['fault' => (string) $fault, 'who' => $ids];
            }
        }
        usort($common, static fn (array $a, array $b): int => [count($b['who']), $a['fault']] <=> [count($a['who']), $b['fault']]);

        return $common;
    }

    /**
     * Who is good at what somebody else is stuck on.
     *
     * @param  list<Member>  $members
     * @return list<array{shows: Member, learns: Member, measure: string}>
     */
    public static function pairs(array $members): array
    {
        $pairs = [];
        $busy = [];
        foreach ($members as $learner) {
            foreach ($learner->stuckOn() as $measure) {
                $best = null;
                foreach ($members as $other) {
                    $sure = self::surely($other, $measure);
                    if ($other->id !== $learner->id && ! isset($busy[$other->id]) && $sure >= self::SHOWS
                        && ($best === null || $sure > self::surely($best, $measure))) {
                        $best = $other;
                    }
                }
                if ($best !== null && $measure !== Measure::SCORE && count($pairs) < self::PAIRS) {
                    $pairs[] = ['shows' => $best, 'learns' => $learner, 'measure' => $measure];
                    $busy[$best->id] = true;
                    break;
                }
            }
        }

        return $pairs;
    }

    /** @return array{need: float, why: list<Fact>} */
    private static function need(Member $member, float $today): array
    {
        $need = 0.0;
        $why = [];
        $last = $member->lastDay();
        if ($last === null) {
            return ['need' => 4.0, 'why' => [Fact::of('class.never-flown')]];
        }
        if ($today - $last > WhatNext::AWAY) {
            $need += 3.0;
            $why[] = Fact::of('class.not-flown', days: (int) floor($today - $last));
        }
        foreach ($member->standings as $measure => $standing) {
            if ($measure === Measure::SCORE) {
                $need += max(0.0, (Standing::GOOD - $standing->mean) / 20.0);
            } elseif ($standing->stuck) {
                $need += 2.0 + (Standing::GOOD - $standing->mean) / 15.0;
                $why[] = Fact::of('class.stuck-on', what: Measure::named($measure), days: (int) round($standing->over));
            } elseif ($standing->heading === Heading::Slipping && $standing->mean < Standing::GOOD) {
                $need += 1.5;
                $why[] = Fact::of('class.slipping-in', what: Measure::named($measure));
            }
        }
        $waiting = array_filter($member->states, static fn (StepState $one): bool => $one === StepState::Enough);
        if ($waiting !== []) {
            $need += 1.0;
            $why[] = Fact::of('class.waiting', count: count($waiting));
        }
        $flown = $member->latest;
        [$more, $less, $way, $other] = self::ways($member->latestByHand);
        if ($more >= self::LATEST && $less < 0.2 * $more) {
            $need += 1.5;
            $why[] = Fact::of(
                'class.one-way', most: $more, least: $less, way: Fact::of("direction.$way"), other: Fact::of("direction.$other"),
            );
        }
        $automated = count(array_filter($flown, static fn (PastTake $take): bool => $take->automated));
        $told = $member->style->automation === HouseStyle::BY_HAND;
        if ($told && $automated >= 0.4 * count($flown) && count($flown) >= self::LATEST) {
            $need += 1.5;
            $why[] = Fact::of('class.leans-on-automation', count: $automated, of: count($flown));
        }

        return ['need' => $need, 'why' => $why];
    }

    /**
     * @param  list<PastTake>  $takes
     * @return array{int, int, string, string} takes the way that is flown more, and the other; and which they are
     */
    private static function ways(array $takes): array
    {
        $counts = array_count_values(array_column($takes, 'direction')) + ['clockwise' => 0, 'counterclockwise' => 0];
        $right = $counts['clockwise'];
        $left = $counts['counterclockwise'];

        return $right >= $left ? [$right, $left, 'clockwise', 'counterclockwise'] : [$left, $right, 'counterclockwise', 'clockwise'];
    }

    /** @return list<string> faults that keep coming back */
    private static function often(Member $member): array
    {
        $counts = [];
        foreach (array_slice($member->latestByHand, -self::LATEST) as $take) {
            foreach (array_unique($take->faults) as $fault) {
                $counts[$fault] = ($counts[$fault] ?? 0) + 1;
            }
        }

        return array_map(strval(...), array_keys(array_filter($counts, static fn (int $count): bool => $count >= self::OFTEN)));
    }

    private static function surely(Member $member, string $measure): float
    {
        $standing = $member->standings[$measure] ?? null;

        return $standing === null || $standing->takes < Standing::FEWEST ? 0.0 : $standing->mean - $standing->deviation;
    }
}
