<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Files\CheckFiles;
use App\Files\FreeSpace;
use App\Files\Vault;
use App\Models\FlightLog;
use App\Models\Import;
use App\Models\Take;
use App\Models\User;
use App\Running\ServerState;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Core\Shots;

/** What the server says of itself, and what it finds when it compares its files with its records. */
final class RunningTest extends FeatureCase
{
    public function test_up_says_well_poor_and_down(): void
    {
        $this->getJson('/up')->assertOk()->assertJsonPath('state', 'poor')->assertJsonPath('workers', 0);
        ServerState::seen('slate/worker-1');
        $this->getJson('/up')->assertOk()->assertJsonPath('state', 'well')->assertJsonPath('workers', 1)->assertJsonPath('oldest_s', null);
        $this->travel(61)->seconds();
        $this->getJson('/up')->assertJsonPath('workers', 0);
        ServerState::seen('slate/worker-1');
        ServerState::seen('slate/worker-2');
        self::import(['state' => Import::JUDGING, 'seen_at' => now()->subMinutes(5), 'queued_at' => now()->subMinutes(6)]);
        $this->getJson('/up')->assertOk()->assertJsonPath('state', 'poor')->assertJsonPath('stalled', 1)->assertJsonPath('workers', 2);
    }

    public function test_without_a_database_it_is_down_and_pages_say_that_it_comes_back(): void
    {
        $port = config('database.connections.mariadb.port');
        $user = User::factory()->createOne();
        DB::rollBack();
        try {
            config(['database.connections.mariadb.port' => 1]);
            DB::purge();
            $this->getJson('/up')->assertStatus(503)->assertJsonPath('state', 'down')->assertJsonPath('database', false);
            $this->postJson('/api/v1/session', ['email' => $user->email, 'password' => 'password'])
                ->assertStatus(503)->assertJsonPath('type', 'urn:larkspur:problem:away')->assertHeader('Retry-After', '5');
            self::assertStringContainsString('larkspur_database_up 0', (string) $this->get('/metrics')->getContent());
        } finally {
            config(['database.connections.mariadb.port' => $port]);
            DB::purge();
            DB::beginTransaction();
        }
    }

    public function test_a_full_disk_is_said_and_nothing_is_taken_but_what_makes_room(): void
    {
        $user = User::factory()->trainer()->createOne();
        $this->app?->instance(FreeSpace::class, new class extends FreeSpace
        {
            public function bytes(): int
            {
                return 1000;
            }
        });
        $this->getJson('/up')->assertJsonPath('room', false)->assertJsonPath('state', 'poor');
        $this->actingAs($user)->getJson('/api/v1/running')->assertOk()->assertJsonPath('room', false);
        $this->patchJson('/api/v1/me', ['theme' => 'dark'])->assertStatus(507);
        $this->deleteJson('/api/v1/session')->assertNoContent();
    }

    /**
     * OpenMetrics 1.0 (openmetrics.io): TYPE, UNIT and HELP lines before the samples of a family, a unit is the end of its name, `# EOF` at
     * the end.
     */
    public function test_metrics_are_open_metrics(): void
    {
        self::import(['state' => Import::FAILED]);
        $answer = $this->get('/metrics')->assertOk();
        self::assertStringStartsWith('application/openmetrics-text; version=1.0.0', (string) $answer->headers->get('Content-Type'));
        $text = (string) $answer->getContent();
        self::assertStringEndsWith("\n# EOF\n", $text);
        $family = '';
        foreach (explode("\n", rtrim($text)) as $line) {
            if (preg_match('/^# TYPE (\w+) gauge$/', $line, $match) === 1) {
                $family = $match[1];
            } elseif (preg_match('/^# UNIT (\w+) (\w+)$/', $line, $match) === 1) {
                self::assertSame($family, $match[1]);
                self::assertStringEndsWith('_'.$match[2], $family);
            } elseif (! str_starts_with($line, '#')) {
                self::assertMatchesRegularExpression('/^'.$family.'(\{[a-z]+="[a-z]+"\})? -?[0-9.]+$/', $line);
            }
        }
        self::assertStringContainsString('larkspur_imports{state="failed"} 1', $text);
    }

    public function test_only_trainers_are_told_how_the_server_does(): void
    {
        $operator = User::factory()->createOne();
        $this->actingAs($operator)->getJson('/api/v1/running')->assertForbidden();
        $this->actingAs(User::factory()->trainer()->createOne(['school_id' => $operator->school_id]))
            ->getJson('/api/v1/running')->assertOk()->assertJsonPath('late', false);
    }

    public function test_every_answer_and_every_problem_has_the_number_of_its_request(): void
    {
        $one = $this->getJson('/api/v1/me')->assertUnauthorized();
        self::assertNotEmpty($one->json('request'));
        self::assertSame($one->json('request'), $one->headers->get('X-Request-Id'));
        $given = $this->getJson('/api/v1/me', ['X-Request-Id' => 'abcd-1234-efgh'])->assertUnauthorized();
        self::assertSame('abcd-1234-efgh', $given->json('request'));
        // What could break a log line is not taken.
        $bad = $this->getJson('/api/v1/me', ['X-Request-Id' => "x\"}{\n"]);
        self::assertMatchesRegularExpression('/^[0-9a-z]{16}$/', $bad->json('request'));
    }

    public function test_the_check_finds_missing_cut_and_orphaned_files_and_mends_what_it_can(): void
    {
        $user = User::factory()->createOne();
        foreach (['orbit', 'push-in', 'pull-away'] as $move) {
            $this->actingAs($user)->postJson('/api/v1/imports', [
                'log' => UploadedFile::fake()->createWithContent("$move.csv", Shots::csv(ImportTest::log($move))),
            ])->assertJsonPath('state', 'done');
        }
        [$missing, $cut, $whole] = FlightLog::query()->oldest('id')->get()->all();
        $check = app(CheckFiles::class);
        self::assertSame(['checked' => 3, 'missing' => [], 'cut' => [], 'orphaned' => [], 'mended' => []], $check(true));

        // Its bytes still lie somewhere else; those of the other are gone for good.
        Storage::move($missing->path(), 'uploads/left-behind.upload');
        Storage::put($cut->path(), substr((string) Storage::get($cut->path()), 0, 307));
        Storage::put('uploads/refused.upload', 'nobody wants this');
        touch(Storage::path('uploads/left-behind.upload'), time() - 7200);
        touch(Storage::path('uploads/refused.upload'), time() - 7200);
        Storage::put('uploads/just-now.upload', 'a request is at it');

        $found = $check(false);
        self::assertSame([[$missing->path()], [$cut->path()]], [$found['missing'], $found['cut']]);
        self::assertEqualsCanonicalizing(['uploads/left-behind.upload', 'uploads/refused.upload'], $found['orphaned']);
        self::assertSame(1, Artisan::call('larkspur:check-files', ['--mend' => true]));
        self::assertStringContainsString('mended: '.$missing->path(), Artisan::output());

        self::assertSame($missing->sha256, app(Vault::class)->hashOf($missing->path()));
        self::assertEqualsCanonicalizing(
            [$missing->path(), $cut->path(), $whole->path(), 'uploads/just-now.upload'], Storage::allFiles(),
        );
        self::assertSame(3, Take::query()->count());
    }

    public function test_while_a_backup_is_made_nothing_is_taken_away(): void
    {
        Storage::put(Vault::HOLD, '');
        Storage::put('uploads/one.upload', 'x');
        app(Vault::class)->drop('uploads/one.upload');
        Storage::assertExists('uploads/one.upload');
        Storage::delete(Vault::HOLD);
        app(Vault::class)->drop('uploads/one.upload');
        Storage::assertMissing('uploads/one.upload');
    }

    /** @param  array<string, mixed>  $attributes */
    private static function import(array $attributes): void
    {
        $owner = User::factory()->createOne();
        Import::factory()->createOne(['owner_id' => $owner->id, 'school_id' => $owner->school_id, ...$attributes]);
    }
}
