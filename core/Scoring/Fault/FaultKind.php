<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Scoring\Measurements;

/**
 * One kind of fault, whole: how it is found in a take, what it costs, whether it rules a take out, what it does to a moment, and how a
 * simulated hand makes it on purpose. A new kind is one class here and its row in FaultKinds; its name and its cure are phrases
 * ("fault.<id>", "fault.<id>.try"). Most kinds extend NamedFault, which answers all but the first.
 */
interface FaultKind
{
    /** Stable, as in files and in the API. */
    public function id(): string;

    /** Place among the faults of a take when they are listed: 0 first. */
    public function rank(): int;

    /** @return list<Fault> every one of this kind in a take */
    public function find(Measurements $take): array;

    /** Points that one takes off, before the deductions of a take are bent together (docs/scoring.md, section 5). */
    public function cost(Fault $fault): float;

    /** @return list<string> parts of the score that one spoils, beside what it costs by itself, the first the most */
    public function spoils(Fault $fault): array;

    /** @return list<string> under which its phrases stand: "fault.<wording>", "fault.<wording>.try"; its id first */
    public function wordings(): array;

    /** Whether it is no fault of the picture, only another one than planned. */
    public function missesThePlan(): bool;

    /** Whether a few of the seconds in which it stands show it; what grows over a whole hold, they don't. */
    public function isSeen(): bool;

    /** Whether one that is bad enough and stands in the hold rules a take out. */
    public function ruins(): bool;

    /** What one does to a moment of the take, in the cost of usable stretches (docs/scoring.md, section 8). */
    public function disturbs(Fault $fault, float $t): float;

    /**
     * Whether one is worth a word beside the others of its take.
     *
     * @param  list<Fault>  $others
     */
    public function isWorthSaying(Fault $fault, array $others): bool;

    /** How a simulated hand makes it on purpose. */
    public function stage(Staging $staging): Staging;
}
