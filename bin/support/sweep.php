<?php

/**
 * Flies and judges feasible plans of every move, drawn from a fixed seed, and prints the worst of each: sweep.php COUNT [MOVE]
 */

declare(strict_types=1);

use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Tests\Core\MoveDraw;
use Tests\Core\Sweep;

require dirname(__DIR__, 2).'/vendor/autoload.php';

// A combination is drawn by its parts, which have their turn each.
$ids = isset($argv[2]) ? [$argv[2]] : array_values(array_diff(Catalogue::ids(), [Combination::ID]));
$each = (int) ceil((int) ($argv[1] ?? 200) / count($ids));
$began = microtime(true);
[$all, $worstError, $worstScore, $fewer] = [0, 0.0, 100.0, []];
foreach ($ids as $id) {
    $flown = 0;
    [$error, $score, $words] = [0.0, 100.0, ''];
    foreach (MoveDraw::feasible($id, 2027) as $plan) {
        $result = Sweep::fly($plan);
        $error = max($error, $result['error']);
        if ($result['score'] < $score) {
            [$score, $words] = [$result['score'], $result['words']];
        }
        if (++$flown >= $each) {
            break;
        }
    }
    $all += $flown;
    $worstError = max($worstError, $error);
    $worstScore = min($worstScore, $score);
    if ($flown < $each) {
        $fewer[] = sprintf('%s %d', $id, $flown);
    }
    printf("%-26s %4d flown   greatest error %7.4f %%   lowest score %6.2f%s\n", $id, $flown, 100 * $error, $score, $score < 97 || $error >= 0.005 ? "\n    ".$words : '');
}
printf("%d feasible plans of %d moves in %.0f s: greatest error %.4f %% of their size, lowest score %.2f\n", $all, count($ids), microtime(true) - $began, 100 * $worstError, $worstScore);
if ($fewer !== []) {
    printf("Fewer than %d were found of: %s\n", $each, implode(', ', $fewer));
}
exit($worstError < 0.005 && $worstScore >= 97 ? 0 : 1);
