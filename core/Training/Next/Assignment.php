<?php

declare(strict_types=1);

namespace Larkspur\Training\Next;

use Larkspur\Fact;

/** What a trainer has set, as far as it is still to be done. */
final readonly class Assignment
{
    /**
     * @param  Fact  $lesson  what it is called
     * @param  string  $move  of the step that is next; empty where it is no move
     * @param  ?float  $dueIn  days until it is wanted; below 0 where it is late
     */
    public function __construct(
        public int $id, public Fact $lesson, public string $move, public Activity $activity, public ?float $dueIn, public ?int $shot = null,
    ) {
    }
}
