<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/**
 * Takes of one shot side by side: their order, and in words why one is the best, or that the log can't tell them apart.
 * Scores that differ by less than their joint uncertainty are not ranked by it.
 */
final readonly class Comparison
{
    /** Takes count as different from this many joint standard deviations on. */
    private const DIFFERENT = 1.0;

    private const NAMES = ['ease' => 'Ease', 'flow' => 'Flow', 'hold' => 'Hold', 'line' => 'Line', 'frame' => 'Frame'];

    /**
     * @param  list<int>  $order  ids, the best first
     * @param  ?int  $best  null where there is none to compare
     * @param  string  $reason  one or two sentences
     */
    private function __construct(public array $order, public ?int $best, public string $reason)
    {
    }

    /**
     * @param  list<array{id: int, name: string, score: float, uncertainty: float, verdict: string, clean_s: float, facets: array<string, ?float>, faults: list<string>, automated: bool}>  $takes
     */
    public static function of(array $takes): self
    {
        $rank = [Verdict::KEEP => 0, Verdict::FIX => 1, Verdict::AGAIN => 2];
        usort($takes, static function (array $a, array $b) use ($rank): int {
            $kept = $rank[$a['verdict']] <=> $rank[$b['verdict']];
            if ($kept !== 0) {
                return $kept;
            }

            // Where scores can't be told apart, the longer clean stretch gives the editor more.
            return self::apart($a, $b) ? $b['score'] <=> $a['score'] : [$b['clean_s'], $b['score']] <=> [$a['clean_s'], $a['score']];
        });
        $order = array_column($takes, 'id');
        if (count($takes) < 2) {
            return new self($order, $order[0] ?? null, $takes === [] ? '' : 'There is one take so far; three or four are usual, since faults show only on a large screen.');
        }
        [$first, $second] = $takes;
        $automated = $first['automated'] ? ' It was flown by automation, so it says nothing about the hands.' : '';
        if ($rank[$first['verdict']] < $rank[$second['verdict']]) {
            return new self($order, $first['id'], sprintf('%s is the only one of its kind: “%s”. %s%s', $first['name'], self::verdict($first['verdict']), self::petal($first, $second), $automated));
        }
        if (! self::apart($first, $second)) {
            return new self($order, $first['id'], sprintf(
                'The logs can’t tell %s and %s apart (%.0f and %.0f, give or take %.0f). %s%s',
                $first['name'], $second['name'], $first['score'], $second['score'], hypot($first['uncertainty'], $second['uncertainty']),
                $first['clean_s'] > $second['clean_s'] + 0.5 ? sprintf('%s has the longer clean stretch: %.1f s against %.1f.', $first['name'], $first['clean_s'], $second['clean_s']) : 'Look at both on a large screen.',
                $automated,
            ));
        }

        return new self($order, $first['id'], sprintf('%s is ahead of %s by %.0f points. %s%s', $first['name'], $second['name'], $first['score'] - $second['score'], self::petal($first, $second), $automated));
    }

    /**
     * @param  array{score: float, uncertainty: float}  $a
     * @param  array{score: float, uncertainty: float}  $b
     */
    private static function apart(array $a, array $b): bool
    {
        return abs($a['score'] - $b['score']) > self::DIFFERENT * hypot($a['uncertainty'], $b['uncertainty']);
    }

    /**
     * The petal in which they differ most, and the faults that only the worse one has.
     *
     * @param  array{name: string, facets: array<string, ?float>, faults: list<string>}  $a
     * @param  array{name: string, facets: array<string, ?float>, faults: list<string>}  $b
     */
    private static function petal(array $a, array $b): string
    {
        $most = [null, 0.0];
        foreach (self::NAMES as $facet => $name) {
            $by = ($a['facets'][$facet] ?? null) === null || ($b['facets'][$facet] ?? null) === null ? 0.0 : $a['facets'][$facet] - $b['facets'][$facet];
            if ($by > $most[1]) {
                $most = [$name, $by];
            }
        }
        $only = array_values(array_unique(array_diff($b['faults'], $a['faults'])));
        $words = $most[0] === null || $most[1] < 2 ? '' : sprintf('Most of it is %s (%.0f more).', $most[0], $most[1]);

        return trim($words.($only === [] ? '' : sprintf(' %s has %s, which it does not.', $b['name'], implode(' and ', array_map(lcfirst(...), array_slice($only, 0, 2))))));
    }

    private static function verdict(string $verdict): string
    {
        return match ($verdict) {
            Verdict::KEEP => 'keep',
            Verdict::FIX => 'fix in post',
            default => 'fly again',
        };
    }
}
