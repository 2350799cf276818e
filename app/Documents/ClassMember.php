<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Person;
use Larkspur\Fact;
use Larkspur\Training\Group\Member;
use Larkspur\Training\Standing\Measure;
use Larkspur\Training\Standing\Standing;

/** An operator of the class, and why they need the trainer. */
final readonly class ClassMember implements Document
{
    /**
     * @param  list<string|Fact>  $why  empty where nothing presses
     * @param  ?float  $score  where they stand in all
     * @param  ?float  $sure  half the width of its interval of 90 %
     */
    public function __construct(public Person $operator, public array $why, public ?float $score, public ?float $sure)
    {
    }

    /** @param  array{member: Member, need: float, why: list<Fact>}  $row */
    public static function of(array $row): self
    {
        $score = $row['member']->standings[Measure::SCORE] ?? null;

        return new self(
            new Person($row['member']->id, $row['member']->name), $row['why'], $score === null ? null : round($score->onScale()),
            $score === null ? null : round(Standing::SURE * $score->deviation),
        );
    }
}
