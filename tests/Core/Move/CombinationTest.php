<?php

declare(strict_types=1);

namespace Tests\Core\Move;

use Demo\Rigs;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\Fingering\AxisCombinations;
use Larkspur\Move\Judging\Mark;
use Larkspur\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;
use Tests\Core\Sweep;

/** Moves joined into one, and the explorer of axes. */
final class CombinationTest extends TestCase
{
    /** @return iterable<string, array{list<array<string, mixed>>, string}> */
    public static function joined(): iterable
    {
        yield 'an arc, then away' => [[['move' => 'orbit', 'parameters' => ['arc_deg' => 80.0]], ['move' => 'pull-away']], 'sequence'];
        yield 'in, then up' => [[['move' => 'push-in'], ['move' => 'rise']], 'sequence'];
        yield 'three in a row' => [[['move' => 'rise'], ['move' => 'lateral-dolly'], ['move' => 'pan']], 'sequence'];
        yield 'rise and pan at once' => [[['move' => 'rise'], ['move' => 'pan']], 'together'];
        yield 'dolly and rise at once' => [[['move' => 'lateral-dolly'], ['move' => 'rise']], 'together'];
    }

    /** @param  list<array<string, mixed>>  $parts */
    #[DataProvider('joined')]
    public function test_joined_moves_fly_as_one_and_score_as_one(array $parts, string $join): void
    {
        $plan = self::plan($parts, $join);
        $flown = Sweep::fly($plan);

        self::assertTrue($plan->feasible());
        self::assertLessThan(0.005, $flown['error']);
        self::assertGreaterThanOrEqual(97.0, $flown['score']);
    }

    /** @param  list<array<string, mixed>>  $parts */
    #[DataProvider('joined')]
    public function test_the_pace_never_jumps_at_a_seam(array $parts, string $join): void
    {
        $flight = self::plan($parts, $join)->move->flight;
        $most = 0.0;
        $last = null;
        for ($i = 1; $i < $flight->count(); $i++) {
            $rate = [
                $flight->east[$i] - $flight->east[$i - 1], $flight->north[$i] - $flight->north[$i - 1],
                $flight->up[$i] - $flight->up[$i - 1],
            ];
            if ($last !== null) {
                $most = max(
                    $most, sqrt(array_sum(array_map(static fn (float $a, float $b): float => ($a - $b) ** 2, $rate, $last))) / 0.02,
                );
            }
            $last = $rate;
        }
        // An ease of two seconds to some metres a second changes the pace by a few hundredths of a metre a second in a step.
        self::assertLessThan(0.12, $most);
    }

    public function test_its_axes_are_counted_its_level_follows_and_its_picture_is_judged(): void
    {
        $plan = self::plan([['move' => 'rise', 'parameters' => []], ['move' => 'pan', 'parameters' => ['turn_deg' => 90.0]]], 'sequence');
        self::assertSame(2, Combination::axesOf($plan->move));
        self::assertSame(2, Combination::levelOf($plan->move), 'one more than its hardest part');
        self::assertContains('height_m', Combination::decided($plan->move->intent, 1));
        self::assertSame([], Combination::decided($plan->move->intent, 0));
        $ids = array_map(static fn (Finding $one): string => $one->id, $plan->findings);
        self::assertContains('loses-subject', $ids, 'It turns away from what it began with.');
        $up = self::plan([
            ['move' => 'push-in', 'parameters' => []],
            ['move' => 'tilt', 'parameters' => ['tilt_start_deg' => -10.0, 'tilt_end_deg' => 20.0]],
        ], 'sequence');
        $sky = array_values(array_filter($up->findings, static fn (Finding $one): bool => $one->id === 'ends-in-sky'))[0] ?? null;
        self::assertNotNull($sky, 'It ends in the sky, and says so.');
        self::assertGreaterThan(0.6, $sky->value);
    }

    public function test_in_sequence_the_second_begins_as_the_first_dies(): void
    {
        $parts = [['move' => 'push-in'], ['move' => 'rise']];
        $plan = self::plan($parts, 'sequence');
        $seam = array_values(array_filter($plan->move->marks, static fn (Mark $mark): bool => $mark->kind === Mark::SEAM))[0];
        $flight = $plan->move->flight;
        $i = (int) round(($seam->t - 0.4) / 0.02);

        self::assertGreaterThan($flight->up[$i - 5], $flight->up[$i]);
        self::assertGreaterThan(0.005, $flight->position($i)->minus($flight->position($i - 5))->ground());
    }

    public function test_at_once_takes_as_long_as_the_longest(): void
    {
        $together = self::plan([['move' => 'rise'], ['move' => 'pan']], 'together')->move;
        $longest = max(self::alone('rise')->stop - self::alone('rise')->onset, self::alone('pan')->stop - self::alone('pan')->onset);

        self::assertEqualsWithDelta($longest, $together->stop - $together->onset, 0.1);
        self::assertGreaterThan(1.0, Statistics::greatest($together->flight->up) - Statistics::least($together->flight->up));
        self::assertGreaterThan(0.2, Statistics::greatest($together->flight->heading) - Statistics::least($together->flight->heading));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, string}> */
    public static function refused(): iterable
    {
        yield 'one' => [[['move' => 'rise']], 'parts'];
        yield 'four' => [array_fill(0, 4, ['move' => 'rise']), 'parts'];
        yield 'no such move' => [[['move' => 'rise'], ['move' => 'somersault']], 'parts'];
        yield 'a combination in a combination' => [[['move' => 'rise'], ['move' => 'combination']], 'parts'];
    }

    /** @param  list<array<string, mixed>>  $parts */
    #[DataProvider('refused')]
    public function test_what_cannot_be_joined_is_refused_at_its_place(array $parts, string $place): void
    {
        try {
            self::plan($parts, 'sequence');
            self::fail('That was joined.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString($place, $refusal->place);
        }
    }

    public function test_two_moves_of_the_same_finger_at_once_are_refused(): void
    {
        $this->expectException(Refusal::class);
        self::plan([['move' => 'rise'], ['move' => 'rise']], 'together');
    }

    public function test_combinations_of_axes_are_named_where_a_move_is(): void
    {
        self::assertContains('push-in', AxisCombinations::movesOf(['run' => 1]));
        self::assertContains('pull-away', AxisCombinations::movesOf(['climb' => 1, 'run' => -1, 'tilt' => -1]));
        self::assertContains('orbit', AxisCombinations::movesOf(['slide' => -1, 'turn' => 1]));
        self::assertNotContains('orbit', AxisCombinations::movesOf(['slide' => -1, 'turn' => -1]));
        foreach (AxisCombinations::all(false) as $one) {
            foreach ($one['moves'] as $id) {
                self::assertLessThanOrEqual(count($one['axes']), Catalogue::move($id)->about()->fingering->axes());
            }
        }
    }

    private static function alone(string $move): \Larkspur\Move\MovePlan
    {
        $document = self::document();
        $document['intent']['move'] = $move;

        return Planner::plan(Shot::read(Fields::of($document)))->move;
    }

    /** @param  list<array<string, mixed>>  $parts */
    private static function plan(array $parts, string $join): Plan
    {
        $document = self::document();
        $document['intent'] = [...$document['intent'], 'move' => 'combination', 'parts' => $parts, 'join' => $join];

        return Planner::plan(Shot::read(Fields::of($document)));
    }

    /** @return array<string, mixed> */
    private static function document(): array
    {
        $document = Shots::document();
        $document['intent']['camera'] = Rigs::all()['lapwing']['camera'];
        unset($document['intent']['parameters']);

        return $document;
    }
}
