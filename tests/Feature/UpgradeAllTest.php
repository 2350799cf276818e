<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\FlyShot;
use App\Models\Comment;
use App\Models\FlightDay;
use App\Models\Take;
use App\Models\User;
use Database\Factories\ShotFactory;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Site\Wind;

/**
 * From every earlier state of the database, with a flown school in it, the steps up to today lose nothing that can be read: the school is
 * taken back step by step and brought up again from each. In a database of its own, since steps that change tables end every transaction.
 */
final class UpgradeAllTest extends TestCase
{
    /** How far back a school with takes can be taken: before these steps there were none. */
    private const FIRST = '2026_11_01_000003_create_shots_and_takes';

    public $mockConsoleOutput = false;

    private static string $own = '';

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        assert($app instanceof Application);
        $app->make(\Illuminate\Contracts\Console\Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
        self::$own = config()->string('database.connections.mariadb.database').'_upgrade';
        DB::statement('DROP DATABASE IF EXISTS '.self::$own);
        DB::statement('CREATE DATABASE '.self::$own.' CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci');
        config(['database.connections.mariadb.database' => self::$own]);
        DB::purge();
        Artisan::call('migrate', ['--force' => true]);
    }

    protected function tearDown(): void
    {
        DB::statement('DROP DATABASE IF EXISTS '.self::$own);
        DB::purge();
        parent::tearDown();
    }

    public function test_from_every_earlier_state_with_data(): void
    {
        $user = User::factory()->createOne();
        $shot = ShotFactory::whole($user);
        app(FlyShot::class)($shot, OperatorHabits::named('steady', 5), 'steady', new Wind(0.0, 0.0, 0.0), 7, $user);
        $take = Take::query()->sole();
        Comment::query()->create(
            ['school_id' => $user->school_id, 'take_id' => $take->id, 'author_id' => $user->id, 'at_s' => 2.0, 'text' => 'Softer.'],
        );
        FlightDay::query()->create([
            'school_id' => $user->school_id, 'operator_id' => $user->id, 'site_id' => $shot->site_id, 'version' => 1, 'title' => 'A day',
            'date' => '2026-12-01', 'document' => [
                'from' => '08:00', 'to' => '10:00', 'batteries' => ['count' => 2, 'minutes' => 20], 'shots' => [['shot_id' => $shot->id]],
            ],
        ]);
        $steps = array_reverse(
            array_map(static fn (string $path): string => basename($path, '.php'), glob(database_path('migrations/*.php')) ?: []),
        );
        $back = array_search(self::FIRST, $steps, true);
        self::assertIsInt($back);
        $before = DB::table('takes')->first();
        self::assertNotNull($before);

        for ($n = 1; $n <= $back; $n++) {
            self::assertSame(
                0, Artisan::call('migrate:rollback', ['--step' => $n, '--force' => true]), $steps[$n - 1].': '.Artisan::output(),
            );
            self::assertSame(0, Artisan::call('migrate', ['--force' => true]), $steps[$n - 1].': '.Artisan::output());
            foreach (['takes' => 1, 'scores' => 1, 'comments' => 1, 'shots' => 1, 'users' => 1, 'flight_logs' => 1] as $table => $many) {
                self::assertSame($many, DB::table($table)->count(), "$table after {$steps[$n - 1]}");
            }
            $this->actingAs(User::query()->withoutGlobalScopes()->sole());
            foreach (
                [
                    'me', 'today', 'takes', 'progress', 'ladder', 'next', 'shots', 'sites', 'rigs', 'crafts', 'days', "takes/$take->id",
                    "takes/$take->id/replay", "shots/$shot->id",
                ] as $path
            ) {
                $answer = $this->getJson('/api/v1/'.$path);
                self::assertSame(200, $answer->getStatusCode(), "$path after {$steps[$n - 1]}: ".$answer->getContent());
            }
            self::assertEqualsWithDelta($before->score, DB::table('takes')->value('score'), 1e-6);
            // What each finger did is worked out again from the judgement.
            $after = DB::table('takes')->first();
            foreach (['climb', 'turn', 'run', 'slide', 'tilt', 'distance_m', 'pace_mps', 'faults', 'direction'] as $column) {
                self::assertEquals($before->{$column}, $after->{$column} ?? null, "$column after {$steps[$n - 1]}");
            }
            self::assertFalse($this->getJson("/api/v1/shots/$shot->id")->json('damaged'), $steps[$n - 1]);
        }
    }
}
