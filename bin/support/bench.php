<?php

/**
 * Measures core/ against its quality bars, in this process: planning, expecting, judging a long log, and memory.
 * Run by bin/bench with the compiler on. Prints medians and 95th percentiles; nothing here is a test.
 */

declare(strict_types=1);

use Demo\Rigs;
use Documents\Plan\ExpectationDocument;
use Documents\Plan\PlanDocument;
use Documents\Wire;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Flight\Recorder;
use Larkspur\Measure\SeededNoise;
use Larkspur\Measure\Statistics;
use Larkspur\Move\MovePlan;
use Larkspur\Scoring\Expectation;
use Larkspur\Scoring\Scorer;
use Larkspur\Telemetry\FlightCsvReader;
use Larkspur\Telemetry\FlightCsvWriter;
use Larkspur\Telemetry\FlightLog;
use Words\Speaker;

require dirname(__DIR__, 2).'/vendor/autoload.php';

/** @return array{float, float} median and 95th percentile, ms */
function timed(int $times, callable $work): array
{
    $spent = [];
    for ($i = 0; $i < $times + 3; $i++) {
        $began = hrtime(true);
        $work($i);
        if ($i >= 3) {
            $spent[] = (hrtime(true) - $began) / 1e6;
        }
    }

    return [Statistics::median($spent), Statistics::percentile($spent, 95)];
}

/** @param  array{float, float}  $spent  median and 95th percentile, ms */
function line(string $what, array $spent, string $bar): void
{
    printf("%-64s median %8.1f ms   95 %% %8.1f ms   bar %s\n", $what, $spent[0], $spent[1], $bar);
}

$document = static fn (float $radius): array => [
    'intent' => [
        'move' => 'orbit', 'subject' => ['lat' => 57.60045, 'lon' => -0.3996, 'alt_m' => 6.4, 'base_alt_m' => 5.2],
        'camera' => ['hfov_deg' => 71.6],
        'parameters' => ['radius_m' => $radius, 'arc_deg' => 150, 'pace_mps' => 2.3],
    ],
    'rig' => Rigs::all()['lapwing'], 'mode' => 'standard', 'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4]],
];
$shots = array_map(static fn (int $i): Shot => Shot::read(Fields::of($document(18 + $i * 0.1))), range(0, 60));

echo 'opcache JIT: '.((opcache_get_status(false)['jit']['on'] ?? false) ? 'on' : 'OFF')."\n";
line('plan an orbit: path, thumb sheet, checks', timed(50, static fn (int $i) => Planner::plan($shots[$i])), 'under 20 ms');
$plans = array_map(Planner::plan(...), $shots);
line('expect its score', timed(50, static fn (int $i) => Expectation::of($plans[$i])), '-');
line('plan, expected score and the answer as JSON', timed(50, static function (int $i) use ($shots): string {
    $plan = Planner::plan($shots[$i]);

    return json_encode(
        Wire::write([PlanDocument::of($plan, 10), ExpectationDocument::of(Expectation::of($plan))], new Speaker), JSON_THROW_ON_ERROR,
    );
}), '-');

// Ten minutes at 50 Hz: one long climb-free circle of noisy samples, even and with the jitter of a real logger.
$noise = new SeededNoise(6);
$flight = MovePlan::sample(599.98, static function (float $t): array {
    $bearing = 0.02 * max(0.0, min($t, 596.0) - 3.0);

    return [
        new Larkspur\Geo\Position(40 * sin($bearing), 40 * cos($bearing), 18 + 0.4 * sin($t / 7)), $bearing + M_PI + 0.01 * sin($t), -0.3,
    ];
});
$frame = new Larkspur\Geo\LocalFrame(new Larkspur\Geo\GeoPoint(57.6, -0.4, 0));
$even = Recorder::fair(50.0)->record($flight, $frame, 3);
$columns = $even->columns;
$columns['t'] = array_map(static fn (float $t): float => $t + $noise->between(-0.004, 0.004), $columns['t']);
$jittered = new FlightLog($columns);
$intent = Larkspur\Move\Intent::read(Fields::of(['move' => 'orbit', 'subject' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 6]]));
foreach (['even' => $even, 'jittered' => $jittered] as $kind => $log) {
    memory_reset_peak_usage();
    $before = memory_get_usage();
    line(
        sprintf('judge ten minutes at 50 Hz, %s times (%d samples)', $kind, $log->count()),
        timed(5, static fn () => Scorer::score($log, $intent, 1)), 'under 1,000 ms',
    );
    printf("    memory beyond the log itself: %.0f MB, bar 256 MB\n", (memory_get_peak_usage() - $before) / 1e6);
}
$csv = '';
foreach ((new FlightCsvWriter)->write($even) as $piece) {
    $csv .= $piece;
}
line(sprintf('read that log from CSV (%.1f MB)', strlen($csv) / 1e6), timed(3, static function () use ($csv): void {
    $stream = fopen('php://memory', 'w+b');
    assert($stream !== false);
    fwrite($stream, $csv);
    rewind($stream);
    (new FlightCsvReader)->read($stream);
}), '-');
file_put_contents($argv[1] ?? '/dev/null', $csv);
