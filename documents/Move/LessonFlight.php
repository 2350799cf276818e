<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Documents\Map;
use Documents\Plan\Frame;
use Documents\Plan\Samples;
use Documents\Score\Facets;
use Larkspur\Fact;
use Larkspur\Measure\Series;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Training\Lesson;

/** A lesson as it was flown: in the form of a plan, with its pictures and its judgement. */
final readonly class LessonFlight implements Document
{
    /**
     * @param  Map<list<float>>  $fingers
     * @param  list<Frame>  $frames
     * @param  list<LessonFault>  $faults
     * @param  ?Fact  $toldOtherwise  why the fault that was put in does not come out by its own name
     */
    public function __construct(
        public ?string $fault,
        public float $fromS,
        public Samples $samples,
        public Map $fingers,
        public array $frames,
        public float $score,
        public Facets $facets,
        public array $faults,
        public Fact $headline,
        public ?Fact $toldOtherwise,
    ) {
    }

    /** @param  int  $stride  samples of 0.02 s between those given */
    public static function of(Lesson $lesson, int $stride): self
    {
        $flight = $lesson->flown->thinned($stride);

        return new self(
            $lesson->fault, round($lesson->from, 2), Samples::of($flight),
            new Map(array_map(static fn (array $travel): array => Series::rounded($travel, 4), $flight->fingers ?? [])),
            Frame::along($lesson->plan, $lesson->flown), round($lesson->score->score, 1), Facets::of($lesson->score),
            array_map(static fn (Fault $fault): LessonFault => new LessonFault(
                $fault->id, FaultKinds::name($fault->id), $fault->axis, round($fault->worst, 2), $fault->grade(), $fault->picture,
            ), $lesson->score->faults),
            $lesson->score->verdict->headline, $lesson->toldOtherwise(),
        );
    }
}
