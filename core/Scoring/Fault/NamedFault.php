<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

/** A fault that only has to be found: it costs nothing beyond the part it spoils, rules nothing out and is always worth a word. */
abstract readonly class NamedFault implements FaultKind
{
    public function rank(): int
    {
        return 5;
    }

    public function cost(Fault $fault): float
    {
        return 0.0;
    }

    public function spoils(Fault $fault): array
    {
        return [];
    }

    public function wordings(): array
    {
        return [$this->id()];
    }

    public function missesThePlan(): bool
    {
        return false;
    }

    public function isSeen(): bool
    {
        return ! $this->missesThePlan();
    }

    public function ruins(): bool
    {
        return false;
    }

    public function disturbs(Fault $fault, float $t): float
    {
        return 0.0;
    }

    public function isWorthSaying(Fault $fault, array $others): bool
    {
        return true;
    }

    public function stage(Staging $staging): Staging
    {
        return $staging;
    }

    /** A jolt seen for about a third of a second about its moment. */
    protected static function jolt(Fault $fault, float $t): float
    {
        return 0.8 * exp(-0.5 * (($t - $fault->t) / 0.35) ** 2);
    }
}
