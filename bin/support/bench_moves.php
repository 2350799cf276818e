<?php

/**
 * Plan, fly and score of every move: bench_moves.php. Medians of five, milliseconds; run by bin/bench with the compiler on.
 * Nothing here is a test.
 */

declare(strict_types=1);

use Demo\Rigs;
use Larkspur\Choreography\Planner;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Training\Lesson;

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
printf(
    "%-28s %9.1f %9.1f %9.1f\n%-28s %9.1f %9.1f %9.1f\n", 'median of all',
    ...[...array_map(Statistics::median(...), $sums), 'slowest', ...array_map(Statistics::greatest(...), $sums)],
);
