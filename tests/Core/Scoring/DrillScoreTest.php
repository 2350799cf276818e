<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Demo\Rigs;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Measure\Dimension;
use Larkspur\Measure\Warp;
use Larkspur\Move\Judging\Mark;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Metric;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Verdict;
use PHPUnit\Framework\TestCase;
use Tests\Core\Displaced;

use function Tests\said;

/** Drills by measures of their own: what is put off by so much is measured by so much, and the pace of the hand is not. */
final class DrillScoreTest extends TestCase
{
    public function test_a_figure_flown_as_planned_is_textbook(): void
    {
        foreach ([
            'square-fixed-heading', 'square-with-turns', 'figure-of-eight', 'pad-to-pad', 'landing', 'out-and-back', 'coordinated-circle',
            'circle-fixed-heading',
        ] as $drill) {
            $score = Displaced::scored(self::plan($drill), static fn (Position $place, float $t): Position => $place);
            self::assertGreaterThan(98.0, $score->score, $drill);
            self::assertSame([], $score->faults, $drill);
        }
    }

    public function test_a_square_that_does_not_close_says_by_how_much(): void
    {
        $plan = self::plan('square-fixed-heading');
        $from = $plan->move->stop - 4.0;
        // The last leg creeps a metre to the east.
        $score = Displaced::scored(
            $plan, static fn (Position $place, float $t): Position => $place->plus(max(0.0, min(1.0, ($t - $from) / 3.0)), 0.0, 0.0),
        );
        $closure = self::figure($score, 'closure') ?? self::fail('It is not measured.');

        self::assertEqualsWithDelta(1.0, $closure->value->value, 0.15);
        self::assertSame(Dimension::Length, $closure->value->dimension);
        self::assertLessThan(75.0, $closure->score);
        self::assertContains('off-mark', self::names($score));
    }

    public function test_a_drill_is_passed_or_flown_again_and_never_mended_by_an_editor(): void
    {
        foreach (['hover', 'square-fixed-heading', 'figure-of-eight', 'hover-and-turn'] as $drill) {
            $plan = self::plan($drill);
            foreach ([0.3, 0.8, 2.0] as $sway) {
                $score = Displaced::scored(
                    $plan,
                    static fn (Position $place, float $t): Position => $place->plus($sway * sin(1.7 * $t), 0.0, $sway * cos(1.1 * $t)),
                );
                self::assertContains($score->verdict->verdict, [Verdict::KEEP, Verdict::AGAIN, Verdict::OTHER], "$drill $sway");
                self::assertStringNotContainsString('post', said($score->verdict->headline));
            }
            self::assertSame(Verdict::AGAIN, $score->verdict->verdict, $drill);
        }
    }

    public function test_a_touchdown_beside_the_pad_is_measured_in_metres(): void
    {
        $plan = self::plan('pad-to-pad');
        $score = Displaced::scored(
            $plan,
            static fn (Position $place, float $t): Position => $place->plus(
                0.0, $t > $plan->move->onset + 4.0 ? min(0.9, 0.3 * ($t - $plan->move->onset - 4.0)) : 0.0, 0.0,
            ),
        );
        $touchdown = self::figure($score, 'touchdown') ?? self::fail('It is not measured.');

        self::assertEqualsWithDelta(0.9, $touchdown->value->value, 0.25);
        self::assertLessThan(98.0, $score->score);
    }

    public function test_a_corner_taken_at_the_wrong_heading_is_measured_in_degrees(): void
    {
        $plan = self::plan('square-with-turns');
        // From the second corner on the nose stands twelve degrees too far round.
        $corner = self::mark($plan, Mark::CORNER, 1);
        $score = Displaced::scored(
            $plan, static fn (Position $place, float $t): Position => $place,
            static fn (float $t): float => $t > $corner - 1.0 ? 12.0 * min(1.0, $t - $corner + 1.0) : 0.0,
        );
        $heading = self::figure($score, 'corner') ?? self::fail('It is not measured.');

        self::assertEqualsWithDelta(12.0, rad2deg($heading->value->value), 3.0);
        self::assertSame(Dimension::Angle, $heading->value->dimension);
    }

    public function test_an_eight_that_crosses_beside_its_middle_is_measured_there(): void
    {
        $plan = self::plan('figure-of-eight');
        $crossing = self::mark($plan, Mark::CROSSING);
        $score = Displaced::scored(
            $plan, Displaced::aside($plan, static fn (float $t): float => 1.2 * exp(-(($t - $crossing) / 2.0) ** 2)),
        );
        $figure = self::figure($score, 'crossing') ?? self::fail('It is not measured.');

        self::assertGreaterThan(0.4, $figure->value->value);
        self::assertLessThan(
            self::figure(Displaced::scored($plan, static fn (Position $place): Position => $place), 'crossing')->score ?? 0.0,
            $figure->score,
        );
    }

    public function test_a_slow_hand_is_not_punished_for_being_slow(): void
    {
        $plan = self::plan('square-fixed-heading');
        $slow = Displaced::scored($plan, static fn (Position $place): Position => $place, stretch: 1.6);

        self::assertGreaterThan(97.0, $slow->score);
    }

    public function test_a_figure_that_bulges_strays(): void
    {
        $plan = self::plan('circle-fixed-heading');
        $middle = ($plan->move->onset + $plan->move->stop) / 2;
        $score = Displaced::scored($plan, Displaced::aside($plan, static fn (float $t): float => 2.5 * exp(-(($t - $middle) / 3.0) ** 2)));

        self::assertContains('drift', self::names($score));
        self::assertLessThan(90.0, $score->score);
        self::assertLessThan($score->facetScores()['flow'] ?? 0.0, $score->facetScores()['line'] ?? 100.0);
    }

    public function test_half_a_figure_is_half_a_figure(): void
    {
        $plan = self::plan('square-fixed-heading');
        $half = self::mark($plan, Mark::CORNER, 1);
        $score = Displaced::scored(
            $plan, static fn (Position $place, float $t): Position => $plan->move->flight->position((int) round(min($t, $half) / 0.02)),
        );
        $completion = self::figure($score, 'completion') ?? self::fail('It is not measured.');

        self::assertEqualsWithDelta(0.5, $completion->value->value, 0.12);
        self::assertLessThan(85.0, $score->score);
    }

    public function test_places_are_matched_in_their_order_at_any_pace(): void
    {
        $a = array_map(static fn (int $i): array => [(float) $i], range(0, 10));
        $b = array_map(static fn (int $i): array => [$i / 2], range(0, 20));
        $path = Warp::path($a, $b);

        self::assertSame([0, 0], $path[0]);
        self::assertSame([10, 20], $path[count($path) - 1]);
        $last = [0, 0];
        foreach ($path as [$i, $j]) {
            self::assertTrue($i >= $last[0] && $j >= $last[1] && $i - $last[0] <= 1 && $j - $last[1] <= 1);
            self::assertLessThanOrEqual(0.5, abs($a[$i][0] - $b[$j][0]));
            $last = [$i, $j];
        }
        // Against itself, point by point; one point against many.
        self::assertSame(array_map(static fn (int $i): array => [$i, $i], range(0, 10)), Warp::path($a, $a));
        self::assertSame([[0, 0], [0, 1], [0, 2]], Warp::path([[1.0]], [[0.0], [1.0], [2.0]]));
    }

    private static function plan(string $drill): Plan
    {
        static $plans = [];

        return $plans[$drill] ??= Planner::plan(Shot::read(Fields::of([
            'intent' => ['move' => $drill, 'camera' => ['hfov_deg' => 70.0]],
            'rig' => Rigs::all()['lapwing'], 'mode' => 'standard', 'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0]],
        ])));
    }

    private static function mark(Plan $plan, string $kind, int $which = 0): float
    {
        return array_values(array_filter($plan->move->marks, static fn (Mark $mark): bool => $mark->kind === $kind))[$which]->t;
    }

    private static function figure(Score $score, string $id): ?Metric
    {
        foreach ($score->facets as $facet) {
            foreach ($facet->metrics as $figure) {
                if ($figure->id === $id) {
                    return $figure;
                }
            }
        }

        return null;
    }

    /** @return list<string> */
    private static function names(Score $score): array
    {
        return array_values(array_map(static fn (Fault $fault): string => $fault->id, $score->faults));
    }
}
