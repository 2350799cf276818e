<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Plan;

/** Everything that is worth knowing of a planned shot beside whether it can be flown: asked for when the hand rests. */
final class ShotNotes
{
    /**
     * @param  int  $recorded  width of what the camera records, pixels
     * @return array<string, mixed> docs/formats.md, "Reading"
     */
    public static function of(Plan $plan, Brief $brief, int $recorded): array
    {
        $variants = Variants::of($plan);

        return [
            'reveal' => RevealNotes::of($plan)->toArray(),
            'depth' => DepthNotes::of($plan)->toArray(),
            'room' => RoomNotes::of($plan)->toArray(),
            'wind' => WindNotes::of($plan)->toArray(),
            'edit' => EditNotes::of($plan, $brief, $recorded)->toArray(),
            'variants' => $variants,
            'passes' => Variants::passes($brief, $variants),
        ];
    }
}
