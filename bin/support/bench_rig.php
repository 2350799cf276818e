<?php

/** Times the advisor on twenty shots, planned and solved, and the fit of a step test. */

declare(strict_types=1);

use Demo\Rigs;
use Documents\Rig\RigAdviceDocument;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\ShotDemands;
use Larkspur\Fields;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\StepFlight;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Statistics;
use Larkspur\Rig\AdviceWish;
use Larkspur\Rig\Craft;
use Larkspur\Rig\Hands;
use Larkspur\Rig\House;
use Larkspur\Rig\SettingsAdvice;
use Larkspur\Telemetry\Analysis\StepTest;
use Larkspur\Training\Lesson;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$document = Rigs::all()['lapwing'];
$craft = Craft::read(Fields::of(Rigs::crafts()['lapwing']));
$moves = [
    'orbit', 'pull-away', 'fly-over', 'push-in', 'slide-with-pan', 'lift-and-tilt', 'ground-to-horizon', 'lateral-dolly', 'pan',
    'climbing-orbit', 'rise', 'tilt', 'reveal-orbit', 'sink-to-horizon', 'curved-retreat', 'drop-and-tilt', 'diagonal-dolly',
    'run-and-lift', 'side-track', 'gap',
];
$shots = array_map(static fn (string $move): Shot => Lesson::planned($move, $document, 'standard', $document['camera'])->shot, $moves);
$spent = ['plan' => [], 'solve' => []];
foreach (House::cases() as $house) {
    for ($i = 0; $i < 4; $i++) {
        $began = hrtime(true);
        $demands = [];
        foreach ($shots as $k => $shot) {
            array_push($demands, ...ShotDemands::of(Planner::plan($shot), $moves[$k]));
        }
        $planned = hrtime(true);
        RigAdviceDocument::of(SettingsAdvice::of(
            $craft, $craft->stock->mode('standard'), $demands, new AdviceWish($house, (new Hands)->nudge(), 0.25, 0.65),
        ), $craft->stock, []);
        $spent['plan'][] = ($planned - $began) / 1e6;
        $spent['solve'][] = (hrtime(true) - $planned) / 1e6;
    }
}
$whole = array_map(static fn (float $plan, float $solve): float => $plan + $solve, $spent['plan'], $spent['solve']);
printf(
    "%-64s median %8.1f ms   95 %% %8.1f ms   bar under 1,000 ms (planning %.0f, solving %.0f)\n", 'advise for 20 shots: plan, solve, say what it buys and costs', Statistics::median($whole), Statistics::percentile($whole, 95), Statistics::median($spent['plan']),
    Statistics::median($spent['solve']),
);

$log = Recorder::fair()->record(StepFlight::fly($craft->stock, 'standard'), new LocalFrame(new GeoPoint(57.6, -0.4, 4.0)), 3);
$fits = [];
for ($i = 0; $i < 6; $i++) {
    $began = hrtime(true);
    StepTest::fit($log);
    $fits[] = (hrtime(true) - $began) / 1e6;
}
printf(
    "%-64s median %8.1f ms   95 %% %8.1f ms   bar -\n", sprintf('fit a step test of %d rows, 60 presses', $log->count()),
    Statistics::median($fits), Statistics::percentile($fits, 95),
);
