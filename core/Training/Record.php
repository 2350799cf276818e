<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Training\Group\Member;
use Larkspur\Training\Ladder\StepStanding;
use Larkspur\Training\Standing\Standing;

/** Everything that is known of one operator's progress. */
final readonly class Record
{
    /**
     * @param  list<PastTake>  $takes  in order of days
     * @param  array<string, Standing>  $standings  by measure
     * @param  array<string, StepStanding>  $climb  by id of step
     */
    public function __construct(public int $id, public string $name, public array $takes, public array $standings, public array $climb)
    {
    }

    /** How many steps are passed. */
    public function passed(): int
    {
        return $this->asMember(new HouseStyle)->passed();
    }

    /** What a class picture needs of it: no history, but the latest takes. */
    public function asMember(HouseStyle $style): Member
    {
        $byHand = array_filter($this->takes, static fn (PastTake $take): bool => ! $take->automated);

        return new Member(
            $this->id, $this->name, array_slice($this->takes, -Member::LATEST), array_slice(array_values($byHand), -Member::LATEST),
            array_map(static fn (Standing $one): Standing => $one->withoutBand(), $this->standings),
            array_map(static fn (StepStanding $one) => $one->state, $this->climb), $style,
        );
    }
}
