<?php

declare(strict_types=1);

namespace Tests\Checks;

use Demo\Rigs;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Fingering\AxisCombinations;
use Larkspur\Training\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Which fingers the trade plays each move with, which way, and how hard it holds the move to be: common practice, no
 * published source. Signs are the finger's own: climb up, turn right, run ahead, slide right, tilt up.
 */
final class MoveMatrixTest extends TestCase
{
    /**
     * "+" and "-" a way, "*" either way, "x" against another of the same move; a finger in brackets may rest.
     *
     * @return iterable<string, array{string, string, int}>
     */
    public static function matrix(): iterable
    {
        $rows = [
            ['push-in', 'run+', 1], ['straight-back', 'run-', 1], ['lateral-dolly', 'slide*', 1], ['rise', 'climb+', 1],
            ['sink', 'climb-', 1],
            ['pan', 'turn*', 1], ['tilt', 'tilt*', 2], ['locked-off', '', 1], ['top-down-spin', 'turn*', 2],
            ['top-down-helix', 'climb* turn*', 3],
            ['skim', 'climb+ run+', 2], ['diagonal-dolly', 'run* slide*', 2], ['rise-and-advance', 'climb+ run+', 2],
            ['sink-and-retreat', 'climb- run-', 2],
            ['ascent-late-tilt', 'climb+ run+ tilt-', 3], ['rise-and-rotate', 'climb+ turn*', 2], ['lift-and-tilt', 'climb+ tilt-', 2],
            ['drop-and-tilt', 'climb- tilt+', 3],
            ['sideways-crane', 'climb* slide*', 2], ['ground-to-horizon', '(climb+) run+ tilt+', 3],
            ['reverse-tilt-up', '(climb+) run- tilt+', 3],
            ['reverse-tilt-down', '(climb+) run- tilt-', 3], ['over-the-edge', 'run+ tilt-', 3], ['fly-over', 'run+ tilt-', 4],
            ['low-tilt-up', '(run+) tilt+', 2],
            ['slide-with-pan', 'turn* slide*', 3], ['run-and-lift', 'climb+ run+', 3], ['backward-with-pan', 'turn* run- (tilt*)', 4],
            ['curved-retreat', 'turn* run- slide*', 4],
            ['rise-slide-turn', 'climb+ turn* slide*', 4], ['orbit', 'turn* (run+) slide*', 3],
            ['climbing-orbit', 'climb* turn* slide* (tilt*) (run*)', 4],
            ['reveal-orbit', 'turn* run- slide* tilt+ (climb*)', 5], ['reveal-orbit-reversed', '(climb-) turn* run+ slide* tilt-', 5],
            ['gap', 'run+', 4], ['side-track', 'slide*', 2], ['follow', 'run+', 2], ['chase', '(turn*) run+ (tilt*)', 3],
            ['overtake', 'run+ (tilt*)', 4], ['head-on', 'run+ (tilt*)', 4],
            ['lead', '(climb-) run-', 4], ['pull-away', 'climb+ run- tilt-', 4], ['push-in-from-high', 'climb- run+ tilt+', 4],
            ['sink-to-horizon', 'climb- run+ tilt+', 5], ['sink-turn-tilt', 'climb- turn* run+ tilt-', 5],
            ['rise-turn-tilt', 'climb+ turn* tilt+', 5],
            ['back-rise-tilt', 'climb+ run- tilt+', 3], ['climbing-orbit-with-tilt', 'climb* turn* slide* tilt* (run*)', 5],
        ];
        foreach ($rows as [$id, $fingers, $level]) {
            yield $id => [$id, $fingers, $level];
        }
    }

    #[DataProvider('matrix')]
    public function test_the_sheet_presses_the_fingers_of_the_trade_their_way(string $id, string $fingers, int $level): void
    {
        $expected = [];
        foreach (array_filter(explode(' ', $fingers)) as $word) {
            $optional = $word[0] === '(';
            $word = trim($word, '()');
            $expected[substr($word, 0, -1)] = [substr($word, -1), $optional];
        }
        foreach (self::plan($id)->parts as $press) {
            [$way, $optional] = $expected[$press->finger->value] ?? ['0', true];
            if ($press->rests() || ($press->isTouch() && $optional)) {
                self::assertTrue($optional, "{$press->finger->value} rests");

                continue;
            }
            self::assertNotSame('0', $way, "{$press->finger->value} is pressed");
            if ($way !== '*') {
                self::assertSame($way, $press->peak > 0 ? '+' : '-', $press->finger->value);
            }
        }
    }

    #[DataProvider('matrix')]
    public function test_it_is_held_to_be_as_hard_as_the_trade_holds_it(string $id, string $fingers, int $level): void
    {
        self::assertEqualsWithDelta($level, Catalogue::move($id)->about()->level, 1.0);
    }

    #[DataProvider('matrix')]
    public function test_translation_leads_then_the_turn_then_the_wheel(string $id, string $fingers, int $level): void
    {
        $onsets = [];
        self::assertCount(5, self::plan($id)->parts);
        foreach (self::plan($id)->parts as $press) {
            if (! $press->rests() && ! $press->isTouch() && $press->onset !== null) {
                $onsets[$press->finger->rotates() ? $press->finger->value : 'way'][] = $press->onset;
            }
        }
        // A rise that turns, and a look up while turning, start as one.
        $way = min($onsets['way'] ?? [-INF]);
        foreach (['turn', 'tilt'] as $finger) {
            if (isset($onsets[$finger])) {
                self::assertGreaterThanOrEqual($way - 0.1, min($onsets[$finger]), $finger);
            }
        }
    }

    public function test_both_ways_round_the_thumbs_go_opposite(): void
    {
        foreach (['orbit', 'slide-with-pan', 'climbing-orbit', 'spiral-orbit', 'reveal-orbit'] as $id) {
            foreach (['clockwise' => 1, 'counterclockwise' => -1] as $direction => $sign) {
                $plan = self::plan($id);
                $shot = $plan->shot->withIntent($plan->shot->intent->with(['direction' => $direction]));
                $holds = [];
                foreach (Planner::plan($shot)->parts as $press) {
                    $holds[$press->finger->value] = $press->peak;
                }
                self::assertSame(-$sign, ($holds['slide'] ?? 0.0) <=> 0.0, "$id $direction");
                self::assertSame($sign, ($holds['turn'] ?? 0.0) <=> 0.0, "$id $direction");
            }
        }
    }

    public function test_how_many_ways_there_are(): void
    {
        // 3^6 - 1 and 3^5 - 1; singles 6 x 2, doubles C(6,2) x 4, triples C(6,3) x 8 (counting).
        self::assertCount(728, AxisCombinations::all(true));
        self::assertCount(242, AxisCombinations::all(false));
        self::assertSame([1 => 12, 2 => 60, 3 => 160, 4 => 240, 5 => 192, 6 => 64], AxisCombinations::counts(true));
        self::assertSame([1 => 10, 2 => 40, 3 => 80, 4 => 80, 5 => 32], AxisCombinations::counts(false));
    }

    private static function plan(string $id): Plan
    {
        static $plans = [];

        return $plans[$id] ??= Lesson::planned($id, Rigs::all()['lapwing'], 'standard', Rigs::all()['lapwing']['camera']);
    }
}
