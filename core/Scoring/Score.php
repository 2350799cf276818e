<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\RescueCrop;
use Larkspur\Fact;
use Larkspur\Geo\LocalFrame;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Scoring\AsPlanned\PlanMatch;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\Flick;
use Larkspur\Telemetry\FlightLog;

/** A take judged: everything that is shown, kept or printed about it. */
final readonly class Score
{
    /** Version of the method; stored with every score, so that old scores can be told from new ones. */
    public const METHOD = 'larkspur/score/2';

    /** 0 to 100. */
    public float $score;

    /** Points that its faults took off beyond the parts they spoil. */
    public float $deduction;

    /** One standard deviation, points. */
    public float $uncertainty;

    /**
     * @param  Intent  $intent  complete: what the take was judged against
     * @param  list<string>  $fitted  parameters that were taken from the log because nobody stated them
     * @param  Points  $points  the score and how sure it is
     * @param  list<Facet>  $facets
     * @param  list<Fault>  $faults  worth showing, the weightiest first
     * @param  list<Fault>  $allFaults  with those too small to show, in order of time
     * @param  list<Fact>  $remarks  what else should be known about the judgement
     * @param  LocalFrame  $frame  in which it was judged
     * @param  FlightLog  $cut  the take's part of the log, with its margins
     * @param  ?PlanMatch  $plan  whether it is the shot that was planned; null without a plan
     * @param  list<Loss>  $losses  the largest first; together 100 less the score
     * @param  ?float  $automated  share of the take that automation flew; null where the log does not say
     */
    public function __construct(
        public LogSummary $log,
        public TakeWindow $window,
        public TakeAssignment $assignment,
        public Intent $intent,
        public array $fitted,
        public Points $points,
        public array $facets,
        public array $faults,
        public array $allFaults,
        public UsableStretches $usable,
        public RescueCrop $crop,
        public Verdict $verdict,
        public WindReport $wind,
        public ?float $automated,
        public array $remarks,
        public Measurements $measured,
        public PartScores $parts,
        public LocalFrame $frame,
        public FlightLog $cut,
        public ?PlanMatch $plan,
        public array $losses,
        public Finish $finish,
        public Thirds $thirds,
    ) {
        $this->score = $points->score;
        $this->deduction = $points->deduction;
        $this->uncertainty = $points->uncertainty;
    }

    /** @return array{float, float} when its hold begins and ends, s */
    public function hold(): array
    {
        return $this->measured->take->holdTimes();
    }

    /** What to try against a fault: by the move's own cue, where the fault is typical of it and has no words of its own. */
    public function cure(Fault $fault): Fact
    {
        $about = Catalogue::move($this->intent->move)->about();

        // The cue of a start or a stop is of one finger: which one sprang is the fault's to say.
        $general = $fault->hasOwnWords() || $fault->kind instanceof Flick || ! in_array($fault->id, $about->faults, true);

        return $general ? $fault->cure() : $about->cueAgainst($fault->id);
    }

    /** What a fault cost in all: what it takes off by itself, and its share of what the part that it spoils lacks. */
    public function cost(Fault $fault): float
    {
        foreach ($this->losses as $loss) {
            if ($loss->fault === $fault) {
                return $loss->points;
            }
        }

        return 0.0;
    }

    /** @return list<string> petals that were judged */
    public function judged(): array
    {
        return array_values(array_map(
            static fn (Facet $facet): string => $facet->id,
            array_filter($this->facets, static fn (Facet $one): bool => $one->score !== null),
        ));
    }

    /** @return array<string, ?float> score of each petal by its id */
    public function facetScores(): array
    {
        return array_map(
            static fn (?float $score): ?float => $score === null ? null : round($score, 1), array_column($this->facets, 'score', 'id'),
        );
    }
}
