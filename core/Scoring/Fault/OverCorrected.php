<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Measurements;

/** The subject is hunted to and fro across its mark: each correction overshoots, and is corrected in turn. */
final readonly class OverCorrected extends NamedFault
{
    /** Swing to either side of its usual place that counts, fraction of the frame (derived: it is seen, and is less than off the mark). */
    private const SWING = 0.03;

    /** Changes of side in a row from which it is hunting, and the longest between two, grid nodes. */
    private const TIMES = 4;

    private const APART = 30;

    public function id(): string
    {
        return 'over-corrected';
    }

    public function spoils(Fault $fault): array
    {
        return ['framing'];
    }

    public function find(Measurements $take): array
    {
        if (! $take->take->judging->hasSubject()) {
            return [];
        }
        $main = $take->take->main;
        $length = $main->holdTo - $main->holdFrom + 1;
        $faults = [];
        foreach (['turn' => $take->framing->u, 'tilt' => $take->framing->v] as $axis => $series) {
            $held = array_slice($series, $main->holdFrom - $main->from, $length);
            $hunted = self::hunted($held);
            if ($hunted !== null) {
                [$from, $to, $swing] = $hunted;
                $faults[] = Fault::lasting($this, $axis, $take->take, $main->holdFrom + $from, $main->holdFrom + $to)->measured(
                    Quantity::share($swing), $swing / self::SWING, Fact::of('picture.hunts', swing: Quantity::share($swing)),
                );
            }
        }

        return $faults;
    }

    /**
     * The longest run of swings from side to side.
     *
     * @param  list<float>  $place  fraction of the frame, per grid node
     * @return ?array{int, int, float} first node, last node, median swing to either side
     */
    private static function hunted(array $place): ?array
    {
        $usual = Statistics::median($place);
        $runs = [];
        $run = [];
        $side = 0;
        foreach ($place as $k => $at) {
            $swing = $at - $usual;
            if (abs($swing) < self::SWING) {
                continue;
            }
            $now = $swing > 0 ? 1 : -1;
            $last = array_key_last($run);
            if ($now === $side && $last !== null) {
                if (abs($swing) > $run[$last][1]) {
                    $run[$last] = [$k, abs($swing)];
                }

                continue;
            }
            if ($last !== null && $k - $run[$last][0] > self::APART) {
                $runs[] = $run;
                $run = [];
            }
            $run[] = [$k, abs($swing)];
            $side = $now;
        }
        $runs[] = $run;
        usort($runs, static fn (array $a, array $b): int => count($b) <=> count($a));
        $longest = $runs[0];

        return count($longest) <= self::TIMES
            ? null
            : [$longest[0][0], $longest[count($longest) - 1][0], Statistics::median(array_column($longest, 1))];
    }

    public function stage(Staging $staging): Staging
    {
        $staging = $staging->unseen();
        $slips = [];
        foreach ([1.0, -1.6, 1.6, -1.6, 1.6, -1.0] as $i => $way) {
            $slips[] = new Slip(Slip::KICK, $staging->turning(), $staging->begin() + 1.0 + 1.1 * $i, 0.12 * $way, 10 * Grid::STEP);
        }

        return $staging->slipping(...$slips);
    }
}
