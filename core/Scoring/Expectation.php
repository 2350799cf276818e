<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Flight;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\Recorder;
use Larkspur\Measure\Quantity;
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

    /** What is to be expected, in short. */
    public function inShort(): Fact
    {
        return $this->score === null
            ? Fact::of('expectation.nothing-judged')
            : Fact::of('expectation.would-score', score: Quantity::number($this->score->score));
    }

    /** What keeps the score from being full; null where nothing does. */
    public function limitedBy(): ?Fact
    {
        if ($this->score === null || $this->score->score >= self::FULL) {
            return null;
        }
        $weakest = null;
        foreach ($this->score->facets as $facet) {
            if ($facet->score !== null && ($weakest === null || $facet->score < $weakest->score)) {
                $weakest = $facet;
            }
        }

        return $weakest?->why;
    }
}
