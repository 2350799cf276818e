<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Craft;
use App\Models\FlightDay;
use App\Models\Import;
use App\Models\Invitation;
use App\Models\KeptFilter;
use App\Models\Lesson;
use App\Models\OwnEntry;
use App\Models\PersonalCopy;
use App\Models\Recording;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Spotting;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/**
 * Who may what, generated over every route: no id of somebody else's in a path, a query or a body opens, changes or shows anything (OWASP
 * ASVS 4.0, 4.1.3 and 4.2.1). What belongs to the one who is looked at has a mark in its name that must never come out.
 */
final class PolicyTest extends FeatureCase
{
    private const MARK = 'Zephyrine';

    /** Routes that anyone may ask. */
    private const OPEN = [
        'POST session', 'POST first-start/school', 'POST first-start/demo', 'GET first-start',
        'POST password/forgot', 'POST password/reset',
        'POST links/invitation', 'PUT links/invitation',
    ];

    /** What all of a school shares, by the parameter of its path. */
    private const SHARED = ['site', 'craft', 'move', 'mapping', 'reading', 'number', 'format'];

    private User $owner;

    private Shot $shot;

    private Rig $rig;

    private FlightDay $day;

    /** @var array<string, int|string> what stands in paths, by parameter */
    private array $ids;

    protected function setUp(): void
    {
        parent::setUp();
        config(['larkspur.asked_per_minute' => 100000, 'larkspur.costly_per_minute' => 100000, 'larkspur.sent_per_ten_minutes' => 100000]);
        $this->owner = User::factory()->createOne(['name' => self::MARK.' Owner']);
        $this->shot = ShotFactory::whole($this->owner);
        $this->rig = Rig::query()->create([
            ...$this->shot->rig->only(['school_id', 'craft_id', 'document', 'camera']), 'operator_id' => $this->owner->id,
            'author_id' => $this->owner->id, 'craft' => self::MARK.' rig', 'version' => 2, 'reason' => self::MARK,
        ]);
        $this->shot->update(['title' => self::MARK.' shot', 'rig_id' => $this->rig->id]);
        $this->day = FlightDay::query()->create([
            'school_id' => $this->owner->school_id, 'operator_id' => $this->owner->id, 'site_id' => $this->shot->site_id, 'version' => 1,
            'title' => self::MARK.' day', 'date' => '2026-12-01', 'document' => self::dayOf($this->shot->id),
        ]);
        $take = Take::factory()->createOne([
            'school_id' => $this->owner->school_id, 'operator_id' => $this->owner->id, 'shot_id' => $this->shot->id,
            'flight_log_id' => \App\Models\FlightLog::factory()
                ->createOne(['school_id' => $this->owner->school_id, 'owner_id' => $this->owner->id])->id,
        ]);
        $import = Import::factory()->createOne([
            'school_id' => $this->owner->school_id, 'owner_id' => $this->owner
                ->id, 'file_name' => self::MARK.'.csv', 'state' => Import::FAILED,
        ]);
        $invitation = Invitation::query()->create([
            'school_id' => $this->owner->school_id, 'inviter_id' => $this->owner
                ->id, 'email' => self::MARK.'@skerrow.example', 'role' => 'operator',
            'token' => hash('sha256', 'x'), 'until' => now()->addDay(),
        ]);
        $copy = PersonalCopy::query()->create(
            ['school_id' => $this->owner->school_id, 'user_id' => $this->owner->id, 'asker_id' => $this->owner->id],
        );
        $recording = Recording::query()->create([
            'school_id' => $this->owner->school_id, 'operator_id' => $this->owner->id, 'shot_id' => $this->shot->id, 'uuid' => 'own',
            'kind' => Recording::FLIGHT, 'move' => 'orbit', 'sheet' => str_repeat('0', 64), 'steps' => 1, 'exercise' => '{}',
            'body' => Recording::packed(['note' => self::MARK]), 'outcome' => [], 'made_at' => now(),
        ]);
        $spotting = Spotting::query()->create([
            'school_id' => $this->owner->school_id, 'operator_id' => $this->owner->id, 'shot_id' => $this->shot->id, 'move' => 'orbit',
            'fault' => self::MARK,
        ]);
        $lesson = Lesson::query()->create([
            'school_id' => $this->owner->school_id, 'author_id' => $this->owner->id, 'title' => self::MARK, 'purpose' => self::MARK,
            'steps' => [['kind' => 'read', 'move' => 'orbit', 'shot_id' => $this->shot->id, 'passes' => 1, 'note' => self::MARK]],
        ]);
        $lesson->members()->create(['operator_id' => $this->owner->id, 'comment' => self::MARK]);
        $entry = OwnEntry::query()->create([
            'school_id' => $this->owner->school_id, 'operator_id' => $this->owner->id, 'flown_at' => now(), 'minutes' => 4.0,
            'text' => self::MARK,
        ]);
        $filter = KeptFilter::query()->create([
            'school_id' => $this->owner->school_id, 'user_id' => $this->owner->id, 'name' => self::MARK, 'filter' => ['move' => 'orbit'],
        ]);
        $this->ids = [
            'filter' => $filter->id,
            'lesson' => $lesson->id, 'entry' => $entry->id, 'step' => 'hover', 'recording' => $recording->id, 'spotting' => $spotting->id,
            'shot' => $this->shot->id, 'rig' => $this->rig->id, 'day' => $this->day->id, 'take' => $take->id, 'import' => $import->id,
            'operator' => $this->owner->id, 'person' => $this->owner->id, 'invitation' => $invitation->id, 'copy' => $copy->id,
            'site' => $this->shot->site_id, 'craft' => $this->rig->craft_id, 'move' => 'orbit', 'format' => 'json', 'number' => 1,
            'mapping' => 1, 'reading' => 1, 'signIn' => 1, 'token' => 1,
        ];
    }

    public function test_a_stranger_gets_nowhere(): void
    {
        foreach ($this->routes() as $name => [$method, $path]) {
            if (! in_array($name, self::OPEN, true)) {
                $this->json($method, $path, $this->body())->assertStatus(401);
            }
        }
    }

    public function test_another_school_finds_nothing(): void
    {
        foreach (['trainer', 'operator', 'viewer'] as $role) {
            $other = User::factory()->createOne(['role' => $role]);
            foreach ($this->routes() as $name => [$method, $path, $parameters]) {
                if (in_array($name, self::OPEN, true) || $name === 'DELETE account') {
                    continue;
                }
                $answer = $this->asked($other, $method, $path);
                $this->assertTight($answer, "$role: $name");
                if (array_diff($parameters, ['move', 'format', 'number']) !== []) {
                    self::assertContains($answer->getStatusCode(), [403, 404, 422], "$role: $name");
                    self::assertFalse($answer->isSuccessful(), "$role: $name");
                }
            }
        }
        $this->assertUntouched();
    }

    public function test_a_classmate_neither_sees_nor_changes_what_is_somebody_elses(): void
    {
        $classmate = User::factory()->createOne(['school_id' => $this->owner->school_id]);
        foreach ($this->routes() as $name => [$method, $path, $parameters]) {
            if (in_array($name, self::OPEN, true) || $name === 'DELETE account') {
                continue;
            }
            $answer = $this->asked($classmate, $method, $path);
            $this->assertTight($answer, $name);
            if (array_diff($parameters, self::SHARED) !== []) {
                self::assertFalse($answer->isSuccessful(), $name);
            }
        }
        $this->assertUntouched();
    }

    public function test_a_viewer_sees_the_class_and_changes_nothing(): void
    {
        $viewer = User::factory()->createOne(['school_id' => $this->owner->school_id, 'role' => User::VIEWER]);
        foreach (['shots', 'takes', 'days', 'operators', 'progress', "shots/{$this->shot->id}"] as $path) {
            $this->actingAs($viewer)->getJson('/api/v1/'.$path)->assertOk();
        }
        // This take has no judgement: said, and no error of the server's.
        $this->getJson("/api/v1/takes/{$this->ids['take']}")->assertUnprocessable()->assertJsonPath('type', 'urn:larkspur:problem:damaged');
        foreach (['people', 'invitations', 'trail', 'school'] as $path) {
            $this->getJson('/api/v1/'.$path)->assertForbidden();
        }
        $own = ['me', 'session', 'account', 'tokens', 'kept-filters', 'notices'];
        $before = $this->records();
        foreach ($this->routes() as $name => [$method, $path]) {
            $isOwn = in_array(explode('/', explode(' ', $name)[1])[0], $own, true);
            if ($method !== 'GET' && ! $isOwn && ! in_array($name, self::OPEN, true)) {
                $this->asked($viewer, $method, $path);
            }
        }
        self::assertSame($before, $this->records());
        $this->assertUntouched();
    }

    public function test_ids_in_bodies_and_queries_obey_the_same(): void
    {
        $classmate = User::factory()->createOne(['school_id' => $this->owner->school_id]);
        $other = User::factory()->trainer()->createOne();
        $mine = ShotFactory::whole($classmate);
        $draft = [
            'site_id' => $mine->site_id, 'rig_id' => $this->rig->id, 'mode' => 'standard', 'move' => 'orbit',
            'subject_id' => $mine->site->subjects[0]['id'], 'parameters' => ['radius_m' => 24.0],
        ];
        $day = ['title' => 'Mine', 'date' => '2026-12-02', 'site_id' => $this->shot->site_id, 'document' => self::dayOf($this->shot->id)];
        $asked = [
            ['POST', 'plans', $draft], ['POST', 'expectations', $draft], ['POST', 'readings', $draft],
            ['POST', 'compositions', [...$draft, 'picture' => ['subject_m' => 4.0, 'fills' => 0.4]]],
            ['POST', 'light', [...$draft, 'date' => '2026-12-03']], ['POST', 'exposures', ['rig_id' => $this->rig->id]],
            ['POST', 'shots', [...$draft, 'title' => 'Mine']],
            ['PUT', "shots/$mine->id", [...$draft, 'title' => 'Mine', 'version' => 1]],
            ['GET', "moves/orbit/lesson?rig_id={$this->rig->id}", []],
            ['GET', "rigs/$mine->rig_id/comparison?with={$this->rig->id}", []],
            [
                'POST', 'shot-files',
                ['rig_id' => $this->rig->id, 'shot' => $mine->load(['site', 'rig', 'operator.school'])->planned()->toArray()],
            ],
            ['POST', 'days', $day],
        ];
        foreach ($asked as [$method, $path, $body]) {
            foreach ([$classmate, $other] as $user) {
                $answer = $this->actingAs($user)->json($method, '/api/v1/'.$path, $body);
                self::assertContains($answer->getStatusCode(), [403, 404], "$method $path: ".$answer->getContent());
                $this->assertTight($answer, "$method $path");
            }
        }
        // Of advice, a list and an upload: as if there were no such record.
        $this->assertTight(
            $this->actingAs($classmate)
                ->postJson("/api/v1/rigs/$mine->rig_id/advice", ['mode' => 'standard', 'shots' => [$this->shot->id]]), 'advice',
        );
        $this->getJson("/api/v1/takes?operator={$this->owner->id}&shot={$this->shot->id}")->assertOk()->assertJsonCount(0, 'takes');
        $this->getJson("/api/v1/days?operator={$this->owner->id}")->assertOk()->assertJsonCount(0);
        self::assertSame(1, FlightDay::query()->count());

        // A trainer plans with both, and what they put into an operator's day stays there when the operator changes it.
        $trainer = User::factory()->trainer()->createOne(['school_id' => $this->owner->school_id]);
        $kept = $this->actingAs($trainer)->postJson('/api/v1/days', [...$day, 'operator_id' => $classmate->id])->assertCreated();
        $this->actingAs($classmate)->putJson('/api/v1/days/'.$kept->json('id'), [...$day, 'title' => 'Later', 'version' => 1])->assertOk()
            ->assertJsonPath('shots', 1);
        // Somebody else's rig is not given to an operator with a shot.
        $this->actingAs($trainer)->putJson("/api/v1/shots/$mine->id", [...$draft, 'title' => 'Yours', 'version' => 1])->assertForbidden();
    }

    /**
     * @return array<string, array{string, string, list<string>}> method, path with ids, and the names of its parameters; by "METHOD uri"
     */
    private function routes(): array
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            assert($route instanceof OneRoute);
            if (! str_starts_with($route->uri(), 'api/v1/')) {
                continue;
            }
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $path = '/'.$route->uri();
                foreach ($route->parameterNames() as $parameter) {
                    self::assertArrayHasKey($parameter, $this->ids, 'Somebody has to say what a {'.$parameter.'} is: '.$route->uri());
                    $path = str_replace('{'.$parameter.'}', (string) $this->ids[$parameter], $path);
                }
                $routes[$method.' '.substr($route->uri(), 7)] = [(string) $method, $path, array_values($route->parameterNames())];
            }
        }

        return $routes;
    }

    /** @return array<string, mixed> names every record of the owner's that a body may name */
    private function body(): array
    {
        return [
            'site_id' => $this->shot->site_id, 'rig_id' => $this->rig->id, 'shot_id' => $this->shot->id, 'operator_id' => $this->owner->id,
            'with' => $this->rig->id, 'to' => $this->owner->id, 'shots' => [$this->shot->id], 'operator' => $this->owner->id,
            'shot' => $this->shot->id, 'craft' => $this->rig->craft_id, 'mode' => 'standard', 'move' => 'orbit', 'title' => 'Mine now',
            'subject_id' => $this->shot->site
                ->subjects[0]['id'], 'parameters' => ['radius_m' => 24.0], 'version' => 1, 'date' => '2026-12-01',
            'document' => self::dayOf($this->shot->id), 'decision' => 'keep', 'at_s' => 1.0,
            'text' => 'x', 'reason' => 'mine', 'disabled' => true,
            'seed' => 1, 'house' => 'middle', 'name' => 'x', 'number' => 1,
        ];
    }

    /** @return TestResponse<Response> */
    private function asked(User $user, string $method, string $path): TestResponse
    {
        $body = $this->body();

        return $this->actingAs($user)->json(
            $method, $method === 'GET' ? $path.'?'.http_build_query(array_filter($body, is_scalar(...))) : $path,
            $method === 'GET' ? [] : $body,
        );
    }

    /** @param  TestResponse<Response>  $answer */
    private function assertTight(TestResponse $answer, string $what): void
    {
        self::assertLessThan(500, $answer->getStatusCode(), $what);
        $text = $answer->baseResponse instanceof \Symfony\Component\HttpFoundation\StreamedResponse ? $answer
            ->streamedContent() : (string) $answer->getContent();
        self::assertStringNotContainsString(self::MARK, $text, $what);
    }

    private function assertUntouched(): void
    {
        self::assertSame(self::MARK.' shot', $this->shot->refresh()->title);
        self::assertSame($this->rig->id, $this->shot->rig_id);
        self::assertSame(self::MARK.' day', $this->day->refresh()->title);
        self::assertNull($this->owner->refresh()->disabled_at);
        self::assertSame(User::OPERATOR, $this->owner->role);
        self::assertSame(Import::FAILED, Import::query()->withoutGlobalScopes()->find($this->ids['import'])?->state);
        self::assertNull(Take::query()->withoutGlobalScopes()->find($this->ids['take'])?->decision);
        self::assertTrue(Invitation::query()->withoutGlobalScopes()->whereKey($this->ids['invitation'])->exists());
        self::assertTrue(Craft::query()->withoutGlobalScopes()->whereKey($this->rig->craft_id)->exists());
    }

    /** @return array<string, int> how many records there are */
    private function records(): array
    {
        $many = [];
        foreach (
            [
                'shots', 'rigs', 'crafts', 'sites', 'takes', 'comments', 'flight_days', 'day_entries', 'imports', 'invitations', 'users',
            ] as $table
        ) {
            $many[$table] = DB::table($table)->count();
        }

        return $many;
    }

    /** @return array<string, mixed> */
    private static function dayOf(int $shot): array
    {
        return [
            'from' => '08:00', 'to' => '10:00', 'batteries' => [
                'count' => 2, 'minutes' => 20, 'reserve' => 0.3, 'temperature_c' => 15,
            ], 'swap_min' => 4,
            'return_margin_m' => 10, 'shots' => [['shot_id' => $shot]],
        ];
    }
}
