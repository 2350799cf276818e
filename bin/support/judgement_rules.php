<?php

/**
 * Whether a judgement can be acted on: plans told from other shots, springs named, what made a fault, and no sentence against another.
 * judgement_rules.php [SEEDS]
 */

declare(strict_types=1);

use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Angle;
use Larkspur\Measure\SeededNoise;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;
use Larkspur\Refusal;
use Larkspur\Scoring\AsPlanned\PlanMatch;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\Origin;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;
use Tests\Core\Contradictions;
use Tests\Core\Deviation;
use Tests\Core\MoveDraw;

require dirname(__DIR__, 2).'/vendor/autoload.php';

/** Faults of which the fingers tell whether a hand or the air made them. */
const OF_THE_AIR = ['kick', 'bobbing', 'shaky', 'uneven', 'drift', 'stall'];

$seeds = (int) ($argv[1] ?? 30);
$began = microtime(true);

/** One plan of a move that is fit for a drill of the judgement, by its seed; null where none is found. */
function planOf(string $move, int $seed): ?Plan
{
    $tries = 0;
    foreach (MoveDraw::feasible($move, $seed, 4, 0.4) as $plan) {
        if ($plan->shot->intent->track === [] && $plan->move->flight->duration() < 60) {
            return $plan;
        }
        if (++$tries === 6) {
            break;
        }
    }

    return null;
}

function flown(Plan $plan, OperatorHabits $habits, Wind $wind, int $seed, bool $positioning = true): ?Score
{
    $recorder = new Recorder(10.0, 0.15, 0.3, 0.3 * Angle::DEGREE, 0.05);

    $flight = SimulatedOperator::fly($plan, $habits, $wind, $seed, $positioning);

    return scoreOf($plan, $recorder->record($flight, $plan->shot->site->frame(), $seed));
}

/** The same in still air, from positions without noise and without a word of the fingers. */
function flownBlind(Plan $plan, OperatorHabits $habits, int $seed): ?Score
{
    $log = (new Recorder(10.0, 0.0, 0.0, 0.0, 0.0))->record(
        SimulatedOperator::fly($plan, $habits, Wind::still(), $seed), $plan->shot->site->frame(), $seed,
    );
    foreach (Finger::cases() as $finger) {
        $log = $log->with(["stick_$finger->value" => array_fill(0, $log->count(), NAN)]);
    }

    return scoreOf($plan, $log);
}

function scoreOf(Plan $plan, FlightLog $log): ?Score
{
    try {
        return Scorer::scoreBetween(
            $log, $plan->move->intent, max($log->from(), $plan->move->onset - 0.2), min($log->to(), $plan->move->stop + 0.5),
        );
    } catch (Refusal) {
        return null;
    }
}

$told = $asked = ['inside half' => 0, 'beyond twice' => 0];
$missed = [];
for ($seed = 1; array_sum($asked) < 1000 && $seed < 40; $seed++) {
    foreach (Catalogue::ids() as $move) {
        $plan = planOf($move, $seed);
        if ($plan === null) {
            continue;
        }
        $inside = ($seed + strlen($move)) % 2 === 0;
        foreach (Deviation::each($plan, $inside ? 0.45 : 2.5, $seed) as $one) {
            $kind = $inside ? 'inside half' : 'beyond twice';
            $right = $one->score->plan?->verdict === ($inside ? PlanMatch::AS_PLANNED : PlanMatch::ANOTHER);
            $asked[$kind]++;
            $told[$kind] += (int) $right;
            if (! $right) {
                $missed["$move $one->parameter"] = ($missed["$move $one->parameter"] ?? 0) + 1;
            }
        }
    }
}
foreach ($asked as $kind => $count) {
    printf("a deviation %s of its tolerance told: %.1f %% of %d (wanted 98 %%)\n", $kind, 100 * $told[$kind] / max(1, $count), $count);
}
arsort($missed);
foreach (array_slice($missed, 0, 6, true) as $words => $times) {
    printf("    %s: %d\n", $words, $times);
}

$guessed = $wronged = $unseen = 0;
$sprung = $springs = $claimed = $clean = $doubted = 0;
$caused = $causes = ['hand' => 0, 'outside' => 0];
$against = [];
$judged = $heard = 0;
$shots = array_filter(
    Catalogue::all(), static fn ($move): bool => ! in_array($move->about()->group, [Group::Drill, Group::Combined], true),
);
foreach ($shots as $move) {
    $id = $move->about()->id;
    for ($seed = 1; $seed <= max(1, intdiv($seeds, 6)); $seed++) {
        $plan = planOf($id, $seed);
        if ($plan === null) {
            break;
        }
        $noise = SeededNoise::named($seed, $id.' rules');
        $scores = $unheard = [];
        $scores[] = $still = flown($plan, OperatorHabits::ofLevel(4, $seed), Wind::still(), $seed);
        if ($still !== null) {
            $clean++;
            $claimed += array_filter($still->faults, static fn (Fault $fault): bool => str_starts_with($fault->id, 'flick')) === [] ? 0 : 1;
        }
        // The finger that carries the move is let go at its end.
        $main = null;
        foreach ([Finger::Slide, Finger::Run, Finger::Climb, Finger::Turn] as $finger) {
            $held = abs($plan->sheet->at($finger, ($plan->move->holdFrom + $plan->move->holdTo) / 2));
            if ($held > 0.2 && ($main === null || $held > $main[1])) {
                $main = [$finger, $held];
            }
        }
        if ($main !== null) {
            $hold = $plan->move->holdTo - $plan->move->onset;
            $slip = new Slip('spring', $main[0], $hold, 0.0, 8.0);
            $scores[] = $score = flown($plan, OperatorHabits::ofLevel(4, $seed)->slipping($slip), Wind::still(), $seed);
            if ($score !== null) {
                $springs++;
                $sprung += array_filter(
                    $score->faults,
                    static fn (Fault $fault): bool => $fault->id === 'flick-stop' && $fault->origin?->finger === $main[0],
                ) === [] ? 0 : 1;
            }
            $unheard[] = $blind = flownBlind($plan, OperatorHabits::ofLevel(4, $seed)->slipping($slip), $seed);
            $unheard[] = $eased = flownBlind($plan, OperatorHabits::ofLevel(4, $seed), $seed);
            $stops = static fn (?Score $score): bool => array_filter(
                $score->faults ?? [],
                static fn (Fault $fault): bool => $fault->id === 'flick-stop' && $fault->origin?->finger?->axis() === $main[0]->axis(),
            ) !== [];
            if ($blind !== null && $eased !== null) {
                $unseen++;
                $guessed += (int) $stops($blind);
                $wronged += (int) $stops($eased);
            }
        }
        // A calm hand in a gusty wind, and a hand that kicks in still air.
        $gusty = new Wind($noise->between(0, 2 * M_PI), 5.0, 8.0);
        $scores[] = $windy = flown($plan, new OperatorHabits, $gusty, $seed, false);
        $at = 0.5 * ($plan->move->holdTo - $plan->move->holdFrom) + $plan->move->holdFrom - $plan->move->onset;
        $turn = $seed % 2 === 0 ? Finger::Turn : Finger::Tilt;
        $kick = new Slip('kick', $turn, $at, 0.5, 0.35);
        $scores[] = $kicked = flown($plan, OperatorHabits::ofLevel(4, $seed)->slipping($kick), Wind::still(), $seed);
        foreach ([[$windy, Origin::OUTSIDE], [$kicked, Origin::HAND]] as [$score, $cause]) {
            foreach ($score->faults ?? [] as $fault) {
                if (in_array($fault->id, $cause === Origin::HAND ? ['kick'] : OF_THE_AIR, true)) {
                    $causes[$cause]++;
                    $caused[$cause] += $fault->origin?->cause === $cause ? 1 : 0;
                }
            }
        }
        $scores[] = flown($plan, OperatorHabits::ofLevel($seed % 3, $seed), $gusty, $seed);
        foreach (array_filter($scores) as $score) {
            $heard++;
            $doubted += $score->measured->doubt === null ? 0 : 1;
        }
        foreach (array_filter([...$scores, ...$unheard]) as $score) {
            $judged++;
            foreach (Contradictions::in($score) as $words) {
                $against["$words ($id)"] = ($against["$words ($id)"] ?? 0) + 1;
            }
        }
    }
}
printf("a spring put in, named with its finger from the sticks: %.1f %% of %d (wanted 98 %%)\n", 100 * $sprung / max(1, $springs), $springs);
printf("the same from positions without noise or fingers: %.1f %% of %d (wanted 80 %%)\n", 100 * $guessed / max(1, $unseen), $unseen);
printf("claimed of clean stops there: %.1f %% (wanted under 3 %%)\n", 100 * $wronged / max(1, $unseen));
printf("springs claimed on clean flights: %.1f %% of %d (wanted under 3 %%)\n", 100 * $claimed / max(1, $clean), $clean);
foreach ($causes as $cause => $count) {
    printf("cause told, %s: %.1f %% of %d (wanted 90 %%)\n", $cause, 100 * $caused[$cause] / max(1, $count), $count);
}
printf("finger columns doubted that are right: %d in %d takes (wanted 0)\n", $doubted, $heard);
printf("sentences that contradict another: %d in %d takes (wanted 0)\n", array_sum($against), $judged);
foreach ($against as $words => $times) {
    printf("    %s: %d\n", $words, $times);
}
printf("%.0f s\n", microtime(true) - $began);
