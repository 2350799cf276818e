<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Fields;

/** What goes into the bag, and what is seen to before take-off: the day's own numbers in it. Common practice, no published source. */
final class Checklist
{
    /**
     * @param  list<string>  $crafts  names
     * @param  list<string>  $filters  such as ND16
     * @param  list<int>  $kelvins  white balances of the day's shots
     * @param  bool  $cold  whether fingers and batteries have to be kept warm
     * @param  bool  $ducted  whether one of the craft is ducted
     * @param  bool  $near  whether a shot comes so near to something that sensing might be asked to be off
     * @return list<array{id: string, title: string, items: list<array{id: string, text: string}>}>
     */
    public static function of(array $crafts, Batteries $batteries, array $filters, array $kelvins, float $returnHeight, bool $cold, bool $ducted, bool $near): array
    {
        $bag = [
            'batteries' => sprintf('%d %s, all full; controller and tablet full', $batteries->count, $batteries->count === 1 ? 'battery' : 'batteries'),
            'filters' => $filters === [] ? 'No filter is wanted today; the clear one is on' : 'Filters '.implode(', ', $filters).', clean',
        ];
        foreach ($crafts as $k => $craft) {
            $bag["propellers-$k"] = sprintf('Propellers of %s: all of its own type, none chipped, a spare set', $craft);
        }
        $bag['cards'] = 'Memory cards empty, one to spare';
        if ($ducted) {
            $bag['guards'] = 'Ducts and guards whole';
        }
        if ($cold) {
            $bag['warm'] = 'Gloves that let you feel the wheel; batteries warm against the body until they fly';
        }
        $bag['papers'] = 'Permission, insurance and your proof of competence, as your authority asks';
        $ground = [
            'look' => 'Walk the site: wires, people, animals, what lies behind a backward flight',
            'briefed' => 'Everyone briefed: who watches, who calls, when to stop',
            'weather' => 'Wind and gusts as planned, or the day is planned anew',
            'home' => 'Home point set, and it is here',
            'return' => sprintf('Return height %s m', Fields::figure($returnHeight)),
            'sensing' => $near ? 'Obstacle sensing set to stop; where a shot needs it off, say so aloud, write it down, and no novice flies it' : 'Obstacle sensing set to stop',
            'mode' => 'Flight mode as on the card of the first shot',
            'camera' => 'Frame rate, shutter, ISO and filter as on the card; stripes and grid on',
            'balance' => $kelvins === [] ? 'White balance fixed, never automatic' : 'White balance fixed, never automatic: '.implode(', ', array_map(static fn (int $kelvin): string => "$kelvin K", $kelvins)),
        ];
        $air = [
            'hover' => sprintf('Hover at eye level for %.0f to 15 s: look, listen; land if it drifts or sounds odd', 10),
            'area' => 'No people, birds, aircraft or wires where it goes',
            'ends' => 'Fly to both end points first; compose there',
            'record' => 'Recording before moving, then a pause: the press must not shake the shot',
            'stop' => sprintf('Home when %.0f %% is left', 100 * $batteries->reserve),
        ];

        return [self::list('bag', 'In the bag', $bag), self::list('ground', 'On the ground', $ground), self::list('air', 'Every take-off', $air)];
    }

    /**
     * @param  array<string, string>  $items
     * @return array{id: string, title: string, items: list<array{id: string, text: string}>}
     */
    private static function list(string $id, string $title, array $items): array
    {
        return ['id' => $id, 'title' => $title, 'items' => array_map(static fn (string $key, string $text): array => ['id' => "$id-$key", 'text' => $text], array_keys($items), array_values($items))];
    }
}
