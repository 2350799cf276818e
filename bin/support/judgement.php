<?php

/**
 * How well the judgement tells hands apart: a corpus flown by the project's own simulated operators (11 moves, 5 levels of
 * practice, N seeds, 5 to 50 Hz, wind, gaps in the log), judged against its plans; and textbook flights, the same flight at
 * two rates, and faults put in at known moments. judgement.php [SEEDS] [FIRST SEED]
 */

declare(strict_types=1);

use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Flight;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Angle;
use Larkspur\Measure\SeededNoise;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Catalogue;
use Larkspur\Refusal;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;
use Tests\Core\MoveDraw;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const MOVES = [
    'orbit', 'climbing-orbit', 'ground-to-horizon', 'reverse-tilt-down', 'top-down-helix', 'pull-away', 'lift-and-tilt', 'side-track',
    'push-in', 'lateral-dolly', 'diagonal-dolly',
];

/** A log with gaps: a few stretches of half a second to a second and a half taken out. */
function holed(FlightLog $log, SeededNoise $noise): FlightLog
{
    $holes = [];
    for ($k = 0; $k < 3; $k++) {
        $at = $noise->between($log->from() + 2, $log->to() - 2);
        $holes[] = [$at, $at + $noise->between(0.5, 1.5)];
    }
    $keep = array_keys(array_filter($log->column('t'), static function (float $t) use ($holes): bool {
        foreach ($holes as [$from, $to]) {
            if ($t > $from && $t < $to) {
                return false;
            }
        }

        return true;
    }));

    return new FlightLog(array_map(
        static fn (array $column): array => array_map(static fn (int $i): float => $column[$i], $keep), $log->columns,
    ));
}

/** Without the finger columns: the judgement must do with what every craft records. */
function bare(Flight $flight): Flight
{
    return new Flight($flight->t, $flight->east, $flight->north, $flight->up, $flight->heading, $flight->tilt);
}

function judged(FlightLog $log, Plan $plan): ?Score
{
    try {
        // The longest take is the one that was meant.
        $takes = Scorer::takes($log);
        $lengths = array_map(static fn (array $take): float => $take['window']->to - $take['window']->from, $takes);

        return $lengths === [] ? null : Scorer::score($log, $plan->move->intent, 1 + (int) array_search(max($lengths), $lengths, true));
    } catch (Refusal $refusal) {
        return null;
    }
}

/**
 * @return Generator<int, Plan> plans of a move fit for the corpus: about what is usual (four fifths to five quarters of it), on one craft
 */
function plans(string $move, int $seed): Generator
{
    foreach (MoveDraw::feasible($move, $seed, 10, 0.4) as $plan) {
        // Paces at which one films: creeping plans drown in the walk of a satellite position.
        $pace = $plan->move->intent->number('pace_mps') ?? $plan->move->intent->number('subject_mps') ?? 9.0;
        $climb = abs($plan->move->intent->number('climb_mps') ?? 9.0);
        if ($plan->move->flight->duration() < 45 && $pace >= 1.2 && $climb >= 0.8 && $plan->shot->intent->track === []) {
            yield $plan;
        }
    }
}

$seeds = (int) ($argv[1] ?? 30);
$first = (int) ($argv[2] ?? 100);
$began = microtime(true);
$rates = [5.0, 10.0, 10.0, 25.0, 50.0];
$correlations = $means = [];
$right = $recognised = $unjudged = 0;
$pairs = [];
$worstMoves = [];
foreach (MOVES as $move) {
    $scores = $levels = [];
    $byLevel = array_fill(0, 5, []);
    $plans = plans($move, $first);
    for ($seed = $first; $seed < $first + $seeds; $seed++) {
        $plans->next();
        $plan = $plans->current();
        for ($level = 0; $level < 5; $level++) {
            $noise = SeededNoise::named($seed * 5 + $level, $move);
            $mean = $noise->between(0, 7);
            $wind = new Wind($noise->between(0, 2 * M_PI), $mean, $mean * $noise->between(1.12, 1.36));
            $flight = bare(SimulatedOperator::fly($plan, OperatorHabits::ofLevel($level, $seed * 31 + $level), $wind, $seed));
            $rate = $rates[$seed % 5];
            $white = $noise->between(0.1, 0.3);
            $walk = $noise->between(0.14, 0.7);
            // Every other log has the receiver's own speeds, as most craft record them.
            $recorder = new Recorder($rate, $white, $walk, 0.3 * Angle::DEGREE, $seed % 2 === 0 ? 0.05 : null);
            $log = $recorder->record($flight, $plan->shot->site->frame(), $seed);
            $log = $noise->uniform() < 0.3 ? holed($log, $noise) : $log;
            $score = judged($log, $plan);
            if ($score === null) {
                $unjudged++;
            }
            $scores[] = $score->score ?? 0.0;
            $levels[] = (float) $level;
            $byLevel[$level][] = $score->score ?? 0.0;
            $takes = Scorer::takes($log);
            if ($takes !== []) {
                $recognised++;
                $family = Catalogue::move($move)->about()->family;
                $lengths = array_map(static fn (array $take): float => $take['window']->to - $take['window']->from, $takes);
                $named = $takes[(int) array_search(max($lengths), $lengths, true)]['recognition']->move;
                $right += $named === $family ? 1 : 0;
                if ($named !== $family) {
                    $worstMoves["{$move} taken for {$named}"] = ($worstMoves["{$move} taken for {$named}"] ?? 0) + 1;
                }
            }
            if ($seed % 3 === 0) {
                $two = [];
                foreach ([10.0, 50.0] as $hz) {
                    $two[] = judged(
                        (new Recorder($hz, 0.12, 0.3, 0.2 * Angle::DEGREE))->record($flight, $plan->shot->site->frame(), $seed), $plan,
                    );
                }
                if ($two[0] !== null && $two[1] !== null) {
                    $pairs[] = abs($two[0]->score - $two[1]->score);
                }
            }
        }
    }
    $correlations[$move] = Statistics::rankCorrelation($levels, $scores);
    $means[$move] = array_map(static fn (array $of): float => Statistics::mean($of), $byLevel);
    printf(
        "%-20s rank correlation %.3f   means by level %s\n", $move, $correlations[$move],
        implode(' ', array_map(static fn (float $m): string => sprintf('%3.0f', $m), $means[$move])),
    );
}
printf(
    "rank correlation of score with level: mean %.3f (wanted 0.88), least %.3f (0.78); %d takes, %d not judged\n", Statistics::mean(array_values($correlations)), Statistics::least(array_values($correlations)), count(MOVES) * 5 * $seeds, $unjudged,
);
printf("family recognised: %.1f %% of %d (wanted 95 %%)\n", 100 * $right / max(1, $recognised), $recognised);
arsort($worstMoves);
foreach (array_slice($worstMoves, 0, 6, true) as $words => $times) {
    printf("    %s: %d\n", $words, $times);
}
printf("the same flight at 10 and at 50 Hz: 90 %% within %.1f points (wanted 3), median %.2f, %d flights\n", Statistics::percentile($pairs, 90), Statistics::median($pairs), count($pairs));

// Textbook flights under positioning noise, and faults put into them.
$textbook = [];
$falsely = $grave = 0;
$found = ['kick' => [0, 0], 'bobbing' => [0, 0]];
foreach (MOVES as $move) {
    $plans = plans($move, $first + 1);
    for ($seed = $first; $seed < $first + $seeds; $seed++) {
        $plans->next();
        $plan = $plans->current();
        $noise = SeededNoise::named($seed, $move.' textbook');
        $recorder = new Recorder(
            $rates[$seed % 5], $noise->between(0.1, 0.3), $noise->between(0.14, 0.7), 0.3 * Angle::DEGREE, $seed % 2 === 0 ? 0.05 : null,
        );
        $frame = $plan->shot->site->frame();
        $score = judged($recorder->record(bare($plan->move->flight), $frame, $seed), $plan);
        $textbook[] = $score->score ?? 0.0;
        $worst = array_filter($score->faults ?? [], static fn (Fault $fault): bool => $fault->grade() !== 'slight');
        $falsely += $worst === [] ? 0 : 1;
        foreach ($worst as $fault) {
            $worstMoves[$move.': '.$fault->id.' '.$fault->axis] = ($worstMoves[$move.': '.$fault->id.' '.$fault->axis] ?? 0) + 1;
        }

        $hold = $plan->move->holdTo - $plan->move->holdFrom;
        $at = $plan->move->holdFrom - $plan->move->onset + $noise->between(0.3, 0.7) * $hold;
        $finger = $seed % 4 < 2 ? Finger::Turn : Finger::Tilt;
        // A jerk of about 0.04 of the width in a third of a second, whatever the craft.
        $rate = 0.13 * $plan->shot->intent->lens->horizontal / 0.35;
        $mode = $plan->shot->tune();
        $held = $plan->sheet->at($finger, $plan->move->onset + $at);
        $size = abs($mode->travelFor($finger, $mode->asked($finger, $held) + ($held < 0 ? -1 : 1) * $rate) - $held);
        $kicked = SimulatedOperator::fly(
            $plan, OperatorHabits::ofLevel(4, $seed)->slipping(new Slip('kick', $finger, $at, $size, 0.35)), Wind::still(), $seed,
        );
        $log = $recorder->record(bare($kicked), $frame, $seed);
        $found['kick'][1]++;
        foreach (judged($log, $plan)->faults ?? [] as $fault) {
            if (
                $fault->id === 'kick'
                && $fault->axis === $finger->axis()->value
                && abs($fault->t - $plan->move->onset - $at - 0.17) <= 0.6
            ) {
                $found['kick'][0]++;
                break;
            }
        }
        if (Catalogue::move($move)->judging($plan->move->intent)->role(Larkspur\Controls\Axis::Climb)->name === 'Still' && $hold > 5) {
            $bounce = abs($mode->travelFor(Finger::Climb, 1.7));
            $bobbed = SimulatedOperator::fly(
                $plan, OperatorHabits::ofLevel(4, $seed)->slipping(new Slip('bounce', Finger::Climb, $at, $bounce, 3.2)), Wind::still(),
                $seed,
            );
            $found['bobbing'][1]++;
            foreach (judged($recorder->record(bare($bobbed), $frame, $seed), $plan)->faults ?? [] as $fault) {
                if (
                    $fault->id === 'bobbing'
                    && $fault->t <= $plan->move->onset + $at + 3.7
                    && $fault->until >= $plan->move->onset + $at - 0.5
                ) {
                    $found['bobbing'][0]++;
                    break;
                }
            }
        }
    }
}
printf(
    "textbook flights under positioning noise: %.1f %% at 90 or more (wanted 95 %%), least %.1f, of %d\n", 100 * count(array_filter($textbook, static fn (float $s): bool => $s >= 90)) / count($textbook), Statistics::least($textbook),
    count($textbook),
);
printf("clear or ruinous faults named on them: %.1f %% (wanted under 5 %%)\n", 100 * $falsely / count($textbook));
foreach ($found as $what => [$named, $of]) {
    printf("a %s put in, named on its axis and within half a second: %.1f %% of %d (wanted 90 %%)\n", $what, 100 * $named / max(1, $of), $of);
}
foreach (array_filter(
    $worstMoves, static fn (string $words): bool => str_contains($words, ': '), ARRAY_FILTER_USE_KEY,
) as $words => $times) {
    printf("    %s: %d\n", $words, $times);
}
printf("%.0f s\n", microtime(true) - $began);
