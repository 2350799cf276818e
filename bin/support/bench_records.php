<?php

/**
 * How long pages take of a school of thirty with a hundred takes, a hundred thousand and a million: bench_records.php [ROWS...]. Median
 * and slowest of fifteen, in the process itself, after two to warm up. The database is one of its own and is dropped at the end. Run by
 * bin/bench --records.
 */

declare(strict_types=1);

use App\Models\Shot;
use App\Models\User;
use App\Progress\OperatorRecord;
use Database\Factories\ShotFactory;
use Illuminate\Contracts\Console\Kernel as Console;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
assert($app instanceof Application);
$app->make(Console::class)->bootstrap();
config(['cache.default' => 'database', 'session.driver' => 'array', 'larkspur.asked_per_minute' => PHP_INT_MAX]);
$base = config()->string('database.connections.mariadb.database');
$name = $base.'_records';
DB::statement("DROP DATABASE IF EXISTS $name");
DB::statement("CREATE DATABASE $name CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_520_ci");
config(['database.connections.mariadb.database' => $name]);
DB::purge();
Artisan::call('migrate', ['--force' => true]);

$trainer = User::factory()->trainer()->createOne();
$operators = [];
for ($i = 0; $i < 30; $i++) {
    $operators[] = User::factory()->createOne(['school_id' => $trainer->school_id]);
}
$shots = array_map(ShotFactory::whole(...), $operators);
// Each flies a rig of their own.
foreach ($shots as $k => $shot) {
    $shot->rig->update(['operator_id' => $operators[$k]->id]);
}
$log = DB::table('flight_logs')->insertGetId([
    'school_id' => $trainer->school_id, 'owner_id' => $operators[0]
        ->id, 'sha256' => str_repeat('0', 64), 'file_name' => 'pass.csv', 'bytes' => 1,
    'source' => 'simulated', 'samples' => 1, 'rate_hz' => 10, 'notes' => '[]',
]);

/**
 * Fills up to so many takes, of all operators in turn, with a judgement each and a comment on every tenth; the shots grow along.
 *
 * @param  list<User>  $operators
 * @param  list<Shot>  $shots
 */
function fill(int $to, array $operators, array $shots, User $trainer, int $log): void
{
    $from = (int) DB::table('takes')->count();
    $of = static fn (array $ids): string => 'ELT(1 + seq % '.count($ids).', '.implode(', ', $ids).')';
    $operator = $of(array_map(static fn (User $one): int => $one->id, $operators));
    // Twenty takes a shot, however many there are; six hundred shots at least, so that every list is as long as it gets.
    $more = max(0, min(50000, max(600, intdiv($to, 20))) - (int) DB::table('shots')->count());
    if ($more > 0) {
        DB::statement("
            INSERT INTO shots (school_id, operator_id, site_id, rig_id, title, mode, move, intent, wind, created_at, updated_at)
            SELECT s.school_id, $operator, s.site_id, s.rig_id, CONCAT('Shot ', seq), s.mode, s.move, s.intent, s.wind, NOW(),
                NOW() - INTERVAL seq MINUTE FROM seq_1_to_$more JOIN shots s ON s.id = ".$shots[0]->id);
    }
    DB::statement(
        'CREATE OR REPLACE TEMPORARY TABLE numbered (n INT PRIMARY KEY) SELECT ROW_NUMBER() OVER (ORDER BY id) AS n, id, operator_id FROM shots',
    );
    $many = (int) DB::table('shots')->count();
    $craft = $of(array_map(static fn ($one): int => $one->rig->craft_id, $shots));
    $rig = $of(array_map(static fn ($one): int => $one->rig_id, $shots));
    $seq = 'seq_'.($from + 1)."_to_$to";
    DB::statement("
        INSERT INTO takes (school_id, operator_id, shot_id, rig_id, craft_id, flight_log_id, number, move, mode, direction, from_s, to_s,
            flown_at, score, uncertainty, ease, flow, hold, line, frame, verdict, usable_s, tremble, created_at, updated_at)
        SELECT {$trainer->school_id}, numbered.operator_id, numbered.id, $rig, $craft, $log, seq,
            ELT(1 + seq % 3, 'orbit', 'push-in', 'pull-away'), 'standard', 'clockwise',
            3, 30, NOW() - INTERVAL seq MINUTE, 50 + seq % 47, 1, 50 + seq % 41, 50 + seq % 43, 50 + seq % 37, 50 + seq % 29, 50
                + seq % 31, 'keep', 9,
            0.01 + 0.001 * (seq % 9), NOW(), NOW() FROM $seq JOIN numbered ON numbered.n = 1 + seq % $many");
    DB::statement("
        INSERT INTO scores (school_id, take_id, method, intent, document, created_at, updated_at)
        SELECT school_id, id, 'bench', '{}', '{}', NOW(), NOW() FROM takes WHERE number > $from");
    DB::statement("
        INSERT INTO comments (school_id, take_id, author_id, at_s, text, created_at, updated_at)
        SELECT school_id, id, {$trainer->id}, 1, 'Softer.', NOW(), NOW() FROM takes WHERE number > $from AND number % 10 = 0");
    DB::statement('UPDATE users SET record_stamp = record_stamp + 1');
    // As LogbookDays counts them, in one go.
    DB::statement('
        REPLACE INTO logbook_days (school_id, operator_id, date, takes, by_hand, practised, automated, clockwise, counterclockwise, slow,
            flown_s, practised_s)
        SELECT school_id, operator_id, DATE(flown_at), COUNT(*), COUNT(*), 0, 0, COUNT(*), 0, 0, SUM(to_s - from_s), 0
        FROM takes GROUP BY school_id, operator_id, DATE(flown_at)');
    foreach (['takes', 'scores', 'comments', 'shots', 'logbook_days'] as $table) {
        DB::statement("ANALYZE TABLE $table");
    }
}

/** @return array<string, array{float, float}> median and slowest of fifteen, ms, by page */
function measured(Application $app, User $trainer, User $operator, int $shot, int $rig, int $craft): array
{
    $last = DB::table('takes')->max('id');
    $pages = [
        'logbook' => [$operator, 'takes'], 'logbook of all' => [$trainer, 'takes'], 'logbook added up' => [$operator, 'logbook'],
        'standings' => [$operator, 'progress'], 'ladder' => [$operator, 'ladder'], 'what next' => [$operator, 'next'],
        'class picture' => [$trainer, 'class'], 'class, one flew' => [$trainer, 'class'], 'class, all flew' => [$trainer, 'class'],
        'Today' => [$operator, 'today'], 'class' => [$trainer, 'today'], 'operators' => [
            $trainer, 'operators',
        ], 'shots' => [$operator, 'shots'],
        'search' => [$trainer, 'shots?find=hot+9'], 'rig history' => [
            $operator, "rigs/$rig/history",
        ], 'takes of a shot' => [$operator, "takes?shot=$shot"],
        'takes of a craft' => [$trainer, "takes?craft=$craft"], 'comparison' => [$operator, "shots/$shot/comparison"],
    ];
    $out = [];
    foreach ($pages as $page => [$user, $path]) {
        $times = [];
        for ($i = 0; $i < 17; $i++) {
            $app->make('auth')->forgetGuards();
            Auth::setUser(User::query()->withoutGlobalScopes()->with('school')->findOrFail($user->id));
            match ($page) {
                'class, one flew' => OperatorRecord::changed($operator->id),
                'class, all flew' => DB::statement('UPDATE users SET record_stamp = record_stamp + 1'),
                default => null,
            };
            $began = hrtime(true);
            $answer = $app->make(Kernel::class)->handle(Request::create('/api/v1/'.$path, server: ['HTTP_ACCEPT' => 'application/json']));
            $times[] = (hrtime(true) - $began) / 1e6;
            $answer->getStatusCode() === 200 || exit("$page: ".$answer->getContent()."\n");
        }
        $times = array_slice($times, 2);
        sort($times);
        $out[$page] = [$times[7], $times[14]];
    }

    return $out;
}

$first = null;
foreach (array_map(intval(...), array_slice($argv, 1)) ?: [12000, 100000] as $rows) {
    fill($rows, $operators, $shots, $trainer, $log);
    $now = measured($app, $trainer, $operators[0], $shots[0]->id, $shots[0]->rig_id, $shots[0]->rig->craft_id);
    $first ??= $now;
    printf("%d takes\n", $rows);
    foreach ($now as $page => [$ms, $most]) {
        printf("    %-18s %7.1f ms   slowest %7.1f   %5.2f times\n", $page, $ms, $most, $ms / $first[$page][0]);
    }
}
config(['database.connections.mariadb.database' => $base]);
DB::purge();
DB::statement("DROP DATABASE IF EXISTS $name");
