<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Documents\Plan\PlanDocument;
use Documents\Shape;
use Larkspur\Training\Lesson;

/** A move on a plain stage, and as a simulated hand flew it. */
final readonly class LessonDocument implements Document
{
    /** @param  array<string, mixed>  $site */
    public function __construct(
        public PlanDocument $plan,
        #[Shape('SiteDocument')]
        public array $site,
        public LessonFlight $flown,
    ) {
    }

    /** @param  int  $stride  samples of 0.02 s between those given */
    public static function of(Lesson $lesson, int $stride): self
    {
        return new self(
            PlanDocument::of($lesson->plan, $stride), array_diff_key($lesson->plan->shot->site->toArray(), ['name' => 1]),
            LessonFlight::of($lesson, $stride),
        );
    }
}
