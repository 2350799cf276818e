<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Measurements;

/** Flown so fast that the eye sees the craft and not the place. */
final readonly class TooQuick extends NamedFault
{
    /** Seconds to cross the frame below which a move looks rushed (docs/scoring.md, section 4). */
    public const RUSHED = 3.5;

    /** What a staged one crosses it in. */
    private const STAGED = 2.6;

    public function id(): string
    {
        return 'too-quick';
    }

    public function rank(): int
    {
        return 6;
    }

    public function spoils(Fault $fault): array
    {
        // What is seen at such a pace trembles by itself.
        return ['pace', 'smooth'];
    }

    public function find(Measurements $take): array
    {
        return $take->pace === null || $take->pace >= self::RUSHED || $take->take->judging->primary() === null
            ? []
            : [Fault::ofHold($this, 'picture', $take->take)->measured(
                Quantity::seconds($take->pace), self::RUSHED / max(0.3, $take->pace),
                Fact::of('picture.crosses-too-fast', pace: Quantity::seconds($take->pace)),
            )];
    }

    /** The seconds stay what they were, so that the eases and a hold remain; what is stated by its seconds alone is shortened. */
    public function stage(Staging $staging): Staging
    {
        $factor = $staging->strength * max(1.5, $staging->secondsToCross() / self::STAGED);
        $changed = [];
        foreach (['pace_mps', 'climb_mps', 'spin_dps', 'length_m', 'duration_s'] as $name) {
            $value = $staging->plan->move->intent->number($name);
            if ($value !== null) {
                $changed[$name] = match ($name) {
                    'duration_s' => max(4.0, $value / $factor),
                    'length_m' => min(400.0, $value * sqrt($factor)),
                    default => $value * $factor,
                };
            }
        }

        return $staging->flownAs($changed);
    }
}
