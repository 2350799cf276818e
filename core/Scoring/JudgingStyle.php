<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Fields;
use Larkspur\Scoring\AsPlanned\Tolerances;

/** What a school has chosen about judging (docs/schools.md): how much of the picture a rescue may cost, and how near a plan is near. */
final readonly class JudgingStyle
{
    /** Share of the picture that a delivery at source size can spare. */
    public const CROP_BUDGET = 0.15;

    /** The most that any school spares. */
    private const MOST = 60.0;

    /** @param  float  $cropBudget  share of the picture that the delivery can spare, 0 to 1 */
    public function __construct(public float $cropBudget = self::CROP_BUDGET, public Tolerances $tolerances = new Tolerances)
    {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            ($fields->numberOrNull('crop_budget_percent', 0.0, self::MOST, '%') ?? 100 * self::CROP_BUDGET) / 100,
            Tolerances::read($fields->groupOrNull('tolerances') ?? Fields::of([])),
        );
    }

    /** @return array{crop_budget_percent: float, tolerances: array<string, float>} */
    public function toArray(): array
    {
        return ['crop_budget_percent' => round(100 * $this->cropBudget, 3), 'tolerances' => $this->tolerances->toArray()];
    }

    /** @return array<string, array{float, float}> the least and the most of each number, by its name */
    public static function limits(): array
    {
        $tolerances = [];
        foreach (Tolerances::limits() as $name => $limits) {
            $tolerances["tolerances.$name"] = $limits;
        }

        return ['crop_budget_percent' => [0.0, self::MOST], ...$tolerances];
    }
}
