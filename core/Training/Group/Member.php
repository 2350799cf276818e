<?php

declare(strict_types=1);

namespace Larkspur\Training\Group;

use Larkspur\Training\HouseStyle;
use Larkspur\Training\Ladder\StepState;
use Larkspur\Training\PastTake;
use Larkspur\Training\Standing\Measure;
use Larkspur\Training\Standing\Standing;

/** One operator of a class, with as much of what is known of them as a class picture shows. */
final readonly class Member
{
    /** So many of somebody's takes tell what they do now. */
    public const LATEST = 20;

    /**
     * @param  list<PastTake>  $latest  in order of days
     * @param  list<PastTake>  $latestByHand  those that automation did not fly
     * @param  array<string, Standing>  $standings  by measure
     * @param  array<string, StepState>  $states  by id of step
     */
    public function __construct(
        public int $id, public string $name, public array $latest, public array $latestByHand, public array $standings,
        public array $states, public HouseStyle $style = new HouseStyle,
    ) {
    }

    /** @return list<string> what has stood still for long and is not good: fingers first, since they can be told what to do, then petals */
    public function stuckOn(): array
    {
        $stuck = array_keys(array_filter($this->standings, static fn (Standing $one): bool => $one->stuck));

        return [...array_intersect($stuck, Measure::fingers()), ...array_diff($stuck, Measure::fingers())];
    }

    /** How many steps are passed. */
    public function passed(): int
    {
        return count(array_filter($this->states, static fn (StepState $one): bool => $one->isPassed()));
    }

    /** Day of the latest take; null where there is none. */
    public function lastDay(): ?float
    {
        return $this->latest === [] ? null : $this->latest[count($this->latest) - 1]->day;
    }
}
