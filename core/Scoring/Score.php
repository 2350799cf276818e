<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\RescueCrop;
use Larkspur\Geo\LocalFrame;
use Larkspur\Move\Intent;
use Larkspur\Telemetry\FlightLog;

/** A take judged: everything that is shown, kept or printed about it. */
final readonly class Score
{
    /** Version of the method; stored with every score, so that old scores can be told from new ones. */
    public const METHOD = 'larkspur/score/2';

    /**
     * @param  Intent  $intent  complete: what the take was judged against
     * @param  list<string>  $fitted  parameters that were taken from the log because nobody stated them
     * @param  bool  $moveGiven  whether the move was stated rather than recognised
     * @param  float  $confidence  that the move is this one, 0 to 1
     * @param  float  $score  0 to 100
     * @param  float  $uncertainty  one standard deviation, points
     * @param  list<Facet>  $facets
     * @param  list<Fault>  $faults  worth showing, the weightiest first
     * @param  list<Fault>  $allFaults  with those too small to show, in order of time
     * @param  list<string>  $remarks  what else should be known about the judgement
     * @param  FlightLog  $cut  the take's part of the log, with its margins
     * @param  array{samples: int, rate_hz: float, duration_s: float, sha256: string}  $log
     * @param  LocalFrame  $frame  in which it was judged
     * @param  ?float  $windShare  about how many points of steadiness the wind cost; null without finger columns
     * @param  ?float  $automated  share of the take that automation flew
     * @param  array{from_s: float, to_s: float, hold_from_s: float, hold_to_s: float}  $take
     */
    public function __construct(
        public Intent $intent,
        public array $fitted,
        public bool $moveGiven,
        public float $confidence,
        public float $score,
        public float $deduction,
        public float $uncertainty,
        public array $facets,
        public array $faults,
        public array $allFaults,
        public UsableStretches $usable,
        public RescueCrop $crop,
        public Verdict $verdict,
        public array $remarks,
        public FlightLog $cut,
        public array $log,
        public array $take,
        public Measured $measured,
        public Parts $parts,
        public LocalFrame $frame,
        public ?float $windMean = null,
        public ?float $windGust = null,
        public ?float $windShare = null,
        public ?float $automated = null,
    ) {
    }

    /** @return array<string, mixed> the contract of docs/formats.md, "Score" */
    public function toArray(): array
    {
        $share = array_sum(array_map(static fn (Fault $fault): float => $fault->deduction(), $this->allFaults));

        return [
            'method' => self::METHOD,
            'log' => $this->log,
            'take' => $this->take,
            'move' => ['id' => $this->intent->move, 'confidence' => round($this->confidence, 3), 'given' => $this->moveGiven],
            'intent' => $this->intent->toArray(),
            'fitted' => $this->fitted,
            'camera_assumed' => $this->intent->lens->assumed,
            'score' => round($this->score, 1),
            'uncertainty' => round($this->uncertainty, 1),
            'facets' => array_combine(
                array_map(static fn (Facet $facet): string => $facet->id, $this->facets),
                array_map(static fn (Facet $facet): array => $facet->toArray(), $this->facets),
            ),
            'faults' => array_map(fn (Fault $fault): array => [
                'id' => $fault->id,
                'name' => FaultKinds::name($fault->id),
                'axis' => $fault->axis,
                't_s' => round($fault->t, 2),
                'until_s' => round($fault->until, 2),
                'size' => round($fault->size, 2),
                'unit' => $fault->unit,
                'severity' => $fault->grade(),
                'cost' => round($share > 0 ? $this->deduction * $fault->deduction() / $share : 0.0, 1),
                'picture' => $fault->picture,
                'try' => FaultKinds::cue($fault->id),
            ], $this->faults),
            'usable' => array_map(static fn (array $stretch): array => [
                'from_s' => round($stretch['from'], 1), 'to_s' => round($stretch['to'], 1), 'seconds' => round($stretch['to'] - $stretch['from'], 1),
            ], $this->usable->stretches),
            'windows' => array_map(static fn (array $window): array => [
                'from_s' => round($window['from'], 1), 'to_s' => round($window['to'], 1), 'seconds' => round($window['to'] - $window['from'], 1), 'cost' => round($window['cost'], 3),
            ], array_values(array_filter([$this->usable->cut, $this->usable->longCut]))),
            'crop' => [
                'drift_percent' => round(100 * $this->crop->drift, 1),
                'level_percent' => $this->crop->level === null ? null : round(100 * $this->crop->level, 1),
                'total_percent' => round(100 * $this->crop->total(), 1),
            ],
            'wind' => ['mean_mps' => $this->windMean, 'gust_mps' => $this->windGust, 'share' => $this->windShare === null ? null : round($this->windShare, 1)],
            'automated' => $this->automated === null ? null : round($this->automated, 3),
            'verdict' => $this->verdict->verdict,
            'headline' => $this->verdict->headline,
            'reason' => $this->verdict->reason,
            'remarks' => $this->remarks,
        ];
    }

    /** @return array<string, ?float> score of each petal by its id */
    public function facetScores(): array
    {
        $scores = [];
        foreach ($this->facets as $facet) {
            $scores[$facet->id] = $facet->score === null ? null : round($facet->score, 1);
        }

        return $scores;
    }
}
