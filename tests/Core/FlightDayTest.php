<?php

declare(strict_types=1);

namespace Tests\Core;

use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\FlightDay\Batteries;
use Larkspur\FlightDay\Cautions;
use Larkspur\FlightDay\Checklist;
use Larkspur\FlightDay\Day;
use Larkspur\FlightDay\DayShot;
use Larkspur\FlightDay\FieldEntry;
use Larkspur\FlightDay\FieldLog;
use Larkspur\FlightDay\Gates;
use Larkspur\FlightDay\OrderSearch;
use Larkspur\FlightDay\ReturnHeight;
use Larkspur\FlightDay\Timetable;
use Larkspur\Geo\Position;
use Larkspur\Measure\SeededNoise;
use Larkspur\Refusal;
use Larkspur\Site\SunDay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Words\Speaker;

use function Tests\said;

/** Batteries, the order of shots against every order there is, the way home, lists and cautions. */
final class FlightDayTest extends TestCase
{
    public function test_takes_of_a_battery(): void
    {
        // The field guide's derived value: 30 min, 20 % reserve, 3 min transit, 2 min a take are 10 whole takes.
        self::assertSame(10, (new Batteries(1, 30.0))->takes(3.0, 2.0));
        self::assertSame(0, (new Batteries(1, 3.0))->takes(3.0, 2.0));
        self::assertSame(0.8 * 30 * 60, (new Batteries(1, 30.0))->usable());
    }

    public function test_what_a_battery_has_flown_is_gone_from_it(): void
    {
        $shot = static fn (int $id): DayShot => new DayShot($id, "shot $id", 95.0, 1, new Position(0, 0, 0), new Position(0, 0, 0));
        // 10 min with a fifth in reserve are 480 s; a hover of 12 s, then 120 s a pass with flying back: three passes a battery.
        $entry = static fn (string $uuid, string $item, float $made, bool $on): FieldEntry => new FieldEntry(
            $uuid, FieldEntry::BATTERY, $item, $made, $made, 'tablet', 'Tobias', $on,
        );
        $full = new Batteries(2, 10.0);
        $order = array_map($shot, range(1, 6));
        $day = static fn (Batteries $batteries): Day => new Day(1000.0, 20000.0, $batteries, $order);
        self::assertSame([1, 1, 1, 2, 2, 2], self::batteriesOf(Timetable::of($day($full), $order)));
        self::assertSame([3, 6, 6], [$day($full)->passesOfBattery(), $day($full)->passesCarried(), $day($full)->passes()]);
        $log = FieldLog::of([$entry('a', 'battery-1', 100, true), $entry('b', 'battery-1', 300, false)]);
        self::assertSame([200.0, 0.0], array_map($full->after($log, 1000.0)->flownOf(...), [0, 1]));
        self::assertSame([3, 5], [$day($full->after($log, 1000.0))->passesOfBattery(), $day($full->after($log, 1000.0))->passesCarried()]);
        self::assertSame([1, 1, 2, 2, 2], self::batteriesOf(Timetable::of($day($full->after($log, 1000.0)), $order)));
        // One that is in the air has flown until now; one that is empty is not taken, and costs no change.
        $up = FieldLog::of([$entry('a', 'battery-1', 500, true)]);
        $table = Timetable::of($day($full->after($up, 1000.0)), $order);
        self::assertSame([2, 2, 2], self::batteriesOf($table));
        self::assertSame(1012.0, $table->slots[0]['from']);
        self::assertSame(
            [true, true, true], array_map(static fn (array $one): bool => str_contains(said($one['why']), 'battery'), $table->left),
        );
    }

    /** @return list<int> which battery each stretch is on, from 1 */
    private static function batteriesOf(Timetable $table): array
    {
        return array_map(static fn (array $slot): int => $slot['battery'] + 1, $table->slots);
    }

    public function test_cold_takes_a_percent_a_degree_and_no_more_than_four_tenths(): void
    {
        self::assertSame(
            [1.0, 1.0, 0.9, 0.6, 0.6],
            array_map(static fn (float $t): float => (new Batteries(1, 20, 0.2, $t))->warmth(), [35.0, 20.0, 10.0, -20.0, -35.0]),
        );
    }

    /** @return iterable<string, array{callable(): mixed, string}> */
    public static function impossible(): iterable
    {
        yield 'no battery' => [static fn (): Batteries => Batteries::read(Fields::of(['count' => 0, 'minutes' => 20])), 'batteries.count'];
        yield 'an empty battery' => [static fn (): Batteries => new Batteries(2, 0.0), 'batteries.minutes'];
        yield 'nothing but reserve' => [static fn (): Batteries => new Batteries(2, 20.0, 0.95), 'batteries.reserve'];
        yield 'a day that ends first' => [static fn (): Day => new Day(100.0, 50.0, new Batteries(1, 20.0), []), 'to'];
    }

    /** @param  callable(): mixed  $ask */
    #[DataProvider('impossible')]
    public function test_what_can_t_be_is_refused_at_its_place(callable $ask, string $place): void
    {
        try {
            $ask();
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
            self::assertNotNull($refusal->expected);
        }
    }

    public function test_up_to_eight_shots_the_search_is_as_good_as_every_order_there_is(): void
    {
        foreach ([[3, 1, 1], [4, 2, 1], [5, 3, 2], [6, 4, 2], [6, 5, 1], [7, 6, 2], [7, 7, 3]] as [$count, $seed, $batteries]) {
            $day = self::day($count, $seed, $batteries);
            $best = null;
            foreach (self::orders($day->shots) as $order) {
                $worth = Timetable::of($day, $order)->worth();
                $best = $best === null || $worth > $best ? $worth : $best;
            }
            self::assertSame($best, OrderSearch::solve($day)->worth(), "$count shots, seed $seed");
        }
        $eight = self::day(8, 31, 2);
        $found = OrderSearch::solve($eight)->worth();
        $noise = new SeededNoise(1);
        for ($k = 0; $k < 4000; $k++) {
            $order = $eight->shots;
            for ($i = 7; $i > 0; $i--) {
                $j = (int) $noise->between(0, $i + 0.999);
                [$order[$i], $order[$j]] = [$order[$j], $order[$i]];
            }
            self::assertGreaterThanOrEqual(Timetable::of($eight, array_values($order))->worth(), $found);
        }
    }

    public function test_what_asks_for_no_light_is_not_flown_in_the_dark(): void
    {
        $at = new Position(20, 0, 10);
        $shots = [new DayShot(1, 'any', 60.0, 2, $at, $at), new DayShot(2, 'too many', 60.0, 9, $at, $at)];
        $day = new Day(0.0, 3600.0, new Batteries(4, 30.0), $shots, daylight: [[900.0, 1300.0]]);
        $table = Timetable::of($day, $shots);
        self::assertSame([1], array_map(static fn (array $slot): int => $slot['shot']->id, $table->slots));
        self::assertGreaterThanOrEqual(900.0, $table->slots[0]['from'], 'It waits for the dawn.');
        self::assertLessThanOrEqual(1300.0, $table->slots[0]['to']);
        self::assertSame('timetable.dark', $table->left[0]['why']->code);
        $unasked = Timetable::of(new Day(0.0, 3600.0, new Batteries(4, 30.0), $shots), $shots);
        self::assertCount(0, $unasked->left, 'Where nobody asked, any time will do.');
    }

    public function test_greed_alone_would_lose_a_shot(): void
    {
        // A long shot whose light comes first and lasts, a must-have whose light is short: by light alone the long one goes first.
        $at = new Position(20, 0, 10);
        $day = new Day(0.0, 3600.0, new Batteries(2, 30.0), [
            new DayShot(1, 'long', 200.0, 4, $at, $at, [[0.0, 1400.0]], false),
            new DayShot(2, 'short', 60.0, 2, $at, $at, [[100.0, 1500.0]], false, true),
            new DayShot(3, 'early', 100.0, 2, $at, $at, [[300.0, 1350.0]], false),
        ]);
        self::assertGreaterThan(OrderSearch::byLight($day)->worth(), OrderSearch::solve($day)->worth());
        self::assertSame(1, OrderSearch::solve($day)->worth()[0]);
    }

    public function test_a_long_day_is_never_worse_than_the_plain_order_by_light(): void
    {
        foreach ([51, 52, 53] as $seed) {
            $day = self::day(24, $seed, 6);
            $found = OrderSearch::solve($day);
            self::assertGreaterThanOrEqual(OrderSearch::byLight($day)->worth(), $found->worth());
            self::assertEquals($found->worth(), OrderSearch::solve($day)->worth(), 'the same day gives the same timetable');
        }
    }

    public function test_a_timetable_keeps_every_rule(): void
    {
        foreach (range(1, 12) as $seed) {
            $day = self::day(6 + $seed, 200 + $seed, 1 + $seed % 4);
            $table = OrderSearch::solve($day);
            $used = [];
            $last = $day->from;
            $battery = 0;
            $passes = [];
            foreach ($table->slots as $slot) {
                self::assertGreaterThanOrEqual($last - 1e-6, $slot['from']);
                self::assertGreaterThanOrEqual($battery, $slot['battery']);
                if ($slot['battery'] > $battery) {
                    self::assertGreaterThanOrEqual($last + $day->swap, $slot['from']);
                }
                [$last, $battery] = [$slot['to'], $slot['battery']];
                self::assertLessThanOrEqual($day->to, $slot['to'] + $day->back[$slot['shot']->id]);
                $used[$battery] = ($used[$battery] ?? 0.0) + $slot['to'] - $slot['from'];
                $passes[$slot['shot']->id] = ($passes[$slot['shot']->id] ?? 0) + $slot['passes'];
                if (! $slot['shot']->anyTime) {
                    self::assertNotEmpty(array_filter(
                        $slot['shot']->windows, static fn (array $w): bool => $slot['from'] >= $w[0] - 1e-6 && $slot['to'] <= $w[1] + 1e-6,
                    ));
                }
            }
            self::assertLessThan($day->batteries->count, max([-1, ...array_keys($used)]));
            foreach ($used as $seconds) {
                self::assertLessThanOrEqual($day->batteries->usable(), $seconds);
            }
            foreach ($day->shots as $shot) {
                $left = array_filter($table->left, static fn (array $one): bool => $one['shot']->id === $shot->id);
                self::assertSame(isset($passes[$shot->id]) ? 0 : 1, count($left), 'in or left, never both, never neither');
                self::assertSame($passes[$shot->id] ?? $shot->passes, $shot->passes, 'all of its passes or none');
            }
        }
    }

    public function test_what_does_not_fit_says_why_and_what_would(): void
    {
        $at = new Position(30, 0, 10);
        $why = static function (DayShot $shot, int $batteries = 1, float $to = 7200.0) use ($at): array {
            $table = OrderSearch::solve(new Day(
                0.0, $to, new Batteries($batteries, 20.0), [$shot, new DayShot(9, 'other', 60.0, 8, $at, $at, [], true, true)],
            ));
            self::assertCount(1, $table->left);

            return [$table->left[0]['why'], $table->left[0]['fits']];
        };
        [$text, $fits] = $why(new DayShot(1, 'blue', 30, 3, $at, $at, [], false));
        self::assertSame(['Its light does not come on this day.', 0], [said($text), $fits]);
        self::assertStringContainsString('Its light is over', said($why(new DayShot(1, 'dawn', 30, 3, $at, $at, [[0.0, 60.0]], false))[0]));
        [$text, $fits] = $why(new DayShot(1, 'more', 60.0, 6, $at, $at));
        self::assertSame('No battery is left for it.', said($text));
        self::assertGreaterThan(0, $fits);
        self::assertLessThan(6, $fits);
        self::assertStringContainsString('more than a battery has', said($why(new DayShot(1, 'endless', 2000.0, 1, $at, $at))[0]));
        self::assertSame(
            'The day ends first.', said($why(new DayShot(1, 'late', 60.0, 3, $at, $at, [[900.0, 9000.0]], false), 2, 1000.0)[0]),
        );
        self::assertSame('Gusts.', said($why(new DayShot(1, 'windy', 60.0, 3, $at, $at, cannot: Fact::name('Gusts.')))[0]));
    }

    public function test_a_planned_shot_is_asked_for_as_its_brief_and_the_day_say(): void
    {
        $plan = Planner::plan(Shot::read(Fields::of(Shots::document(['radius_m' => 20.0, 'height_m' => 10.0]))));
        $sun = SunDay::of('2027-05-18', $plan->shot->site->home);
        $asked = static fn (array $row, Brief $brief, int $flown = 0, bool $onlyMust = false): ?DayShot => DayShot::asked(
            7, 'Stones', $plan, $brief, Fields::of($row), $sun, $flown, $onlyMust,
        );

        $shot = $asked([], new Brief(passes: 4)) ?? self::fail('It is wanted.');
        self::assertSame([4, false, true, null], [$shot->passes, $shot->must, $shot->anyTime, $shot->cannot]);
        self::assertEqualsWithDelta($plan->move->flight->duration(), $shot->pass, 1e-9);
        // The day's own word goes before the brief's; what is flown is flown; and only musts are left where only they are wanted.
        self::assertSame(2, $asked(['passes' => 3], new Brief(passes: 4), 1)?->passes);
        self::assertTrue($asked(['must' => true], new Brief)?->must);
        self::assertNull($asked([], new Brief(passes: 2), 2));
        self::assertNull($asked([], new Brief, 0, true));
        self::assertNotNull($asked(['must' => true], new Brief, 0, true));
        // What can't be flown as planned says why.
        $wild = Planner::plan(Shot::read(Fields::of(Shots::document(['radius_m' => 60.0, 'pace_mps' => 20.0]))));
        self::assertStringStartsWith(
            'As planned it can’t be flown: ', said(DayShot::asked(8, 'Wild', $wild, new Brief, Fields::of([]), $sun, 0, false)?->cannot),
        );
        self::assertSame([1, false], [Batteries::assumed()->count, Batteries::assumed()->areCold()]);
        self::assertTrue((new Batteries(1, 20.0, 0.2, 2.0))->areCold());
    }

    public function test_a_shot_too_long_for_a_battery_is_split_between_passes(): void
    {
        $at = new Position(30, 0, 10);
        $table = OrderSearch::solve(new Day(0.0, 7200.0, new Batteries(3, 20.0), [new DayShot(1, 'long', 200.0, 8, $at, $at)]));
        self::assertSame([], $table->left);
        self::assertSame([4, 4], array_column($table->slots, 'passes'));
        self::assertSame([0, 1], array_column($table->slots, 'battery'));
        self::assertSame(1, $table->worth()[1]);
    }

    public function test_the_way_home_goes_over_the_tallest_thing_wires_included(): void
    {
        $plan = static fn (array $site): array => [
            ($planned = Planner::plan(Shot::read(Fields::of(Shots::document(
                ['radius_m' => 20.0, 'height_m' => 10.0], ['site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], ...$site]],
            )))))->shot->site,
            [$planned],
        ];
        // The subject stands 50 m north and 24 m east of take-off.
        $mast = [
            'id' => 'mast', 'name' => 'signal mast', 'shape' => 'cylinder', 'east_m' => 12, 'north_m' => 24, 'width_m' => 0.4,
            'height_m' => 21,
        ];
        $wire = [
            'id' => 'wire', 'name' => 'winch wire', 'shape' => 'wire', 'points' => [[-20, 30], [60, 30]], 'height_m' => 26, 'sag_m' => 1,
        ];
        $far = [
            'id' => 'far', 'name' => 'far tower', 'shape' => 'cylinder', 'east_m' => -80, 'north_m' => -60, 'width_m' => 3,
            'height_m' => 60,
        ];

        self::assertSame([15.0, null], [ReturnHeight::of(...$plan([]))->height, ReturnHeight::of(...$plan([]))->tallest]);
        self::assertSame(
            [36.0, 'signal mast'],
            [
                ReturnHeight::of(...$plan(['solids' => [$mast, $far]]))->height,
                ReturnHeight::of(...$plan(['solids' => [$mast, $far]]))->tallest,
            ],
        );
        self::assertSame(
            [41.0, 'winch wire'],
            [
                ReturnHeight::of(...$plan(['solids' => [$mast, $wire, $far]]))->height,
                ReturnHeight::of(...$plan(['solids' => [$mast, $wire]]))->tallest,
            ],
        );
        $hill = ReturnHeight::of(...$plan(['ground' => ['profile' => [[0, 0], [20, 30], [40, 0]], 'bearing_deg' => 25]]));
        self::assertEqualsWithDelta(45.0, $hill->height, 1.0);
        self::assertTrue(ReturnHeight::of(...$plan(['solids' => [$mast], 'ceiling_m' => 30]))->overCeiling);
        self::assertStringContainsString(
            'another place to take off', said(ReturnHeight::of(...$plan(['solids' => [$mast], 'ceiling_m' => 30]))->inShort()),
        );
    }

    public function test_lists_and_cautions_are_the_day_s_own(): void
    {
        $lists = Checklist::of(['Lapwing 250'], new Batteries(4, 22.0, 0.25, 2.0), ['ND16', 'ND64'], [5600], 37.0, true, false, true);
        $text = json_encode((new Speaker)->saidThroughout($lists), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        foreach ([
            '4 batteries', 'ND16, ND64', 'Lapwing 250', 'Return height 37 m', '5600 K', '10 to 15 s', 'Home point', 'set to stop',
            'Recording before moving', 'Gloves', '25 %',
        ] as $words) {
            self::assertStringContainsString($words, $text);
        }
        $ids = array_merge(...array_map(static fn (array $list): array => array_column($list['items'], 'id'), $lists));
        self::assertSame($ids, array_unique($ids));
        // The sweep is ticked one by one, and only what holds for one take-off is opened by a landing.
        self::assertSame(
            ['sweep-people', 'sweep-animals', 'sweep-aircraft', 'sweep-wires', 'sweep-behind', 'sweep-landing'],
            array_values(array_filter($ids, static fn (string $id): bool => str_starts_with($id, 'sweep-'))),
        );
        self::assertSame(
            ['sweep', 'air'], array_values(array_unique(array_map(
                static fn (string $id): string => explode('-', $id)[0], array_filter($ids, Checklist::isOfATakeOff(...)),
            ))),
        );
        $long = Checklist::of(['Lapwing 250'], new Batteries(1, 22.0), [], [], 37.0, false, false, false, 0, 12 * 61.0);
        self::assertStringContainsString('13 minutes of recording', (string) json_encode((new Speaker)->saidThroughout($long)));

        $plan = static fn (string $move, array $parameters, array $site = []) => Planner::plan(Shot::read(Fields::of([
            ...Shots::document([], ['site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], ...$site]]),
            'intent' => [...Shots::document()['intent'], 'move' => $move, 'parameters' => $parameters],
        ])));
        $back = $plan(
            'straight-back', [],
            ['solids' => [['id' => 'w', 'name' => 'the wire', 'shape' => 'wire', 'points' => [[200, 200], [220, 200]], 'height_m' => 6]]],
        );
        $cautions = Cautions::of($back->shot->site, [1 => ['title' => 'Away from it', 'plan' => $back]], new Batteries(2, 20.0, 0.2, -2.0));
        $by = array_column($cautions, null, 'id');
        self::assertSame(['Away from it'], $by['backward']['shots']);
        self::assertSame('ask.owner', $by['owner']['ask']->code);
        self::assertArrayHasKey('wire', $by);
        self::assertArrayHasKey('cold', $by);
        self::assertArrayNotHasKey('water', $by);
        self::assertSame('ask.authority', $by['airspace']['ask']->code);
    }

    /** What is seen to before anybody flies (common practice, no published source): asked where the day's own shots ask for it. */
    public function test_a_day_is_ready_when_nothing_that_binds_is_open(): void
    {
        $plan = static fn (string $move): Plan => Planner::plan(Shot::read(Fields::of([
            ...Shots::document(), 'intent' => [...Shots::document()['intent'], 'move' => $move, 'parameters' => []],
        ])));
        $shots = [1 => ['title' => 'Away from it', 'plan' => $plan('straight-back')]];
        $tick = static fn (string $item): FieldEntry => FieldEntry::read(
            "u-$item", Fields::of(['kind' => 'tick', 'item' => $item, 'payload' => ['on' => true]]), 10.0, 11.0, 'tablet', 'Tobias',
        );
        $ids = static fn (Gates $of): array => array_column($of->gates, 'id');
        $open = self::gates([], $shots);
        self::assertFalse($open->isReady());
        self::assertContains('behind', $ids($open), 'It flies backward.');
        self::assertNotContains('supervised', $ids($open));
        self::assertNotContains('purpose', $ids($open));
        self::assertContains('purpose', $ids(self::gates([], $shots, '')));
        self::assertContains('supervised', $ids(self::gates([], [...$shots, 2 => ['title' => 'Home', 'plan' => $plan('return-home')]])));
        // What is filled in is not said to be missing.
        $airspace = static fn (string ...$missing): string => said(array_column(
            self::gates([], $shots, 'Practice', array_values($missing))->gates, 'text', 'id',
        )['airspace']);
        self::assertStringContainsString('Not filled in for this day: the authority that was asked. Ask', $airspace('authority', 'owner'));
        self::assertStringNotContainsString('Not filled in', $airspace('owner'));
        $owner = static fn (Gates $of): string => array_column($of->gates, 'text', 'id')['owner']->code;
        self::assertSame(['gate.owner', 'gate.owner-missing'], [$owner($open), $owner(self::gates([], $shots, 'Practice', ['owner']))]);
        // Every one that binds is passed by whoever ticks it, in the list or here: a thing is ticked in one place.
        $passed = array_map($tick, ['gate-airspace', 'gate-owner', 'ground-return', 'ground-home', 'gate-caps', 'gate-people']);
        $ready = self::gates($passed, $shots);
        self::assertTrue($ready->isReady());
        self::assertSame('Tobias', array_column($ready->gates, 'passed', 'id')['home']['by'] ?? '');
        self::assertContains('behind', array_column($ready->open(), 'id'), 'What warns is still told.');
        self::assertSame('go', $ready->advised);
        $decided = FieldLog::of([FieldEntry::read(
            'd', Fields::of(['kind' => 'decision', 'item' => 'weather', 'payload' => ['choice' => 'wait', 'note' => 'a front']]),
            10.0, 11.0, 'tablet', 'Ines',
        )]);
        self::assertSame(['wait', 'a front', 'Ines'], array_slice(array_values($decided->decisions['weather']), 0, 3));
    }

    /**
     * @param  list<FieldEntry>  $entries
     * @param  non-empty-array<int, array{title: string, plan: Plan}>  $shots
     * @param  list<string>  $missing
     */
    private static function gates(array $entries, array $shots, string $purpose = 'Practice', array $missing = []): Gates
    {
        $plans = array_values(array_map(static fn (array $one): Plan => $one['plan'], $shots));
        $site = $plans[0]->shot->site;

        return Gates::of($purpose, $site, $shots, ReturnHeight::of($site, $plans), FieldLog::of($entries), Gates::BINDING, $missing);
    }

    private static function day(int $count, int $seed, int $batteries): Day
    {
        $noise = new SeededNoise($seed);
        $shots = [];
        for ($i = 1; $i <= $count; $i++) {
            $anyTime = $noise->between(0, 1) < 0.4;
            $from = $noise->between(0, 5) * 3600;
            $place = new Position($noise->between(-150, 150), $noise->between(-150, 150), $noise->between(5, 40));
            $shots[] = new DayShot(
                $i, "shot $i", $noise->between(20, 70), (int) $noise->between(2, 6), $place,
                $place->plus($noise->between(-30, 30), $noise->between(-30, 30), 0),
                $anyTime ? [] : [[$from, $from + $noise->between(0.15, 2) * 3600]], $anyTime, $noise->between(0, 1) < 0.3,
            );
        }

        return new Day(0.0, 7 * 3600.0, new Batteries($batteries, 22.0), $shots);
    }

    /**
     * Every order there is: each shot in front in turn, then every order of the rest.
     *
     * @param  list<DayShot>  $shots
     * @return iterable<list<DayShot>>
     */
    private static function orders(array $shots): iterable
    {
        if (count($shots) <= 1) {
            yield $shots;
        }
        foreach ($shots as $k => $shot) {
            if (count($shots) > 1) {
                $rest = $shots;
                array_splice($rest, $k, 1);
                foreach (self::orders($rest) as $order) {
                    yield [$shot, ...$order];
                }
            }
        }
    }
}
