<?php

/**
 * How fast logs are read, in a process of its own as the worker is: bench_import.php. Medians of three. Run by bin/bench with
 * the compiler on. Nothing here is a test.
 */

declare(strict_types=1);

use Larkspur\Measure\Statistics;
use Larkspur\Telemetry\ColumnMapping;
use Larkspur\Telemetry\FlightCsvReader;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\LogReader;

require dirname(__DIR__, 2).'/vendor/autoload.php';

// An hour at 50 Hz, of 180,000 rows, with fingers: read with our own header, through a mapping, and in the other formats.
$rows = 180_000;
$columns = [];
for ($i = 0; $i < $rows; $i++) {
    $t = $i / 50;
    foreach ([
        't' => $t, 'lat' => 57.6 + 1e-4 * sin($t / 9), 'lon' => -0.4 + 1e-4 * cos($t / 9), 'alt_m' => 18 + sin($t / 7),
        'heading_deg' => fmod(2 * $t, 360), 'gimbal_tilt_deg' => -12 + sin($t), 'stick_climb' => 0.0, 'stick_turn' => 0.2,
        'stick_run' => 0.0, 'stick_slide' => -0.3, 'stick_tilt' => 0.0,
    ] as $name => $value) {
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
    't' => ['column' => 'Elapsed', 'unit' => 's'], 'lat' => ['column' => 'Latitude (deg)', 'unit' => 'deg'],
    'lon' => ['column' => 'Longitude (deg)', 'unit' => 'deg'], 'alt_m' => ['column' => 'Altitude (m)', 'unit' => 'm'],
    'heading_deg' => ['column' => 'Yaw', 'unit' => 'deg'], 'gimbal_tilt_deg' => ['column' => 'Gimbal pitch', 'unit' => 'deg'],
    'stick_climb' => ['column' => 'S1', 'unit' => '-1 to 1'], 'stick_turn' => ['column' => 'S2', 'unit' => '-1 to 1'],
    'stick_run' => ['column' => 'S3', 'unit' => '-1 to 1'], 'stick_slide' => ['column' => 'S4', 'unit' => '-1 to 1'],
    'stick_tilt' => ['column' => 'S5', 'unit' => '-1 to 1'],
]);
$read = static function (string $what, string $file, LogReader $reader, string $bar) use ($rows): void {
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $all = [];
    for ($k = 0; $k < 4; $k++) {
        $stream = fopen($file, 'rb') ?: exit("The log can’t be opened.\n");
        $began = hrtime(true);
        $reader->read($stream);
        $all[] = (hrtime(true) - $began) / 1e6;
        fclose($stream);
    }
    $time = Statistics::median(array_slice($all, 1));
    printf(
        "%-58s %7.2f s %9s rows/s   %4.0f MB at most   bar %s\n", $what, $time / 1000, number_format($rows / $time * 1000),
        (memory_get_peak_usage() - $before) / 1e6, $bar,
    );
};
$read('read an hour at 50 Hz, own header', "$folder/hour.csv", new FlightCsvReader, '2 s, 128 MB');
$read('read it through a mapping', "$folder/foreign.csv", new FlightCsvReader($mapping), '3 s, 128 MB');
foreach (['gpx', 'kml', 'geojson'] as $ending) {
    $read("read it as $ending", "$folder/hour.$ending", Formats::reader("hour.$ending"), '4 s, 128 MB');
}
array_map(unlink(...), glob("$folder/*") ?: []);
rmdir($folder);
