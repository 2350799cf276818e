<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FlyShot;
use App\Models\Comment;
use App\Models\Import;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Site\Wind;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

/**
 * What the API answers is what docs/openapi.json promises: every answer of every operation is checked by a validator
 * that knows nothing of Larkspur, and nothing may be said that is not promised. And the promise covers every route.
 */
final class ContractTest extends FeatureCase
{
    private User $operator;

    private User $trainer;

    private Shot $shot;

    private Take $take;

    protected function setUp(): void
    {
        parent::setUp();
        $this->operator = User::factory()->createOne();
        $this->trainer = User::factory()->createOne(['school_id' => $this->operator->school_id, 'role' => User::TRAINER]);
        $this->shot = ShotFactory::whole($this->operator);
        $this->app?->make(FlyShot::class)(
            $this->shot, OperatorHabits::named('flicker'), 'flicker', new Wind(1.0, 2.0, 3.0), 7, $this->operator,
        );
        $this->take = Take::query()->latest('id')->firstOrFail();
        $this->actingAs($this->trainer);
        Comment::query()->create([
            'take_id' => $this->take->id, 'author_id' => $this->trainer->id, 'at_s' => 12.0, 'text' => 'Softer here.',
        ]);
    }

    public function test_every_route_is_described_and_every_description_has_its_route(): void
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/')) {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $routes[] = $method.' '.substr($route->uri(), 6);
                }
            }
        }
        $described = [];
        foreach (self::document()['paths'] as $path => $operations) {
            foreach (array_keys($operations) as $method) {
                $described[] = strtoupper((string) $method).' '.$path;
            }
        }
        sort($routes);
        sort($described);

        self::assertSame($routes, $described);
    }

    public function test_what_an_operator_reads_is_what_is_promised(): void
    {
        $import = Import::query()->latest('id')->firstOrFail();
        $paths = [
            '/glossary' => [], '/combinations' => [], '/shots/{shot}/comparison' => ['shot' => $this->shot->id],
            '/me' => [], '/today' => [], '/sites' => [], '/rigs' => [], '/moves' => [], '/shots' => [], '/takes' => [],
            '/progress' => [], '/ladder' => [], '/next' => [], '/logbook' => [], '/lessons' => [], '/school/ladder' => [],
            '/imports' => [], '/column-mappings' => [],
            '/rigs/{rig}' => ['rig' => $this->shot->rig_id], '/rigs/{rig}/history' => ['rig' => $this->shot->rig_id],
            '/rigs/{rig}/file' => ['rig' => $this->shot->rig_id], '/crafts' => [], '/takes/{take}/bob' => ['take' => $this->take->id],
            '/shots/{shot}' => ['shot' => $this->shot->id],
            '/imports/{import}' => ['import' => $import->id], '/takes/{take}' => ['take' => $this->take->id],
            '/takes/{take}/replay' => ['take' => $this->take->id],
        ];
        foreach ($paths as $path => $values) {
            $this->assertKept('get', $path, $this->actingAs($this->operator)->getJson('/api/v1'.self::filled($path, $values)));
        }
    }

    public function test_what_a_trainer_reads_is_what_is_promised(): void
    {
        foreach ([
            '/me' => [], '/today' => [], '/operators' => [], '/takes' => [], '/class' => [], '/takes/{take}' => ['take' => $this->take->id],
        ] as $path => $values) {
            $this->assertKept('get', $path, $this->actingAs($this->trainer)->getJson('/api/v1'.self::filled($path, $values)));
        }
    }

    public function test_what_is_sent_is_answered_as_promised(): void
    {
        $draft = [
            'site_id' => $this->shot->site_id, 'rig_id' => $this->shot->rig_id, 'mode' => 'standard', 'move' => 'orbit',
            'subject_id' => $this->shot->site->subjects[0]['id'], 'parameters' => ['radius_m' => 24.0],
        ];
        $this->actingAs($this->operator);

        $this->assertKept('post', '/plans', $this->postJson('/api/v1/plans', $draft));
        $begun = $this->postJson('/api/v1/drafts', [...$draft, 'move' => 'follow', 'parameters' => (object) []])
            ->assertOk();
        $this->assertKept('post', '/drafts', $begun);
        // What it begins with can be planned, and flies.
        $this->postJson('/api/v1/plans', [...$draft, 'move' => 'follow', 'parameters' => (object) [], ...array_filter($begun->json())])
            ->assertOk()->assertJsonPath('feasible', true);
        $this->assertKept(
            'post', '/plans',
            $this->postJson('/api/v1/plans', [...$draft, 'wind' => ['mean_mps' => 3, 'from_deg' => 200, 'gust_mps' => 4]]),
        );
        $this->assertKept('post', '/plans', $this->postJson('/api/v1/plans', [...$draft, 'parameters' => ['radius_m' => -3]]));
        $this->assertKept('post', '/expectations', $this->postJson('/api/v1/expectations', $draft));
        $this->assertKept(
            'post', '/expectations', $this->postJson('/api/v1/expectations', [...$draft, 'parameters' => ['radius_m' => -3]]),
        );
        foreach (['orbit', 'push-in', 'pan', 'gap', 'straight-back'] as $move) {
            $this->assertKept(
                'post', '/readings',
                $this->postJson(
                    '/api/v1/readings',
                    [
                        ...$draft, 'move' => $move, 'parameters' => (object) [],
                        'wind' => ['mean_mps' => 3, 'from_deg' => 200, 'gust_mps' => 4],
                    ],
                ),
            );
        }
        $this->assertKept('post', '/readings', $this->postJson('/api/v1/readings', [...$draft, 'parameters' => ['radius_m' => -3]]));
        foreach (['pull-away', 'side-track', 'square-with-turns', 'locked-off'] as $move) {
            $this->assertKept(
                'post', '/plans', $this->postJson('/api/v1/plans', [...$draft, 'move' => $move, 'parameters' => (object) []]),
            );
        }
        $this->assertKept(
            'post', '/plans',
            $this->postJson(
                '/api/v1/plans',
                [
                    ...$draft, 'move' => 'combination', 'parameters' => (object) [], 'join' => 'sequence',
                    'parts' => [['move' => 'push-in'], ['move' => 'rise']],
                ],
            ),
        );
        $combined = $this->postJson(
            '/api/v1/shots',
            [
                ...$draft, 'title' => 'Two in one', 'move' => 'combination', 'parameters' => (object) [], 'join' => 'sequence',
                'parts' => [['move' => 'push-in'], ['move' => 'rise']],
            ],
        );
        $this->assertKept('post', '/shots', $combined);
        $this->assertKept('get', '/shots/{shot}', $this->getJson('/api/v1/shots/'.$combined->json('id')));
        $flown = $this->postJson("/api/v1/shots/{$combined->json('id')}/flights", ['operator' => 'steady', 'seed' => 3]);
        $this->assertKept('get', '/takes/{take}', $this->getJson('/api/v1/takes/'.$flown->json('takes.0')));
        $wish = [...$draft, 'picture' => ['subject_m' => 4.0, 'fills' => 0.4, 'hold_s' => 8]];
        $this->assertKept('post', '/compositions', $this->postJson('/api/v1/compositions', $wish));
        $this->assertKept(
            'post', '/compositions',
            $this->postJson('/api/v1/compositions', [...$wish, 'picture' => ['subject_m' => 4.0, 'fills' => 0.4, 'height_m' => 450.0]]),
        );
        foreach (['', '&fault=kick', '&fault=hiccup'] as $fault) {
            $this->assertKept(
                'get', '/moves/{move}/lesson', $this->getJson("/api/v1/moves/push-in/lesson?rig_id={$this->shot->rig_id}{$fault}"),
            );
        }
        $this->assertKept('post', '/shots', $this->postJson('/api/v1/shots', [...$draft, 'title' => 'Another round']));
        $put = fn (array $more) => $this->putJson('/api/v1/shots/'.$this->shot->id, [...$draft, ...$more]);
        $this->assertKept('put', '/shots/{shot}', $put(['title' => 'Closer', 'version' => 1]));
        $this->assertKept('put', '/shots/{shot}', $put(['title' => 'Closer still', 'version' => 1])->assertConflict());
        $this->assertKept(
            'post', '/shots/{shot}/flights',
            $this->postJson("/api/v1/shots/{$this->shot->id}/flights", ['operator' => 'steady', 'seed' => 2]),
        );
        $this->assertKept('patch', '/takes/{take}', $this->patchJson('/api/v1/takes/'.$this->take->id, ['decision' => 'keep']));
        $this->assertKept('patch', '/me', $this->patchJson('/api/v1/me', ['units' => 'feet']));
        $this->assertKept('post', '/tokens', $this->postJson('/api/v1/tokens', ['name' => 'a script', 'scope' => 'read', 'days' => 30]));
        $this->assertKept(
            'post', '/takes/{take}/comments',
            $this->actingAs($this->trainer)->postJson("/api/v1/takes/{$this->take->id}/comments", ['at_s' => 9.0, 'text' => 'Here.']),
        );
    }

    public function test_what_is_asked_about_rigs_is_answered_as_promised(): void
    {
        $rig = $this->shot->rig;
        $this->actingAs($this->operator);
        $settings = $this->getJson("/api/v1/rigs/$rig->id")->json('settings');
        $path = "/api/v1/rigs/$rig->id";

        $this->assertKept('post', '/rigs/{rig}/reading', $this->postJson("$path/reading", ['mode' => 'slow']));
        $this->assertKept(
            'post', '/rigs/{rig}/reading',
            $this->postJson(
                "$path/reading",
                [
                    'mode' => 'standard', 'settings' => $settings, 'drag' => ['finger' => 'tilt', 'travel' => 0.4, 'output' => 0.2],
                    'distance_m' => 35,
                ],
            ),
        );
        $this->assertKept(
            'post', '/rigs/{rig}/reading',
            $this->postJson("$path/reading", ['mode' => 'standard', 'drag' => ['finger' => 'tilt', 'travel' => 1.4, 'output' => 0.2]]),
        );
        $this->assertKept('post', '/rigs/{rig}/sheet', $this->postJson("$path/sheet", ['mode' => 'fast', 'settings' => $settings]));
        $this->assertKept(
            'post', '/rigs/{rig}/advice', $this->postJson("$path/advice", ['mode' => 'standard', 'shots' => [$this->shot->id]]),
        );
        $settings['modes']['slow']['turn_dps'] = 20;
        $settings['hands'] = ['stick_mode' => 3, 'wheel_up' => 'pull', 'grip' => 'pinch', 'stick_mm' => 24];
        $saved = $this->postJson("$path/versions", ['settings' => $settings, 'reason' => 'calmer', 'operator_id' => $this->operator->id]);
        $this->assertKept('post', '/rigs/{rig}/versions', $saved);
        $settings['modes']['slow']['turn_dps'] = 21;
        $this->assertKept(
            'post', '/rigs/{rig}/versions',
            $this->postJson("$path/versions", ['settings' => $settings, 'reason' => 'calmer still', 'operator_id' => $this->operator->id]),
        );
        $this->assertKept('get', '/rigs/{rig}/history', $this->getJson('/api/v1/rigs/'.$saved->json('id').'/history'));
        $this->assertKept('get', '/rigs/{rig}/comparison', $this->getJson("$path/comparison?with=".$saved->json('id')));
        $this->assertKept('get', '/rigs', $this->getJson('/api/v1/rigs'));
        $file = $this->getJson("$path/file")->json();
        $this->assertKept('post', '/rig-files', $this->postJson('/api/v1/rig-files', [...$file, 'schema' => 'larkspur/rig/9']));
        $file['craft']['stock']['craft'] = $file['rig']['craft'] = 'Plover 90';
        $this->assertKept('post', '/rig-files', $this->postJson('/api/v1/rig-files', $file));
        $document = $file['craft'];
        $this->assertKept('get', '/crafts/ordinary', $this->getJson('/api/v1/crafts/ordinary?name=Dunlin'));
        $document['stock']['craft'] = 'Dunlin 40';
        $entered = $this->postJson('/api/v1/crafts', ['document' => $document]);
        $this->assertKept('post', '/crafts', $entered);
        $this->assertKept('post', '/hover-points', $this->postJson('/api/v1/hover-points', ['trials' => [[0.3, -0.6], [0.5, 0.4]]]));
        $this->assertKept('post', '/hover-points', $this->postJson('/api/v1/hover-points', ['trials' => [[0.3, 0.6], [0.5, 0.4]]]));
        $this->assertKept(
            'put', '/crafts/{craft}',
            $this->actingAs($this->trainer)->putJson('/api/v1/crafts/'.$entered->json('id'), ['document' => $document, 'version' => 1]),
        );
        $this->assertKept('put', '/house', $this->putJson('/api/v1/house', ['house' => 'limit-the-machine']));
        $this->assertKept(
            'put', '/operators/{operator}/house',
            $this->putJson("/api/v1/operators/{$this->operator->id}/house", ['house' => 'trust-the-fingers']),
        );
    }

    public function test_what_is_asked_about_sites_light_and_days_is_answered_as_promised(): void
    {
        $this->actingAs($this->operator);
        $site = $this->getJson('/api/v1/sites/'.$this->shot->site_id);
        $this->assertKept('get', '/sites/{site}', $site);
        $drawn = [...array_intersect_key($site->json(), ['name' => 1, 'about' => 1, 'document' => 1, 'subjects' => 1])];
        $twin = $this->postJson('/api/v1/sites', $drawn);
        $this->assertKept('post', '/sites', $twin);
        $drawnId = $twin->json('id');
        $this->assertKept(
            'post', '/sites', $this->postJson('/api/v1/sites', ['name' => 'nowhere', 'document' => ['home' => []], 'subjects' => []]),
        );
        $this->actingAs($this->trainer);
        $this->assertKept('put', '/sites/{site}', $this->putJson('/api/v1/sites/'.$this->shot->site_id, [...$drawn, 'version' => 1]));
        $this->assertKept('put', '/sites/{site}', $this->putJson('/api/v1/sites/'.$this->shot->site_id, [...$drawn, 'version' => 1]));
        $this->actingAs($this->operator);
        $this->assertKept('put', '/sites/{site}', $this->putJson('/api/v1/sites/'.$this->shot->site_id, [...$drawn, 'version' => 2]));
        $bow = ['shape' => 'polygon', 'points' => [[0, 0], [10, 10], [10, 0], [0, 10]], 'height_m' => 3];
        foreach ([[], [$bow]] as $solids) {
            $this->assertKept(
                'post', '/site-readings',
                $this->postJson(
                    '/api/v1/site-readings',
                    [
                        'home' => ['lat' => 57.6, 'lon' => -0.4], 'solids' => $solids,
                        'ground' => ['spots' => [['east_m' => 10, 'north_m' => 5, 'up_m' => 2]]],
                    ],
                ),
            );
        }
        $file = UploadedFile::fake()->createWithContent(
            'places.geojson', (string) $this->get("/api/v1/sites/{$this->shot->site_id}/file")->getContent(),
        );
        $this->assertKept(
            'post', '/site-imports', $this->post('/api/v1/site-imports', ['file' => $file], ['Accept' => 'application/json']),
        );
        $this->assertKept('get', '/weather', $this->getJson('/api/v1/weather?lat=57.6&lon=-0.4&at=2026-06-03T09:00:00Z'));
        $this->assertKept('get', '/light-meter', $this->getJson('/api/v1/light-meter?lat=57.6&lon=-0.4&at=2026-06-03T09:00:00Z'));
        $this->assertKept(
            'post', '/ground-heights',
            $this->postJson('/api/v1/ground-heights', ['home' => ['lat' => 57.6, 'lon' => -0.4], 'reach_m' => 120]),
        );
        $draft = [
            'site_id' => $this->shot->site_id, 'rig_id' => $this->shot->rig_id, 'mode' => 'standard', 'move' => 'orbit',
            'subject_id' => $this->shot->site->subjects[0]['id'], 'parameters' => ['radius_m' => 24.0],
        ];
        $this->assertKept('post', '/light', $this->postJson('/api/v1/light', ['site_id' => $this->shot->site_id, 'date' => '2026-06-03']));
        $this->assertKept(
            'post', '/light',
            $this->postJson('/api/v1/light', [...$draft, 'date' => '2026-12-03', 'light' => ['side' => 'back', 'hour' => 'golden']]),
        );
        $this->assertKept('post', '/light', $this->postJson('/api/v1/light', [...$draft, 'date' => '2026-02-30']));
        $this->assertKept(
            'post', '/exposures',
            $this->postJson('/api/v1/exposures', ['rig_id' => $this->shot->rig_id, 'filters' => [8, 32], 'automatic_white' => true]),
        );
        $this->assertKept('post', '/exposures', $this->postJson('/api/v1/exposures', ['rig_id' => $this->shot->rig_id, 'aperture' => 30]));

        $brief = ['light' => ['side' => 'any', 'hour' => 'day'], 'passes' => 3, 'must' => true, 'sound' => 'sea'];
        $this->assertKept(
            'put', '/shots/{shot}',
            $this->putJson('/api/v1/shots/'.$this->shot->id, [...$draft, 'title' => 'Briefed', 'brief' => $brief, 'version' => 2]),
        );
        $day = [
            'title' => 'Two hours', 'date' => '2026-06-03', 'site_id' => $this->shot->site_id,
            'document' => [
                'from' => '08:00', 'to' => '10:00', 'batteries' => ['count' => 2, 'minutes' => 20],
                'shots' => [['shot_id' => $this->shot->id]], 'permission' => ['airspace' => 'open', 'owner' => ''],
            ],
        ];
        $kept = $this->postJson('/api/v1/days', $day);
        $this->assertKept('post', '/days', $kept);
        $this->assertKept(
            'post', '/days', $this->postJson('/api/v1/days', [...$day, 'document' => [...$day['document'], 'from' => 'dawn']]),
        );
        $this->assertKept('get', '/days', $this->getJson('/api/v1/days'));
        $path = '/api/v1/days/'.$kept->json('id');
        $entry = [
            'uuid' => '0b9ec1f2-6a61-4c1f-9d5a-7f0b8a6e1c11', 'kind' => 'tick', 'item' => 'bag-batteries', 'payload' => ['on' => true],
            'device' => 'tablet', 'made_at' => '2026-06-03T07:40:00Z',
        ];
        $this->assertKept(
            'post', '/days/{day}/entries',
            $this->postJson(
                "$path/entries",
                ['entries' => [
                    $entry,
                    [
                        ...$entry, 'uuid' => '0b9ec1f2-6a61-4c1f-9d5a-7f0b8a6e1c12', 'kind' => 'pass', 'item' => "shot-{$this->shot->id}",
                        'payload' => ['number' => 1, 'verdict' => 'kept', 'note' => 'wind up'],
                    ],
                ]],
            ),
        );
        $this->assertKept('get', '/days/{day}', $this->getJson($path));
        $this->assertKept(
            'put', '/days/{day}',
            $this->putJson(
                $path, [...$day, 'version' => 1, 'document' => [...$day['document'], 'batteries' => ['count' => 0, 'minutes' => 20]]],
            ),
        );
        $this->assertKept('put', '/days/{day}', $this->putJson($path, [...$day, 'version' => 1]));
        $this->assertKept('delete', '/days/{day}', $this->deleteJson($path));
        $this->assertKept('delete', '/shots/{shot}', $this->deleteJson('/api/v1/shots/'.$this->shot->id));
        $this->assertKept('delete', '/sites/{site}', $this->deleteJson('/api/v1/sites/'.$drawnId));
        $this->assertKept('delete', '/sites/{site}', $this->actingAs($this->trainer)->deleteJson('/api/v1/sites/'.$this->shot->site_id));
        $this->actingAs($this->operator);
        $shot = $this->getJson("/api/v1/shots/{$this->shot->id}/files/json")->json();
        $this->assertKept('post', '/shot-files', $this->postJson('/api/v1/shot-files', ['rig_id' => $this->shot->rig_id, 'shot' => $shot]));
        $this->assertKept(
            'post', '/shot-files',
            $this->postJson('/api/v1/shot-files', ['rig_id' => $this->shot->rig_id, 'shot' => [...$shot, 'schema' => 'larkspur/shot/9']]),
        );
    }

    public function test_every_refusal_is_a_problem_and_tells_no_insides(): void
    {
        $stranger = User::factory()->createOne();
        $answers = [
            $this->asNobody()->getJson('/api/v1/today'),
            $this->actingAs($stranger)->getJson('/api/v1/takes/'.$this->take->id),
            $this->actingAs($this->operator)->getJson('/api/v1/operators'),
            $this->actingAs($this->operator)->postJson("/api/v1/takes/{$this->take->id}/comments", ['at_s' => 1.0, 'text' => 'no']),
            $this->actingAs($this->operator)->postJson('/api/v1/plans', ['site_id' => 'moor']),
            $this->actingAs($this->operator)->postJson('/api/v1/imports', []),
            $this->actingAs($this->operator)->getJson('/api/v1/nowhere'),
            $this->actingAs($this->operator)->deleteJson('/api/v1/takes/'.$this->take->id),
        ];
        foreach ($answers as $answer) {
            self::assertGreaterThanOrEqual(400, $answer->getStatusCode());
            self::assertLessThan(500, $answer->getStatusCode());
            self::assertSame('application/problem+json', $answer->headers->get('Content-Type'));
            self::assertValid(['$ref' => '#/components/schemas/Problem'], $answer, 'A refusal');
            self::assertStringNotContainsString('.php', (string) $answer->getContent());
            self::assertSame($answer->getStatusCode(), $answer->json('status'));
        }
    }

    public function test_nothing_of_a_school_is_shown_to_another(): void
    {
        $stranger = User::factory()->createOne(['role' => User::TRAINER]);
        $import = Import::query()->latest('id')->firstOrFail();
        $asked = [
            "/shots/{$this->shot->id}", "/takes/{$this->take->id}", "/takes/{$this->take->id}/replay", "/takes/{$this->take->id}/log",
            "/imports/{$import->id}", "/rigs/{$this->shot->rig_id}", "/rigs/{$this->shot->rig_id}/history",
            "/rigs/{$this->shot->rig_id}/file", "/rigs/{$this->shot->rig_id}/card", "/takes/{$this->take->id}/bob",
            "/sites/{$this->shot->site_id}", "/sites/{$this->shot->site_id}/file", "/shots/{$this->shot->id}/card",
            "/shots/{$this->shot->id}/files/kml",
        ];
        foreach ($asked as $path) {
            $this->actingAs($stranger)->getJson('/api/v1'.$path)->assertNotFound();
        }
        foreach (['/sites', '/crafts', '/rigs', '/shots', '/operators', '/lessons', '/imports', '/days'] as $path) {
            $this->actingAs($stranger)->getJson('/api/v1'.$path)->assertOk()->assertExactJson([]);
        }
        $this->actingAs($stranger)->getJson('/api/v1/takes?operator='.$this->operator->id)->assertOk()->assertJsonCount(0, 'takes');
        $this->actingAs($stranger)->patchJson('/api/v1/takes/'.$this->take->id, ['decision' => 'drop'])->assertNotFound();
        $this->actingAs($stranger)->putJson('/api/v1/shots/'.$this->shot->id, ['title' => 'Mine'])->assertNotFound();
        self::assertNull($this->take->refresh()->decision);
    }

    private function asNobody(): self
    {
        $this->app?->make('auth')->forgetGuards();

        return $this;
    }

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer */
    private function assertKept(string $method, string $path, TestResponse $answer): void
    {
        $promised = self::document()['paths'][$path][$method]['responses'] ?? [];
        $status = $answer->getStatusCode();
        self::assertArrayHasKey($status, $promised, "$method $path answers $status: ".substr((string) $answer->getContent(), 0, 300));
        if ($status === 204) {
            self::assertSame('', $answer->getContent(), "$method $path has nothing to say.");

            return;
        }
        $schema = $promised[$status]['content']['application/json']['schema'] ?? null;
        self::assertIsArray($schema, "$method $path promises nothing for $status.");
        self::assertValid($schema, $answer, "$method $path");
    }

    /**
     * @param  array<array-key, mixed>  $schema
     * @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $answer
     */
    private static function assertValid(array $schema, TestResponse $answer, string $what): void
    {
        $validator = new Validator;
        $validator->setMaxErrors(3);
        $whole = [...$schema, 'components' => ['schemas' => self::strict(self::document()['components']['schemas'])]];
        $result = $validator->validate(
            json_decode((string) $answer->getContent(), false, flags: JSON_THROW_ON_ERROR), Helper::toJSON(self::strict($whole)),
        );
        $error = $result->error();

        self::assertTrue(
            $result->isValid(),
            $error === null ? $what : $what.': '.json_encode(
                (new \Opis\JsonSchema\Errors\ErrorFormatter)->formatOutput($error, 'basic'),
                JSON_PRETTY_PRINT | JSON_PARTIAL_OUTPUT_ON_ERROR,
            ),
        );
    }

    /**
     * OpenAPI 3.0 as JSON Schema: "nullable" becomes a type, and an object says all that it may hold.
     *
     * @param  array<array-key, mixed>  $schema
     * @return array<array-key, mixed>
     */
    private static function strict(array $schema): array
    {
        if (is_array($schema['allOf'] ?? null)) {
            $parts = array_map(static fn (mixed $part): array => is_array($part) ? self::named($part) : [], array_values($schema['allOf']));
            $schema = [
                'type' => 'object', 'properties' => array_merge(...array_column($parts, 'properties')),
                'required' => array_merge(...array_column($parts, 'required')),
            ];
        }
        $schema = array_map(static fn (mixed $part): mixed => is_array($part) ? self::strict($part) : $part, $schema);
        if (($schema['nullable'] ?? false) === true) {
            unset($schema['nullable']);

            return ['anyOf' => [$schema, ['type' => 'null']]];
        }
        if (($schema['type'] ?? null) === 'object' && isset($schema['properties']) && ! isset($schema['additionalProperties'])) {
            $schema['additionalProperties'] = false;
        }

        return $schema;
    }

    /**
     * A part of a schema, or what it names.
     *
     * @param  array<array-key, mixed>  $part
     * @return array<array-key, mixed>
     */
    private static function named(array $part): array
    {
        $name = $part['$ref'] ?? null;
        $named = is_string($name) ? self::document()['components']['schemas'][basename($name)] ?? [] : $part;

        return is_array($named) ? $named : [];
    }

    /** @param  array<string, int>  $values */
    private static function filled(string $path, array $values): string
    {
        foreach ($values as $name => $value) {
            $path = str_replace('{'.$name.'}', (string) $value, $path);
        }

        return $path;
    }

    /**
     * @return array{
     *     paths: array<string, array<string, array{responses: array<array-key, array<string, mixed>>}>>,
     *     components: array{schemas: array<string, mixed>},
     * }
     */
    private static function document(): array
    {
        static $document = null;

        return $document ??= json_decode(
            (string) file_get_contents(dirname(__DIR__, 2).'/docs/openapi.json'), true, flags: JSON_THROW_ON_ERROR,
        );
    }
}
