<?php

/**
 * Flies and judges feasible orbits drawn at random from a fixed seed, and prints the worst: sweep.php COUNT
 */

declare(strict_types=1);

use Larkspur\Flight\Aircraft;
use Larkspur\Scoring\Expectation;
use Tests\Core\OrbitDraw;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$wanted = (int) ($argv[1] ?? 200);
$worstError = 0.0;
$worstScore = 100.0;
$words = '';
$flown = 0;
$began = microtime(true);
foreach (OrbitDraw::feasible(2027) as $plan) {
    $flight = Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune());
    foreach (range(0, $flight->count() - 1, 10) as $i) {
        $distance = $flight->position($i)->minus($plan->move->subject ?? $flight->position($i))->ground();
        $worstError = max($worstError, abs($distance / $plan->move->intent->number('radius_m') - 1));
    }
    $score = Expectation::of($plan)->score->score ?? 0.0;
    if ($score < $worstScore) {
        [$worstScore, $words] = [$score, json_encode($plan->move->intent->parameters).' '.$plan->shot->rig->craft.' '.$plan->shot->mode];
    }
    if (++$flown >= $wanted) {
        break;
    }
}
printf("%d feasible orbits in %.0f s: greatest radius error %.4f %%, lowest score %.2f\n  %s\n", $flown, microtime(true) - $began, 100 * $worstError, $worstScore, $words);
exit($worstError < 0.005 && $worstScore >= 97 ? 0 : 1);
