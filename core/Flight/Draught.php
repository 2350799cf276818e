<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Fields;
use Larkspur\Measure\Angle;

/** Air that pushes in one place of a room, as from a vent: full in its middle, falling off evenly to nothing at its edge. */
final readonly class Draught
{
    public function __construct(
        public float $east, public float $north, public float $radius, public float $eastRate, public float $northRate,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $toward = $fields->number('toward_deg', -360, 360, 'degrees') * Angle::DEGREE;
        $speed = $fields->number('speed_mps', 0, 10, 'm/s');

        return new self(
            $fields->number('east_m', -5000, 5000, 'm'), $fields->number('north_m', -5000, 5000, 'm'),
            $fields->number('radius_m', 0.2, 50, 'm'), $speed * sin($toward), $speed * cos($toward),
        );
    }

    /** How much of it is felt at a place, 0 to 1. */
    public function shareAt(float $east, float $north): float
    {
        return max(0.0, 1 - hypot($east - $this->east, $north - $this->north) / $this->radius);
    }

    /** @return array{east_m: float, north_m: float, radius_m: float, toward_deg: float, speed_mps: float} */
    public function toArray(): array
    {
        return [
            'east_m' => $this->east, 'north_m' => $this->north, 'radius_m' => $this->radius,
            'toward_deg' => round(Angle::bearing(atan2($this->eastRate, $this->northRate)), 3),
            'speed_mps' => round(hypot($this->eastRate, $this->northRate), 4),
        ];
    }
}
