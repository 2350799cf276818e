<?php

declare(strict_types=1);

namespace Tests\House;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/**
 * Which layer and which room may know which; PHPStan holds the code to it (phpstan.neon). What stands lower knows nothing of what stands
 * higher.
 */
final class Layers
{
    /** Rooms of core/ from the ground up: each may use those before it. */
    private const ROOMS = [
        'Measure', 'Geo', 'Controls', 'Xml', 'Camera', 'Site', 'Telemetry', 'Rig', 'Move', 'Choreography', 'Flight', 'TakeAlong',
        'FlightDay', 'Scoring', 'Training', 'Practice',
    ];

    public function test_core_knows_no_interface_no_words_and_no_framework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Larkspur'))
            ->excluding(Selector::inNamespace('Larkspur\CommandLine'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('App'), Selector::inNamespace('Words'), Selector::inNamespace('Documents'),
                Selector::inNamespace('Illuminate'), Selector::inNamespace('Demo'),
            )
            ->because('core/ gives facts and values; how they are said, sent and shown is decided outside');
    }

    public function test_words_know_core_alone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Words'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Documents'), Selector::inNamespace('Illuminate'))
            ->because('the application and the command line say things alike');
    }

    public function test_documents_know_core_and_words_alone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Documents'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Illuminate'))
            ->because('the application and the command line write the same documents');
    }

    /** @return iterable<string, Rule> */
    public function test_no_room_of_core_looks_upward(): iterable
    {
        foreach (self::ROOMS as $k => $room) {
            $higher = array_slice(self::ROOMS, $k + 1);
            if ($higher !== []) {
                yield $room => PHPat::rule()
                    ->classes(Selector::inNamespace("Larkspur\\$room"))
                    ->shouldNotDependOn()
                    ->classes(...array_map(static fn (string $other) => Selector::inNamespace("Larkspur\\$other"), $higher))
                    ->because("$room stands below ".implode(', ', $higher));
            }
        }
    }
}
