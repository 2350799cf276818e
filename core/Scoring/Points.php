<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Scoring\Fault\Fault;

/** The points of a take: the parts under the move's weights, less what its faults take off (docs/scoring.md, section 5). */
final readonly class Points
{
    /** Deductions are bent together, so that many small ones never take more than this. */
    private const MOST_DEDUCTED = 25.0;

    /** What no figure knows of itself, points. */
    private const ALWAYS_UNSURE = 0.3;

    /** A fault whose severity is below this might not show in another log of the same flight. */
    private const NEAR_THRESHOLD = 1.3;

    /** Spread of a part that nobody measured, points: about that of the frame among practised hands. */
    private const UNKNOWN = 25.0;

    private function __construct(public float $score, public float $deduction, public float $uncertainty)
    {
    }

    /**
     * @param  array<string, float>  $weights  of the move's parts
     * @param  list<Fault>  $faults
     * @param  float  $unknown  weight of what the move shows and the log does not tell, share
     */
    public static function of(PartScores $parts, array $weights, array $faults, float $unknown = 0.0): self
    {
        [$overall, $spread] = $parts->overall($weights);
        $raw = array_sum(array_map(static fn (Fault $fault): float => $fault->deduction(), $faults));
        $deduction = self::MOST_DEDUCTED * (1 - exp(-$raw / self::MOST_DEDUCTED));
        $variance = $spread ** 2 + self::ALWAYS_UNSURE ** 2 + ($unknown * self::UNKNOWN) ** 2;
        foreach ($faults as $fault) {
            if ($fault->severity < self::NEAR_THRESHOLD) {
                $variance += (0.5 * $fault->deduction()) ** 2;
            }
        }

        return new self(max(0.0, $overall - $deduction), $deduction, sqrt($variance));
    }
}
