<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;
use Documents\Shape;
use Larkspur\Choreography\ComfortRanges;
use Larkspur\Choreography\FingerPart;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\ShotNumbers;
use Larkspur\Choreography\SubjectBrief;
use Larkspur\Fact;
use Larkspur\Measure\Series;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Handle\Handle as Pulled;

/** A shot worked out (docs/formats.md, "Plan"). */
final readonly class PlanDocument implements Document
{
    /**
     * @param  array<string, mixed>  $intent  as an intent file has it
     * @param  list<string>  $assumed
     * @param  bool  $unrolled  whether the side sheet shows the way along its length
     * @param  ?list<array{float, float, float}>  $groundM  east, north and height along the side sheet; null where nobody said how the
     *     ground lies
     * @param  Map<list<float>>  $fingers  travel by finger
     * @param  list<Press>  $presses
     * @param  Map<array{float, float}>  $comfortable  by parameter
     * @param  ?Map<float|string>  $opposite  parameters that fly it the other way round; null where it has no other way
     * @param  list<Cue>  $cues
     * @param  list<PlanNumber>  $numbers  that one would write down
     * @param  list<Fact>  $subjectBrief  what a subject that moves is to be told; empty where none moves
     * @param  list<string>  $decided  parameters that the subject's own way decides: there is nothing to choose
     * @param  bool  $holdsSubject  whether the move holds it at the place in the frame that was chosen
     * @param  list<Frame>  $frames
     * @param  list<Finding>  $findings
     * @param  list<Handle>  $handles  what can be pulled on the sheets
     * @param  ?Map<float>  $pulled  what the parameters became by the pull that was asked for; null where none was
     */
    public function __construct(
        #[Shape('Intent')]
        public array $intent,
        public array $assumed,
        public Fact $summary,
        public PlanMove $move,
        public ?JoinedMoves $joined,
        public bool $feasible,
        public Phases $phases,
        public FullCamera $camera,
        public ?PlanSubject $subject,
        public ?SubjectWay $subjectWay,
        public bool $unrolled,
        public ?array $groundM,
        public RunIn $runIn,
        public Samples $samples,
        public Map $fingers,
        public array $presses,
        public Map $comfortable,
        public ?Map $opposite,
        public array $cues,
        public array $numbers,
        public array $subjectBrief,
        public bool $holdsSubject,
        public array $decided,
        public array $frames,
        public array $findings,
        public array $handles,
        public ?Map $pulled,
    ) {
    }

    /**
     * @param  int  $stride  samples of 0.02 s between those given
     * @param  ?array<string, float>  $pulled  what a pull made of the parameters
     */
    public static function of(Plan $plan, int $stride = 5, ?array $pulled = null): self
    {
        $move = $plan->move;
        $flight = $move->flight->thinned($stride);
        $keep = Series::stride($move->flight->count(), $stride);
        $subject = $move->subject?->at($move->onset);
        [$seconds, $metres] = $plan->runIn();
        $kind = Catalogue::move($move->intent->move);
        $opposite = $kind->opposite($move);

        return new self(
            intent: $move->intent->toArray(), assumed: $move->assumed, summary: $plan->summary(),
            move: new PlanMove($move->intent->move, Catalogue::nameOf($move->intent->move)), joined: JoinedMoves::of($move),
            feasible: $plan->feasible(),
            phases: Phases::of($move), camera: FullCamera::of($plan->shot->intent->lens),
            subject: $subject === null ? null : new PlanSubject(
                round($subject->east, 3), round($subject->north, 3), round($subject->up, 3), round($move->ground, 3),
            ),
            subjectWay: $move->subject === null || ! $move->subject->moves() ? null : SubjectWay::of($move->subject, $flight->t),
            unrolled: $plan->isUnrolled(),
            groundM: self::rounded($plan->groundLine()), runIn: new RunIn(round($seconds, 2), round($metres, 2)),
            samples: Samples::of($flight),
            fingers: new Map(array_map(
                static fn (array $travel): array => Series::rounded(Series::at($travel, $keep), 4), $plan->sheet->travel,
            )),
            presses: array_map(static fn (FingerPart $part): Press => Press::of($part, $plan->shot->sticks), $plan->parts),
            comfortable: new Map(ComfortRanges::of($plan)), opposite: $opposite === [] ? null : new Map($opposite),
            cues: array_map(Cue::of(...), $plan->cues()), numbers: array_map(PlanNumber::of(...), ShotNumbers::of($plan)),
            subjectBrief: SubjectBrief::of($plan), holdsSubject: $kind->judging($move->intent)->hasSubject(),
            decided: Catalogue::decidedByItsWay($plan->shot->intent),
            frames: Frame::along($plan, $move->flight), findings: array_map(Finding::of(...), $plan->findings),
            handles: array_map(
                static fn (Pulled $handle): Handle => Handle::of($handle, $move), $kind->handles($move, $plan->shot->intent),
            ),
            pulled: $pulled === null ? null : new Map($pulled),
        );
    }

    /**
     * @param  ?list<array{float, float, float}>  $line
     * @return ?list<array{float, float, float}>
     */
    private static function rounded(?array $line): ?array
    {
        return $line === null ? null : array_map(
            static fn (array $place): array => [round($place[0], 2), round($place[1], 2), round($place[2], 2)], $line,
        );
    }
}
