<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Measure\SeededNoise;
use Larkspur\Training\PastTake;
use Larkspur\Training\Standing\Comparable;
use Larkspur\Training\Standing\Heading;
use Larkspur\Training\Standing\Standing;
use PHPUnit\Framework\TestCase;

/** Standings held against learners whose level is known, because they were made up. */
final class StandingTest extends TestCase
{
    private const SCATTER = 25.0;

    public function test_nine_of_ten_intervals_hold_the_level(): void
    {
        $noise = new SeededNoise(11);
        $within = $changes = $told = 0;
        for ($learner = 0; $learner < 2000; $learner++) {
            $level = 72 + 25 * $noise->normal();
            $day = 0.0;
            $marks = $levels = [];
            for ($k = 0, $n = 3 + (int) (25 * $noise->uniform()); $k < $n; $k++) {
                if ($k > 0) {
                    $gap = $noise->uniform() < 0.5 ? 0.02 : 6 * $noise->uniform();
                    $day += $gap;
                    $level += sqrt(Standing::PER_TAKE + Standing::PER_DAY * $gap) * $noise->normal();
                }
                $marks[] = [$day, $level + sqrt(self::SCATTER) * $noise->normal(), self::SCATTER];
                $levels[] = $level;
            }
            $standing = Standing::of($marks);
            self::assertNotNull($standing);
            $within += abs($standing->mean - $level) < Standing::SURE * $standing->deviation ? 1 : 0;
            if ($standing->change !== null) {
                $told++;
                $from = array_key_first(array_filter($marks, static fn (array $mark): bool => $mark[0] >= $day - $standing->over - 1e-9));
                $changes += abs($standing->change - ($level - $levels[(int) $from])) < Standing::SURE * $standing->changeDeviation ? 1 : 0;
            }
        }

        // Nominal 90 %.
        self::assertGreaterThan(0.87 * 2000, $within);
        self::assertLessThan(0.93 * 2000, $within);
        self::assertGreaterThan(0.87 * $told, $changes);
        self::assertLessThan(0.93 * $told, $changes);
    }

    public function test_who_is_stuck_is_found_and_who_learns_is_left_alone(): void
    {
        $noise = new SeededNoise(12);
        $found = static function (callable $level) use ($noise): float {
            $stuck = 0;
            for ($learner = 0; $learner < 400; $learner++) {
                $marks = [];
                for ($k = 0; $k < 40; $k++) {
                    $day = 2.1 * $k;
                    $marks[] = [$day, $level($day) + sqrt(self::SCATTER) * $noise->normal(), self::SCATTER];
                }
                $stuck += (Standing::of($marks)->stuck ?? false) ? 1 : 0;
            }

            return $stuck / 400;
        };

        self::assertGreaterThan(0.9, $found(static fn (): float => 72.0));
        foreach ([
            'slowly' => static fn (float $day): float => 60 + 0.35 * $day,
            'quickly' => static fn (float $day): float => 95 - 35 * exp(-$day / 30),
            'good already' => static fn (): float => 93.0,
            'losing it' => static fn (float $day): float => 85 - 0.3 * $day,
        ] as $who => $level) {
            self::assertLessThan(0.05, $found($level), $who);
        }
    }

    public function test_where_it_is_going_is_said_of_the_level(): void
    {
        $noise = new SeededNoise(13);
        $of = static function (callable $level, int $count) use ($noise): Standing {
            $marks = [];
            for ($k = 0; $k < $count; $k++) {
                $marks[] = [2.0 * $k, $level(2.0 * $k) + 4 * $noise->normal(), 16.0];
            }

            return Standing::of($marks) ?? throw new \LogicException;
        };

        self::assertSame(Heading::Coming, $of(static fn (float $day): float => 55 + 0.8 * $day, 20)->heading);
        self::assertSame(Heading::Slipping, $of(static fn (float $day): float => 92 - 0.8 * $day, 20)->heading);
        self::assertSame(Heading::Still, $of(static fn (): float => 75.0, 20)->heading);
        self::assertSame(Heading::Unsure, $of(static fn (): float => 75.0, 4)->heading);
        self::assertNull($of(static fn (): float => 75.0, 4)->change);
        self::assertNull(Standing::of([]));
    }

    public function test_a_hard_move_is_not_held_against_who_flies_it(): void
    {
        $noise = new SeededNoise(14);
        $class = [];
        foreach ([60.0, 75.0, 88.0] as $who => $hand) {
            $takes = [];
            for ($k = 0; $k < 40; $k++) {
                $move = ['pan', 'orbit', 'pull-away'][($k + $who) % 3];
                $hard = ['pan' => 5.0, 'orbit' => 0.0, 'pull-away' => -9.0][$move];
                $takes[] = self::take($k, 1.5 * $k, $move, $hand + $hard + 4 * $noise->normal());
            }
            $class[] = $takes;
        }

        $known = Comparable::among($class, ['score']);
        $middle = array_sum($known->offsets['score']) / 3;

        // Partial pooling draws them a little toward each other.
        self::assertEqualsWithDelta(5.0 + 4.0 / 3, $known->offset('score', 'pan') - $middle, 1.5);
        self::assertEqualsWithDelta(-9.0 + 4.0 / 3, $known->offset('score', 'pull-away') - $middle, 1.5);
        self::assertSame(0.0, $known->offset('score', 'never-flown'));
        self::assertEqualsWithDelta(88.0 - 60.0, (Standing::of($known->marks($class[2], 'score'))->mean ?? 0)
            - (Standing::of($known->marks($class[0], 'score'))->mean ?? 0), 6.0);
    }

    public static function take(int $id, float $day, string $move, float $score, mixed ...$more): PastTake
    {
        return new PastTake(...[
            'id' => $id, 'day' => $day, 'move' => $move, 'direction' => '', 'mode' => 'standard', 'score' => $score, 'uncertainty' => 1.0,
            'verdict' => 'keep', 'facets' => [], 'fingers' => [], ...$more,
        ]);
    }
}
