<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Measure\SeededNoise;
use Larkspur\Training\SinceChange;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** How scores moved since a change, and when nobody can tell. */
final class SinceChangeTest extends TestCase
{
    public function test_students_t_is_that_of_the_tables(): void
    {
        // Two-sided 95 % points as every table of Student's t gives them (from memory).
        foreach ([4 => 2.776, 5 => 2.571, 8 => 2.306, 10 => 2.228, 20 => 2.086, 60 => 2.000] as $freedom => $t) {
            self::assertEqualsWithDelta($t, SinceChange::student($freedom), 0.01);
        }
    }

    public function test_a_rise_of_one_move_is_told_with_its_interval(): void
    {
        $since = SinceChange::of(self::takes('orbit', [71, 74, 70, 73, 72]), self::takes('orbit', [81, 84, 80, 83, 82]));

        // Two samples of five, variance 2.5 each (n - 1): t(8) sqrt(2.5 (1/5 + 1/5)) = 2.306.
        self::assertEqualsWithDelta(10.0, (float) $since->change, 1e-9);
        self::assertEqualsWithDelta(2.306, (float) $since->margin, 0.01);
        self::assertStringContainsString('rose by 10.0', said($since->words));
    }

    public function test_harder_moves_after_a_change_are_not_a_fall(): void
    {
        $before = [...self::takes('push-in', [90, 91, 92, 89, 90]), ...self::takes('orbit', [70, 71])];
        $after = [...self::takes('push-in', [91, 92]), ...self::takes('orbit', [71, 72, 73, 70, 72, 71])];
        $since = SinceChange::of($before, $after);

        self::assertGreaterThan(0.0, (float) $since->change, 'although the plain mean fell by ten points');
        self::assertStringNotContainsString('fell', said($since->words));
    }

    public function test_too_few_takes_tell_nothing(): void
    {
        foreach ([
            [[], []], [self::takes('orbit', [70, 71, 72]), self::takes('orbit', [80, 81, 82, 83])],
            [self::takes('orbit', [70, 71, 72, 73]), self::takes('pan', [80, 81, 82, 83])],
        ] as [$before, $after]) {
            $since = SinceChange::of($before, $after);
            self::assertNull($since->change);
            self::assertStringContainsString('Too few', said($since->words));
        }
    }

    public function test_where_nothing_changed_it_is_said_in_nineteen_of_twenty(): void
    {
        $noise = SeededNoise::named(7, 'scores');
        $told = 0;
        for ($i = 0; $i < 600; $i++) {
            $takes = static fn (): array => array_map(static fn (int $_): array => ['orbit', 75 + 6 * $noise->normal()], range(1, 7));
            $since = SinceChange::of($takes(), $takes());
            $told += abs((float) $since->change) > (float) $since->margin ? 1 : 0;
        }
        self::assertEqualsWithDelta(0.05, $told / 600, 0.025);
    }

    /**
     * @param  list<int>  $scores
     * @return list<array{string, float}>
     */
    private static function takes(string $move, array $scores): array
    {
        return array_map(static fn (int $score): array => [$move, (float) $score], $scores);
    }
}
