<?php

declare(strict_types=1);

namespace Tests\Core\Move;

use Demo\Rigs;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\SubjectBrief;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Move\Catalogue;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Route;
use Larkspur\Move\Timing\Pace;
use Larkspur\Refusal;
use Larkspur\Training\FirstShot;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** The way of a subject: drawn with a ruler, gone as people go, the same for every move that keeps up with it. */
final class RouteTest extends TestCase
{
    /** Forty metres north, a stand of five seconds, thirty metres east. */
    private const WAY = [
        'points' => [[0.0, 40.0], [30.0, 40.0]], 'pace_mps' => 2.0, 'stops' => [['corner' => 1, 's' => 5.0]], 'cue' => 'the ferry’s horn',
    ];

    public function test_it_keeps_its_pace_stands_where_it_was_told_and_arrives(): void
    {
        $way = self::way(self::WAY);
        $pace = static fn (float $t): float => $way->at($t + 0.5)->minus($way->at($t - 0.5))->ground();

        self::assertEqualsWithDelta(0.0, $way->at(2.0)->length(), 0.01, 'It waits for the shot to set off.');
        self::assertEqualsWithDelta(2.0, $pace(12.0), 0.01);
        // 40 m at 2 m/s and one ease of 1.5 s: it arrives 21.5 s after it set off.
        self::assertEqualsWithDelta(0.0, $pace(Pace::SETTLE + 21.5 + 2.5), 0.01);
        self::assertEqualsWithDelta(40.0, $way->at(Pace::SETTLE + 24.0)->north, 0.01);
        [, $end] = $way->span();
        self::assertEqualsWithDelta(30.0, $way->at($end)->east, 0.01);
        self::assertEqualsWithDelta(40.0, $way->at($end)->north, 0.01);
    }

    public function test_a_corner_is_rounded_and_never_run_past(): void
    {
        $way = self::way(['points' => [[0.0, 40.0], [30.0, 40.0]], 'pace_mps' => 2.0]);
        [, $end] = $way->span();
        $nearest = INF;
        for ($t = 0.0; $t < $end; $t += 0.1) {
            $at = $way->at($t);
            $nearest = min($nearest, $at->minus(new Position(0.0, 40.0, 0.0))->length());
            self::assertLessThanOrEqual(2.05, $way->at($t + 0.5)->minus($way->at($t - 0.5))->ground());
            self::assertLessThanOrEqual(40.01, $at->north);
        }
        self::assertGreaterThan(0.1, $nearest, 'Nobody turns on a needle’s point.');
        self::assertLessThan(2.0, $nearest);
    }

    public function test_its_foot_follows_the_ground(): void
    {
        $track = Route::read(Fields::of(self::WAY))->track(new Position(0, 0, 5), static fn (float $e, float $n): float => 0.1 * $n);
        self::assertEqualsWithDelta(4.0, $track[count($track) - 1][1]->up, 0.01);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'nowhere' => [['points' => [], 'pace_mps' => 1.0], 'points'];
        yield 'no pace' => [['points' => [[1, 1]], 'pace_mps' => 0], 'pace_mps'];
        yield 'a stop at no corner' => [
            ['points' => [[1, 1]], 'pace_mps' => 1.0, 'stops' => [['corner' => 2, 's' => 3]]], 'stops.0.corner',
        ];
        yield 'longer than anybody holds a shot' => [['points' => [[0, 900]], 'pace_mps' => 1.0], 'pace_mps'];
    }

    /** @param  array<string, mixed>  $way */
    #[DataProvider('impossible')]
    public function test_what_cant_be_gone_is_refused_at_its_place(array $way, string $place): void
    {
        try {
            Route::read(Fields::of($way), new Position(0, 0, 0));
            self::fail('It is taken.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach (array_filter(Catalogue::ids(), Catalogue::follows(...)) as $move) {
            yield $move => [$move];
        }
    }

    #[DataProvider('moves')]
    public function test_every_move_that_keeps_up_or_passes_is_planned_along_it(string $move): void
    {
        $plan = self::plan($move);
        self::assertTrue($plan->move->subject?->moves());
        self::assertTrue(self::plan($move, 1.5)->feasible(), 'At a walk, a stop and a square corner throw nobody about.');
        self::assertEqualsWithDelta(40.0, $plan->move->subject->at(28.0)->north, 0.2, 'It goes its own way, whatever is flown.');
        $told = implode(' ', array_map(said(...), SubjectBrief::of($plan)));
        self::assertStringContainsString('Set off at: the ferry’s horn', $told);
        self::assertStringContainsString('“rolling”, “go”, “cut”', $told);
    }

    public function test_a_plan_that_begins_keeps_to_the_way_that_was_drawn(): void
    {
        foreach (['follow', 'side-track', 'overtake'] as $move) {
            $asked = self::plan($move, 1.5)->shot;
            self::assertEquals($asked->intent->track, FirstShot::of($asked)->intent->track, $move);
        }
    }

    public function test_it_is_followed_at_the_pace_of_its_way_before_it_is_passed(): void
    {
        $plan = self::plan('overtake', 1.2, ['follow_s' => 6.0, 'pace_mps' => 4.0]);
        $flight = $plan->move->flight;
        $k = $flight->indexAt($plan->move->holdFrom + 1.0);
        $pace = $flight->position($k + 25)->minus($flight->position($k - 25))->ground() / (50 * MovePlan::STEP);
        self::assertEqualsWithDelta(1.2, $pace, 0.02, 'not at the pace of a dial that nobody sees');
        self::assertSame(['subject_mps', 'subject_course_deg'], Catalogue::decidedByItsWay($plan->shot->intent));
        self::assertContains('length_m', Catalogue::decidedByItsWay(self::plan('follow')->shot->intent));
        self::assertSame([], Catalogue::decidedByItsWay(self::plan('orbit')->shot->intent));
    }

    public function test_who_is_met_without_a_way_is_under_way(): void
    {
        $shot = self::plan('orbit')->shot;
        $part = Planner::plan($shot->withIntent($shot->intent->asPart('head-on', [])));
        $told = implode(' ', array_map(said(...), SubjectBrief::of($part)));
        self::assertStringContainsString('Be under way at that pace', $told);
    }

    public function test_who_is_filmed_is_told_the_way_that_was_planned(): void
    {
        $told = implode(' ', array_map(said(...), SubjectBrief::of(self::plan('follow'))));
        self::assertMatchesRegularExpression('/You go (69|70) m on course 0 degrees, at 2\.0 m\/s/', $told);
        self::assertMatchesRegularExpression('/After (39|40) m you stand for [56] s\./', $told);
        self::assertSame([], SubjectBrief::of(self::plan('orbit')), 'What stands is told nothing.');
    }

    /** @param  array<string, mixed>  $way */
    private static function way(array $way): MovingPoint
    {
        $track = Route::read(Fields::of($way))->track(new Position(0, 0, 0), static fn (): float => 0.0);

        [$t, $places] = [array_column($track, 0), array_column($track, 1)];

        return $t === [] || $places === [] ? self::fail('It goes nowhere.') : MovingPoint::track($t, $places);
    }

    /** @param  array<string, float>  $parameters */
    private static function plan(string $move, float $pace = 2.0, array $parameters = []): Plan
    {
        $frame = new LocalFrame(new GeoPoint(57.6, -0.4, 0.0));
        $subject = $frame->geoPoint(new Position(0, 0, 1.5))->toArray();
        if (Catalogue::follows($move)) {
            $track = Route::read(Fields::of([...self::WAY, 'pace_mps' => $pace]))->track(new Position(0, 0, 0), static fn (): float => 0.0);
            $subject = ['cue' => self::WAY['cue'], 'base_alt_m' => 0.0, 'track' => array_map(
                static fn (array $point): array => ['t' => $point[0], ...$frame->geoPoint($point[1]->plus(0, 0, 1.5))->toArray()], $track,
            )];
        }

        return Planner::plan(Shot::read(Fields::of([
            'intent' => [
                'move' => $move, 'camera' => ['hfov_deg' => 70, 'aspect' => 1.7777778], 'subject' => $subject,
                ...($parameters === [] ? [] : ['parameters' => $parameters]),
            ],
            'rig' => Rigs::all()['lapwing'], 'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 0.0]],
        ])));
    }
}
