<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Reading\RoomReading;
use Larkspur\Site\Area;
use Larkspur\Site\Site;

/**
 * What to take care of on a day, from what its shots do, each with the place to ask. Larkspur states no law: limits are common defaults, and
 * the rules of the local authority apply.
 */
final class Cautions
{
    public const AUTHORITY = 'your local authority';

    public const OWNER = 'the land owner';

    public const YOURSELF = 'yourself, on the spot';

    public const MAKER = 'the maker’s manual';

    /**
     * @param  array<int, array{title: string, plan: Plan}>  $shots  by id
     * @return list<array{id: string, text: string, ask: string, shots: list<string>}>
     */
    public static function of(Site $site, array $shots, Batteries $batteries): array
    {
        $out = [];
        $say = static function (string $id, string $text, string $ask, string $title = '') use (&$out): void {
            $out[$id] ??= ['id' => $id, 'text' => $text, 'ask' => $ask, 'shots' => []];
            if ($title !== '' && ! in_array($title, $out[$id]['shots'], true)) {
                $out[$id]['shots'][] = $title;
            }
        };
        $say('airspace', 'Is flying allowed here, today, at this height? The class of airspace and what it asks is yours to enter.', self::AUTHORITY);
        $say('owner', 'Whose land do you take off from and fly over, and do they agree?', self::OWNER);
        foreach ($shots as ['title' => $title, 'plan' => $plan]) {
            $room = RoomReading::of($plan);
            if ($room->behind !== null) {
                $say('backward', 'It flies backward: clear and walk the space behind first; someone watches it.', self::YOURSELF, $title);
            }
            if ($room->height['least'] < 3.0) {
                $say('low', 'Low and slow crashes more often: nobody stands under or beside the path.', self::YOURSELF, $title);
            }
            if ($room->height['most'] > 0.8 * $site->ceiling) {
                $say('ceiling', sprintf('Near the ceiling of %.0f m above ground; the craft counts from take-off.', $site->ceiling), self::AUTHORITY, $title);
            }
            if ($room->people !== null && $room->people < 2 * $site->people) {
                $say('people', sprintf('People within %.0f m: are they part of the shoot, and do they know?', 2 * $site->people), self::AUTHORITY, $title);
            }
            foreach ($plan->findings as $finding) {
                if ($finding->id === 'water') {
                    $say('water', 'Over water the sensors can’t hold the height: hold it by eye, and keep off it.', self::MAKER, $title);
                }
                if ($finding->id === 'sight-line' && $finding->state !== Finding::OK) {
                    $say('sight', 'It goes out of your sight: you must see the craft unaided all the time, and rules on observers differ.', self::AUTHORITY, $title);
                }
                if ($finding->id === 'wind' && $finding->state !== Finding::OK) {
                    $say('wind', 'Gusts near what the craft is rated for: be ready to scrap the day.', self::MAKER, $title);
                }
            }
            if ($plan->shot->rig->ducted !== null) {
                $say('ducted', 'Ducted craft hold their place badly or not at all: trained hands only, guards on.', self::MAKER, $title);
            }
        }
        foreach ($site->solids as $solid) {
            if ($solid->shape === 'wire') {
                $say('wire', sprintf('%s is hard to see from the air: mark it, and one watches it.', ucfirst($solid->name)), self::YOURSELF);
            }
        }
        if ($site->areasOf(Area::BOUNDARY) !== []) {
            $say('boundary', 'There is a boundary here that no path may cross, the way home included.', self::OWNER);
        }
        if ($batteries->warmth() < 0.9) {
            $say('cold', sprintf('Cold takes about %.0f %% of each battery, and the feeling from your fingers.', 100 * (1 - $batteries->warmth())), self::MAKER);
        }
        $say('aircraft', 'Low manned aircraft come first: listen, descend, land.', self::AUTHORITY);

        return array_values($out);
    }
}
