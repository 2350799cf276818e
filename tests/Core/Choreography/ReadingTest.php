<?php

declare(strict_types=1);

namespace Tests\Core\Choreography;

use Documents\Document;
use Documents\Reading\EditReading;
use Documents\Reading\ReadingDocument;
use Documents\Reading\RevealReading;
use Documents\Reading\RoomReading;
use Documents\Wire;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Notes\DepthNotes;
use Larkspur\Choreography\Notes\EditNotes;
use Larkspur\Choreography\Notes\RevealNotes;
use Larkspur\Choreography\Notes\RoomNotes;
use Larkspur\Choreography\Notes\ShotNotes;
use Larkspur\Choreography\Notes\Variants;
use Larkspur\Choreography\Notes\WindNotes;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\WantedPicture;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Catalogue;
use Larkspur\Refusal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Checks\Reference;
use Tests\Core\Shots;

use function Tests\said;

/**
 * What is read off a plan, against closed forms: reveals and parallax of the outside tables (similar triangles and the pinhole camera), the
 * wind triangle, the crop that a roll and a drift take; and what a site has to say.
 */
final class ReadingTest extends TestCase
{
    public function test_the_height_that_comes_clear_of_a_wall_is_the_table_s(): void
    {
        foreach (Reference::table('reveal-rise') as [$far, $near, $top, $aim, $from, , $clear]) {
            if ((float) $clear <= (float) $from + 0.2 || (float) $aim < 0.01) {
                continue;
            }
            // A push-in that stops where the table's camera stands: the subject far metres ahead of its end, the wall near metres.
            $plan = self::plan('push-in', [
                'distance_m' => (float) $far + 12, 'length_m' => 12.0, 'height_m' => (float) $from, 'start_bearing_deg' => 180.0,
            ], [
                'solids' => [[
                    'id' => 'wall', 'name' => 'wall', 'shape' => 'box', 'east_m' => 0, 'north_m' => (float) $near - (float) $far,
                    'width_m' => 600, 'length_m' => 0.02, 'height_m' => (float) $top,
                ]],
            ], aim: (float) $aim);
            $reading = self::written(RevealReading::of(RevealNotes::of($plan)));
            self::assertSame('behind wall', said($reading['last']));
            self::assertEqualsWithDelta((float) $clear, $reading['needed_height_m'], 0.06, "$far $near $top $aim");
            self::assertFalse($reading['readable']);
        }
    }

    public function test_a_rise_from_behind_a_wall_says_when_the_subject_appears(): void
    {
        $plan = self::plan('rise', [
            'distance_m' => 60.0, 'height_m' => 1.5, 'climb_mps' => 1.0, 'climb_m' => 20.0, 'start_bearing_deg' => 180.0,
        ], [
            'solids' => [[
                'id' => 'wall', 'name' => 'wall', 'shape' => 'box', 'east_m' => 0, 'north_m' => -40, 'width_m' => 600, 'length_m' => 0.02,
                'height_m' => 10.0,
            ]],
        ], aim: 2.0);
        $reading = self::written(RevealReading::of(RevealNotes::of($plan)));

        self::assertTrue($reading['hidden_first']);
        self::assertTrue($reading['readable']);
        // h* = 14 m by the table's second row.
        $index = $plan->move->flight->indexAt($reading['appears_s']);
        self::assertEqualsWithDelta(14.0, $plan->move->flight->up[$index], 0.15);
        self::assertStringContainsString('appears at', said($reading['sentences'][0]));
    }

    public function test_the_horizon_ends_on_the_upper_third_where_the_tilt_says(): void
    {
        foreach (Reference::table('third-tilt') as [$name, $vertical, $tilt]) {
            if (! is_numeric($vertical) || (float) $vertical > 50) {
                continue;
            }
            $hfov = 2 * rad2deg(atan(tan(deg2rad((float) $vertical) / 2) * 16 / 9));
            $plan = self::plan(
                'ground-to-horizon', ['tilt_end_deg' => (float) $tilt, 'distance_m' => 60.0, 'height_m' => 20.0], camera: $hfov,
            );
            self::assertEqualsWithDelta(1 / 3, RevealNotes::of($plan)->horizon, 1e-3, (string) $name);
        }
    }

    public function test_a_drop_tells_when_the_subject_would_leave_the_frame(): void
    {
        // The field guide's derived value: 30 m away, 30 degrees down, VFOV 45: it leaves the top 3.95 m above it.
        $hfov = 2 * rad2deg(atan(tan(deg2rad(22.5)) * 16 / 9));
        $plan = self::plan('drop-and-tilt', ['distance_m' => 30.0, 'height_m' => 17.32, 'climb_m' => -15.5], aim: 0.02, camera: $hfov);
        $reading = self::written(RevealReading::of(RevealNotes::of($plan)));
        $from = $plan->move->flight->indexAt($plan->move->onset);
        self::assertEqualsWithDelta(-30.0, rad2deg($plan->move->flight->tilt[$from]), 1.5);
        self::assertNotNull($reading['tilt_latest_s']);
        $at = $plan->move->flight->indexAt($reading['tilt_latest_s']);
        $expected = 30.0 * tan(-$plan->move->flight->tilt[$from] - deg2rad(22.5));
        self::assertEqualsWithDelta($expected, $plan->move->flight->up[$at], 0.25);
    }

    public function test_near_and_far_layers_move_as_their_distances_say(): void
    {
        foreach (Reference::table('parallax') as [$pace, $near, $far, $nearSpeed, $farSpeed, $ratio]) {
            // The table's focal length of 2560 px is 73.74 degrees over 3840 px. The craft looks north at the subject and slides.
            $plan = self::plan('lateral-dolly', [
                'distance_m' => (float) $far, 'height_m' => 1.0, 'pace_mps' => (float) $pace, 'length_m' => 30.0,
                'start_bearing_deg' => 180.0,
            ], [
                'solids' => [
                    [
                        'id' => 'near', 'name' => 'post', 'shape' => 'cylinder', 'east_m' => 0, 'north_m' => (float) $near - (float) $far,
                        'width_m' => 0.02, 'height_m' => 2.0,
                    ],
                    [
                        'id' => 'far', 'name' => 'mast', 'shape' => 'cylinder', 'east_m' => 0, 'north_m' => 0, 'width_m' => 0.02,
                        'height_m' => 2.0,
                    ],
                ],
            ], aim: 1.0, camera: 73.739795, fast: true);
            $reading = DepthNotes::of($plan);
            self::assertNotNull($reading->near);
            self::assertNotNull($reading->far);
            $solids = ['post' => (float) $nearSpeed / 3840, 'mast' => (float) $farSpeed / 3840];
            if ($reading->near['name'] === 'post') {
                self::assertEqualsWithDelta((float) $near, $reading->near['distance'], 0.05);
                self::assertEqualsWithDelta(
                    $solids['post'] * (float) $pace / max(1e-9, (float) $pace), $reading->near['speed'], 0.01 * $solids['post'], "$near",
                );
            } else {
                self::assertLessThan((float) $near, $reading->near['distance'], 'the ground at the lower edge lies nearer');
            }
            self::assertGreaterThan(1.0, (float) $ratio);
        }
    }

    /** Over, round or through: by where the sight passes what hid it (plane geometry of sight lines). */
    public function test_it_says_how_the_subject_comes_to_be_seen(): void
    {
        $wall = static fn (string $id, float $east, float $north, float $width, float $height): array => [
            'id' => $id, 'name' => $id, 'shape' => 'box', 'east_m' => $east, 'north_m' => $north, 'width_m' => $width, 'length_m' => 1.0,
            'height_m' => $height,
        ];
        $how = static fn (string $move, array $own, array $walls): ?string => RevealNotes::of(
            self::plan($move, ['start_bearing_deg' => 0.0, ...$own], ['solids' => $walls]),
        )->kind;
        $rise = ['distance_m' => 20.0, 'height_m' => 2.0, 'climb_m' => 12.0];
        self::assertSame('over', $how('rise', $rise, [$wall('wall', 0.0, 10.0, 30.0, 5.0)]));
        // A slide from ten metres west to ten metres east of it, thirty metres north; half-way to it stands what hides it at first.
        $slide = ['distance_m' => 30.0, 'height_m' => 2.0, 'length_m' => 20.0, 'side' => 'left'];
        self::assertSame('round', $how('lateral-dolly', $slide, [$wall('barn', -4.5, 15.0, 6.0, 8.0)]));
        self::assertSame('through', $how('lateral-dolly', $slide, [
            $wall('barn', -4.5, 15.0, 6.0, 8.0), $wall('post', 2.0, 15.0, 0.4, 8.0),
        ]));
        self::assertNull($how('lateral-dolly', $slide, []), 'What is seen from the start is no reveal.');
        $down = ['distance_m' => 20.0, 'height_m' => 12.0, 'tilt_start_deg' => 10.0, 'tilt_end_deg' => -30.0];
        self::assertSame('into', $how('tilt', $down, []));
    }

    public function test_the_depth_is_that_between_the_layers_that_were_chosen(): void
    {
        $of = static function (?string $near, ?string $far): DepthNotes {
            $shot = Shots::document([], [
                'intent' => [
                    'schema' => 'larkspur/intent/1', 'move' => 'lateral-dolly', 'camera' => ['hfov_deg' => 73.739795],
                    'subject' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 5.0, 'base_alt_m' => 4.0],
                    'parameters' => ['distance_m' => 60.0, 'height_m' => 2.0, 'start_bearing_deg' => 180.0],
                ],
                'site' => ['name' => 'moor', 'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], 'solids' => array_map(
                    static fn (string $id, float $north): array => [
                        'id' => $id, 'name' => $id, 'shape' => 'cylinder', 'east_m' => 0, 'north_m' => $north, 'width_m' => 0.2,
                        'height_m' => 2.0,
                    ], ['post', 'mast', 'barn'], [-40.0, -20.0, 20.0],
                )],
                'layers' => ['near' => $near, 'far' => $far],
            ]);

            return DepthNotes::of(Planner::plan(Shot::read(Fields::of($shot))));
        };
        // A slide shows v / Z: 20, 40 and 80 m away, two layers differ as their distances do.
        self::assertEqualsWithDelta(2.0, $of('post', 'mast')->ratio(), 0.02);
        self::assertEqualsWithDelta(4.0, $of('post', 'barn')->ratio(), 0.04);
        self::assertEquals(Fact::of('depth.the-horizon'), $of('post', 'horizon')->far['name'] ?? null);
        $none = $of('none', null);
        self::assertNull($none->ratio());
        self::assertSame('depth.emptiness-is-meant', $none->sentences()[0]->code);
        self::assertSame('depth.chosen-not-in-picture', $of('gone', null)->sentences()[0]->code);
        self::assertNotNull($of(null, null)->near, 'Left open, the picture has its own.');
    }

    public function test_the_felt_speed_is_pace_over_height(): void
    {
        $plan = self::plan('push-in', ['distance_m' => 60.0, 'length_m' => 40.0, 'height_m' => 2.0, 'pace_mps' => 2.778]);
        // The field guide's derived value: 10 km/h at 2 m is 79.6 degrees a second of the ground below.
        self::assertEqualsWithDelta(79.6, rad2deg(DepthNotes::of($plan)->felt), 0.3);
    }

    public function test_wind_along_the_way_is_the_wind_triangle_s(): void
    {
        foreach (Reference::table('wind-triangle') as [$air, $track, $wind, $from, $cross, $head, , , $ground]) {
            if (! is_numeric($ground) || (float) $air > 20) {
                continue;
            }
            $plan = self::plan(
                'push-in',
                [
                    'distance_m' => 300.0, 'length_m' => 250.0, 'height_m' => 10.0, 'pace_mps' => (float) $ground,
                    'start_bearing_deg' => fmod((float) $track + 180, 360),
                ],
                wind: ['from_deg' => (float) $from, 'mean_mps' => (float) $wind, 'gust_mps' => (float) $wind], fast: true,
            );
            $reading = WindNotes::of($plan);
            self::assertEqualsWithDelta((float) $air, $reading->upwind, 0.02 * (float) $air, 'air speed of the hardest stretch');
            self::assertEqualsWithDelta(abs(Reference::number($cross)), $reading->cross, 0.02);
            self::assertEqualsWithDelta(Reference::number($head), $reading->head, 0.02);
        }
    }

    public function test_an_orbit_meets_the_wind_from_every_side(): void
    {
        // 5 m/s round and 6 m/s of wind take 1 to 11 m/s through the air (the outside catalogue's example), at 10 m.
        $plan = self::plan(
            'orbit', ['radius_m' => 40.0, 'height_m' => 10.0, 'arc_deg' => 400.0, 'pace_mps' => 5.0],
            wind: ['from_deg' => 250, 'mean_mps' => 6, 'gust_mps' => 9], fast: true,
        );
        $reading = WindNotes::of($plan);

        self::assertEqualsWithDelta(11.0, $reading->upwind, 0.05);
        self::assertLessThan(1.6, $reading->downwind);
        self::assertEqualsWithDelta(2 / M_PI, $reading->share, 0.05, 'the mean of |sin| over a circle');
        self::assertSame(
            ['Planned for still air. Set the wind to see what it does.'],
            array_map(said(...), WindNotes::of(self::plan('orbit', []))->sentences()),
        );
    }

    public function test_the_edit_s_room_is_the_crop_s_arithmetic(): void
    {
        $plan = self::plan('push-in', ['distance_m' => 60.0, 'length_m' => 40.0, 'height_m' => 8.0, 'pace_mps' => 2.0]);
        $edit = EditNotes::of($plan, new Brief(delivered: 1920, use: 6.0), 3840);
        // By geometry: 1 degree of roll takes 1.031; a drift of x takes 1 / (1 - 2x); they multiply.
        self::assertEqualsWithDelta(1.031, $edit->level, 5e-4);
        self::assertEqualsWithDelta(2.0, $edit->level / (1 - 2 * $edit->stray), 1e-9);
        self::assertEqualsWithDelta($edit->hold - 8.0, $edit->spare, 1e-9);
        $tight = EditNotes::of($plan, new Brief(delivered: 3840), 3840);
        self::assertSame(0.0, $tight->stray);
        self::assertStringContainsString('no room', said($tight->sentences()[1]));
        self::assertStringContainsString(
            'blown up', said(EditNotes::of($plan, new Brief(delivered: 3840), 1920)->sentences()[1]),
        );
        self::assertSame([], $edit->moving);
    }

    public function test_what_moves_by_itself_forbids_speeding_up(): void
    {
        $sea = ['areas' => [['id' => 'bay', 'name' => 'the bay', 'kind' => 'water', 'points' => [[-20, 8], [20, 8], [20, 40], [-20, 40]]]]];
        $edit = EditNotes::of(
            self::plan('push-in', ['distance_m' => 30.0, 'length_m' => 20.0, 'height_m' => 8.0, 'start_bearing_deg' => 180.0], $sea),
            new Brief, 3840,
        );
        self::assertSame(['the bay'], array_map(said(...), $edit->moving));
        self::assertFalse(EditReading::of($edit)->speedUp);
        $railcar = ['solids' => [[
            'id' => 'car', 'name' => 'railcar', 'role' => 'subject', 'shape' => 'box', 'east_m' => 0, 'north_m' => 0, 'width_m' => 2,
            'length_m' => 5, 'height_m' => 3, 'moves' => true,
        ]]];
        self::assertSame(
            ['railcar'],
            array_map(
                said(...),
                EditNotes::of(
                    self::plan('push-in', ['distance_m' => 30.0, 'start_bearing_deg' => 180.0], $railcar), new Brief, 3840,
                )->moving,
            ),
        );
    }

    public function test_a_gap_needs_the_craft_its_error_and_its_margins(): void
    {
        $posts = static fn (float $half): array => ['solids' => [
            [
                'id' => 'l', 'name' => 'left post', 'shape' => 'box', 'east_m' => -$half - 1, 'north_m' => -20, 'width_m' => 2,
                'length_m' => 2, 'height_m' => 9,
            ],
            [
                'id' => 'r', 'name' => 'right post', 'shape' => 'box', 'east_m' => $half + 1, 'north_m' => -20, 'width_m' => 2,
                'length_m' => 2, 'height_m' => 9,
            ],
        ]];
        $way = ['distance_m' => 40.0, 'length_m' => 30.0, 'height_m' => 4.0, 'start_bearing_deg' => 180.0];
        $wide = self::written(RoomReading::of(RoomNotes::of(self::plan('push-in', $way, $posts(4.5)))));
        self::assertEqualsWithDelta(9.0, $wide['gap']['width_m'], 0.1);
        self::assertTrue($wide['gap']['ok']);
        $tight = self::written(RoomReading::of(RoomNotes::of(self::plan('push-in', $way, $posts(2.0)))));
        self::assertFalse($tight['gap']['ok']);
        self::assertStringContainsString('Do not plan a way through it', implode(' ', array_map(said(...), $tight['sentences'])));
        self::assertNull(RoomNotes::of(self::plan('push-in', $way))->gap);
        // Common practice, no published source: no fly-through is planned without room for the craft, its error and a margin.
        $finding = static fn (Plan $plan): ?Finding => array_values(array_filter(
            $plan->findings, static fn (Finding $one): bool => $one->id === 'gap',
        ))[0] ?? null;
        $narrow = $finding(self::plan('push-in', $way, $posts(2.0)));
        self::assertSame([Finding::BROKEN, []], [$narrow?->state, $narrow?->mend], 'What stands there can’t be set wider.');
        self::assertEqualsWithDelta(4.0, $narrow->value ?? 0.0, 0.1);
        self::assertSame(Finding::OK, $finding(self::plan('push-in', $way, $posts(4.5)))?->state);
        $dialled = $finding(self::plan('gap', ['gap_m' => 3.0]));
        self::assertSame(Finding::BROKEN, $dialled?->state);
        self::assertSame(Finding::OK, $finding(self::plan('gap', $dialled->mend))?->state, 'Its mend mends it.');
        self::assertNull($finding(self::plan('push-in', $way)));
    }

    public function test_lower_than_a_craft_holds_its_height_is_broken_and_no_landing_is(): void
    {
        $height = static fn (Plan $plan): ?Finding => array_values(array_filter(
            $plan->findings, static fn (Finding $one): bool => $one->id === 'height',
        ))[0] ?? null;
        $low = $height(self::plan('push-in', ['height_m' => 0.3]));
        self::assertSame(Finding::BROKEN, $low?->state);
        self::assertSame(Finding::OK, $height(self::plan('push-in', $low->mend))?->state, 'Its mend mends it.');
        self::assertSame(Finding::NOTE, $height(self::plan('push-in', ['height_m' => 1.0]))?->state);
        self::assertNotSame(Finding::BROKEN, $height(self::plan('landing', []))?->state);
    }

    public function test_what_lies_behind_a_backward_flight_is_said(): void
    {
        $barn = ['solids' => [[
            'id' => 'barn', 'name' => 'barn', 'shape' => 'box', 'east_m' => 0, 'north_m' => -45, 'width_m' => 30, 'length_m' => 4,
            'height_m' => 20,
        ]]];
        $way = ['distance_m' => 15.0, 'length_m' => 18.0, 'height_m' => 5.0, 'start_bearing_deg' => 180.0];
        $room = self::written(RoomReading::of(RoomNotes::of(self::plan('straight-back', $way, $barn))));
        self::assertSame('barn', $room['behind']['name']);
        self::assertEqualsWithDelta(45 - 2 - 15 - 18, $room['behind']['metres'], 1.2);
        self::assertNull(RoomNotes::of(self::plan('straight-back', $way))->behind['name'] ?? null);
        self::assertNull(RoomNotes::of(self::plan('push-in', ['distance_m' => 60.0]))->behind);
    }

    /** @return iterable<string, array{string, array<string, float|string>}> */
    public static function picturedMoves(): iterable
    {
        yield 'push-in' => ['push-in', ['distance_m' => 50.0, 'length_m' => 20.0]];
        yield 'orbit' => ['orbit', ['arc_deg' => 120.0]];
        yield 'pull-away' => ['pull-away', []];
        yield 'straight-back' => ['straight-back', ['length_m' => 15.0]];
    }

    /** @param  array<string, float|string>  $parameters */
    #[DataProvider('picturedMoves')]
    public function test_a_shot_is_worked_out_from_the_picture_it_ends_in(string $move, array $parameters): void
    {
        $plan = self::plan($move, $parameters, aim: 3.0);
        $found = (new WantedPicture('end', 6.0, 0.3, 1 / 3, 9.0))->solve($plan->shot);
        $again = Planner::plan($plan->shot->withIntent($plan->shot->intent->with($found->parameters)));
        // Written out once more: foot and top of the subject from where the lens ends, with the tilt that was asked for.
        $flight = $again->move->flight;
        $end = $flight->position($flight->indexAt($again->move->stop));
        $away = hypot($end->east, $end->north);
        if ($again->move->intent->number('height_m') !== null && $found->notes === []) {
            $share = (
                tan(
                    atan2(6.0 - ($end->up), $away) - $found->wanted->tilt,
                ) - tan(atan2(-$end->up, $away) - $found->wanted->tilt)
            ) / (2 * tan(deg2rad(45.7473) / 2));
            self::assertEqualsWithDelta(0.3, $share, 0.02);
        }
        self::assertEqualsWithDelta($found->wanted->distance, $away, 0.3);
        self::assertEqualsWithDelta(9.0, $again->move->holdTo - $again->move->holdFrom, 1.5);
        self::assertEqualsWithDelta(
            -rad2deg(atan(tan(deg2rad(45.7473) / 2) / 3)), rad2deg($found->wanted->tilt), 0.05, 'the tilt of the upper third',
        );
    }

    public function test_a_picture_that_breaks_a_plan_says_so_and_asks_for_nothing_that_a_move_does_not_take(): void
    {
        // Ten metres of wall stand where a picture of so small a share would put the lens.
        $wall = ['solids' => [[
            'id' => 'wall', 'name' => 'wall', 'shape' => 'box', 'east_m' => 0, 'north_m' => -130, 'width_m' => 300, 'length_m' => 160,
            'height_m' => 60,
        ]]];
        $own = ['distance_m' => 30.0, 'length_m' => 22.0, 'height_m' => 5.0, 'start_bearing_deg' => 180.0];
        $plan = self::plan('push-in', $own, $wall);
        self::assertTrue($plan->feasible());
        $found = (new WantedPicture('end', 2.0, 0.02, 1 / 3))->solve($plan->shot);
        $told = implode(' ', array_map(said(...), $found->notes));
        self::assertStringContainsString('So it can’t be flown:', $told);
        $far = (new WantedPicture('end', 500.0, 0.01, 1 / 3))->solve(self::plan('push-in', [])->shot);
        foreach (Catalogue::move('push-in')->parameters() as $parameter) {
            $value = $far->parameters[$parameter->id] ?? null;
            self::assertTrue($value === null || ($value >= $parameter->least && $value <= $parameter->most), $parameter->id);
        }
    }

    public function test_a_first_tilt_keeps_the_sea_out_of_the_first_frame(): void
    {
        $sea = ['areas' => [[
            'id' => 'bay', 'name' => 'the bay', 'kind' => 'water', 'points' => [[-200, 30], [200, 30], [200, 400], [-200, 400]],
        ]]];
        $plan = self::plan(
            'ground-to-horizon', ['distance_m' => 60.0, 'height_m' => 15.0, 'tilt_start_deg' => -20.0, 'start_bearing_deg' => 180.0], $sea,
        );
        self::assertFalse(WantedPicture::hides($plan, 'sea'));
        $found = (new WantedPicture('end', 8.0, 0.3, 1 / 3, null, 'sea'))->solve($plan->shot);
        self::assertTrue($found->hidden);
        self::assertTrue(WantedPicture::hides(
            Planner::plan($plan->shot->withIntent($plan->shot->intent->with($found->parameters))), 'sea',
        ));
        self::assertLessThan(-20.0, $found->parameters['tilt_start_deg']);
        $this->expectException(Refusal::class);
        WantedPicture::hides($plan, 'nothing');
    }

    public function test_the_other_way_round_ends_where_this_one_begins(): void
    {
        $plan = self::plan(
            'orbit', ['radius_m' => 25.0, 'height_m' => 9.0, 'arc_deg' => 140.0, 'start_bearing_deg' => 30.0, 'direction' => 'clockwise'],
        );
        $variants = array_column(Variants::of($plan), null, 'id');
        self::assertSame(['opposite', 'lower', 'higher', 'tilt', 'joined'], array_keys($variants));
        $other = Planner::plan($plan->shot->withIntent($plan->shot->intent->with((array) ($variants['opposite']['parameters'] ?? []))));
        $last = $other->move->flight->position($other->move->flight->count() - 1);
        self::assertEqualsWithDelta(0.0, $last->minus($plan->move->flight->position(0))->length(), 0.3);
        self::assertTrue($variants['opposite']['feasible']);
        self::assertSame([null, null, null, 'opposite'], array_column(Variants::passes(new Brief, array_values($variants)), 'variant'));
        self::assertCount(2, Variants::passes(new Brief(passes: 2), array_values($variants)));
    }

    public function test_people_water_boundaries_and_watchers_have_their_say(): void
    {
        $way = ['distance_m' => 40.0, 'length_m' => 20.0, 'height_m' => 2.0, 'start_bearing_deg' => 180.0];
        $state = static function (array $site, string $id) use ($way): ?Finding {
            foreach (self::plan('push-in', $way, $site)->findings as $finding) {
                if ($finding->id === $id) {
                    return $finding;
                }
            }

            return null;
        };
        $square = static fn (string $kind, float $east, float $north, float $half): array => [
            'id' => $kind, 'name' => $kind, 'kind' => $kind,
            'points' => [
                [$east - $half, $north - $half], [$east + $half, $north - $half], [$east + $half, $north + $half],
                [$east - $half, $north + $half],
            ],
        ];

        self::assertSame('broken', $state(['areas' => [$square('people', 0, -30, 3)]], 'people')?->state);
        self::assertSame('broken', $state(['areas' => [$square('people', 20, -30, 3)]], 'people')?->state);
        self::assertSame('ok', $state(['areas' => [$square('people', 20, -30, 3)], 'people_m' => 10], 'people')?->state);
        self::assertEqualsWithDelta(17.0, $state(['areas' => [$square('people', 20, -30, 3)]], 'people')->value ?? 0.0, 0.2);
        self::assertSame('note', $state(['areas' => [$square('water', 0, -30, 8)]], 'water')?->state);
        self::assertNull($state([], 'water'));
        self::assertSame(
            'broken',
            $state(
                ['areas' => [['id' => 'b', 'name' => 'march dyke', 'kind' => 'boundary', 'points' => [[-90, -28], [90, -28]]]]], 'boundary',
            )?->state,
        );
        self::assertSame(
            'ok',
            $state(
                ['areas' => [['id' => 'b', 'name' => 'march dyke', 'kind' => 'boundary', 'points' => [[-90, 60], [90, 60]]]]], 'boundary',
            )?->state,
        );
        // A barn between the operator (at the subject's side) and the way.
        $barn = [[
            'id' => 'barn', 'name' => 'barn', 'shape' => 'box', 'east_m' => 0, 'north_m' => -8, 'width_m' => 16, 'length_m' => 4,
            'height_m' => 12,
        ]];
        self::assertStringContainsString('nobody sees it', said($state(['solids' => $barn], 'sight-line')->text ?? null));
        self::assertStringContainsString(
            'still sees it',
            said(
                $state(
                    ['solids' => $barn, 'observers' => [['id' => 'o', 'name' => 'the watcher', 'east_m' => 30, 'north_m' => -30]]],
                    'sight-line',
                )->text ?? null,
            ),
        );
    }

    public function test_the_ceiling_counts_from_the_ground_and_not_from_take_off(): void
    {
        $way = ['distance_m' => 60.0, 'length_m' => 20.0, 'height_m' => 30.0, 'start_bearing_deg' => 180.0];
        // The ground falls away to the south, where it is flown: 30 m above take-off are more above ground.
        $plan = self::plan(
            'push-in', $way, ['ceiling_m' => 40, 'ground' => ['profile' => [[-80, -25], [-20, -25], [0, 0]], 'bearing_deg' => 0]],
        );
        $height = array_values(array_filter($plan->findings, static fn (Finding $finding): bool => $finding->id === 'height'))[0];
        self::assertSame('broken', $height->state);
        self::assertEqualsWithDelta(55.0, $height->value ?? 0.0, 0.5);
        $room = self::written(RoomReading::of(RoomNotes::of($plan)));
        self::assertStringContainsString('The two differ here', implode(' ', array_map(said(...), $room['sentences'])));
    }

    public function test_a_whole_reading_holds_figures_only(): void
    {
        foreach (['orbit', 'pan', 'locked-off', 'top-down-spin', 'follow', 'gap', 'combination', 'square-with-turns'] as $move) {
            $parameters = [];
            $shot = Shots::document($parameters, []);
            $shot['intent'] = [...$shot['intent'], 'move' => $move, 'parameters' => []];
            if ($move === 'combination') {
                $shot['intent'] = [
                    ...$shot['intent'], 'join' => 'sequence',
                    'parts' => [['move' => 'orbit', 'parameters' => []], ['move' => 'pull-away', 'parameters' => []]],
                ];
            }
            $reading = self::written(ReadingDocument::of(ShotNotes::of(Planner::plan(Shot::read(Fields::of($shot))), new Brief, 3840)));
            $text = json_encode($reading, JSON_THROW_ON_ERROR);
            self::assertStringNotContainsStringIgnoringCase('nan', str_replace(['nance', 'Nance'], '', $text), $move);
        }
    }

    /**
     * A shot of something that stands on level ground at the take-off point, on a camera of 73.74 degrees.
     *
     * @param  array<string, float|string>  $parameters
     * @param  array<string, mixed>  $site
     * @param  array<string, float|int>  $wind
     */
    private static function plan(
        string $move, array $parameters, array $site = [], float $aim = 1.0, float $camera = 73.739795, array $wind = ['mean_mps' => 0],
        bool $fast = false,
    ): Plan {
        $home = ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0];

        return Planner::plan(Shot::read(Fields::of(Shots::document([], [
            'intent' => [
                'schema' => 'larkspur/intent/1', 'move' => $move, 'subject' => [...$home, 'alt_m' => 4.0 + $aim, 'base_alt_m' => 4.0],
                'camera' => ['hfov_deg' => $camera], 'parameters' => $parameters,
            ],
            'site' => ['name' => 'moor', 'home' => $home, ...$site], 'wind' => $wind, 'mode' => $fast ? 'fast' : 'standard',
        ]))));
    }

    /** @return array<string, mixed> as it goes over the wire, its facts unsaid */
    private static function written(Document $document): array
    {
        return Wire::document($document, null);
    }
}
