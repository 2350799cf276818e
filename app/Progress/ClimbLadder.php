<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\Ladder;
use App\Models\StepSaying;
use App\Models\User;
use Larkspur\Training\Ladder\Climb;
use Larkspur\Training\Ladder\Ladder as Steps;
use Larkspur\Training\Ladder\StepRecord;
use Larkspur\Training\Ladder\StepStanding;
use Larkspur\Training\PastTake;

/** Where operators of a school stand on its ladder. */
final readonly class ClimbLadder
{
    private function __construct(public Steps $steps, public int $version)
    {
    }

    public static function ofSchool(int $school): self
    {
        $latest = Ladder::latestOf($school);

        return new self($latest?->steps() ?? Ladder::ordinary(), $latest->version ?? 0);
    }

    /** The same operators on another ladder: to see what a change would do. */
    public function with(Steps $steps): self
    {
        return new self($steps, $this->version);
    }

    /**
     * @param  list<PastTake>  $takes  of the operator, in order of days
     * @param  ?array<string, StepRecord>  $said  where it is known already
     * @return array<string, StepStanding> by id of step
     */
    public function of(User $operator, array $takes, ?array $said = null): array
    {
        return Climb::of($this->steps, $takes, $said ?? self::said([$operator->id])[$operator->id], now()->getTimestamp() / 86400);
    }

    /**
     * @param  list<int>  $operators
     * @return array<int, array<string, StepRecord>> by operator and step
     */
    public static function said(array $operators): array
    {
        $sayings = array_fill_keys($operators, []);
        $query = StepSaying::query();
        $query->whereIn('operator_id', $operators)->orderBy('id');
        foreach ($query->get() as $said) {
            $sayings[$said->operator_id][] = $said;
        }

        return array_map(StepSaying::holding(...), $sayings);
    }
}
