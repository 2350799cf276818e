<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Notes\EditNotes;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Rig\Difference;
use Larkspur\Rig\Rig;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/** The small switches of a gimbal and of obstacle sensing: what they let a plan do, and what they say of it. */
final class GimbalTest extends TestCase
{
    public function test_what_is_set_is_kept_and_what_nobody_said_is_not_made_up(): void
    {
        $plain = Rig::read(Fields::of(Shots::document([])['rig']));
        self::assertNull($plain->gimbal);
        self::assertArrayNotHasKey('gimbal', $plain->toArray());
        self::assertNull($plain->mode('slow')->obstacles);

        $set = self::rig(['upward' => false, 'free' => true, 'level_offset_deg' => -0.8], 'round');
        $rig = Rig::read(Fields::of($set));
        self::assertEquals($rig, Rig::read(Fields::of($rig->toArray())));
        self::assertSame(['upward' => false, 'free' => true, 'level_offset_deg' => -0.8], $rig->toArray()['gimbal']);
        self::assertSame('round', $rig->withMode($rig->mode('slow'))->mode('standard')->obstacles);
        $told = array_map(
            static fn (Difference $one): string => said($one->name), Difference::between($plain->settings(), $rig->settings()),
        );
        self::assertContains('response to obstacles', $told);
        self::assertContains('gimbal above the horizon', $told);
        foreach ([['gimbal' => ['level_offset_deg' => 11]], ['modes' => ['slow' => ['obstacles' => 'jump']]]] as $bad) {
            try {
                Rig::read(Fields::of(array_replace_recursive($set, $bad)));
                self::fail('It was taken.');
            } catch (Refusal $refusal) {
                self::assertMatchesRegularExpression('/level_offset_deg|obstacles/', $refusal->place);
            }
        }
    }

    public function test_a_gimbal_that_is_not_let_look_up_can_t_fly_below_what_it_films(): void
    {
        // 3 m up, 20 m from a mark that is higher: the lens looks above the horizon.
        $low = ['radius_m' => 20.0, 'height_m' => 0.6];
        $free = self::finding(self::plan($low, []), 'tilt-range');
        self::assertSame(Finding::OK, $free?->state);
        $held = self::finding(self::plan($low, ['upward' => false]), 'tilt-range');
        self::assertSame(Finding::BROKEN, $held?->state);
        self::assertSame(0.0, $held->limit);
        self::assertStringContainsString('Switch on', said($held->mendText ?? self::fail('It is mended by the switch.')));
    }

    public function test_a_gimbal_that_rolls_leans_where_the_craft_is_pushed_across_the_picture(): void
    {
        $lean = static fn (string $move, array $parameters, array $gimbal = ['free' => true]): ?float => self::finding(
            self::plan($parameters, $gimbal, move: $move), 'level',
        )?->value;
        // From rest to 3 m/s in 2 s across the lens: 1.5 m/s2 on the mean, less than twice that at most however it swells.
        // Elementary mechanics: atan(a / 9.80665).
        $across = $lean('lateral-dolly', ['pace_mps' => 3.0, 'ease_s' => 2.0]);
        self::assertGreaterThan(rad2deg(atan(1.5 / 9.80665)), $across);
        self::assertLessThan(rad2deg(atan(3.0 / 9.80665)), $across);
        self::assertNull($lean('lateral-dolly', ['pace_mps' => 3.0, 'ease_s' => 2.0], []), 'one that keeps the horizon keeps it');
        // Along the lens it pitches, and the wheel takes that out.
        self::assertNull($lean('push-in', ['pace_mps' => 3.0, 'ease_s' => 2.0]));
        // Round the middle of the picture the pull is along the lens too: 5 m/s round 20 m would be atan(1.25 / g) = 7.3 degrees otherwise.
        $slow = $lean('orbit', ['radius_m' => 20.0, 'pace_mps' => 5.0, 'ease_s' => 10.0]);
        self::assertLessThan(6.0, $slow);
        self::assertGreaterThan($slow, $lean('orbit', ['radius_m' => 20.0, 'pace_mps' => 5.0, 'ease_s' => 2.5]));
    }

    public function test_what_the_horizon_is_off_by_is_what_the_crop_levels(): void
    {
        $notes = static fn (array $gimbal): EditNotes => EditNotes::of(self::plan([], $gimbal), new Brief, 3840);
        self::assertEqualsWithDelta(Angle::DEGREE, $notes([])->roll, 1e-9, 'a degree where nobody looked');
        self::assertEqualsWithDelta(Angle::DEGREE, $notes(['free' => false])->roll, 1e-9, 'another switch says nothing of it');
        $level = $notes(['level_offset_deg' => 0]);
        self::assertSame([0.0, 1.0, 1920], [$level->roll, $level->level, $level->left()]);
        self::assertStringContainsString('hangs level', said($level->sentences()[1]));
        $half = $notes(['level_offset_deg' => -0.5]);
        self::assertEqualsWithDelta(0.5 * Angle::DEGREE, $half->roll, 1e-9);
        // A frame of w by h turned by r and cut upright keeps 1 / (cos r + (w / h) sin r) of its width (plane geometry).
        $aspect = self::plan([], [])->shot->intent->lens->aspect;
        self::assertEqualsWithDelta(cos(0.5 * Angle::DEGREE) + $aspect * sin(0.5 * Angle::DEGREE), $half->level, 1e-4);
        self::assertGreaterThan($notes([])->left(), $half->left());
        self::assertSame((int) floor(3840 / $half->level) - 1920, $half->left());
    }

    public function test_near_to_something_the_response_is_said_with_what_it_does_to_the_take(): void
    {
        $orbit = ['radius_m' => 20.0];
        $north = Statistics::greatest(self::plan($orbit, [])->move->flight->north);
        // Its near side three metres beyond the northernmost of the way.
        $wall = [
            'id' => 'wall', 'name' => 'wall', 'shape' => 'box', 'east_m' => 0, 'north_m' => $north + 3.5, 'base_m' => 0, 'width_m' => 400,
            'length_m' => 1, 'height_m' => 30, 'heading_deg' => 0,
        ];
        foreach (['stop' => 'may stop', 'round' => 'may leave the way', 'off' => 'no novice'] as $response => $words) {
            self::assertNull(self::finding(self::plan($orbit, [], $response), 'sensing'), 'nothing stands near');
            self::assertNull(self::finding(self::plan($orbit, [], $response, [[...$wall, 'north_m' => $north + 5.0]]), 'sensing'));
            $near = self::finding(self::plan($orbit, [], $response, [$wall]), 'sensing');
            self::assertEqualsWithDelta(3.0, $near->value ?? 0.0, 0.05);
            self::assertStringContainsString($words, said($near->text ?? self::fail('It is said.')));
        }
        self::assertNull(self::finding(self::plan($orbit, [], null, [$wall]), 'sensing'), 'nobody said what it is set to');
    }

    private static function finding(Plan $plan, string $id): ?Finding
    {
        foreach ($plan->findings as $finding) {
            if ($finding->id === $id) {
                return $finding;
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $gimbal
     * @return array<string, mixed>
     */
    private static function rig(array $gimbal, ?string $obstacles): array
    {
        $rig = Shots::document([])['rig'];
        foreach ($obstacles === null ? [] : Rig::MODES as $mode) {
            $rig['modes'][$mode]['obstacles'] = $obstacles;
        }

        return [...$rig, ...$gimbal === [] ? [] : ['gimbal' => $gimbal]];
    }

    /**
     * @param  array<string, float>  $parameters
     * @param  array<string, mixed>  $gimbal
     * @param  list<array<string, mixed>>  $solids
     */
    private static function plan(
        array $parameters, array $gimbal, ?string $obstacles = null, array $solids = [], string $move = 'orbit',
    ): Plan {
        $document = Shots::document($parameters);
        $document['intent']['move'] = $move;

        return Planner::plan(Shot::read(Fields::of([
            ...$document, 'rig' => self::rig($gimbal, $obstacles),
            'site' => [...$document['site'], ...$solids === [] ? [] : ['solids' => $solids]],
        ])));
    }
}
