<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Rig\ThreeWay;

/** What two people changed of one rig. */
final readonly class ThreeWayDocument implements Document
{
    /**
     * @param  list<RigChange>  $theirs  what was saved first
     * @param  list<RigChange>  $mine
     * @param  list<string>  $both  places that both changed, to different ends
     */
    public function __construct(public array $theirs, public array $mine, public array $both)
    {
    }

    public static function of(ThreeWay $changes): self
    {
        return new self(RigChange::each($changes->theirs), RigChange::each($changes->mine), $changes->both);
    }
}
