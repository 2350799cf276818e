<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Larkspur\Choreography\Notes\RoomNotes;
use Larkspur\Fact;

/** What room a move has: what stands near it, gaps, heights, and people. */
final readonly class RoomReading implements Document
{
    /**
     * @param  list<RoomSolid>  $solids
     * @param  list<Fact>  $sentences
     */
    public function __construct(
        public array $solids,
        public ?RoomGap $gap,
        public ?RoomBehind $behind,
        public RoomHeight $height,
        public float $farthestM,
        public float $sightLineM,
        public ?float $peopleM,
        public float $peopleLeastM,
        public array $sentences,
    ) {
    }

    public static function of(RoomNotes $notes): self
    {
        return new self(
            solids: array_map(RoomSolid::of(...), $notes->solids), gap: RoomGap::of($notes->gap), behind: RoomBehind::of($notes->behind),
            height: RoomHeight::of($notes->height), farthestM: round($notes->farthest), sightLineM: $notes->sightLine,
            peopleM: $notes->people === null ? null : round($notes->people), peopleLeastM: $notes->peopleLeast,
            sentences: $notes->sentences(),
        );
    }
}
