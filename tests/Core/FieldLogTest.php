<?php

declare(strict_types=1);

namespace Tests\Core;

use Larkspur\Fields;
use Larkspur\FlightDay\FieldEntry;
use Larkspur\FlightDay\FieldLog;
use Larkspur\FlightDay\PassTakes;
use Larkspur\Measure\SeededNoise;
use Larkspur\Refusal;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** What holds after two devices have worked apart: nothing lost, nothing twice, and every disagreement said. */
final class FieldLogTest extends TestCase
{
    public function test_the_order_in_which_entries_arrive_changes_nothing(): void
    {
        $entries = [
            self::tick('a', 'bag-cards', 10, 900, 'tablet', true), self::tick('b', 'bag-cards', 20, 900, 'tablet', false),
            self::tick('c', 'bag-cards', 30, 900, 'tablet', true),
            self::pass('d', 7, 1, 40, 900, 'tablet', 'kept', 'wind up'), self::pass('e', 7, 2, 50, 900, 'phone', 'dropped'),
            self::battery('f', 1, 60, 900, 'tablet', true), self::battery('g', 1, 360, 900, 'tablet', false),
            self::battery('h', 1, 500, 900, 'tablet', true),
        ];
        $expected = FieldLog::of($entries);
        self::assertTrue($expected->ticks['bag-cards']['on']);
        self::assertSame(300.0, $expected->batteries['battery-1']['flown']);
        self::assertTrue($expected->batteries['battery-1']['running']);
        self::assertSame([], $expected->conflicts);
        $noise = new SeededNoise(4);
        for ($k = 0; $k < 30; $k++) {
            // Some arrive twice, all in another order.
            $mixed = [...$entries, ...array_slice($entries, 0, 3)];
            for ($i = count($mixed) - 1; $i > 0; $i--) {
                $j = (int) $noise->between(0, $i + 0.999);
                [$mixed[$i], $mixed[$j]] = [$mixed[$j], $mixed[$i]];
            }
            self::assertEquals($expected, FieldLog::of(array_values($mixed)));
        }
        self::assertSame(1, FieldLog::of($entries)->flown('shot-7'), 'a pass that was dropped has to be flown again');
        self::assertSame(0, FieldLog::of($entries)->flown('shot-8'));
    }

    public function test_a_landing_opens_what_holds_for_one_take_off_and_nothing_else(): void
    {
        $before = [
            self::tick('a', 'sweep-people', 10, 11, 'tablet', true), self::tick('b', 'air-hover', 20, 21, 'tablet', true),
            self::tick('c', 'ground-home', 30, 31, 'tablet', true), self::battery('d', 1, 40, 41, 'tablet', true),
        ];
        self::assertSame(['sweep-people', 'air-hover', 'ground-home'], array_keys(FieldLog::of($before)->ticks));
        $landed = [...$before, self::battery('e', 1, 640, 641, 'tablet', false)];
        self::assertSame(['ground-home'], array_keys(FieldLog::of($landed)->ticks));
        $again = FieldLog::of([...$landed, self::tick('f', 'sweep-people', 700, 701, 'phone', true)]);
        self::assertTrue($again->ticks['sweep-people']['on']);
        self::assertSame([], $again->conflicts, 'looked over for another take-off is no disagreement');
    }

    public function test_two_who_did_not_know_of_one_another_are_a_conflict_and_the_later_stands(): void
    {
        $log = FieldLog::of([
            self::tick('a', 'ground-home', 10, 500, 'tablet', true, 'Tobias'),
            self::tick('b', 'ground-home', 100, 600, 'phone', false, 'Ines'),
        ]);
        self::assertFalse($log->ticks['ground-home']['on']);
        self::assertCount(1, $log->conflicts);
        self::assertStringContainsString('Tobias took it as done, Ines took it back', said($log->conflicts[0]['text']));

        $knew = FieldLog::of([
            self::tick('a', 'ground-home', 10, 50, 'tablet', true), self::tick('b', 'ground-home', 100, 600, 'phone', false),
        ]);
        self::assertSame([], $knew->conflicts, 'the first had arrived before the second was made');
        $agree = FieldLog::of([
            self::tick('a', 'ground-home', 10, 500, 'tablet', true), self::tick('b', 'ground-home', 100, 600, 'phone', true),
        ]);
        self::assertSame([], $agree->conflicts);
    }

    public function test_a_pass_that_two_entered_is_kept_twice_and_said(): void
    {
        $log = FieldLog::of([
            self::pass('a', 3, 2, 10, 500, 'tablet', 'kept', '', 'Tobias'), self::pass('b', 3, 2, 12, 500, 'phone', 'dropped', '', 'Ines'),
        ]);
        self::assertCount(2, $log->passes['shot-3']);
        self::assertStringContainsString('Both are kept', said($log->conflicts[0]['text']));
    }

    public function test_what_is_to_be_flown_again_is_not_done_and_a_pass_is_set_right(): void
    {
        $entries = [
            self::pass('a', 7, 1, 40, 41, 'tablet', 'again'), self::pass('b', 7, 2, 50, 51, 'tablet', 'kept'),
            self::pass('c', 7, 3, 60, 61, 'tablet', 'kept'),
        ];
        self::assertSame(2, FieldLog::of($entries)->flown('shot-7'));
        $taken = FieldLog::of([...$entries, self::correction('d', 'c', 70)]);
        self::assertSame(['a', 'b'], array_column($taken->passes['shot-7'], 'uuid'));
        $right = FieldLog::of([self::correction('e', 'a', 80, 'kept'), ...$entries, self::correction('d', 'a', 70)]);
        self::assertSame(['kept', 'kept', 'kept'], array_column($right->passes['shot-7'], 'verdict'), 'The later word holds.');
        try {
            FieldEntry::read('u', Fields::of(['kind' => 'correction', 'item' => 'shot-1', 'payload' => []]), 0, 0, 'd', 'b');
            self::fail('A correction of nothing.');
        } catch (Refusal $refusal) {
            self::assertSame('payload.of', $refusal->place);
        }
    }

    public function test_a_pass_is_the_take_of_its_shot_that_was_flown_just_before(): void
    {
        $log = FieldLog::of([
            self::pass('a', 7, 1, 1000, 1001, 'tablet', 'kept'), self::pass('b', 7, 2, 1300, 1301, 'tablet', 'kept'),
            self::pass('c', 7, 3, 1320, 1321, 'tablet', 'again'), self::pass('d', 8, 1, 5000, 5001, 'tablet', 'kept'),
        ]);
        // Take 3 began after its pass by the craft's clock; 4 is a quarter of an hour and more before; 5 is of another shot.
        $flown = ['shot-7' => [1 => 900.0, 2 => 1250.0, 3 => 1370.0, 4 => 50.0], 'shot-8' => [5 => 4000.0], 'shot-9' => [6 => 4990.0]];
        self::assertSame(['a' => 1, 'b' => 2, 'c' => 3], PassTakes::match($log, $flown));
        self::assertSame([], PassTakes::match($log, []));
    }

    public function test_whoever_knows_both_settles_it(): void
    {
        $differ = [
            self::tick('a', 'ground-home', 10, 500, 'tablet', true, 'Tobias'),
            self::tick('b', 'ground-home', 100, 600, 'phone', false, 'Ines'),
        ];
        // The phone has sent, but does not have what the tablet said yet.
        self::assertCount(1, FieldLog::of([...$differ, self::tick('c', 'ground-home', 550, 551, 'phone', true, 'Ines')])->conflicts);
        $settled = FieldLog::of([...$differ, self::tick('c', 'ground-home', 610, 611, 'phone', true, 'Ines')]);
        self::assertSame([], $settled->conflicts);
        self::assertTrue($settled->ticks['ground-home']['on']);
        $twice = [
            self::pass('a', 3, 2, 10, 500, 'tablet', 'kept', '', 'Tobias'), self::pass('b', 3, 2, 12, 500, 'phone', 'dropped', '', 'Ines'),
        ];
        self::assertSame([], FieldLog::of([...$twice, self::correction('c', 'b', 700, null, 3)])->conflicts);
        $both = FieldLog::of([...$twice, self::correction('c', 'b', 700, 'dropped', 3)]);
        self::assertSame([[], [2, 3]], [$both->conflicts, array_column($both->passes['shot-3'], 'number')], 'Both were flown.');
    }

    private static function correction(string $uuid, string $of, float $made, ?string $verdict = null, ?int $number = null): FieldEntry
    {
        return FieldEntry::read($uuid, Fields::of([
            'kind' => 'correction', 'item' => 'shot-3',
            'payload' => array_filter(
                ['of' => $of, 'verdict' => $verdict, 'number' => $number], static fn (mixed $one): bool => $one !== null,
            ),
        ]), $made, $made + 1, 'tablet', 'Tobias');
    }

    /** Whoever forgets to press, or presses late, says afterwards what was flown: no clock knows that. */
    public function test_the_time_of_a_battery_can_be_set_right(): void
    {
        $entries = [
            self::battery('a', 1, 0, 1, 'tablet', true), self::battery('b', 1, 4000, 4001, 'tablet', false),
            self::battery('c', 1, 4010, 4011, 'phone', false, 840.0), self::battery('d', 1, 5000, 5001, 'tablet', true),
            self::battery('e', 1, 5060, 5061, 'tablet', false), self::battery('f', 2, 100, 101, 'tablet', false, 300.0),
        ];
        foreach ([$entries, array_reverse($entries)] as $any) {
            $log = FieldLog::of($any);
            self::assertSame(900.0, $log->batteries['battery-1']['flown']);
            self::assertSame(['running' => false, 'since' => null, 'flown' => 300.0], $log->batteries['battery-2']);
        }
        // One that is in the air has landed by that, and the sweep is looked over anew.
        $air = FieldLog::of([
            self::tick('a', 'sweep-wires', 0, 1, 'tablet', true), self::battery('b', 1, 10, 11, 'tablet', true),
            self::battery('c', 1, 4000, 4001, 'tablet', false, 600.0),
        ]);
        self::assertSame(['running' => false, 'since' => null, 'flown' => 600.0], $air->batteries['battery-1']);
        self::assertArrayNotHasKey('sweep-wires', $air->ticks);
        // Two who say different times without knowing of one another: told, and settled by whoever knows both.
        $two = [
            self::battery('a', 1, 10, 11, 'tablet', true), self::battery('b', 1, 600, 601, 'tablet', false),
            self::battery('c', 1, 700, 900, 'tablet', false, 480.0), self::battery('d', 1, 800, 850, 'phone', false, 540.0),
        ];
        $log = FieldLog::of($two);
        self::assertSame(540.0, $log->batteries['battery-1']['flown']);
        self::assertSame(
            ['Tobias says that it has flown 8.0 min, Tobias says 9.0 min without knowing. The later stands.'],
            array_map(static fn (array $one): string => said($one['text']), $log->conflicts),
        );
        self::assertSame([], FieldLog::of([...$two, self::battery('e', 1, 950, 951, 'phone', false)])->conflicts);
        foreach ([-1.0, 14401.0] as $never) {
            try {
                self::battery('a', 1, 0, 1, 'tablet', false, $never);
                self::fail("$never s is no flight.");
            } catch (Refusal $refusal) {
                self::assertStringContainsString('flown_s', $refusal->place);
            }
        }
    }

    public function test_a_battery_begun_by_two_counts_from_the_first(): void
    {
        $log = FieldLog::of([
            self::battery('a', 2, 100, 900, 'tablet', true), self::battery('b', 2, 130, 900, 'phone', true),
            self::battery('c', 2, 400, 900, 'phone', false),
        ]);
        self::assertSame(300.0, $log->batteries['battery-2']['flown']);
        self::assertCount(1, $log->conflicts);
        self::assertSame(
            0.0, FieldLog::of([self::battery('a', 1, 100, 900, 'tablet', false)])->batteries['battery-1']['flown'],
            'ended without having begun',
        );
    }

    public function test_an_entry_is_about_something(): void
    {
        foreach ([
            ['kind' => 'pass', 'item' => 'shot-1', 'payload' => ['number' => 1]],
            ['kind' => 'pass', 'item' => 'shot-1', 'payload' => ['verdict' => 'kept']], ['kind' => 'tick', 'item' => '', 'payload' => []],
            ['kind' => 'wave', 'item' => 'x', 'payload' => []],
        ] as $bad) {
            try {
                FieldEntry::read('u', Fields::of($bad), 0, 0, 'd', 'b');
                self::fail(json_encode($bad, JSON_THROW_ON_ERROR));
            } catch (Refusal $refusal) {
                self::assertNotSame('', $refusal->place);
            }
        }
    }

    private static function tick(
        string $uuid, string $item, float $made, float $received, string $device, bool $on, string $by = 'Tobias',
    ): FieldEntry {
        return FieldEntry::read(
            $uuid, Fields::of(['kind' => 'tick', 'item' => $item, 'payload' => ['on' => $on]]), $made, $received, $device, $by,
        );
    }

    private static function pass(
        string $uuid, int $shot, int $number, float $made, float $received, string $device, string $verdict, string $note = '',
        string $by = 'Tobias',
    ): FieldEntry {
        return FieldEntry::read(
            $uuid,
            Fields::of([
                'kind' => 'pass', 'item' => "shot-$shot", 'payload' => ['number' => $number, 'verdict' => $verdict, 'note' => $note],
            ]),
            $made, $received, $device, $by,
        );
    }

    private static function battery(
        string $uuid, int $number, float $made, float $received, string $device, bool $on, ?float $flown = null,
    ): FieldEntry {
        return FieldEntry::read(
            $uuid, Fields::of([
                'kind' => 'battery', 'item' => "battery-$number",
                'payload' => ['on' => $on] + ($flown === null ? [] : ['flown_s' => $flown]),
            ]), $made, $received, $device, 'Tobias',
        );
    }
}
