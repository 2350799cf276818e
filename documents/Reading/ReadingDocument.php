<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Documents\Plan\Variant;
use Larkspur\Choreography\Notes\ShotNotes;

/** Everything that is worth knowing of a planned shot beside whether it can be flown (docs/formats.md, "Reading"). */
final readonly class ReadingDocument implements Document
{
    /**
     * @param  list<Variant>  $variants
     * @param  list<PlannedPass>  $passes
     */
    public function __construct(
        public RevealReading $reveal,
        public DepthReading $depth,
        public RoomReading $room,
        public WindReading $wind,
        public EditReading $edit,
        public array $variants,
        public array $passes,
    ) {
    }

    public static function of(ShotNotes $notes): self
    {
        return new self(
            reveal: RevealReading::of($notes->reveal), depth: DepthReading::of($notes->depth), room: RoomReading::of($notes->room),
            wind: WindReading::of($notes->wind), edit: EditReading::of($notes->edit),
            variants: array_map(Variant::of(...), $notes->variants), passes: array_map(PlannedPass::of(...), $notes->passes),
        );
    }
}
