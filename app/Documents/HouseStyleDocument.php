<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\User;
use Documents\Document;
use Larkspur\Training\Dispute;

/** What a school holds where practitioners disagree, what is held otherwise for one operator, and every such question. */
final readonly class HouseStyleDocument implements Document
{
    /**
     * @param  HeldStyle  $school
     * @param  ?HeldStyle  $operator  of the one that was asked for
     * @param  bool  $otherwise  whether anything is held otherwise for that one
     * @param  list<DisputeDocument>  $disputes
     */
    public function __construct(public HeldStyle $school, public ?HeldStyle $operator, public bool $otherwise, public array $disputes)
    {
    }

    public static function of(User $reader, ?User $operator): self
    {
        return new self(
            HeldStyle::of($reader->school->training(), $reader->school->house_style['house'] ?? 'middle'),
            $operator === null ? null : HeldStyle::of($operator->training(), $operator->housed()->value),
            $operator !== null && ($operator->training !== null || $operator->house !== null),
            array_map(DisputeDocument::of(...), Dispute::cases()),
        );
    }
}
