<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Camera\ExposurePlan;

/** The shutter that was wanted, and the nearest that the camera has. */
final readonly class ExposureShutter implements Document
{
    public function __construct(public string $wanted, public string $set, public float $offStops, public float $angleDeg)
    {
    }

    public static function of(ExposurePlan $plan): self
    {
        $set = $plan->exposure->shutter;

        return new self($plan->wanted->words(), $set->words(), round($set->stopsOver($plan->wanted), 4), round($set->angle($plan->fps), 1));
    }
}
