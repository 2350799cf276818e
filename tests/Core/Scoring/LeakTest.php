<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Angle;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Displaced;
use Tests\Core\MoveDraw;

use function Tests\said;

/** A finger that should rest: from what it did, and where nobody knows from the line against the look. */
final class LeakTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function twoFingered(): iterable
    {
        foreach (['diagonal-dolly', 'top-down-travel', 'follow', 'chase', 'lead'] as $move) {
            yield $move => [$move];
        }
    }

    /** Both fingers carry such a way as it was planned: neither leaks. */
    #[DataProvider('twoFingered')]
    public function test_a_finger_with_a_part_in_the_plan_does_not_leak(string $move): void
    {
        $plan = self::plan($move);
        $log = (new Recorder(10.0))->record(
            SimulatedOperator::fly($plan, new OperatorHabits, Wind::still(), 2), $plan->shot->site->frame(), 2,
        );

        self::assertSame([], self::leaks(Scorer::score($log, $plan->move->intent)));
    }

    /** @return iterable<string, array{string, Finger}> */
    public static function straight(): iterable
    {
        yield 'sideways' => ['lateral-dolly', Finger::Run];
        yield 'ahead' => ['straight-back', Finger::Slide];
    }

    #[DataProvider('straight')]
    public function test_the_other_axis_of_the_thumb_leaks_from_a_twentieth_on(string $move, Finger $resting): void
    {
        $plan = self::plan($move);
        $hold = $plan->move->holdTo - $plan->move->holdFrom;
        $slip = new Slip('kick', $resting, $plan->move->holdFrom - $plan->move->onset, 0.1, $hold);
        $log = (new Recorder(10.0))->record(
            SimulatedOperator::fly($plan, (new OperatorHabits)->slipping($slip), Wind::still(), 2), $plan->shot->site->frame(), 2,
        );
        $leaks = self::leaks(Scorer::score($log, $plan->move->intent));

        self::assertSame([$resting->value], array_column($leaks, 'axis'));
        self::assertSame($resting, $leaks[0]->origin?->finger);
    }

    #[DataProvider('straight')]
    public function test_without_fingers_the_line_that_lies_askew_tells(string $move, Finger $resting): void
    {
        $plan = self::plan($move);
        $flight = $plan->move->flight;
        $start = $flight->position($flight->indexAt($plan->move->onset));
        $gone = static fn (float $t): float => $flight->position($flight->indexAt($t))->minus($start)->ground();
        $askew = static fn (float $degrees): Score => Displaced::scored(
            $plan, Displaced::aside($plan, static fn (float $t): float => tan($degrees * Angle::DEGREE) * $gone($t)),
        );
        $leaks = self::leaks($askew(14.0));

        self::assertSame([$resting->value], array_column($leaks, 'axis'));
        // By geometry: what lies this far aside over its length lies off by that angle.
        self::assertEqualsWithDelta(14.0 * Angle::DEGREE, $leaks[0]->size->value, 1.5 * Angle::DEGREE);
        self::assertMatchesRegularExpression('/1[45] degrees off/', said($leaks[0]->picture));
        self::assertSame([], self::leaks($askew(3.0)));
        self::assertSame('unknown', $leaks[0]->origin?->cause);
    }

    private static function plan(string $move): Plan
    {
        foreach (MoveDraw::feasible($move, 3, 4, 0.4) as $plan) {
            return $plan;
        }
        self::fail("No plan of $move is feasible.");
    }

    /** @return list<Fault> */
    private static function leaks(Score $score): array
    {
        return array_values(array_filter($score->allFaults, static fn (Fault $fault): bool => $fault->id === 'leak'));
    }
}
