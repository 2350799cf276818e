<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\School;
use Documents\Document;

/** A school’s settings. */
final readonly class SchoolDocument implements Document
{
    /**
     * @param  string  $zone  of its clock
     * @param  'metric'|'feet'  $units  of whoever comes to it
     * @param  bool  $secondFactor  whether everyone needs one
     * @param  bool  $demoBeside  whether the demo school is on this server
     */
    public function __construct(
        public string $name,
        public string $zone,
        public string $units,
        public bool $secondFactor,
        public bool $demo,
        public bool $demoBeside,
    ) {
    }

    public static function of(School $school): self
    {
        return new self(
            $school->name, $school->zone, $school->units, $school->second_factor, $school->demo, School::query()->where('demo', true)
                ->exists(),
        );
    }
}
