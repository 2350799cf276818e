<?php

declare(strict_types=1);

namespace Larkspur\Rig;

/** Two people changed the same rig: what both changed, to different ends, is theirs to settle; the rest goes together. */
final readonly class ThreeWay
{
    /**
     * @param  list<Difference>  $theirs
     * @param  list<Difference>  $mine
     * @param  list<string>  $both  places that both changed to different ends
     */
    private function __construct(public array $theirs, public array $mine, public array $both)
    {
    }

    /**
     * @param  array<string, mixed>  $base  what both began with, in the form of a rig
     * @param  array<string, mixed>  $theirs  what was saved first
     * @param  array<string, mixed>  $mine  what is to be saved now
     */
    public static function between(array $base, array $theirs, array $mine): self
    {
        $changedThere = Difference::between($base, $theirs);
        $changedHere = Difference::between($base, $mine);
        $there = array_column($changedThere, 'to', 'place');
        $both = [];
        foreach ($changedHere as $change) {
            if (array_key_exists($change->place, $there) && $there[$change->place] !== $change->to) {
                $both[] = $change->place;
            }
        }

        return new self($changedThere, $changedHere, $both);
    }
}
