<?php

/**
 * Plan, fly and score of every move, and how fast logs are read: bench_moves.php. Medians of five, milliseconds; run by
 * bin/bench with the compiler on. Nothing here is a test.
 */

declare(strict_types=1);

use Demo\Rigs;
use Larkspur\Choreography\Planner;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Scoring\Lesson;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\ColumnMapping;
use Larkspur\Telemetry\FlightCsvReader;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\LogReader;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$spent = static function (callable $work, int $times = 5): float {
    $all = [];
    for ($k = 0; $k <= $times; $k++) {
        $began = hrtime(true);
        $work();
        $all[] = (hrtime(true) - $began) / 1e6;
    }

    return Statistics::median(array_slice($all, 1));
};

$rig = Rigs::all()['lapwing'];
printf("%-28s %9s %9s %9s   ms, and seconds of the move\n", 'move', 'plan', 'fly', 'score');
$sums = [[], [], []];
foreach (Catalogue::ids() as $id) {
    $plan = Lesson::planned($id, $rig, 'standard', $rig['camera']);
    $shot = $plan->shot;
    $wind = new Wind(1.0, 3.0, 4.5);
    $flight = SimulatedOperator::fly($plan, OperatorHabits::named('steady'), $wind, 3);
    $log = Recorder::fair()->record($flight, $shot->site->frame(), 3, subject: $plan->move->subject);
    $times = [
        $spent(static fn () => Planner::plan($shot)),
        $spent(static fn () => SimulatedOperator::fly($plan, OperatorHabits::named('steady'), $wind, 3)),
        $spent(static fn () => Scorer::scoreBetween($log, $plan->move->intent, $plan->move->onset, $plan->move->stop + 1.0)),
    ];
    foreach ($times as $k => $time) {
        $sums[$k][] = $time;
    }
    printf("%-28s %9.1f %9.1f %9.1f   %.0f s\n", $id, ...[...$times, $plan->move->stop - $plan->move->onset]);
}
printf("%-28s %9.1f %9.1f %9.1f\n%-28s %9.1f %9.1f %9.1f\n", 'median of all', ...[...array_map(Statistics::median(...), $sums), 'slowest', ...array_map(Statistics::greatest(...), $sums)]);

// An hour at 50 Hz, of 180,000 rows, with fingers: read with our own header, through a mapping, and in the other formats.
$rows = 180_000;
$columns = [];
for ($i = 0; $i < $rows; $i++) {
    $t = $i / 50;
    foreach (['t' => $t, 'lat' => 57.6 + 1e-4 * sin($t / 9), 'lon' => -0.4 + 1e-4 * cos($t / 9), 'alt_m' => 18 + sin($t / 7), 'heading_deg' => fmod(2 * $t, 360), 'gimbal_tilt_deg' => -12 + sin($t), 'stick_climb' => 0.0, 'stick_turn' => 0.2, 'stick_run' => 0.0, 'stick_slide' => -0.3, 'stick_tilt' => 0.0] as $name => $value) {
        $columns[$name][] = $value;
    }
}
$log = new FlightLog($columns, epoch: 1_777_800_000.0);
unset($columns);
$folder = sys_get_temp_dir().'/larkspur-bench-'.getmypid();
mkdir($folder);
foreach (['csv', 'gpx', 'kml', 'geojson'] as $ending) {
    $out = fopen("$folder/hour.$ending", 'wb') ?: exit("The folder can’t be written to.\n");
    foreach (Formats::writer("hour.$ending")->write($log) as $piece) {
        fwrite($out, $piece);
    }
    fclose($out);
}
unset($log);
$text = file("$folder/hour.csv") ?: [];
$text[0] = "Elapsed,Latitude (deg),Longitude (deg),Altitude (m),Yaw,Gimbal pitch,S1,S2,S3,S4,S5\n";
file_put_contents("$folder/foreign.csv", $text);
unset($text);
$mapping = new ColumnMapping([
    't' => ['column' => 'Elapsed', 'unit' => 's'], 'lat' => ['column' => 'Latitude (deg)', 'unit' => 'deg'], 'lon' => ['column' => 'Longitude (deg)', 'unit' => 'deg'], 'alt_m' => ['column' => 'Altitude (m)', 'unit' => 'm'],
    'heading_deg' => ['column' => 'Yaw', 'unit' => 'deg'], 'gimbal_tilt_deg' => ['column' => 'Gimbal pitch', 'unit' => 'deg'], 'stick_climb' => ['column' => 'S1', 'unit' => '-1 to 1'], 'stick_turn' => ['column' => 'S2', 'unit' => '-1 to 1'],
    'stick_run' => ['column' => 'S3', 'unit' => '-1 to 1'], 'stick_slide' => ['column' => 'S4', 'unit' => '-1 to 1'], 'stick_tilt' => ['column' => 'S5', 'unit' => '-1 to 1'],
]);
echo "\n";
$read = static function (string $what, string $file, LogReader $reader, string $bar) use ($spent, $rows): void {
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $time = $spent(static function () use ($file, $reader): void {
        $stream = fopen($file, 'rb');
        assert($stream !== false);
        $reader->read($stream);
        fclose($stream);
    }, 3);
    printf("%-58s %7.2f s %9s rows/s   %4.0f MB at most   bar %s\n", $what, $time / 1000, number_format($rows / $time * 1000), (memory_get_peak_usage() - $before) / 1e6, $bar);
};
$read('read an hour at 50 Hz, own header', "$folder/hour.csv", new FlightCsvReader, '2 s, 128 MB');
$read('read it through a mapping', "$folder/foreign.csv", new FlightCsvReader($mapping), '3 s, 128 MB');
foreach (['gpx', 'kml', 'geojson'] as $ending) {
    $read("read it as $ending", "$folder/hour.$ending", Formats::reader("hour.$ending"), '-');
}
array_map(unlink(...), glob("$folder/*") ?: []);
rmdir($folder);
