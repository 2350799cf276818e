<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Scoring\Fault\Fault;

/** Which seconds of a take an editor can use, by a cost per tenth of a second (docs/scoring.md, section 8). */
final readonly class UsableStretches
{
    /** Mean cost up to which a stretch is clean, and the most that any of its moments may cost. */
    private const CLEAN = 0.12;

    private const WORST_MOMENT = 0.5;

    /** Shortest stretch that is worth naming, s. */
    private const SHORTEST = 3.0;

    /** Lengths that editors ask for, s: a cut, and a cut with room. */
    private const CUTS = [3, 4, 5, 6];

    private const LONG_CUTS = [10, 12, 15];

    private const TIE = 0.02;

    /** Seconds about a fault in which it is seen. */
    private const ABOUT = 0.5;

    /**
     * @param  list<float>  $cost  per grid node
     * @param  list<array{from: float, to: float}>  $stretches  clean ones, longest first
     * @param  ?array{from: float, to: float, cost: float}  $cut  best window of 3 to 6 s
     * @param  ?array{from: float, to: float, cost: float}  $longCut  best window of 10 to 15 s
     */
    private function __construct(public array $cost, public array $stretches, public ?array $cut, public ?array $longCut)
    {
    }

    /** @param  list<Fault>  $faults */
    public static function of(Measurements $measured, array $faults): self
    {
        $cost = self::cost($measured, $faults);
        $grave = self::grave($measured, $faults);
        $stretches = [];
        $from = null;
        $n = count($cost);
        for ($i = 0; $i <= $n; $i++) {
            $fine = $i < $n && $cost[$i] <= self::WORST_MOMENT && ! $grave[$i];
            if ($fine) {
                $from ??= $i;
            } elseif ($from !== null) {
                array_push($stretches, ...self::cleanWithin($cost, $from, $i - 1));
                $from = null;
            }
        }
        usort($stretches, static fn (array $a, array $b): int => ($b[1] - $b[0]) <=> ($a[1] - $a[0]));
        $t = $measured->take->grid->t;

        return new self(
            $cost,
            array_map(static fn (array $s): array => ['from' => $t[$s[0]], 'to' => $t[$s[1]]], $stretches),
            self::best($cost, $grave, $t, self::CUTS),
            self::best($cost, $grave, $t, self::LONG_CUTS),
        );
    }

    /**
     * @param  list<Fault>  $faults
     * @return list<float>
     */
    private static function cost(Measurements $measured, array $faults): array
    {
        $take = $measured->take;
        $grid = $take->grid;
        $perFrame = 100 / $take->lens->horizontal;
        $beyond = static fn (float $value, float $noise): float => max(0.0, abs($value) - 2 * $noise);
        $cost = [];
        foreach ($grid->t as $i => $t) {
            $pan = $perFrame * $beyond($grid->heading->band($i), $grid->heading->bandNoise($i));
            $tilt = $perFrame * $beyond($grid->tilt->band($i), $grid->tilt->bandNoise($i));
            $bob = $beyond($grid->z->band($i), $grid->z->bandNoise($i));
            $k = $i - $take->main->from;
            $moving = $k >= 0 && $i <= $take->main->to;
            $stray = $moving ? max(abs($measured->framing->u[$k]), abs($measured->framing->v[$k])) : 0.15;
            $sum = 0.35 * min(1.0, $pan / 4) + 0.25 * min(1.0, $tilt / 4) + 0.2 * min(1.0, $bob / 0.5)
                + ($take->judging->hasSubject() ? 0.4 * min(1.0, $stray / 0.12) : 0.0)
                + ($moving ? 0.0 : 0.6) + ($grid->valid[$i] ? 0.0 : 0.1);
            foreach ($faults as $fault) {
                $sum += $fault->kind->disturbs($fault, $t);
            }
            $cost[] = min(1.5, $sum);
        }

        return $cost;
    }

    /**
     * Whether a moment lies in a fault that is more than slight: no stretch holds one.
     *
     * @param  list<Fault>  $faults
     * @return list<bool> per grid node
     */
    private static function grave(Measurements $measured, array $faults): array
    {
        $grid = $measured->take->grid;
        $spans = [];
        $last = $grid->count() - 1;
        foreach ($faults as $fault) {
            if ($fault->kind->isSeen() && $fault->isGrave()) {
                $node = static fn (float $t): int => (int) max(0, min($last, round(($t - $grid->t[0]) / Grid::STEP)));
                $spans[] = [$node($fault->t - self::ABOUT), $node($fault->until + self::ABOUT)];
            }
        }
        $grave = [];
        for ($i = 0; $i <= $last; $i++) {
            $grave[] = array_filter($spans, static fn (array $span): bool => $span[0] <= $i && $i <= $span[1]) !== [];
        }

        return $grave;
    }

    /**
     * Every maximal clean stretch between two nodes: the longest, then what is clean on either side of it.
     *
     * @param  list<float>  $cost
     * @return list<array{int, int}>
     */
    private static function cleanWithin(array $cost, int $from, int $to): array
    {
        $least = (int) round(self::SHORTEST / Grid::STEP);
        if ($to - $from < $least) {
            return [];
        }
        // Longest run with a mean within CLEAN: the widest pair with sum[j] <= sum[i] of the prefix sums of cost - CLEAN.
        $sum = [0.0];
        for ($i = $from; $i <= $to; $i++) {
            $sum[] = $sum[count($sum) - 1] + $cost[$i] - self::CLEAN;
        }
        $starts = [0];
        foreach ($sum as $i => $value) {
            if ($value > $sum[$starts[count($starts) - 1]]) {
                $starts[] = $i;
            }
        }
        $best = [0, 0];
        for ($j = count($sum) - 1; $j > 0 && $starts !== []; $j--) {
            while ($starts !== [] && $sum[$j] <= $sum[$starts[count($starts) - 1]] + 1e-12) {
                $i = array_pop($starts);
                if ($j - $i > $best[1] - $best[0]) {
                    $best = [$i, $j];
                }
            }
        }
        if ($least > $best[1] - $best[0]) {
            return [];
        }
        $a = $from + $best[0];
        $b = $from + $best[1] - 1;

        return [...self::cleanWithin($cost, $from, $a - 1), [$a, $b], ...self::cleanWithin($cost, $b + 1, $to)];
    }

    /**
     * The longest of the wanted lengths whose best place is nearly as clean as the cleanest of all.
     *
     * @param  list<float>  $cost
     * @param  list<bool>  $grave
     * @param  list<float>  $t
     * @param  non-empty-list<int>  $lengths  s
     * @return ?array{from: float, to: float, cost: float}
     */
    private static function best(array $cost, array $grave, array $t, array $lengths): ?array
    {
        $sum = [0.0];
        $bad = [0];
        foreach ($cost as $i => $value) {
            $sum[] = $sum[count($sum) - 1] + $value;
            $bad[] = $bad[count($bad) - 1] + (int) $grave[$i];
        }
        $n = count($cost);
        $found = [];
        foreach ($lengths as $length) {
            $width = (int) round($length / Grid::STEP);
            $least = null;
            for ($i = 0; $i + $width <= $n; $i++) {
                $mean = ($sum[$i + $width] - $sum[$i]) / $width;
                if ($bad[$i + $width] === $bad[$i] && ($least === null || $mean < $least[1])) {
                    $least = [$i, $mean];
                }
            }
            if ($least !== null) {
                $found[] = [$length, ...$least];
            }
        }
        if ($found === []) {
            return null;
        }
        $limit = min(array_column($found, 2)) + self::TIE;
        $best = null;
        foreach ($found as $window) {
            if ($window[2] <= $limit) {
                $best = $window;
            }
        }

        return $best === null ? null : ['from' => $t[$best[1]], 'to' => $t[$best[1]] + $best[0], 'cost' => $best[2]];
    }

    /** Length of the longest clean stretch, s. */
    public function longest(): float
    {
        return $this->stretches === [] ? 0.0 : $this->stretches[0]['to'] - $this->stretches[0]['from'];
    }
}
