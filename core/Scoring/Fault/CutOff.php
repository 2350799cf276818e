<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Measurements;

/** The frame's edge cuts the foot or the top of a subject that its plan keeps whole. */
final readonly class CutOff extends NamedFault
{
    /** Share of the frame's height beyond its edge that is cut, and for how long, s. */
    private const DEPTH = 0.02;

    private const SECONDS = 0.5;

    /** Points for each threshold that it lies beyond, and at most. */
    private const EACH = 1.0;

    private const MOST = 6.0;

    public function id(): string
    {
        return 'cut-off';
    }

    public function rank(): int
    {
        return 3;
    }

    public function wordings(): array
    {
        return ['cut-off', 'cut-off.foot', 'cut-off.top'];
    }

    public function find(Measurements $take): array
    {
        return [...$this->beyond($take, 'foot', $take->edge->foot ?? []), ...$this->beyond($take, 'top', $take->edge->top ?? [])];
    }

    /**
     * @param  'foot'|'top'  $part
     * @param  list<float>  $depths  share of the frame's height, per node from first motion to last
     * @return list<Fault>
     */
    private function beyond(Measurements $take, string $part, array $depths): array
    {
        $faults = [];
        $from = $take->take->main->from;
        $nodes = (int) round(self::SECONDS / Grid::STEP);
        foreach (Runs::of(array_map(static fn (float $depth): bool => $depth > self::DEPTH, $depths), $nodes) as [$first, $last]) {
            if ($last - $first < $nodes) {
                continue;
            }
            $deepest = Statistics::greatest(array_slice($depths, $first, $last - $first + 1));
            $worst = (int) array_search($deepest, $depths, true);
            $faults[] = Fault::lasting($this, 'tilt', $take->take, $from + $first, $from + $last)->measured(
                Quantity::share($deepest), $deepest / self::DEPTH, Fact::of("picture.$part-cut", depth: Quantity::share($deepest)),
                $take->take->grid->t[$from + $worst],
            )->worded("cut-off.$part");
        }

        return $faults;
    }

    public function cost(Fault $fault): float
    {
        return min(self::MOST, self::EACH * $fault->severity);
    }

    public function disturbs(Fault $fault, float $t): float
    {
        return $t >= $fault->t && $t <= $fault->until ? 0.6 : 0.0;
    }

    /** Where the subject has left its mark far, that says it. */
    public function isWorthSaying(Fault $fault, array $others): bool
    {
        foreach ($others as $other) {
            if ($other->id === 'off-mark' && $other->severity >= Fault::CLEAR && $other->t <= $fault->until && $other->until >= $fault->t) {
                return false;
            }
        }

        return true;
    }
}
