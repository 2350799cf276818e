<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Choreography\Opening;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\SiteChecks;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\MovePlan;
use Larkspur\Site\Area;

/** How much room a path has: to everything that stands near it, in gaps, behind a backward flight, above ground, to people. */
final readonly class RoomNotes
{
    /** Slower than this backward is no backward flight, m/s. */
    private const BACKWARD = 0.3;

    private const NEAREST = 8;

    /**
     * @param  list<array{id: string, name: string, distance: float, at: float, margin: float}>  $solids  nearest first
     * @param  ?array{metres: float, name: ?string}  $behind  free way behind where it ends a backward stretch; the name is of what
     *     stands there
     * @param  array{least: float, most: float, launch: float, ceiling: float}  $height
     */
    private function __construct(
        public array $solids, public ?Opening $gap, public ?array $behind, public array $height, public float $farthest,
        public float $sightLine, public ?float $people, public float $peopleLeast,
    ) {
    }

    public static function of(Plan $plan): self
    {
        $shot = $plan->shot;
        $solids = [];
        // Those that may be nearest come first: of the others most can't be among the few that are told.
        $bounds = array_map(SiteChecks::bound($plan->move), $shot->site->solids);
        asort($bounds);
        foreach ($bounds as $k => $bound) {
            $enough = $solids[self::NEAREST - 1]['distance'] ?? INF;
            if ($bound > $enough) {
                break;
            }
            $solid = $shot->site->solids[$k];
            [$distance, $at] = SiteChecks::nearest($solid, $plan->move, $enough);
            if ($distance < INF) {
                $solids[] = [
                    'id' => $solid->id, 'name' => $solid->name, 'distance' => $distance, 'at' => $at,
                    'margin' => SiteChecks::margin($shot, $solid),
                ];
                usort($solids, static fn (array $a, array $b): int => $a['distance'] <=> $b['distance']);
            }
        }
        $flight = $plan->move->flight;
        [$least, $most, $farthest, $people] = [INF, -INF, 0.0, null];
        for ($i = 0, $n = $flight->count(); $i < $n; $i += 10) {
            $place = $flight->position($i);
            $above = $place->up - SiteChecks::ground($shot, $plan->move, $place);
            [$least, $most, $farthest] = [min($least, $above), max($most, $above), max($farthest, $place->length())];
            foreach ($shot->site->areasOf(Area::PEOPLE) as $area) {
                $people = min($people ?? INF, $area->distance($place));
            }
        }

        return new self(
            array_slice($solids, 0, self::NEAREST), Opening::on($shot, $plan->move), self::behind($plan),
            ['least' => $least, 'most' => $most, 'launch' => Statistics::greatest($flight->up), 'ceiling' => $shot->site->ceiling],
            $farthest, $shot->site->sightLine, $people, $shot->site->people,
        );
    }

    /**
     * What lies behind a craft that flies backward: from the end of the way on, along it, at its height.
     *
     * @return ?array{metres: float, name: ?string}
     */
    private static function behind(Plan $plan): ?array
    {
        $flight = $plan->move->flight;
        $last = null;
        for ($i = 5, $n = $flight->count(); $i < $n; $i += 5) {
            $way = $flight->position($i)->minus($flight->position($i - 5));
            $ahead = ($way->east * sin($flight->heading[$i]) + $way->north * cos($flight->heading[$i])) / (5 * MovePlan::STEP);
            if ($ahead < -self::BACKWARD) {
                $last = [$flight->position($flight->count() - 1), $way];
            }
        }
        if ($last === null) {
            return null;
        }
        [$end, $way] = $last;
        $length = max(1e-6, $way->length());
        for ($metres = 0.0; $metres <= 40.0; $metres += 0.5) {
            $place = $end->plus($way->east / $length * $metres, $way->north / $length * $metres, $way->up / $length * $metres);
            foreach ($plan->shot->site->solids as $solid) {
                if ($solid->leastDistance($place) < 3 && $solid->distance($place) < $plan->shot->rig->width / 2 + 0.5) {
                    return ['metres' => $metres, 'name' => $solid->name];
                }
            }
        }

        return ['metres' => 40.0, 'name' => null];
    }

    /** @return list<Fact> */
    public function sentences(): array
    {
        $out = [];
        if ($this->gap !== null) {
            $out[] = Fact::of(
                'room.between-craft-error-position', left: $this->gap->left, right: $this->gap->right,
                width: Quantity::metres($this->gap->width), needed: Quantity::metres($this->gap->needed),
            );
            $out[] = Fact::of($this->gap->fits() ? 'room.it-fits' : 'room.do-not-plan-way');
        }
        if ($this->behind !== null) {
            $out[] = $this->behind['name'] === null
                ? Fact::of('room.flies-backward-nothing-drawn', metres: Quantity::metres($this->behind['metres']))
                : Fact::of(
                    'room.flies-backward-stands-behind', name: $this->behind['name'], metres: Quantity::metres($this->behind['metres']),
                );
        }
        $off = $this->height['launch'] - $this->height['most'];
        $out[] = Fact::of(
            'room.above-ground-ceiling-craft', least: Quantity::metres($this->height['least']),
            most: Quantity::metres($this->height['most']), ceiling: Quantity::metres($this->height['ceiling']),
            launch: Quantity::metres($this->height['launch']),
        );
        if (abs($off) > 2) {
            $out[] = Fact::of('room.two-differ-ceiling-counts');
        }
        $out[] = Fact::of('room.you-farthest', farthest: Quantity::metres($this->farthest), sightLine: Quantity::metres($this->sightLine));
        if ($this->people !== null) {
            $out[] = Fact::of(
                'room.people-nearest-what-site', people: Quantity::metres($this->people), peopleLeast: Quantity::metres($this->peopleLeast),
            );
        }

        return $out;
    }
}
