<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Fault\FaultKinds;

/**
 * Takes of one shot side by side: their order, and why one is the best, or that the log can't tell them apart.
 * Scores that differ by less than their joint uncertainty are not ranked by it.
 *
 * @phpstan-type Compared array{
 *     id: int, name: string, score: float, uncertainty: float, verdict: string, clean_s: float, facets: array<string, ?float>,
 *     faults: list<string>, automated: bool,
 * }
 */
final readonly class Comparison
{
    /** Takes count as different from this many joint standard deviations on. */
    private const DIFFERENT = 1.0;

    private const RANK = [
        Verdict::KEEP => 0, Verdict::OPEN => 1, Verdict::FIX => 2, Verdict::OTHER => 3, Verdict::AGAIN => 4,
    ];

    /** Clean seconds, and points of a petal, by which takes must differ for that to be said. */
    private const LONGER = 0.5;

    private const SHORTER_PETAL = 2.0;

    /**
     * @param  list<int>  $order  ids, the best first
     * @param  ?int  $best  null where there is none to compare
     * @param  ?Fact  $reason  null where there is nothing to say
     */
    private function __construct(public array $order, public ?int $best, public ?Fact $reason)
    {
    }

    /** @param  list<Compared>  $takes */
    public static function of(array $takes): self
    {
        usort($takes, static function (array $a, array $b): int {
            $kept = self::RANK[$a['verdict']] <=> self::RANK[$b['verdict']];
            if ($kept !== 0) {
                return $kept;
            }

            // Where scores can't be told apart, the longer clean stretch gives the editor more.
            return self::apart($a, $b) ? $b['score'] <=> $a['score'] : [$b['clean_s'], $b['score']] <=> [$a['clean_s'], $a['score']];
        });
        $order = array_column($takes, 'id');
        if (count($takes) < 2) {
            return new self($order, $order[0] ?? null, $takes === [] ? null : Fact::of('comparison.only-one'));
        }
        [$first, $second] = $takes;

        return new self(
            $order, $first['id'],
            Fact::all(...[...self::why($first, $second), $first['automated'] ? Fact::of('comparison.automated') : null]),
        );
    }

    /**
     * @param  Compared  $first
     * @param  Compared  $second
     * @return list<?Fact>
     */
    private static function why(array $first, array $second): array
    {
        if (self::RANK[$first['verdict']] < self::RANK[$second['verdict']]) {
            return [
                Fact::of('comparison.only-one-of-its-kind', name: $first['name'], verdict: Fact::of('verdict.word.'.$first['verdict'])),
                ...self::petal($first, $second),
            ];
        }
        if (self::apart($first, $second)) {
            return [
                Fact::of(
                    'comparison.ahead', first: $first['name'], second: $second['name'],
                    by: Quantity::points($first['score'] - $second['score']),
                ),
                ...self::petal($first, $second),
            ];
        }

        return [
            Fact::of(
                'comparison.not-apart', first: $first['name'], second: $second['name'], firstScore: Quantity::number($first['score']),
                secondScore: Quantity::number($second['score']),
                give: Quantity::number(hypot($first['uncertainty'], $second['uncertainty'])),
            ),
            $first['clean_s'] > $second['clean_s'] + self::LONGER
                ? Fact::of(
                    'comparison.longer-clean', name: $first['name'], longer: Quantity::seconds($first['clean_s']),
                    shorter: Quantity::seconds($second['clean_s']),
                )
                : Fact::of('comparison.look-yourself'),
        ];
    }

    /**
     * @param  Compared  $a
     * @param  Compared  $b
     */
    private static function apart(array $a, array $b): bool
    {
        return abs($a['score'] - $b['score']) > self::DIFFERENT * hypot($a['uncertainty'], $b['uncertainty']);
    }

    /**
     * The petal in which they differ most, and the faults that only the worse one has.
     *
     * @param  Compared  $a
     * @param  Compared  $b
     * @return list<?Fact>
     */
    private static function petal(array $a, array $b): array
    {
        [$most, $by] = [null, self::SHORTER_PETAL];
        foreach (Petal::cases() as $petal) {
            $own = $a['facets'][$petal->value] ?? null;
            $others = $b['facets'][$petal->value] ?? null;
            if ($own !== null && $others !== null && $own - $others >= $by) {
                [$most, $by] = [$petal, $own - $others];
            }
        }
        $only = array_slice(array_values(array_unique(array_diff($b['faults'], $a['faults']))), 0, 2);

        return [
            $most === null ? null : Fact::of('comparison.most-of-it', petal: Fact::of("petal.$most->value"), by: Quantity::number($by)),
            $only === [] ? null : Fact::of('comparison.only-the-worse', name: $b['name'], faults: array_map(FaultKinds::name(...), $only)),
        ];
    }
}
