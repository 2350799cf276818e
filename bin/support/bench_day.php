<?php

/** Times a day of 24 shots and 6 batteries, what is read off a shot, and a plan among 300 obstacles. */

declare(strict_types=1);

use Demo\Rigs;
use Documents\Plan\PlanDocument;
use Documents\Wire;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Notes\ShotNotes;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\FlightDay\Batteries;
use Larkspur\FlightDay\Day;
use Larkspur\FlightDay\DayShot;
use Larkspur\FlightDay\OrderSearch;
use Larkspur\Geo\Position;
use Larkspur\Measure\SeededNoise;
use Larkspur\Measure\Statistics;
use Words\Speaker;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$days = [];
$worse = 0;
for ($seed = 1; $seed <= 12; $seed++) {
    $noise = new SeededNoise(900 + $seed);
    $shots = [];
    for ($i = 1; $i <= 24; $i++) {
        $anyTime = $noise->between(0, 1) < 0.4;
        $from = $noise->between(0, 8) * 3600;
        $place = new Position($noise->between(-150, 150), $noise->between(-150, 150), $noise->between(5, 40));
        $shots[] = new DayShot(
            $i, "shot $i", $noise->between(20, 70), (int) $noise->between(2, 6), $place,
            $place->plus($noise->between(-30, 30), $noise->between(-30, 30), 0),
            $anyTime ? [] : [[$from, $from + $noise->between(0.3, 3) * 3600]], $anyTime, $noise->between(0, 1) < 0.3,
        );
    }
    $day = new Day(0.0, 10 * 3600.0, new Batteries(6, 25.0), $shots);
    $began = hrtime(true);
    $found = OrderSearch::solve($day);
    $days[] = (hrtime(true) - $began) / 1e6;
    $worse += $found->worth() < OrderSearch::byLight($day)->worth() ? 1 : 0;
}

$home = ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0];
$noise = new SeededNoise(77);
$solids = [];
for ($i = 0; $i < 300; $i++) {
    $solids[] = [
        'id' => "thing-$i", 'name' => "thing $i", 'shape' => $i % 3 === 0 ? 'cylinder' : 'box',
        'east_m' => round($noise->between(-250, 250), 1), 'north_m' => round($noise->between(-250, 250), 1), 'width_m' => 3,
        'length_m' => 5, 'height_m' => round($noise->between(2, 9), 1),
    ];
}
$document = static fn (array $solids): array => [
    'intent' => [
        'move' => 'orbit', 'subject' => ['lat' => 57.60045, 'lon' => -0.3996, 'alt_m' => 6.4, 'base_alt_m' => 4.0],
        'camera' => ['hfov_deg' => 71.6], 'parameters' => ['radius_m' => 30.0, 'height_m' => 14.0],
    ],
    'rig' => Rigs::all()['lapwing'], 'site' => ['home' => $home, 'solids' => $solids],
];
$plans = $readings = [];
for ($k = 0; $k < 40; $k++) {
    $began = hrtime(true);
    $plan = Planner::plan(Shot::read(Fields::of($document($solids))));
    json_encode(Wire::document(PlanDocument::of($plan, 10), new Speaker), JSON_THROW_ON_ERROR);
    $plans[] = (hrtime(true) - $began) / 1e6;
    $began = hrtime(true);
    ShotNotes::of(Planner::plan(Shot::read(Fields::of($document(array_slice($solids, 0, 8))))), new Brief, 3840);
    $readings[] = (hrtime(true) - $began) / 1e6;
}
foreach ([
    [
        'a day of 24 shots and 6 batteries, solved', $days,
        'under 2000 ms, never worse than by light: '.($worse === 0 ? 'never' : "$worse times"),
    ],
    ['a plan among 300 obstacles, read, planned and written', array_slice($plans, 5), ''],
    ['all that is read off a shot, its variants planned', array_slice($readings, 5), ''],
] as [$what, $spent, $bar]) {
    printf(
        "%-64s median %8.1f ms   95 %% %8.1f ms   %s\n", $what, Statistics::median($spent), Statistics::percentile($spent, 95),
        $bar === '' ? '' : 'bar '.$bar,
    );
}
