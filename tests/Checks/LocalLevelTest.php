<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Measure\LocalLevel;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The local-level filter and smoother against the joint normal distribution conditioned directly, without recursion
 * (tests/fixtures/local-level.json); its case of even days agrees with R 4.2's KalmanRun and KalmanSmooth to seven digits.
 */
final class LocalLevelTest extends TestCase
{
    private const CLOSE = 1e-4;

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function cases(): iterable
    {
        foreach (json_decode((string) file_get_contents(__DIR__.'/../fixtures/local-level.json'), true)['cases'] as $case) {
            yield $case['name'] => [$case];
        }
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('cases')]
    public function test_levels_change_and_likelihood_are_those_of_the_joint_distribution(array $case): void
    {
        $level = LocalLevel::of(
            $case['day'], $case['observed'], $case['variance'], [(float) $case['prior_mean'], (float) $case['prior_variance']],
            (float) $case['per_day'], (float) $case['per_take'],
        );

        foreach (['filtered', 'smoothed'] as $which) {
            foreach ($case[$which] as $i => [$mean, $variance]) {
                self::assertEqualsWithDelta($mean, $level->{$which}[$i][0], self::CLOSE, "$which $i");
                self::assertEqualsWithDelta($variance, $level->{$which}[$i][1], self::CLOSE, "$which $i, variance");
            }
        }
        [$change, $spread] = $level->changeSince($case['change']['from_index']);
        self::assertEqualsWithDelta($case['change']['mean'], $change, self::CLOSE);
        self::assertEqualsWithDelta($case['change']['variance'], $spread, self::CLOSE);
        self::assertEqualsWithDelta($case['log_likelihood'], $level->logLikelihood, self::CLOSE);
    }
}
