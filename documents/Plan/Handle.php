<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Move\Handle\Handle as Pulled;
use Larkspur\Move\MovePlan;

/**
 * What can be pulled on a sheet, and where it stands: on the site sheet a place, on the side sheet a place or a tilt there, on the thumb
 * sheet a time.
 */
final readonly class Handle implements Document
{
    /**
     * @param  'above'|'side'|'thumbs'  $sheet
     * @param  'climb'|'turn'|'run'|'slide'|'tilt'|null  $finger  on whose stave it stands; over all of them where null
     */
    public function __construct(
        public string $id,
        public string $sheet,
        public Fact $label,
        public ?string $finger,
        public float $eastM,
        public float $northM,
        public float $upM,
        public ?float $tiltDeg,
        public float $tS,
    ) {
    }

    public static function of(Pulled $handle, MovePlan $plan): self
    {
        $spot = $handle->at($plan);

        return new self(
            $handle->id, $handle->sheet->value, $handle->label(), $handle->finger?->value,
            round($spot->place->east, 2), round($spot->place->north, 2), round($spot->place->up, 2),
            $spot->tilt === null ? null : round($spot->tilt / Angle::DEGREE, 1), round($spot->t, 2),
        );
    }
}
