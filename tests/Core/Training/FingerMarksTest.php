<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use Larkspur\Move\Catalogue;
use Larkspur\Training\FingerMarks;
use PHPUnit\Framework\TestCase;

final class FingerMarksTest extends TestCase
{
    public function test_a_finger_is_marked_where_the_move_plays_it(): void
    {
        self::assertSame(
            ['climb' => null, 'turn' => 100.0, 'run' => null, 'slide' => 100.0, 'tilt' => null], FingerMarks::of('orbit', []),
        );
    }

    public function test_faults_cost_the_finger_that_made_them(): void
    {
        $marks = FingerMarks::of('orbit', [['turn', 4.5], ['turn', 3.0], ['picture', 20.0], ['all', 9.0]]);

        self::assertEqualsWithDelta(92.5, $marks['turn'], 1e-9);
        self::assertSame(100.0, $marks['slide'], 'What the whole picture does is nobody’s.');
    }

    public function test_a_fault_along_the_path_is_charged_to_whoever_plays_it(): void
    {
        $orbit = FingerMarks::of('orbit', [['travel', 6.0]]);
        $push = FingerMarks::of('push-in', [['travel', 6.0]]);

        self::assertSame([94.0, null], [$orbit['slide'], $orbit['run']]);
        self::assertSame([null, 94.0], [$push['slide'], $push['run']]);
    }

    public function test_a_finger_that_should_rest_is_marked_only_where_it_leaked(): void
    {
        self::assertSame(95.0, FingerMarks::of('pan', [['climb', 5.0]])['climb']);
        self::assertNull(FingerMarks::of('pan', [])['climb']);
    }

    public function test_nothing_goes_below_nothing_in_any_move(): void
    {
        foreach (Catalogue::ids() as $move) {
            foreach (FingerMarks::of($move, [['turn', 80.0], ['turn', 80.0], ['travel', 200.0]]) as $finger => $mark) {
                self::assertTrue($mark === null || ($mark >= 0.0 && $mark <= 100.0), "$move $finger");
            }
        }
    }
}
