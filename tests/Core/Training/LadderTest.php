<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Fields;
use Larkspur\Move\Catalogue;
use Larkspur\Refusal;
use Larkspur\Training\Ladder\Climb;
use Larkspur\Training\Ladder\Criterion;
use Larkspur\Training\Ladder\Evidence;
use Larkspur\Training\Ladder\Ladder;
use Larkspur\Training\Ladder\Step;
use Larkspur\Training\Ladder\StepRecord;
use Larkspur\Training\Ladder\StepState;
use Larkspur\Training\Ladder\Templates;
use Larkspur\Training\PastTake;
use Larkspur\Training\Repetition;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LadderTest extends TestCase
{
    public function test_the_three_orders_hold_every_move_and_keep_their_names(): void
    {
        $ids = null;
        foreach (Templates::ALL as $order) {
            $ladder = Templates::of($order);
            $moves = array_merge(...array_map(static fn (Step $step): array => $step->moves, array_values($ladder->steps)));
            self::assertSame([], array_values(array_diff(Catalogue::ids(), $moves)), $order);
            $ids ??= array_keys($ladder->steps);
            self::assertSame($ids, array_keys($ladder->steps), 'A sign-off outlives a change of order.');
            $again = Ladder::read(Fields::of(json_decode((string) json_encode($ladder->toArray()), true)));
            self::assertEquals($ladder, $again);
        }
    }

    public function test_in_the_order_of_axes_a_step_needs_nothing_with_more_axes(): void
    {
        $ladder = Templates::of(Templates::AXES);
        $axes = static fn (Step $step): int => min(array_map(
            static fn (string $move): int => max(1, Catalogue::move($move)->about()->fingering->axes()), $step->moves,
        ));
        $first = $ladder->steps['two-straight'];
        foreach ($first->needs as $need) {
            self::assertSame(1, $axes($ladder->steps[$need]), $need);
        }
        foreach ($ladder->steps['three-at-once']->needs as $need) {
            self::assertLessThanOrEqual(3, $axes($ladder->steps[$need]), $need);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        $step = static fn (string $id, array $more = [], array $criterion = []): array => [
            'id' => $id, 'moves' => ['pan'], 'level' => 1, 'needs' => [],
            'criterion' => ['score' => 80, 'passes' => 3, 'of' => 4, 'days' => 2, ...$criterion], ...$more,
        ];
        yield 'no step' => [['steps' => []], 'steps'];
        yield 'a circle' => [['steps' => [$step('a', ['needs' => ['b']]), $step('b', ['needs' => ['c']]), $step('c', ['needs' => ['a']])]],
            'steps.0.needs'];
        yield 'itself' => [['steps' => [$step('a', ['needs' => ['a']])]], 'steps.0.needs'];
        yield 'a need that is not there' => [['steps' => [$step('a', ['needs' => ['b']])]], 'steps.0.needs.0'];
        yield 'two of one name' => [['steps' => [$step('a'), $step('a')]], 'steps.1.id'];
        yield 'an unknown move' => [['steps' => [$step('a', ['moves' => ['pan', 'loop-the-loop']])]], 'steps.0.moves.1'];
        yield 'more passes than are looked at' => [['steps' => [$step('a', [], ['passes' => 5])]], 'steps.0.criterion.passes'];
        yield 'more days than passes' => [['steps' => [$step('a', [], ['days' => 4])]], 'steps.0.criterion.days'];
        yield 'two ways of what has one' => [['steps' => [$step('a', ['moves' => ['hover']], ['both_ways' => true])]],
            'steps.0.criterion.both_ways'];
        yield 'half a pass' => [['steps' => [$step('a', [], ['passes' => 2.5])]], 'steps.0.criterion.passes'];
        yield 'a score over a hundred' => [['steps' => [$step('a', [], ['score' => 101])]], 'steps.0.criterion.score'];
        yield 'help that nobody has' => [['steps' => [$step('a', [], ['without' => ['luck']])]], 'steps.0.criterion.without.0'];
    }

    /** @param  array<string, mixed>  $ladder */
    #[DataProvider('impossible')]
    public function test_a_ladder_that_nobody_can_climb_is_refused_where_it_is_wrong(array $ladder, string $place): void
    {
        try {
            Ladder::read(Fields::of($ladder));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
        }
    }

    public function test_a_pass_counts_where_it_holds_with_its_doubt_taken_off(): void
    {
        $criterion = new Criterion(score: 80, facets: ['ease' => 75.0]);
        $pass = static fn (float $score, float $doubt, ?float $ease): bool => Evidence::reaches(
            $criterion, StandingTest::take(1, 1.0, 'orbit', $score, uncertainty: $doubt, facets: ['ease' => $ease]),
        );

        self::assertTrue($pass(82.0, 2.0, 75.0));
        self::assertFalse($pass(82.0, 2.1, 75.0));
        self::assertFalse($pass(90.0, 1.0, 74.9));
        self::assertTrue($pass(90.0, 1.0, null), 'A petal that could not be seen says nothing against a pass.');
    }

    public function test_what_is_asked_is_asked_of_passes_that_count(): void
    {
        $criterion = new Criterion(
            score: 80, passes: 2, of: 3, days: 2, bothWays: true, slowToo: true, twoDistances: true, without: ['ghost'], ownWord: false,
        );
        $take = static fn (int $day, string $way, array $more = []): PastTake => StandingTest::take(
            $day, (float) $day, 'orbit', $more['score'] ?? 88.0,
            ...['direction' => $way, 'distance' => 20.0, ...array_diff_key($more, ['score' => 0])],
        );
        $missing = static fn (array $takes): array => array_map(
            static fn ($fact): string => $fact->code, Evidence::of($criterion, ['orbit'], array_values($takes))->missing,
        );
        $clean = [
            $take(1, 'clockwise'), $take(2, 'clockwise', ['mode' => 'slow']), $take(2, 'counterclockwise'),
            $take(3, 'counterclockwise', ['distance' => 27.0]),
        ];

        self::assertSame([], $missing($clean));
        self::assertSame(['step.missing.slow'], $missing(array_replace($clean, [1 => $take(2, 'clockwise')])));
        self::assertSame(['step.missing.distances'], $missing(array_replace($clean, [3 => $take(3, 'counterclockwise')])));
        self::assertContains('step.missing.passes-one-way', $missing([$clean[0], $clean[1]]));
        foreach ([['practised' => true], ['automated' => true], ['aids' => ['ghost']], ['uncertainty' => 9.0]] as $no) {
            self::assertContains('step.missing.passes-one-way', $missing(array_replace($clean, [0 => $take(1, 'clockwise', $no)])),
                json_encode($no) ?: '');
        }
        // Only the latest few are looked at: what went well long ago and badly since does not count.
        $since = [...$clean, ...array_map(
            static fn (int $day): PastTake => $take($day, 'clockwise', ['score' => 50.0]), [4, 5],
        )];
        self::assertSame(['step.missing.passes-one-way'], $missing($since));
    }

    public function test_a_step_goes_from_closed_to_signed_and_goes_stale(): void
    {
        $ladder = new Ladder([
            new Step('first', '', ['hover'], 1, [], new Criterion(passes: 2, of: 3, days: 1)),
            new Step('second', '', ['close-to-object'], 4, ['first'], new Criterion(passes: 2, of: 3, days: 1, signOff: true), true),
        ]);
        $clean = static fn (string $move): array => array_map(
            static fn (int $k): PastTake => StandingTest::take($k, $k / 10, $move, 95.0), [1, 2],
        );
        $state = static fn (array $takes, array $records, float $today = 1.0): array => array_map(
            static fn ($one): StepState => $one->state, Climb::of($ladder, array_values($takes), $records, $today),
        );
        $word = new StepRecord(word: true);

        self::assertSame(['first' => StepState::Open, 'second' => StepState::Closed], $state([], []));
        self::assertSame(StepState::Enough, $state($clean('hover'), [])['first']);
        self::assertSame(['first' => StepState::Settled, 'second' => StepState::Open], $state($clean('hover'), ['first' => $word]));
        $both = [...$clean('hover'), ...$clean('close-to-object')];
        self::assertSame(StepState::Enough, $state($both, ['first' => $word, 'second' => $word])['second']);
        $signed = ['first' => $word, 'second' => new StepRecord(word: true, signedDay: 0.5, supervisor: 'Ines')];
        self::assertSame(StepState::Signed, $state($both, $signed)['second']);
        self::assertSame(StepState::Stale, $state($both, $signed, 60.0)['second']);
        // Overruling: signed without a take.
        self::assertSame(StepState::Signed, $state([], ['second' => new StepRecord(signedDay: 0.5, overruled: true)])['second']);
        $second = Climb::of($ladder, $clean('hover'), ['first' => $word], 1.0)['second'];
        $codes = array_map(static fn ($fact): string => $fact->code, $second->missing);
        self::assertSame('step.missing.supervisor', $codes[0]);
        self::assertContains('step.missing.sign-off', $codes);
    }

    public function test_days_are_those_of_all_passes_that_count_and_not_of_the_latest_alone(): void
    {
        $criterion = new Criterion(passes: 3, of: 4, days: 2);
        $clean = static fn (int $id, float $day): PastTake => StandingTest::take($id, $day, 'pan', 95.0);
        $today = array_map(static fn (int $k): PastTake => $clean($k, 40.0 + $k / 100), [1, 2, 3, 4]);

        self::assertSame(['step.missing.days'], self::codes(Evidence::of($criterion, ['pan'], $today)->missing));
        $two = Evidence::of($criterion, ['pan'], [$clean(0, 12.0), ...$today]);
        self::assertSame([], $two->missing, 'Four on one day undo no other day.');
    }

    public function test_one_bad_day_closes_nothing_above_what_was_settled(): void
    {
        $ladder = new Ladder([
            new Step('first', '', ['pan'], 1, [], new Criterion(passes: 2, of: 3, days: 1)),
            new Step('second', '', ['tilt'], 2, ['first'], new Criterion(passes: 2, of: 3, days: 1)),
        ]);
        $takes = [
            StandingTest::take(1, 1.0, 'pan', 95.0), StandingTest::take(2, 1.1, 'pan', 95.0), StandingTest::take(3, 2.0, 'pan', 30.0),
            StandingTest::take(4, 2.1, 'pan', 30.0), StandingTest::take(5, 2.2, 'pan', 30.0),
        ];
        $states = static fn (array $records): array => array_map(
            static fn ($one): StepState => $one->state, Climb::of($ladder, $takes, $records, 3.0),
        );

        self::assertSame(['first' => StepState::Settled, 'second' => StepState::Open], $states(['first' => new StepRecord(word: true)]));
        self::assertSame(
            ['first' => StepState::InWork, 'second' => StepState::Closed], $states(['first' => new StepRecord]),
            'Doubt takes it back.',
        );
        self::assertFalse(Evidence::wasEverEnough(new Criterion(passes: 3, of: 3, days: 1), ['pan'], $takes));
    }

    public function test_practice_shows_nothing_again_where_a_craft_is_asked(): void
    {
        $ladder = new Ladder([new Step('first', '', ['pan'], 1, [], new Criterion(passes: 1, of: 1, days: 1))]);
        $takes = static fn (bool $practised): array => [
            StandingTest::take(1, 1.0, 'pan', 95.0), StandingTest::take(2, 100.0, 'pan', 95.0, practised: $practised),
        ];
        $state = static fn (array $flown): StepState => Climb::of(
            $ladder, array_values($flown), ['first' => new StepRecord(word: true)], 101.0,
        )['first']->state;

        self::assertSame(StepState::Settled, $state($takes(false)));
        self::assertSame(StepState::Stale, $state($takes(true)));
    }

    public function test_what_builds_on_a_step_shows_it_again(): void
    {
        $ladder = new Ladder([
            new Step('first', '', ['pan'], 1, [], new Criterion(passes: 1, of: 1, days: 1)),
            new Step('second', '', ['tilt'], 2, ['first'], new Criterion(passes: 1, of: 1, days: 1)),
        ]);
        $pan = StandingTest::take(1, 1.0, 'pan', 95.0);
        $state = static fn (PastTake ...$takes): StepState => Climb::of(
            $ladder, array_values($takes), ['first' => new StepRecord(word: true)], 101.0,
        )['first']->state;

        self::assertSame(StepState::Stale, $state($pan));
        self::assertSame(StepState::Settled, $state($pan, StandingTest::take(2, 100.0, 'tilt', 95.0)));
    }

    public function test_whose_turn_it_is_to_speak(): void
    {
        $ladder = new Ladder([
            new Step('plain', '', ['pan'], 1, [], new Criterion(passes: 1, of: 1, days: 1)),
            new Step('signed', '', ['pan'], 1, [], new Criterion(passes: 1, of: 1, days: 1, signOff: true)),
            new Step('guarded', '', ['pan'], 4, [], new Criterion(passes: 1, of: 1, days: 1, signOff: true), true),
        ]);
        $climb = static fn (array $records): array => Climb::of($ladder, [StandingTest::take(1, 1.0, 'pan', 95.0)], $records, 2.0);
        $word = new StepRecord(word: true);

        self::assertTrue($climb([])['plain']->waitsForWord());
        self::assertFalse($climb(['signed' => $word])['signed']->waitsForWord(), 'Now it is the trainer’s turn.');
        self::assertFalse($climb([])['signed']->lacksForSignOff());
        self::assertTrue($climb([])['guarded']->lacksForSignOff(), 'Nobody is named who stands by.');
        self::assertFalse($climb(['guarded' => new StepRecord(supervisor: 'Ines')])['guarded']->lacksForSignOff());
    }

    /**
     * @param  list<\Larkspur\Fact>  $facts
     * @return list<string>
     */
    private static function codes(array $facts): array
    {
        return array_map(static fn ($fact): string => $fact->code, $facts);
    }

    public function test_gaps_double_when_it_was_shown_in_time(): void
    {
        self::assertNull(Repetition::after([]));
        $after = static fn (float ...$days): Repetition => Repetition::after(array_values($days)) ?? throw new \LogicException;
        self::assertSame(4.0, $after(0.0)->due());
        self::assertSame(4.1, $after(0.0, 0.1)->due(), 'Twice on one day is once.');
        self::assertSame(12.0, $after(0.0, 4.0)->due());
        self::assertSame(28.0, $after(0.0, 4.0, 12.0)->due());
        self::assertSame(64.0, $after(0.0, 4.0, 12.0, 28.0, 60.0, 124.0, 190.0)->gap);
    }
}
