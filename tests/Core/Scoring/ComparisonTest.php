<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Scoring\Comparison;
use Larkspur\Scoring\Verdict;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** Takes of one shot side by side: which is best, and why. */
final class ComparisonTest extends TestCase
{
    public function test_a_clear_difference_is_told_by_its_petal_and_its_faults(): void
    {
        $comparison = Comparison::of([
            self::take(1, 71.0, facets: ['ease' => 90, 'flow' => 60, 'hold' => 80, 'line' => 90, 'frame' => 90], faults: ['kick']),
            self::take(2, 92.0, facets: ['ease' => 95, 'flow' => 95, 'hold' => 85, 'line' => 91, 'frame' => 92]),
        ]);

        self::assertSame([2, 1], $comparison->order);
        self::assertSame(2, $comparison->best);
        self::assertSame('Take 2 is ahead of Take 1 by 21 points. Most of it is Flow (35 more). Faults that only Take 1 has: Kick.', said($comparison->reason));
    }

    public function test_scores_within_their_uncertainty_are_not_ranked_by_score(): void
    {
        $comparison = Comparison::of([self::take(1, 88.0, 2.0, clean: 9.0), self::take(2, 87.0, 2.0, clean: 14.0)]);

        self::assertSame([2, 1], $comparison->order);
        self::assertStringContainsString('can’t tell Take 2 and Take 1 apart (87 and 88, give or take 3)', said($comparison->reason));
        self::assertStringContainsString('longer clean stretch: 14.0 s against 9.0', said($comparison->reason));
        self::assertStringContainsString(
            'large screen', said(Comparison::of([self::take(1, 88.0, 2.0), self::take(2, 87.0, 2.0)])->reason),
        );
    }

    public function test_a_take_that_can_be_kept_comes_before_a_higher_one_that_cannot(): void
    {
        $comparison = Comparison::of([
            self::take(1, 90.0, verdict: Verdict::AGAIN), self::take(2, 78.0, verdict: Verdict::FIX),
            self::take(3, 76.0, verdict: Verdict::KEEP),
        ]);

        self::assertSame([3, 2, 1], $comparison->order);
        self::assertStringStartsWith('Take 3 is the only one of its kind', said($comparison->reason));
    }

    public function test_what_automation_flew_is_not_credited_to_the_hands(): void
    {
        $comparison = Comparison::of([self::take(1, 70.0), self::take(2, 95.0, automated: true)]);

        self::assertSame(2, $comparison->best);
        self::assertStringContainsString('flown by automation', said($comparison->reason));
        self::assertStringNotContainsString('automation', said(Comparison::of([self::take(1, 70.0), self::take(2, 95.0)])->reason));
    }

    public function test_one_and_none(): void
    {
        self::assertNull(Comparison::of([])->best);
        self::assertNull(Comparison::of([])->reason);
        self::assertSame(4, Comparison::of([self::take(4, 50.0)])->best);
        self::assertStringContainsString('one take so far', said(Comparison::of([self::take(4, 50.0)])->reason));
    }

    public function test_a_petal_that_was_not_judged_is_not_compared(): void
    {
        $comparison = Comparison::of([
            self::take(1, 60.0, facets: ['ease' => 60, 'flow' => 60, 'hold' => 60, 'line' => 60, 'frame' => null]),
            self::take(2, 80.0, facets: ['ease' => 80, 'flow' => 61, 'hold' => 61, 'line' => 61, 'frame' => 99]),
        ]);

        self::assertStringContainsString('Most of it is Ease', said($comparison->reason));
    }

    /**
     * @param  array<string, float|int|null>  $facets
     * @param  list<string>  $faults
     * @return array{
     *     id: int, name: string, score: float, uncertainty: float, verdict: string, clean_s: float, facets: array<string, ?float>,
     *     faults: list<string>, automated: bool,
     * }
     */
    private static function take(
        int $id, float $score, float $give = 1.0, float $clean = 10.0, array $facets = ['ease' => 80], array $faults = [],
        string $verdict = Verdict::KEEP, bool $automated = false,
    ): array {
        return [
            'id' => $id, 'name' => "Take $id", 'score' => $score, 'uncertainty' => $give, 'verdict' => $verdict, 'clean_s' => $clean,
            'facets' => array_map(static fn (float|int|null $value): ?float => $value === null ? null : (float) $value, $facets),
            'faults' => $faults, 'automated' => $automated,
        ];
    }
}
