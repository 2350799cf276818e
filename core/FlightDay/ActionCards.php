<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Fact;

/**
 * What is done when something goes wrong in the air, in the order in which it is done: read once on the ground, found again within one
 * press. Common practice, no published source; the maker's manual and the local authority come first.
 */
final class ActionCards
{
    private const STEPS = ['aircraft' => 4, 'link' => 4, 'home' => 4, 'battery' => 3, 'sight' => 4, 'water' => 3, 'catch' => 2];

    /** @return list<array{id: string, title: Fact, steps: list<Fact>}> */
    public static function all(): array
    {
        $cards = [];
        foreach (self::STEPS as $id => $count) {
            $cards[] = [
                'id' => $id, 'title' => Fact::of("action.$id"),
                'steps' => array_map(
                    static fn (int $step): Fact => Fact::of("action.$id.$step"), range(1, $count),
                ),
            ];
        }

        return $cards;
    }
}
