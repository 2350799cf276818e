<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\FlightDay;
use Documents\Day\DayPlan;
use Documents\Document;
use Documents\Merged;
use Documents\Shape;

/** A day, worked out. */
final readonly class DayDetail implements Document
{
    /**
     * @param  array<string, mixed>  $document  as it was drawn up
     * @param  array<string, mixed>  $drawn  its site, for the map that is taken along
     */
    public function __construct(
        #[Merged]
        public DayDocument $day,
        #[Shape('DayDocument')]
        public array $document,
        #[Shape('SiteDocument')]
        public array $drawn,
        #[Merged]
        public DayPlan $plan,
    ) {
    }

    public static function of(FlightDay $day, DayPlan $plan): self
    {
        return new self(
            DayDocument::of($day),
            [...$day->document, ...isset($day->document['permission']) ? ['permission' => (object) $day->document['permission']] : []],
            $day->site->document,
            $plan,
        );
    }
}
