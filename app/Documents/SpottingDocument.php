<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Spotting;
use Documents\Document;
use Documents\Map;
use Documents\Plan\PlanDocument;
use Documents\Plan\Samples;
use Documents\Practice\DetectionDocument;
use Documents\Shape;
use Larkspur\Measure\Series;
use Larkspur\Practice\SpotRound;

/** A take to be looked at: as it is seen through the lens, without a word about what is in it. */
final readonly class SpottingDocument implements Document
{
    private const STRIDE = 5;

    /**
     * @param  array<string, mixed>  $site
     * @param  Map<list<float>>  $fingers  as they were, by finger
     * @param  list<SpotChoice>  $choices  what it may be
     */
    public function __construct(
        public int $id, public PlanDocument $plan, #[Shape('SiteDocument')] public array $site, public Samples $samples,
        public Map $fingers, public array $choices, public DetectionDocument $record,
    ) {
    }

    public static function of(Spotting $spotting, SpotRound $round): self
    {
        $flight = $round->flight->thinned(self::STRIDE);

        return new self(
            $spotting->id, PlanDocument::of($round->plan, self::STRIDE), $round->plan->shot->site->toArray(), Samples::of($flight),
            new Map(array_map(static fn (array $travel): array => Series::rounded($travel, 4), $flight->fingers ?? [])),
            SpotChoice::ofMove($spotting->move),
            DetectionDocument::of(Spotting::detectionOf($spotting->operator_id)),
        );
    }
}
