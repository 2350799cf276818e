<?php

/**
 * One log, measured twice: by core/Scoring, and by NumPy and SciPy from the file alone (reference.py). reference.php FOLDER
 * writes the log and its intent there and prints what core/ makes of it, as JSON, with the median time of five.
 */

declare(strict_types=1);

use Demo\Rigs;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Measure\CircleFit;
use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightCsvWriter;
use Larkspur\Training\Lesson;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$rig = Rigs::all()['lapwing'];
$plan = Lesson::planned('orbit', $rig, 'standard', $rig['camera']);
$flight = SimulatedOperator::fly($plan, OperatorHabits::named('intermediate', 5), new Wind(1.0, 3.0, 4.5), 5);
// Without a receiver's noise: what is compared is the measuring, not the benefit of the doubt.
$log = (new Recorder(25.0))->record($flight, $plan->shot->site->frame(), 5);
$out = fopen($argv[1].'/pass.csv', 'wb') ?: exit("The folder can’t be written to.\n");
foreach ((new FlightCsvWriter)->write($log) as $piece) {
    fwrite($out, $piece);
}
$spent = [];
for ($k = 0; $k < 6; $k++) {
    $began = hrtime(true);
    $score = Scorer::score($log, $plan->move->intent);
    $spent[] = (hrtime(true) - $began) / 1e6;
}
$measured = $score->measured;
$take = $measured->take;
$hold = $take->main;
$subject = $plan->shot->intent->subject ?? exit("An orbit has a subject.\n");
$nodes = range($hold->holdFrom, $hold->holdTo);
$time = Series::at($take->grid->t, $nodes);
$radius = array_map(hypot(...), Series::at($take->dx, $nodes), Series::at($take->dy, $nodes));
$circle = CircleFit::taubin(Series::at($take->dx, $nodes), Series::at($take->dy, $nodes)) ?? exit("What was flown is no circle.\n");
echo json_encode([
    'lat' => $subject->latitude, 'lon' => $subject->longitude,
    'from' => $take->grid->t[$hold->from], 'to' => $take->grid->t[$hold->to], 'hold_from' => $time[0], 'hold_to' => $time[count($time) - 1],
    'score' => round($score->score, 2), 'ms' => round(Statistics::median(array_slice($spent, 1)), 2),
    'figures' => [
        'pace over the hold, m/s' => Statistics::median(Series::at($take->steady['travel'], $nodes)),
        'its standard deviation, m/s' => sqrt(Statistics::variance(Series::at($take->steady['travel'], $nodes))),
        'turn over the hold, deg/s' => Statistics::median(Series::at($take->steady['turn'], $nodes)),
        'mean distance over the ground, m' => Statistics::mean($radius),
        'its standard deviation, m' => sqrt(Statistics::variance($radius)),
        'its trend over the hold, m' => Statistics::slope($time, $radius) * ($time[count($time) - 1] - $time[0]),
        'arc flown, deg' => $measured->extent,
        'radius of the fitted circle, m' => $circle->radius,
    ],
], JSON_THROW_ON_ERROR);
