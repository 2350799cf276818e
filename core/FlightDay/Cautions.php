<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Notes\RoomNotes;
use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Site\Area;
use Larkspur\Site\Site;

/**
 * What to take care of on a day, from what its shots do, each with the place to ask. Larkspur states no law: limits are common defaults,
 * and the rules of the local authority apply.
 */
final class Cautions
{
    private const AUTHORITY = 'authority';

    private const OWNER = 'owner';

    private const YOURSELF = 'yourself';

    private const MAKER = 'maker';

    /**
     * @param  array<int, array{title: string, plan: Plan}>  $shots  by id
     * @return list<array{id: string, text: Fact, ask: Fact, shots: list<string>}>
     */
    public static function of(Site $site, array $shots, Batteries $batteries): array
    {
        $out = [];
        $say = static function (string $id, Fact $text, string $ask, string $title = '') use (&$out): void {
            $out[$id] ??= ['id' => $id, 'text' => $text, 'ask' => Fact::of("ask.$ask"), 'shots' => []];
            if ($title !== '' && ! in_array($title, $out[$id]['shots'], true)) {
                $out[$id]['shots'][] = $title;
            }
        };
        $say('airspace', Fact::of('cautions.flying-allowed-today-height'), self::AUTHORITY);
        $say('owner', Fact::of('cautions.whose-land-do-you'), self::OWNER);
        foreach ($shots as ['title' => $title, 'plan' => $plan]) {
            $room = RoomNotes::of($plan);
            if ($room->behind !== null) {
                $say('backward', Fact::of('cautions.flies-backward-clear-walk'), self::YOURSELF, $title);
            }
            if ($room->height['least'] < 3.0) {
                $say('low', Fact::of('cautions.low-slow-crashes-more'), self::YOURSELF, $title);
            }
            if ($room->height['most'] > 0.8 * $site->ceiling) {
                $say(
                    'ceiling', Fact::of('cautions.near-ceiling-above-ground', ceiling: Quantity::metres($site->ceiling)), self::AUTHORITY,
                    $title,
                );
            }
            if ($room->people !== null && $room->people < 2 * $site->people) {
                $say(
                    'people', Fact::of('cautions.people-within-they-part', people: Quantity::metres(2 * $site->people)), self::AUTHORITY,
                    $title,
                );
            }
            foreach ($plan->findings as $finding) {
                if ($finding->id === 'water') {
                    $say('water', Fact::of('cautions.over-water-sensors-cant'), self::MAKER, $title);
                }
                if ($finding->id === 'sight-line' && $finding->state !== Finding::OK) {
                    $say('sight', Fact::of('cautions.goes-out-your-sight'), self::AUTHORITY, $title);
                }
                if ($finding->id === 'wind' && $finding->state !== Finding::OK) {
                    $say('wind', Fact::of('cautions.gusts-near-what-craft'), self::MAKER, $title);
                }
            }
            if ($plan->shot->rig->ducted !== null) {
                $say('ducted', Fact::of('cautions.ducted-craft-hold-their'), self::MAKER, $title);
            }
        }
        foreach ($site->solids as $solid) {
            if ($solid->shape === 'wire') {
                $say('wire', Fact::of('cautions.hard-see-air-mark', solid: $solid->name), self::YOURSELF);
            }
        }
        if ($site->areasOf(Area::BOUNDARY) !== []) {
            $say('boundary', Fact::of('cautions.boundary-path-may-cross'), self::OWNER);
        }
        if ($batteries->warmth() < 0.9) {
            $say('cold', Fact::of('cautions.cold-takes-about-each', warmth: Quantity::share(1 - $batteries->warmth())), self::MAKER);
        }
        $say('aircraft', Fact::of('cautions.low-manned-aircraft-come'), self::AUTHORITY);

        return array_values($out);
    }
}
