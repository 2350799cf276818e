<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Fact;
use Larkspur\Training\HouseStyle;
use Larkspur\Training\Ladder\Climb;
use Larkspur\Training\Ladder\StepRecord;
use Larkspur\Training\Ladder\Templates;
use Larkspur\Training\Next\Activity;
use Larkspur\Training\Next\Assignment;
use Larkspur\Training\Next\Circumstances;
use Larkspur\Training\Next\Suggestion;
use Larkspur\Training\Next\WhatNext;
use Larkspur\Training\PastTake;
use Larkspur\Training\Standing\Standing;
use PHPUnit\Framework\TestCase;

final class WhatNextTest extends TestCase
{
    private const TODAY = 100.5;

    public function test_nobody_who_has_never_flown_is_sent_further_than_a_hover(): void
    {
        $next = $this->next([]);

        self::assertSame(['first', 'hover'], [$next['said'][0]->kind, $next['said'][0]->move]);
        self::assertSame(Activity::Fly, $next['said'][0]->activity);
    }

    public function test_what_the_trainer_set_comes_first_and_late_ones_before_others(): void
    {
        $set = [
            new Assignment(3, Fact::name('Lesson of May'), 'pan', Activity::Fly, 9.0),
            new Assignment(4, Fact::name('Lesson of June'), 'rise', Activity::Fly, -2.0),
        ];
        $next = $this->next($this->hovers(6), assignments: $set);

        self::assertSame(['lesson-4', 'lesson-3'], array_map(static fn (Suggestion $one): string => $one->about, $next['said']));
        self::assertSame('next.set-and-late', $next['said'][0]->evidence[0]->code);
    }

    public function test_after_a_break_a_move_that_went_well_is_found_again_slowly(): void
    {
        $takes = [StandingTest::take(1, 70.0, 'pan', 91.0), StandingTest::take(2, 71.0, 'orbit', 60.0)];
        $said = $this->next($takes)['said'][0];

        self::assertSame(['come-back', 'pan', 'slow'], [$said->kind, $said->move, $said->setting['mode']]);
    }

    public function test_a_stuck_finger_is_named_with_where_it_shows_most(): void
    {
        $takes = [];
        for ($k = 0; $k < 24; $k++) {
            $takes[] = StandingTest::take($k, 60.0 + 1.6 * $k, $k % 2 === 0 ? 'tilt' : 'rise', 85.0, fingers: [
                'tilt' => $k % 2 === 0 ? 68.0 + $k % 3 : null, 'climb' => 96.0,
            ]);
        }
        $standings = ['tilt' => Standing::of(array_map(
            static fn (PastTake $take): array => [$take->day, (float) $take->mark('tilt'), 20.0],
            array_values(array_filter($takes, static fn (PastTake $take): bool => $take->mark('tilt') !== null)),
        )) ?? throw new \LogicException];

        $field = $this->next($takes, standings: $standings)['said'][0];
        self::assertSame(['stuck', 'tilt', 'tilt', Activity::Fly], [$field->kind, $field->about, $field->move, $field->activity]);
        self::assertSame('next.stands-still', $field->evidence[0]->code);
        $desk = $this->next($takes, standings: $standings, now: new Circumstances(Circumstances::DESK))['said'][0];
        self::assertSame(Activity::Rehearse, $desk->activity, 'At a desk a finger is trained alone.');
    }

    public function test_who_flies_one_way_only_is_sent_the_other(): void
    {
        $takes = array_map(static fn (int $k): PastTake => StandingTest::take(
            $k, 80.0 + $k, 'orbit', 92.0, direction: 'counterclockwise',
        ), range(1, 12));
        $next = $this->next($takes);
        $other = array_values(array_filter(
            [...$next['said'], ...$next['weighed']], static fn (Suggestion $one): bool => $one->kind === 'other-way',
        ));

        self::assertSame('clockwise', $other[0]->setting['direction']);
        self::assertTrue(in_array($other[0], $next['said'], true));
        // A dolly has sides.
        $dollies = array_map(static fn (int $k): PastTake => StandingTest::take(
            $k, 80.0 + $k, 'lateral-dolly', 92.0, direction: 'left',
        ), range(1, 12));
        $sides = array_column([...$this->next($dollies)['said'], ...$this->next($dollies)['weighed']], 'setting', 'kind');
        self::assertSame(['side' => 'right'], $sides['other-way']);
    }

    public function test_not_today_is_an_answer_and_is_learnt_from(): void
    {
        $takes = $this->hovers(6);
        $first = $this->next($takes)['said'][0];

        $today = $this->next($takes, declined: [$first->key() => [self::TODAY]]);
        self::assertNotContains($first->key(), array_map(static fn (Suggestion $one): string => $one->key(), $today['said']));
        $tomorrow = $this->next($takes, declined: [$first->key() => [self::TODAY - 1]]);
        $same = array_values(array_filter(
            [...$tomorrow['said'], ...$tomorrow['weighed']], static fn (Suggestion $one): bool => $one->key() === $first->key(),
        ));
        self::assertEqualsWithDelta($first->weight / 2, $same[0]->weight ?? $first->weight / 2, 1e-9);
        $later = $this->next($takes, declined: [$first->key() => [self::TODAY - 20]]);
        self::assertSame($first->key(), $later['said'][0]->key());
    }

    public function test_a_fault_that_keeps_coming_is_looked_for_where_nothing_flies(): void
    {
        $takes = array_map(static fn (int $k): PastTake => StandingTest::take(
            $k, 90.0 + $k, 'pan', 92.0, faults: $k % 2 === 0 ? ['flick-stop'] : [],
        ), range(1, 8));
        $all = $this->next($takes, now: new Circumstances(Circumstances::DESK));
        $fault = array_values(array_filter(
            [...$all['said'], ...$all['weighed']], static fn (Suggestion $one): bool => $one->kind === 'fault',
        ));

        self::assertSame([Activity::Spot, 'flick-stop'], [$fault[0]->activity, $fault[0]->about]);
    }

    public function test_what_automation_flew_is_nobodys_fault_and_no_practice(): void
    {
        $automated = array_map(static fn (int $k): PastTake => StandingTest::take(
            $k, 90.0 + $k, 'pan', 60.0, faults: ['kick'], automated: true,
        ), range(1, 8));
        $next = $this->next($automated);

        self::assertSame('first', $next['said'][0]->kind);
        $kinds = array_map(static fn (Suggestion $one): string => $one->kind, [...$next['said'], ...$next['weighed']]);
        self::assertNotContains('fault', $kinds);
    }

    public function test_a_school_that_leaves_the_slow_mode_to_each_asks_for_none(): void
    {
        $takes = array_map(static fn (int $k): PastTake => StandingTest::take($k, 90.0 + $k, 'tilt', 70.0), range(1, 6));
        $climb = Climb::of(Templates::of(Templates::FOUNDATION), $takes, ['to-centre' => new StepRecord(signedDay: 90.0)], self::TODAY);
        $kinds = static function (HouseStyle $style) use ($takes, $climb): array {
            $next = WhatNext::of($takes, $climb, [], [], [], [], new Circumstances(Circumstances::FIELD), self::TODAY, $style);

            return array_map(static fn (Suggestion $one): string => $one->kind, [...$next['said'], ...$next['weighed']]);
        };

        self::assertContains('slow', $kinds(new HouseStyle));
        self::assertNotContains('slow', $kinds(new HouseStyle(slow: false)));
    }

    public function test_only_one_thing_is_said_of_a_move_and_never_more_than_two(): void
    {
        $takes = array_map(static fn (int $k): PastTake => StandingTest::take(
            $k, 80.0 + $k, 'tilt', 60.0, faults: ['flick-stop'], direction: '',
        ), range(1, 12));
        $next = $this->next($takes);

        self::assertLessThanOrEqual(2, count($next['said']));
        self::assertSame(
            count($next['said']), count(array_unique(array_map(static fn (Suggestion $one): string => $one->move, $next['said']))),
        );
        $weights = array_map(static fn (Suggestion $one): float => $one->weight, $next['weighed']);
        $sorted = $weights;
        rsort($sorted);
        self::assertSame($sorted, $weights);
    }

    public function test_a_shot_of_the_move_goes_along(): void
    {
        $next = WhatNext::of(
            [], Climb::of(Templates::of(Templates::FOUNDATION), [], [], self::TODAY), [], [], [], ['hover' => 31],
            new Circumstances(Circumstances::FIELD), self::TODAY,
        );

        self::assertSame(31, $next['said'][0]->shot);
    }

    public function test_wind_battery_and_dark_keep_it_on_the_ground(): void
    {
        $field = static fn (?float $gust, ?float $battery, ?float $light): ?string => (new Circumstances(
            Circumstances::FIELD, $gust, $battery, $light, 8.0,
        ))->grounded()?->code;

        self::assertNull($field(8.0, 8.0, 8.0));
        self::assertNull($field(null, null, null));
        self::assertSame('next.grounded.gust', $field(8.1, null, null));
        self::assertSame('next.grounded.battery', $field(0.0, 0.0, null));
        self::assertSame('next.grounded.dark', $field(0.0, null, 0.0));
        self::assertNull((new Circumstances(Circumstances::HALL, 20.0, null, 0.0))->grounded(), 'A hall has neither wind nor dusk.');
        self::assertSame(Activity::Practise, (new Circumstances(Circumstances::HALL))->activityFor('orbit'));
        self::assertSame(Activity::Fly, (new Circumstances(Circumstances::HALL))->activityFor('nose-in-bay'));
    }

    /** @return list<PastTake> */
    private function hovers(int $count): array
    {
        return array_map(static fn (int $k): PastTake => StandingTest::take($k, 94.0 + $k, 'hover', 70.0), range(1, $count));
    }

    /**
     * @param  list<PastTake>  $takes
     * @param  array<string, Standing>  $standings
     * @param  list<Assignment>  $assignments
     * @param  array<string, list<float>>  $declined
     * @return array{said: list<Suggestion>, weighed: list<Suggestion>}
     */
    private function next(
        array $takes, array $standings = [], array $assignments = [], array $declined = [], ?Circumstances $now = null,
    ): array {
        $climb = Climb::of(Templates::of(Templates::FOUNDATION), $takes, ['hover' => new StepRecord], self::TODAY);

        return WhatNext::of(
            $takes, $climb, $standings, $assignments, $declined, [], $now ?? new Circumstances(Circumstances::FIELD), self::TODAY,
        );
    }
}
