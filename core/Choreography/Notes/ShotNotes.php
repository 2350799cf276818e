<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Plan;
use Larkspur\Fact;

/** Everything that is worth knowing of a planned shot beside whether it can be flown: asked for when the hand rests. */
final readonly class ShotNotes
{
    /**
     * @param  list<array{
     *     id: string, title: Fact, why: Fact, move: string, parameters: array<string, float|string>, join: 'sequence'|'together'|null,
     *     parts: ?list<array{move: string, parameters: array<string, float|string>}>, feasible: bool,
     * }>  $variants
     * @param  list<array{pass: int, title: Fact, variant: ?string}>  $passes
     */
    private function __construct(
        public RevealNotes $reveal,
        public DepthNotes $depth,
        public RoomNotes $room,
        public WindNotes $wind,
        public EditNotes $edit,
        public array $variants,
        public array $passes,
    ) {
    }

    /** @param  int  $recorded  width of what the camera records, pixels */
    public static function of(Plan $plan, Brief $brief, int $recorded): self
    {
        $variants = Variants::of($plan);

        return new self(
            RevealNotes::of($plan), DepthNotes::of($plan), RoomNotes::of($plan), WindNotes::of($plan),
            EditNotes::of($plan, $brief, $recorded),
            $variants, Variants::passes($brief, $variants),
        );
    }
}
