<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Reading;

use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Plan;

/** Everything that is worth knowing of a planned shot beside whether it can be flown: asked for when the hand rests. */
final class ShotReading
{
    /**
     * @param  int  $recorded  width of what the camera records, pixels
     * @return array<string, mixed> docs/formats.md, "Reading"
     */
    public static function of(Plan $plan, Brief $brief, int $recorded): array
    {
        $variants = Variants::of($plan);

        return [
            'reveal' => RevealReading::of($plan)->toArray(),
            'depth' => DepthReading::of($plan)->toArray(),
            'room' => RoomReading::of($plan)->toArray(),
            'wind' => WindReading::of($plan)->toArray(),
            'edit' => EditReading::of($plan, $brief, $recorded)->toArray(),
            'variants' => $variants,
            'passes' => Variants::passes($brief, $variants),
        ];
    }
}
