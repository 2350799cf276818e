<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Demo\Rigs;
use Larkspur\Geo\Position;
use Larkspur\Move\MovePlan;
use Larkspur\Practice\Course;
use Larkspur\Site\Solid;
use Larkspur\Training\Lesson;
use PHPUnit\Framework\TestCase;

/** What is laid out for a drill: in the middle of its circles, on either side of its gap, and not where the site has it already. */
final class CourseTest extends TestCase
{
    public function test_a_pole_stands_in_the_middle_of_each_circle(): void
    {
        foreach (['circle-fixed-heading' => 1, 'figure-of-eight' => 2] as $move => $count) {
            $plan = self::plan($move);
            $poles = Course::of($plan)->stands;
            self::assertCount($count, $poles, $move);
            $radius = (float) $plan->intent->number('radius_m');
            $middles = array_map(self::middle(...), $poles);
            foreach ($middles as $middle) {
                // Nowhere nearer than the circle is wide.
                $nearest = min(array_map(
                    static fn (int $k): float => hypot(
                        $plan->flight->position($k)->east - $middle[0], $plan->flight->position($k)->north - $middle[1],
                    ), range($plan->flight->indexAt($plan->onset), $plan->flight->indexAt($plan->stop), 10),
                ));
                self::assertEqualsWithDelta($radius, $nearest, 0.12 * $radius, $move);
            }
        }
        // The two circles of an eight lie on either side of its crossing, as far from it.
        $plan = self::plan('figure-of-eight');
        [$one, $other] = array_map(self::middle(...), Course::of($plan)->stands);
        $crossing = $plan->at($plan->marks[0]->t);
        $away = static fn (array $middle): float => hypot($middle[0] - $crossing->east, $middle[1] - $crossing->north);
        self::assertEqualsWithDelta($away($one), $away($other), 0.2);
        self::assertGreaterThan(1.6 * $away($one), hypot($one[0] - $other[0], $one[1] - $other[1]));
    }

    public function test_two_posts_are_as_far_apart_as_the_gap_is_wide_and_the_flight_goes_between(): void
    {
        $plan = self::plan('gap');
        $wide = (float) $plan->intent->number('gap_m');
        [$left, $right] = Course::of($plan)->stands;
        $between = min(array_map(static fn (Position $a): float => min(array_map(
            static fn (Position $b): float => hypot($a->east - $b->east, $a->north - $b->north), $right['ring'],
        )), $left['ring']));
        self::assertEqualsWithDelta($wide, $between, 0.01);
        $middle = [(self::middle($left)[0] + self::middle($right)[0]) / 2, (self::middle($left)[1] + self::middle($right)[1]) / 2];
        $nearest = min(array_map(static fn (int $k): float => hypot(
            $plan->flight->position($k)->east - $middle[0], $plan->flight->position($k)->north - $middle[1],
        ), range($plan->flight->indexAt($plan->onset), $plan->flight->indexAt($plan->stop))));
        self::assertLessThan(0.1, $nearest);
        self::assertGreaterThan($plan->at(($plan->onset + $plan->stop) / 2)->up, $left['top']);
        self::assertSame(['the left post of the gap', 'the right post of the gap'], [$left['name'], $right['name']]);
    }

    public function test_where_the_site_has_a_side_of_the_gap_no_post_is_set_beside_it(): void
    {
        $plan = self::plan('gap');
        [$left] = Course::of($plan)->stands;
        [$east, $north] = self::middle($left);
        $rock = Solid::box('rock', 'rock', new Position($east, $north, 0.0), 1.0, 1.0, 8.0);
        self::assertSame([], Course::of($plan, [$rock])->stands);
        $far = Solid::box('rock', 'rock', new Position($east + 60.0, $north, 0.0), 1.0, 1.0, 8.0);
        self::assertCount(2, Course::of($plan, [$far])->stands);
    }

    private static function plan(string $move): MovePlan
    {
        $rig = Rigs::all()['lapwing'];

        return Lesson::planned($move, $rig, 'standard', $rig['camera'])->move;
    }

    /**
     * @param  array{ring: non-empty-list<Position>}  $stand
     * @return array{float, float}
     */
    private static function middle(array $stand): array
    {
        $many = count($stand['ring']);

        return [
            array_sum(array_map(static fn (Position $at): float => $at->east, $stand['ring'])) / $many,
            array_sum(array_map(static fn (Position $at): float => $at->north, $stand['ring'])) / $many,
        ];
    }
}
