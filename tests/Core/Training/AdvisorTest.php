<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Training\PastTake;
use Larkspur\Training\PracticeAdvisor;
use PHPUnit\Framework\TestCase;

use function Tests\said;

final class AdvisorTest extends TestCase
{
    public function test_nobody_starts_without_an_orbit(): void
    {
        self::assertSame('first', PracticeAdvisor::next([], 0.0)->kind);
    }

    public function test_the_shortest_petal_of_the_last_takes_is_worked_on(): void
    {
        $takes = [self::take(1, ['ease' => 55]), self::take(2, ['ease' => 60]), self::take(3, ['ease' => 62])];
        $advice = PracticeAdvisor::next($takes, 4.0);

        self::assertSame('mend-facet', $advice->kind);
        self::assertSame('ease', $advice->facet);
        self::assertStringContainsString('median 60', said($advice->reason));
    }

    public function test_the_petals_shown_with_it_are_the_medians_it_rests_on(): void
    {
        $takes = [
            self::take(1, ['ease' => 20]), self::take(2, ['ease' => 55]), self::take(3, ['ease' => 60]), self::take(4, ['ease' => 62]),
        ];
        $typical = PracticeAdvisor::next($takes, 5.0)->typical;

        self::assertNull(PracticeAdvisor::next([], 0.0)->typical);
        self::assertSame(3, $typical['takes'] ?? null);
        self::assertSame(60.0, $typical['facets']['ease'] ?? null);
        self::assertSame(['ease', 'flow', 'hold', 'line', 'frame'], array_keys($typical['facets'] ?? []));
    }

    public function test_one_bad_take_changes_nothing(): void
    {
        $takes = [self::take(1, ['hold' => 70]), self::take(2, ['hold' => 72]), self::take(3, ['frame' => 20, 'hold' => 74])];

        self::assertSame('hold', PracticeAdvisor::next($takes, 4.0)->facet);
    }

    public function test_taking_the_last_three_takes_away_changes_the_advice_and_its_reason(): void
    {
        $takes = [];
        foreach (range(1, 6) as $day) {
            $takes[] = self::take($day, $day <= 3 ? ['ease' => 50] : ['hold' => 60]);
        }
        $with = PracticeAdvisor::next($takes, 7.0);
        $without = PracticeAdvisor::next(array_slice($takes, 0, -3), 7.0);

        self::assertSame('hold', $with->facet);
        self::assertSame('ease', $without->facet);
        self::assertNotSame($with->reason, $without->reason);
    }

    public function test_a_petal_that_grows_is_said_to_come(): void
    {
        $takes = [];
        foreach ([50, 52, 51, 65, 66, 67] as $day => $ease) {
            $takes[] = self::take($day, ['ease' => $ease]);
        }
        self::assertStringContainsString('it is coming', said(PracticeAdvisor::next($takes, 7.0)->reason));
    }

    public function test_good_takes_one_way_call_for_the_other(): void
    {
        $takes = array_map(static fn (int $day): PastTake => self::take($day, []), range(1, 5));
        $advice = PracticeAdvisor::next($takes, 6.0);

        self::assertSame('other-way', $advice->kind);
        self::assertSame(['direction' => 'counterclockwise'], $advice->change);
        self::assertStringContainsString('no keeper counterclockwise', said($advice->reason));
    }

    public function test_good_takes_both_ways_call_for_a_tighter_circle(): void
    {
        $takes = [];
        foreach (range(1, 8) as $day) {
            $takes[] = self::take($day, [], $day % 2 === 0 ? 'clockwise' : 'counterclockwise');
        }
        $advice = PracticeAdvisor::next($takes, 9.0, 30.0);

        self::assertSame('tighter', $advice->kind);
        self::assertSame(['radius_m' => 24.0], $advice->change);
    }

    public function test_after_a_long_time_away_the_hand_is_found_again(): void
    {
        $advice = PracticeAdvisor::next([self::take(1, ['ease' => 40])], 30.0);

        self::assertSame('come-back', $advice->kind);
        self::assertStringContainsString('29 days', said($advice->reason));
    }

    /** @param  array<string, int>  $facets */
    private static function take(int $day, array $facets, string $direction = 'clockwise'): PastTake
    {
        $facets = array_map(floatval(...), [...['ease' => 92, 'flow' => 93, 'hold' => 91, 'line' => 94, 'frame' => 95], ...$facets]);

        return new PastTake((float) $day, 'orbit', $direction, 88.0, 'keep', $facets);
    }
}
