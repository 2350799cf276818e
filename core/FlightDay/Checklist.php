<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\SiteChecks;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** What goes into the bag, and what is seen to before take-off: the day's own numbers in it. Common practice, no published source. */
final class Checklist
{
    /** The lists that hold for one take-off: a landing opens them again. */
    public const AIR = 'air';

    public const SWEEP = 'sweep';

    public const OF_A_TAKE_OFF = [self::SWEEP, self::AIR];

    /** Whether an item of the lists holds for one take-off alone. */
    public static function isOfATakeOff(string $item): bool
    {
        return array_filter(self::OF_A_TAKE_OFF, static fn (string $list): bool => str_starts_with($item, "$list-")) !== [];
    }

    /** Whether a shot comes so near to something that sensing might be asked to be off. */
    public static function comesNear(Plan $plan): bool
    {
        return array_filter(
            $plan->findings,
            static fn (Finding $finding): bool => $finding->id === 'clearance' && $finding->value !== null
                && $finding->value < SiteChecks::SENSED,
        ) !== [];
    }

    /**
     * @param  list<string>  $crafts  names
     * @param  list<string>  $filters  such as ND16
     * @param  list<int>  $kelvins  white balances of the day's shots
     * @param  bool  $cold  whether fingers and batteries have to be kept warm
     * @param  bool  $ducted  whether one of the craft is ducted
     * @param  bool  $near  whether one of the shots comes near to something
     * @param  float  $recorded  seconds that all passes of the day record
     * @param  int  $open  shots whose camera nobody has set yet: nothing is said of their filters
     * @return list<array{id: string, title: Fact, items: list<array{id: string, text: Fact}>}>
     */
    public static function of(
        array $crafts, Batteries $batteries, array $filters, array $kelvins, float $returnHeight, bool $cold, bool $ducted, bool $near,
        int $open = 0, float $recorded = 0.0,
    ): array {
        $bag = [
            'batteries' => Fact::of('checklist.all-full-controller-tablet', count: $batteries->count),
            'filters' => match (true) {
                $filters !== [] && $open > 0 => Fact::of('checklist.filters-clean-and-open', filters: $filters, open: $open),
                $filters !== [] => Fact::of('checklist.filters-clean', filters: $filters),
                $open > 0 => Fact::of('checklist.filters-open', open: $open),
                default => Fact::of('checklist.filter-wanted-today-clear'),
            },
        ];
        foreach ($crafts as $k => $craft) {
            $bag["propellers-$k"] = Fact::of('checklist.propellers-all-own-type', craft: $craft);
        }
        $bag['cards'] = $recorded > 0.0
            ? Fact::of('checklist.memory-cards-for', minutes: (int) ceil($recorded / 60)) : Fact::of('checklist.memory-cards-empty-one');
        if ($ducted) {
            $bag['guards'] = Fact::of('checklist.ducts-guards-whole');
        }
        if ($cold) {
            $bag['warm'] = Fact::of('checklist.gloves-let-you-feel');
        }
        $bag['papers'] = Fact::of('checklist.permission-insurance-your-proof');
        $ground = [
            'look' => Fact::of('checklist.walk-site-wires-people'),
            'briefed' => Fact::of('checklist.everyone-briefed-who-watches'),
            'weather' => Fact::of('checklist.wind-gusts-planned-day'),
            'home' => Fact::of('checklist.home-point-set'),
            'return' => Fact::of('checklist.return-height-m', height: Quantity::metres($returnHeight)),
            'sensing' => $near ? Fact::of('checklist.obstacle-sensing-set-stop') : Fact::of('checklist.obstacle-sensing-set-stop-2'),
            'mode' => Fact::of('checklist.flight-mode-card-first'),
            'camera' => Fact::of('checklist.frame-rate-shutter-iso'),
            'balance' => $kelvins === [] ? Fact::of('checklist.white-balance-fixed-never') : Fact::of(
                'checklist.white-balance-fixed-never-2', kelvins: array_map(static fn (int $kelvin): string => "$kelvin K", $kelvins),
            ),
        ];
        $air = [
            'hover' => Fact::of('checklist.hover-eye-level-15'),
            'ends' => Fact::of('checklist.fly-both-end-points'),
            'record' => Fact::of('checklist.recording-before-moving-then'),
            'stop' => Fact::of('checklist.home-when-left', reserve: Quantity::share($batteries->reserve)),
        ];

        $sweep = [
            'people' => Fact::of('checklist.sweep-people'),
            'animals' => Fact::of('checklist.sweep-animals'),
            'aircraft' => Fact::of('checklist.sweep-aircraft'),
            'wires' => Fact::of('checklist.sweep-wires'),
            'behind' => Fact::of('checklist.sweep-behind'),
            'landing' => Fact::of('checklist.sweep-landing'),
        ];

        return [
            self::list('bag', Fact::of('checklist.in-the-bag'), $bag), self::list('ground', Fact::of('checklist.on-the-ground'), $ground),
            self::list(self::SWEEP, Fact::of('checklist.sweep'), $sweep), self::list(self::AIR, Fact::of('checklist.every-take-off'), $air),
        ];
    }

    /**
     * @param  array<string, Fact>  $items
     * @return array{id: string, title: Fact, items: list<array{id: string, text: Fact}>}
     */
    private static function list(string $id, Fact $title, array $items): array
    {
        return [
            'id' => $id, 'title' => $title,
            'items' => array_map(
                static fn (string $key, Fact $text): array => ['id' => "$id-$key", 'text' => $text], array_keys($items),
                array_values($items),
            ),
        ];
    }
}
