<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Documents\Light\TimeStretch;
use Documents\Map;
use Documents\Plan\Cue;
use Documents\Plan\Finding;
use Documents\Plan\Frame;
use Documents\Plan\FullCamera;
use Documents\Plan\Phases;
use Documents\Plan\PlanDocument;
use Documents\Plan\PlanMove;
use Documents\Plan\PlanNumber;
use Documents\Plan\Press;
use Documents\Plan\Samples;
use Documents\Shape;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Finding as Check;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\SoundNote;
use Larkspur\Fact;

/** What the field needs of a shot, without asking the server again. */
final readonly class DayCard implements Document
{
    /** Samples of 0.02 s between those on a card. */
    private const STRIDE = 25;

    /**
     * @param  array<string, mixed>  $brief
     * @param  Map<float|string>  $parameters
     * @param  ?list<TimeStretch>  $windows  when its light holds; null where any time will do
     * @param  list<Cue>  $cues
     * @param  list<Fact>  $subjectBrief  what a subject that moves is to be told
     * @param  list<PlanNumber>  $numbers
     * @param  list<Press>  $presses
     * @param  Map<list<float>>  $fingers
     * @param  list<Frame>  $frames
     * @param  list<Finding>  $findings  those that are not well
     * @param  ?Fact  $exposure  what its camera is set to
     * @param  list<Fact>  $sound  what is recorded on the ground, when, and by how much it is off
     * @param  ?string  $subject  what is filmed, by its name on the site; null where it has none
     */
    public function __construct(
        public int $shotId,
        public string $title,
        public PlanMove $move,
        public Fact $summary,
        public string $craft,
        public int $rigVersion,
        public string $mode,
        #[Shape('Brief')]
        public array $brief,
        public float $durationS,
        public Map $parameters,
        public ?array $windows,
        public array $cues,
        public array $numbers,
        public array $subjectBrief,
        public array $presses,
        public Phases $phases,
        public Samples $samples,
        public Map $fingers,
        public array $frames,
        public FullCamera $camera,
        public array $findings,
        public ?Fact $exposure = null,
        public ?string $subject = null,
        public array $sound = [],
    ) {
    }

    /** @param  ?list<array{float, float}>  $windows  s since 1970 */
    public static function of(
        int $shot, string $title, int $rigVersion, string $mode, Plan $plan, Brief $brief, ?array $windows, ?ExposurePlan $exposure = null,
        ?string $subject = null,
    ): self {
        $whole = PlanDocument::of($plan, self::STRIDE);

        return new self(
            shotId: $shot, title: $title, move: $whole->move, summary: $whole->summary, craft: $plan->shot->rig->craft,
            rigVersion: $rigVersion, mode: $mode, brief: $brief->toArray(), durationS: round($plan->move->flight->duration(), 1),
            parameters: new Map(array_diff_key($plan->move->intent->parameters, array_flip($whole->decided))),
            windows: $windows === null ? null : TimeStretch::each($windows),
            cues: $whole->cues, numbers: $whole->numbers, subjectBrief: $whole->subjectBrief, presses: $whole->presses,
            phases: $whole->phases, samples: $whole->samples, fingers: $whole->fingers,
            frames: $whole->frames, camera: $whole->camera,
            findings: array_values(array_filter($whole->findings, static fn (Finding $one): bool => $one->state !== Check::OK)),
            exposure: $exposure?->words(), subject: $subject,
            sound: SoundNote::of($plan, $brief)?->sentences() ?? [],
        );
    }
}
