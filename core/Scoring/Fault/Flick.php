<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Measurements;

/** A start or a stop too sudden to be an ease: a finger that springs, or an axis that is there at once. */
abstract readonly class Flick extends NamedFault
{
    /** Seconds below which the middle of a finger's passage is a flick (Sticks), and below which an axis starts or stops too soon. */
    private const FINGER = 0.3;

    private const ROTATION = 0.6;

    private const MOTION = 0.8;

    /** Severity beyond 1 at which one costs all that it can: else the log's rate would decide over three points. */
    private const FULL = 0.15;

    private const COST = 3.0;

    /** @return 'start'|'stop' */
    abstract protected function end(): string;

    public function id(): string
    {
        return 'flick-'.$this->end();
    }

    public function rank(): int
    {
        return 1;
    }

    public function spoils(Fault $fault): array
    {
        return ['ease'];
    }

    public function find(Measurements $take): array
    {
        $faults = $known = [];
        $jump = static fn (float $t): int => (int) max(
            0, min($take->take->grid->count() - 1, round(($t - $take->take->grid->t[0]) / Grid::STEP)),
        );
        foreach ($take->eases->flicks as $flick) {
            if ($flick['end'] === $this->end()) {
                $known[$flick['axis']->value] = true;
                $faults[] = Fault::momentary($this, $flick['finger']->value, $flick['at'], $this->end())->measured(
                    Quantity::seconds($flick['seconds']), self::FINGER / max(0.1, $flick['seconds']), $take->jumpAt($jump($flick['at'])),
                );
            }
        }
        foreach ($take->eases->all() as [$axis, $end, $fit]) {
            $limit = $axis->rotates() ? self::ROTATION : self::MOTION;
            $usable = $fit->usable();
            if (
                $end === $this->end()
                && ! isset($known[$axis->value])
                && $usable < $limit
                && $take->take->held($axis) > $take->take->floor($axis)
            ) {
                $faults[] = Fault::momentary($this, $axis->value, $fit->centre, $this->end())
                    ->measured(Quantity::seconds($usable), $limit / $usable, $take->jumpAt($jump($fit->centre)));
            }
        }

        return $faults;
    }

    public function cost(Fault $fault): float
    {
        return self::COST * max(0.0, min(1.0, ($fault->severity - 1) / self::FULL));
    }

    public function disturbs(Fault $fault, float $t): float
    {
        return self::jolt($fault, $t);
    }
}
