<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Documents\Shape;
use Larkspur\Fact;
use Larkspur\Scoring\Fault\Fault as FoundFault;
use Larkspur\Scoring\Score;

/** A take judged (docs/formats.md, "Score"). */
final readonly class ScoreDocument implements Document
{
    /**
     * @param  array<string, mixed>  $intent  as an intent file has it, complete
     * @param  list<string>  $fitted  parameters that were taken from the log
     * @param  list<string>  $judged  petals that were judged
     * @param  ?PlanMatchDocument  $plan  null without a plan
     * @param  list<LossDocument>  $losses  the largest first; together 100 less the score; empty in judgements of earlier methods
     * @param  ?ThirdsDocument  $thirds  null in those
     * @param  list<Fault>  $faults  that which cost most first
     * @param  list<Stretch>  $usable
     * @param  list<Window>  $windows
     * @param  'keep'|'fix'|'again'|'other'|'open'  $verdict
     * @param  list<Fact>  $remarks
     */
    public function __construct(
        public string $method,
        public LogSummary $log,
        public TakeLimits $take,
        public JudgedMove $move,
        #[Shape('Intent')]
        public array $intent,
        public array $fitted,
        public bool $cameraAssumed,
        public float $score,
        public float $uncertainty,
        public JudgedFacets $facets,
        public array $judged,
        public ?PlanMatchDocument $plan,
        public array $losses,
        public FinishDocument $finish,
        public ?ThirdsDocument $thirds,
        public array $faults,
        public array $usable,
        public array $windows,
        public Crop $crop,
        public JudgedWind $wind,
        public ?float $automated,
        public string $verdict,
        public Fact $headline,
        public Fact $reason,
        public array $remarks,
    ) {
    }

    public static function of(Score $score): self
    {
        [$from, $to] = $score->hold();

        return new self(
            method: Score::METHOD, log: LogSummary::of($score->log),
            take: new TakeLimits(round($score->window->from, 1), round($score->window->to, 1), round($from, 1), round($to, 1)),
            move: new JudgedMove($score->intent->move, round($score->assignment->confidence, 3), $score->assignment->given),
            intent: $score->intent->toArray(), fitted: $score->fitted, cameraAssumed: $score->intent->lens->assumed,
            score: round($score->score, 1), uncertainty: round($score->uncertainty, 1), facets: JudgedFacets::of($score),
            judged: $score->judged(), plan: $score->plan === null ? null : PlanMatchDocument::of($score->plan),
            losses: array_map(LossDocument::of(...), $score->losses), finish: FinishDocument::of($score->finish),
            thirds: ThirdsDocument::of($score->thirds),
            faults: array_map(static fn (FoundFault $fault): Fault => Fault::of($fault, $score), $score->faults),
            usable: array_map(Stretch::of(...), $score->usable->stretches),
            windows: array_map(Window::of(...), array_values(array_filter([$score->usable->cut, $score->usable->longCut]))),
            crop: Crop::of($score->crop), wind: JudgedWind::of($score->wind),
            automated: $score->automated === null ? null : round($score->automated, 3),
            verdict: $score->verdict->verdict, headline: $score->verdict->headline, reason: $score->verdict->reason,
            remarks: $score->remarks,
        );
    }
}
