<?php

declare(strict_types=1);

namespace Larkspur\Scoring\AsPlanned;

use Larkspur\Measure\Statistics;
use Larkspur\Move\MovePlan;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\TakeAssignment;

/** Whether a take is the shot that was planned, however clean it is (docs/scoring.md, section 12). */
final readonly class PlanMatch
{
    public const AS_PLANNED = 'as-planned';

    public const NEAR = 'near';

    public const ANOTHER = 'another-shot';

    /** Tolerances by which the worst figure may be off, up to which it is still as planned, and still near. */
    private const WITHIN = 1.0;

    private const ABOUT = 2.0;

    /**
     * @param  self::AS_PLANNED|self::NEAR|self::ANOTHER  $verdict
     * @param  float  $match  0 to 100
     * @param  non-empty-list<PlanFigure>  $figures  those that the plan states first, the worst first; then those that it left open
     */
    private function __construct(public string $verdict, public float $match, public array $figures)
    {
    }

    /** Null where the plan states nothing that this log could tell. */
    public static function of(
        Measurements $measured, TakeAssignment $assignment, MovePlan $plan, Tolerances $tolerances, float $positionError,
    ): ?self {
        $figures = (new PlanFigures($measured, $assignment, $plan, $tolerances, $positionError))->all();
        $given = array_values(array_filter($figures, static fn (PlanFigure $one): bool => $one->given()));
        if ($given === []) {
            return null;
        }
        usort($given, static fn (PlanFigure $a, PlanFigure $b): int => $b->off <=> $a->off);
        $scores = array_map(static fn (PlanFigure $one): float => $one->score ?? 0.0, $given);
        $worst = $given[0]->off;

        return new self(
            $worst <= self::WITHIN ? self::AS_PLANNED : ($worst <= self::ABOUT ? self::NEAR : self::ANOTHER),
            0.5 * min($scores) + 0.5 * Statistics::mean($scores),
            [...$given, ...array_values(array_filter($figures, static fn (PlanFigure $one): bool => ! $one->given()))],
        );
    }

    /** @return list<PlanFigure> what is off by more than its tolerance, the worst first, two at most */
    public function off(): array
    {
        return array_slice(
            array_values(array_filter($this->figures, static fn (PlanFigure $one): bool => ($one->off ?? 0.0) > self::WITHIN)), 0, 2,
        );
    }
}
