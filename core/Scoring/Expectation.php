<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Flight;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\Recorder;
use Larkspur\Refusal;

/** What a plan would score if its thumb sheet were flown as written, in still air, by the method that judges every take. */
final readonly class Expectation
{
    /** From this score on nothing about the plan itself stands in the way. */
    public const FULL = 97.0;

    /**
     * @param  Flight  $flown  the sheet flown by the simulated craft
     * @param  ?Score  $score  null where nothing in it can be judged
     */
    private function __construct(public Plan $plan, public Flight $flown, public ?Score $score)
    {
    }

    public static function of(Plan $plan): self
    {
        $mode = $plan->shot->tune();
        // Within every limit the sheet is the exact inverse of the craft, so what it flies is what was planned.
        $flown = $plan->sheet->withinLimits($mode)
            ? $plan->move->flight
            : Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $mode);
        $log = (new Recorder)->record($flown, $plan->shot->site->frame());
        try {
            $score = Scorer::scoreBetween($log, $plan->move->intent, $plan->move->onset, $plan->move->stop);
        } catch (Refusal) {
            $score = null;
        }

        return new self($plan, $flown, $score);
    }

    /** One sentence for the operator. */
    public function sentence(): string
    {
        return $this->score === null ? 'Flown as written, nothing of it could be judged.' : sprintf('Flown as written it would score %.0f.', $this->score->score);
    }

    /** What keeps the score from being full, in words; empty where nothing does. */
    private function limitedBy(): string
    {
        $weakest = null;
        foreach ($this->score->facets ?? [] as $facet) {
            if ($facet->score !== null && ($weakest === null || $facet->score < $weakest->score)) {
                $weakest = $facet;
            }
        }

        return $weakest === null || ($this->score->score ?? 100.0) >= self::FULL ? '' : $weakest->why;
    }

    /** @return array{sentence: string, expected: ?array{score: float, verdict: string, facets: array<string, ?float>, limited_by: string}} */
    public function told(): array
    {
        return [
            'sentence' => $this->sentence(),
            'expected' => $this->score === null ? null : [
                'score' => round($this->score->score, 1),
                'verdict' => $this->score->verdict->verdict,
                'facets' => $this->score->facetScores(),
                'limited_by' => $this->limitedBy(),
            ],
        ];
    }

    /** @return array<string, mixed> the plan as docs/formats.md shows it, with the score to expect */
    public function toArray(int $stride = 5): array
    {
        ['sentence' => $sentence, 'expected' => $expected] = $this->told();

        return [...$this->plan->toArray($stride), 'summary' => $this->plan->summary().' '.$sentence, 'expected' => $expected];
    }
}
