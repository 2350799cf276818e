<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Site;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Http\UploadedFile;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Site\SiteImport;

/** Sites that are drawn, imported, kept and read back; and the stand-ins for the world outside. */
final class SiteTest extends FeatureCase
{
    public function test_a_site_is_drawn_kept_and_used_by_a_shot(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $site = $this->actingAs($user)->postJson('/api/v1/sites', self::drawing())->assertCreated();
        $site->assertJsonPath('version', 1)->assertJsonPath('subjects.0.east_m', 10)->assertJsonPath(
            'document.solids.1.shape', 'wire',
        )->assertJsonPath('document.ground.spots.0.up_m', 3);
        $plan = $this->postJson(
            '/api/v1/plans',
            [
                'site_id' => $site->json('id'), 'rig_id' => $shot->rig_id, 'mode' => 'standard', 'move' => 'push-in',
                'subject_id' => 'arch', 'parameters' => ['distance_m' => 40.0, 'start_bearing_deg' => 200.0],
            ],
        )->assertOk();
        self::assertContains('water', array_column($plan->json('findings'), 'id'));
        self::assertSame($site->json('document'), $this->getJson('/api/v1/sites/'.$site->json('id'))->json('document'));
    }

    public function test_whoever_drew_it_and_the_trainers_change_it(): void
    {
        $user = User::factory()->createOne();
        $other = User::factory()->createOne(['school_id' => $user->school_id]);
        $trainer = User::factory()->createOne(['school_id' => $user->school_id, 'role' => User::TRAINER]);
        $id = $this->actingAs($user)->postJson('/api/v1/sites', self::drawing())->json('id');
        $this->actingAs($other)->putJson("/api/v1/sites/$id", [...self::drawing(), 'version' => 1])->assertForbidden();
        $this->actingAs($user)->putJson(
            "/api/v1/sites/$id", [...self::drawing(), 'name' => 'Mine', 'version' => 1],
        )->assertOk()->assertJsonPath('version', 2);
        $this->actingAs($trainer)->putJson("/api/v1/sites/$id", [...self::drawing(), 'name' => 'Theirs', 'version' => 2])->assertOk();
        // Who saves second is told, and gets what is there now; nothing is overwritten.
        $this->actingAs($user)->putJson(
            "/api/v1/sites/$id", [...self::drawing(), 'name' => 'Mine again', 'version' => 2],
        )->assertConflict()->assertJsonPath('latest.name', 'Theirs')->assertJsonPath('latest.version', 3);
        self::assertSame('Theirs', Site::query()->whereKey($id)->firstOrFail()->name);
    }

    public function test_a_subject_goes_its_way_in_every_move_that_keeps_up_with_it(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        $drawing = self::drawing();
        $drawing['subjects'][0]['route'] = [
            'points' => [[10, 60], [30, 60]], 'pace_mps' => 1.6, 'stops' => [['corner' => 1, 's' => 4]], 'cue' => 'the bell',
        ];
        $site = $this->actingAs($user)->postJson('/api/v1/sites', $drawing)->assertCreated();
        $site->assertJsonPath('subjects.0.route.cue', 'the bell')->assertJsonPath('subjects.0.route.stops.0.corner', 1);
        $ask = fn (string $move): array => $this->postJson('/api/v1/plans', [
            'site_id' => $site->json('id'), 'rig_id' => $shot->rig_id, 'mode' => 'standard', 'move' => $move,
            'subject_id' => $drawing['subjects'][0]['id'],
        ])->assertOk()->json();
        $follow = $ask('follow');
        self::assertEqualsWithDelta(30.0, end($follow['subject_way']['east_m']), 0.1);
        self::assertStringContainsString('Set off at: the bell', implode(' ', $follow['subject_brief']));
        self::assertSame([], $ask('orbit')['subject_brief'], 'Round it is flown where it stands.');
        $drawing['subjects'][0]['route']['pace_mps'] = 0;
        $this->postJson('/api/v1/sites', $drawing)->assertUnprocessable()->assertJsonPath('errors.0.place', 'subjects.0.route.pace_mps');
        // Kept with a shot it comes back with it, also from its file.
        $kept = $this->postJson('/api/v1/shots', [
            'title' => 'Along', 'site_id' => $site->json('id'), 'rig_id' => $shot->rig_id, 'mode' => 'standard', 'move' => 'follow',
            'subject_id' => $drawing['subjects'][0]['id'], 'brief' => ['layers' => ['near' => 'none', 'far' => null]],
        ])->assertCreated();
        self::assertSame('none', $kept->json('brief.layers.near'));
        $again = $this->getJson('/api/v1/sites/'.$site->json('id'));
        self::assertSame($site->json('subjects'), $again->json('subjects'));
    }

    public function test_a_reading_says_how_high_the_ground_lies_at_a_place(): void
    {
        $this->actingAs(User::factory()->createOne());
        $ask = fn (array $more): ?float => $this->postJson('/api/v1/site-readings', [
            'home' => ['lat' => 57.6, 'lon' => -0.4], 'solids' => [], ...$more,
        ])->assertOk()->json('foot_m');
        $slope = ['ground' => ['profile' => [[0, 0], [40, 8]], 'bearing_deg' => 90]];
        self::assertEqualsWithDelta(2.0, $ask([...$slope, 'at' => [[10, 5]]]), 0.01);
        self::assertEqualsWithDelta(0.0, $ask(['at' => [[10, 5]]]), 0.01);
        self::assertNull($ask($slope));
    }

    public function test_a_crossing_outline_comes_back_with_its_repair(): void
    {
        $this->actingAs(User::factory()->createOne());
        $bow = ['name' => 'yard', 'shape' => 'polygon', 'points' => [[0, 0], [10, 10], [10, 0], [0, 10]], 'height_m' => 3];
        $reading = $this->postJson('/api/v1/site-readings', ['home' => ['lat' => 57.6, 'lon' => -0.4], 'solids' => [$bow]])->assertOk();
        self::assertStringContainsString('crosses itself', $reading->json('fault.message'));
        $bow['points'] = $reading->json('fault.repair');
        $this->postJson(
            '/api/v1/site-readings', ['home' => ['lat' => 57.6, 'lon' => -0.4], 'solids' => [$bow]],
        )->assertOk()->assertJsonPath('fault', null);
        $this->postJson(
            '/api/v1/sites',
            [
                'name' => 'far', 'subjects' => [],
                'document' => [
                    'home' => ['lat' => 57.6, 'lon' => -0.4],
                    'solids' => [['name' => 'the lighthouse', 'east_m' => 15000, 'north_m' => 0, 'width_m' => 4, 'height_m' => 20]],
                ],
            ],
        )
            ->assertUnprocessable()->assertJsonPath('errors.0.place', 'document.solids.0')->assertJsonPath(
                'detail', 'The lighthouse lies 15.0 km from take-off.',
            );
    }

    public function test_take_off_put_elsewhere_keeps_everything_where_it_is_on_earth(): void
    {
        $this->actingAs(User::factory()->createOne());
        $read = $this->postJson(
            '/api/v1/site-readings',
            [
                'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4], 'solids' => [], 'take_off' => ['east_m' => 100, 'north_m' => -50],
                'ground' => ['profile' => [[-200, -5], [200, 5]], 'bearing_deg' => 90],
            ],
        )->assertOk();
        $frame = new LocalFrame(new GeoPoint(57.6, -0.4, 4.0));
        $place = $frame->position(new GeoPoint($read->json('home.lat'), $read->json('home.lon'), $read->json('home.alt_m')));
        self::assertEqualsWithDelta([100.0, -50.0, 2.5], [$place->east, $place->north, $place->up], 0.002);
        $read->assertJsonPath('take_off_up_m', 2.5);
        // Between two nodes of the grid that is drawn the ground is asked itself, and a fault elsewhere on the drawing does not hold it up.
        $this->postJson('/api/v1/site-readings', [
            'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4], 'solids' => [['shape' => 'box', 'east_m' => 15000, 'north_m' => 0]],
            'take_off' => ['east_m' => 12, 'north_m' => 0], 'ground' => ['profile' => [[0, 0], [24, 12]], 'bearing_deg' => 90],
        ])->assertOk()->assertJsonPath('take_off_up_m', 6);
        $this->postJson('/api/v1/site-readings', ['home' => ['lat' => 57.6, 'lon' => -0.4], 'solids' => []])->assertJsonPath('home', null);
    }

    public function test_a_file_of_places_is_looked_at_before_it_is_taken(): void
    {
        $user = User::factory()->createOne();
        $site = Site::factory()->createOne(['school_id' => $user->school_id]);
        $this->actingAs($user);
        $written = (string) $this->get("/api/v1/sites/{$site->id}/file")->assertOk()->assertHeader(
            'Content-Type', 'application/geo+json',
        )->getContent();
        $import = $this->post(
            '/api/v1/site-imports', ['file' => UploadedFile::fake()->createWithContent('moor.geojson', $written), 'site_id' => $site->id],
            ['Accept' => 'application/json'],
        )->assertOk();
        self::assertSame(
            array_column($site->sheet()->toArray()['solids'], 'id'),
            array_column(self::byId($import->json('solids'), array_column($site->sheet()->toArray()['solids'], 'id')), 'id'),
        );
        self::assertSame(1, Site::query()->count(), 'nothing is kept yet');
        $many = [
            'type' => 'FeatureCollection',
            'features' => array_map(
                static fn (int $i): array => [
                    'type' => 'Feature', 'properties' => ['height' => 2],
                    'geometry' => ['type' => 'Point', 'coordinates' => [-0.4046 + $i * 1e-6, 57.6021]],
                ],
                range(1, 10000),
            ),
        ];
        $this->post(
            '/api/v1/site-imports',
            [
                'file' => UploadedFile::fake()->createWithContent('many.json', json_encode($many, JSON_THROW_ON_ERROR)),
                'site_id' => $site->id,
            ],
            ['Accept' => 'application/json'],
        )
            ->assertOk()->assertJsonPath('found', 10000)->assertJsonCount(SiteImport::MOST, 'solids');
        foreach (['{"type":', '<!DOCTYPE kml><kml/>', 'hello'] as $text) {
            $this->post(
                '/api/v1/site-imports', ['file' => UploadedFile::fake()->createWithContent('bad', $text)], ['Accept' => 'application/json'],
            )->assertUnprocessable();
        }
    }

    public function test_what_stands_in_for_the_world_says_so_and_says_the_same_twice(): void
    {
        $this->actingAs(User::factory()->createOne());
        $weather = '/api/v1/weather?lat=57.6&lon=-0.4&at=2026-06-03T12:00:00Z';
        $first = $this->getJson($weather)->assertOk()->assertJsonPath('simulated', true)->json();
        self::assertSame($first, $this->getJson($weather)->json());
        self::assertGreaterThanOrEqual($first['mean_mps'], $first['gust_mps']);
        $heights = $this->postJson(
            '/api/v1/ground-heights', ['home' => ['lat' => 57.6, 'lon' => -0.4]],
        )->assertOk()->assertJsonPath('simulated', true)->json();
        self::assertCount(16, $heights['spots']);
        $noon = $this->getJson('/api/v1/light-meter?lat=57.6&lon=-0.4&at=2026-06-03T12:00:00Z')->assertJsonPath('simulated', true)
            ->json('ev');
        $night = $this->getJson('/api/v1/light-meter?lat=57.6&lon=-0.4&at=2026-12-03T00:00:00Z')->json('ev');
        self::assertGreaterThan($night + 5, $noon);
        $this->getJson('/api/v1/weather?lat=157&lon=-0.4&at=noon')->assertUnprocessable();
    }

    /** @return array<string, mixed> */
    private static function drawing(): array
    {
        return [
            'name' => 'The slip', 'about' => 'drawn by hand',
            'subjects' => [['id' => 'arch', 'name' => 'Sea arch', 'east_m' => 10, 'north_m' => 20, 'up_m' => 2.5, 'base_m' => 0.5]],
            'document' => [
                'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], 'ceiling_m' => 100, 'sight_line_m' => 250,
                'solids' => [
                    [
                        'id' => 'yard', 'name' => 'yard', 'role' => 'obstacle', 'shape' => 'polygon',
                        'points' => [[60, 0], [70, 0], [70, 5], [65, 5], [65, 10], [60, 10]], 'base_m' => 0, 'height_m' => 3,
                    ],
                    [
                        'id' => 'wire', 'name' => 'wire', 'role' => 'obstacle', 'shape' => 'wire', 'points' => [[-60, 0], [-60, 20]],
                        'base_m' => 0, 'height_m' => 6, 'sag_m' => 0.5,
                    ],
                ],
                'ground' => ['spots' => [['east_m' => 40, 'north_m' => 0, 'up_m' => 3]]],
                'areas' => [['id' => 'bay', 'name' => 'bay', 'kind' => 'water', 'points' => [[-50, -50], [50, -50], [50, 30], [-50, 30]]]],
                'observers' => [['id' => 'o', 'name' => 'watcher', 'east_m' => 5, 'north_m' => 5]],
            ],
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $things
     * @param  list<string>  $ids
     * @return list<array<string, mixed>>
     */
    private static function byId(array $things, array $ids): array
    {
        $by = array_column($things, null, 'id');

        return array_values(array_filter(array_map(static fn (string $id): ?array => $by[$id] ?? null, $ids)));
    }
}
