<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Ramp;
use Larkspur\Scoring\Finish;
use Larkspur\Scoring\HandShare;
use Larkspur\Scoring\Loss;
use Larkspur\Scoring\Metric;
use Larkspur\Scoring\Scorer;
use Larkspur\Scoring\Sticks;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One account of a take: what it lost adds up, its end is told from its middle, and what a finger asked for from what came otherwise. */
final class AccountTest extends TestCase
{
    /** @return iterable<string, array{array<string, callable(float): float>}> */
    public static function spoiled(): iterable
    {
        $jump = static fn (float $at, float $by): callable => static fn (float $t): float => $by * Ramp::rate(($t - $at) / 0.35);
        yield 'clean' => [[]];
        yield 'kicked' => [['heading' => $jump(14.0, 5.0)]];
        yield 'kicked twice, and bobbing' => [[
            'heading' => static fn (float $t): float => $jump(10.0, 5.0)($t) + $jump(20.0, 3.0)($t),
            'height' => static fn (float $t): float => 0.4 * sin(1.6 * $t),
        ]];
        yield 'wide of its circle' => [['radius' => static fn (float $t): float => 0.3 * max(0.0, $t - 6.0)]];
    }

    /** @param  array<'heading'|'height'|'radius', callable(float): float>  $put */
    #[DataProvider('spoiled')]
    public function test_what_was_lost_adds_up_and_stands_largest_first(array $put): void
    {
        $score = ClosedForm::score($put);
        $points = array_map(static fn (Loss $loss): float => $loss->points, $score->losses);
        $sorted = $points;
        rsort($sorted);

        self::assertEqualsWithDelta(100 - $score->score, array_sum($points), 0.05);
        self::assertSame($sorted, $points);
        self::assertSame([], array_filter($points, static fn (float $lost): bool => $lost <= 0.0));
        // A fault's cost is what stands under its name.
        foreach ($score->faults as $fault) {
            $named = array_filter($score->losses, static fn (Loss $loss): bool => $loss->fault === $fault);
            self::assertEqualsWithDelta(
                array_sum(array_map(static fn (Loss $loss): float => $loss->points, $named)), $score->cost($fault), 1e-9,
            );
        }
    }

    public function test_takes_that_differ_only_at_their_end_differ_there(): void
    {
        $clean = ClosedForm::score();
        $late = ClosedForm::score([
            'heading' => static fn (float $t): float => $t > ClosedForm::end() - 2.6 ? 3.0 * sin(9.0 * $t) : 0.0,
        ]);

        self::assertEqualsWithDelta($clean->thirds->start, $late->thirds->start, 1.0);
        self::assertEqualsWithDelta($clean->thirds->middle, $late->thirds->middle, 3.0);
        self::assertLessThan($clean->thirds->end - 10.0, $late->thirds->end);
    }

    public function test_how_it_comes_to_rest_has_figures_of_its_own(): void
    {
        $clean = ClosedForm::score()->finish;
        // The nose swings on by six degrees while the craft stands.
        $swings = ClosedForm::score([
            'heading' => static fn (float $t): float => 6.0 * max(0.0, min(1.0, ($t - ClosedForm::end()) / 0.5)),
        ])->finish;

        self::assertGreaterThan(90.0, $clean->score);
        self::assertLessThan($clean->score - 15.0, $swings->score);
        $unrest = self::metric($swings, 'unrest');
        self::assertNotNull($unrest);
        // Six degrees of a frame of 70, less what the smoothing of the grid takes off.
        self::assertEqualsWithDelta(6.0 / 70, $unrest->value->value, 0.015);
        self::assertLessThan(0.005, self::metric($clean, 'unrest')?->value->value);
    }

    public function test_the_picture_comes_to_rest_in_half_the_time_of_its_ease(): void
    {
        // Of the closed form's quintic ease the middle 80 % take 0.506 of it (derived from 10 x^3 - 15 x^4 + 6 x^5).
        $rest = self::metric(ClosedForm::score()->finish, 'rest');

        self::assertNotNull($rest);
        self::assertEqualsWithDelta(0.506 * ClosedForm::EASE, $rest->value->value, 0.25);
    }

    public function test_what_the_finger_asked_for_is_its_own_and_what_came_otherwise_is_not(): void
    {
        $swell = static fn (float $t): float => $t > 9 && $t < 17 ? 6.0 * sin(2 * M_PI * ($t - 9) / 4) : 0.0;
        $asked = static fn (float $t, float $more): float => ($t > 4 && $t < ClosedForm::end() - 1.2 ? 0.3 : 0.0) * (1 + $more);
        $log = ClosedForm::log(['heading' => $swell], 25.0);
        // A finger that swells with the turn's rate, and one that keeps still through it.
        foreach ([['by hand', 1.0], ['by the air', 0.0]] as [$words, $part]) {
            $sticks = array_map(static fn (float $t): float => $asked(
                $t, $part * ($t > 9 && $t < 17 ? 1.6 * cos(2 * M_PI * ($t - 9) / 4) : 0.0),
            ), $log->column('t'));
            $judged = Scorer::score(new FlightLog([...$log->columns, 'stick_turn' => $sticks]), ClosedForm::intent());
            $take = $judged->measured->take;
            $read = Sticks::of($judged->cut);
            self::assertNotNull($read);
            $node = static fn (float $t): int => (int) round(($t - $take->grid->t[$take->main->from]) / 0.1);
            $share = HandShare::of($take, $read, Finger::Turn)->within($node(9.0), $node(17.0));
            $part === 1.0 ? self::assertGreaterThan(0.8, $share, $words) : self::assertLessThan(0.2, $share, $words);
        }
    }

    private static function metric(Finish $finish, string $id): ?Metric
    {
        return array_values(array_filter($finish->metrics, static fn (Metric $metric): bool => $metric->id === $id))[0] ?? null;
    }
}
