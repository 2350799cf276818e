<?php

declare(strict_types=1);

namespace Tests\Core\Choreography;

use Demo\Rigs;
use Larkspur\Choreography\Notes\MixedLight;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Move\Route;
use Larkspur\Site\Sun;
use Larkspur\Site\SunDay;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** The shade of a wall by the ruler: a wall of height h throws a shadow of h / tan(altitude), away from the sun. */
final class MixedLightTest extends TestCase
{
    private const HOME = ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 0.0];

    /** Ten metres east of the way, from twenty metres north on. */
    private const WALL = [
        'id' => 'wall', 'name' => 'the long wall', 'role' => 'obstacle', 'shape' => 'box', 'east_m' => 10.5, 'north_m' => 45.0,
        'base_m' => 0, 'width_m' => 1.0, 'length_m' => 50.0, 'height_m' => 8.66, 'heading_deg' => 0,
    ];

    public function test_a_walker_comes_into_the_shade_of_a_wall_where_its_shadow_lies(): void
    {
        $plan = self::plan([self::WALL]);
        // The mark is 1.5 m up: (8.66 - 1.5) / tan 30 = 12.4 m of shadow reach it, / tan 40 = 8.5 m do not.
        $low = MixedLight::of($plan, new Sun(90 * Angle::DEGREE, 30 * Angle::DEGREE));
        self::assertSame([MixedLight::MIXED, 'the long wall'], [$low?->state, $low?->by?->name]);
        $subject = $plan->move->subject ?? self::fail('It has a subject.');
        $at = $low->at ?? 0.0;
        $sample = ($plan->move->stop - $plan->move->onset) / 24;
        self::assertGreaterThanOrEqual(20.0, $subject->at($at)->north, 'it begins at the wall’s end');
        self::assertLessThan(20.0, $subject->at($at - $sample)->north);
        self::assertStringContainsString('the long wall', said($low?->sentence() ?? self::fail('There is light.')));

        $high = MixedLight::of($plan, new Sun(90 * Angle::DEGREE, 40 * Angle::DEGREE));
        self::assertSame([MixedLight::SUN, null], [$high?->state, $high?->by]);
        $west = MixedLight::of($plan, new Sun(270 * Angle::DEGREE, 30 * Angle::DEGREE));
        self::assertSame(MixedLight::SUN, $west?->state, 'the shadow falls away from the sun');
        self::assertNull(MixedLight::of($plan, new Sun(90 * Angle::DEGREE, -2 * Angle::DEGREE)), 'there is no sun to be out of');
    }

    public function test_all_of_it_in_shade_is_shade_and_not_mixed(): void
    {
        $long = [...self::WALL, 'north_m' => 20.0, 'length_m' => 200.0];
        $light = MixedLight::of(self::plan([$long]), new Sun(90 * Angle::DEGREE, 20 * Angle::DEGREE));
        self::assertSame([MixedLight::SHADE, 'the long wall', null], [$light?->state, $light?->by?->name, $light?->at]);
        self::assertSame(MixedLight::SUN, MixedLight::of(self::plan([]), new Sun(1.0, 0.5))?->state);
    }

    public function test_through_a_day_the_stretches_follow_one_another_from_rise_to_set(): void
    {
        $day = SunDay::of('2026-06-21', new GeoPoint(57.6, -0.4, 0.0));
        $stretches = MixedLight::through($day, self::plan([self::WALL]));
        self::assertGreaterThan(1, count($stretches));
        foreach ($stretches as $k => $one) {
            self::assertLessThan($one['to'], $one['from']);
            $before = $stretches[$k - 1] ?? null;
            if ($before !== null) {
                self::assertSame($before['to'], $one['from']);
                self::assertFalse($before['light']->isAs($one['light']), 'what is alike is one stretch');
            }
        }
        // The wall stands east of the way: it is the morning that is mixed, and the evening that is not.
        $states = array_map(static fn (array $one): string => $one['light']->state, $stretches);
        self::assertContains(MixedLight::MIXED, $states);
        self::assertSame(MixedLight::SUN, $states[count($states) - 1]);
    }

    /** @param  list<array<string, mixed>>  $solids */
    private static function plan(array $solids): Plan
    {
        $frame = new LocalFrame(new GeoPoint(57.6, -0.4, 0.0));
        $track = Route::read(Fields::of(['points' => [[0.0, 40.0]], 'pace_mps' => 2.0]))->track(
            new Position(0, 0, 0), static fn (): float => 0.0,
        );

        return Planner::plan(Shot::read(Fields::of([
            'intent' => [
                'move' => 'follow', 'camera' => ['hfov_deg' => 70, 'aspect' => 1.7777778], 'subject' => [
                    'base_alt_m' => 0.0, 'track' => array_map(
                        static fn (array $point): array => ['t' => $point[0], ...$frame->geoPoint($point[1]->plus(0, 0, 1.5))->toArray()],
                        $track,
                    ),
                ],
            ],
            'rig' => Rigs::all()['lapwing'], 'site' => ['home' => self::HOME, 'solids' => $solids],
        ])));
    }
}
