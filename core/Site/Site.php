<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;

/** A place to film at: the take-off point, how the ground lies, what stands there, who is there, and the limits that hold there. */
final readonly class Site
{
    /** Common defaults, editable per site; the rules of the local authority apply. */
    public const CEILING = 120.0;

    public const SIGHT_LINE = 300.0;

    /** Least distance over the ground to people who are not part of the shoot, m (a common default; editable). */
    public const PEOPLE = 30.0;

    /** Farther from the take-off point than this, nothing can be planned: nobody could see the craft. */
    public const REACH = 5000.0;

    /** More of any of them than this is a survey, not a site. */
    private const MOST = ['solids' => 500, 'areas' => 100, 'observers' => 20, 'spots' => 400, 'profile' => 400];

    /** Corners of everything on it: three hundred woods of four hundred. */
    private const MOST_POINTS = 120000;

    /**
     * @param  float  $ceiling  greatest height above ground, m
     * @param  float  $sightLine  greatest distance from the operator, m
     * @param  list<Solid>  $solids
     * @param  ?Ground  $ground  null where nobody said how it lies: then it is level with the subject's foot
     * @param  list<Area>  $areas
     * @param  list<Observer>  $observers
     * @param  float  $people  least distance to people, m
     * @param  float  $variation  of the compass: magnetic north east of true north, rad
     */
    public function __construct(
        public string $name,
        public GeoPoint $home,
        public float $ceiling,
        public float $sightLine,
        public array $solids,
        public ?Ground $ground = null,
        public array $areas = [],
        public array $observers = [],
        public float $people = self::PEOPLE,
        public float $variation = 0.0,
        public Zone $zone = new Zone,
    ) {
    }

    /** @param  bool  $kept  whether it was read whole before it was kept */
    public static function read(Fields $fields, bool $kept = false): self
    {
        self::enough($fields);
        $solids = array_map(static fn (Fields $one): Solid => Solid::read($one, $kept), $fields->groups('solids'));
        foreach ($solids as $k => $solid) {
            $away = $solid->leastDistance(new Position(0, 0, 0));
            if ($away > self::REACH) {
                throw new Refusal(
                    Fact::of('site.lies-km-take-off', solid: ucfirst($solid->name), away: $away / 1000), $fields->place('solids').".$k",
                    Fact::of('site.everything-within-km-what', reach: self::REACH / 1000),
                );
            }
        }
        $lies = $fields->groupOrNull('ground');
        $ground = $lies === null ? null : Ground::read($lies);

        return new self(
            $fields->textOrNull('name') ?? 'site',
            GeoPoint::read($fields->group('home')),
            $fields->numberOrNull('ceiling_m', 1, 5000, 'm') ?? self::CEILING,
            $fields->numberOrNull('sight_line_m', 10, 5000, 'm') ?? self::SIGHT_LINE,
            $solids,
            $ground,
            array_map(Area::read(...), $fields->groups('areas')),
            array_map(static fn (Fields $one): Observer => Observer::read($one, $ground), $fields->groups('observers')),
            $fields->numberOrNull('people_m', 0, 1000, 'm') ?? self::PEOPLE,
            ($fields->numberOrNull('variation_deg', -180, 180, 'degrees') ?? 0.0) * Angle::DEGREE,
            new Zone($fields->textOrNull('zone') ?? 'UTC', $fields->place('zone')),
        );
    }

    /**
     * That there is not more of anything than a plan can be worked out with while somebody waits for it.
     *
     * @throws Refusal
     */
    private static function enough(Fields $fields): void
    {
        $lies = $fields->groupOrNull('ground');
        foreach (self::MOST as $name => $most) {
            [$of, $list] = in_array($name, ['spots', 'profile'], true) ? [$lies, $name] : [$fields, $name];
            $many = $of?->howMany($list) ?? 0;
            if ($many > $most) {
                throw new Refusal(
                    Fact::of('site.too-many', what: $name, many: $many), $fields->place($name),
                    Fact::of('site.at-most', most: $most),
                );
            }
        }
        $points = 0;
        foreach ([...$fields->groups('solids'), ...$fields->groups('areas')] as $one) {
            $points += $one->howMany('points');
        }
        if ($points > self::MOST_POINTS) {
            throw new Refusal(
                Fact::of('site.too-many', what: 'points', many: $points), $fields->place('solids'),
                Fact::of('site.at-most', most: self::MOST_POINTS),
            );
        }
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name, 'home' => $this->home->toArray(), 'ceiling_m' => $this->ceiling, 'sight_line_m' => $this->sightLine,
            'people_m' => $this->people, 'variation_deg' => round($this->variation / Angle::DEGREE, 3), 'zone' => $this->zone->name,
            'solids' => array_map(static fn (Solid $solid): array => $solid->toArray(), $this->solids),
            ...$this->ground === null ? [] : ['ground' => $this->ground->toArray()],
            'areas' => array_map(static fn (Area $area): array => $area->toArray(), $this->areas),
            'observers' => array_map(static fn (Observer $observer): array => $observer->toArray(), $this->observers),
        ];
    }

    /** What stands between the lens and a point, but for the subject itself; null where the view is free. */
    public function between(Position $lens, Position $point): ?Solid
    {
        foreach ($this->solids as $solid) {
            if (! $solid->isSubject && $solid->stands($lens, $point)) {
                return $solid;
            }
        }

        return null;
    }

    /** @return list<Area> */
    public function areasOf(string $kind): array
    {
        return array_values(array_filter($this->areas, static fn (Area $area): bool => $area->kind === $kind));
    }

    /** The local frame in which the site, its solids and every flight over it are measured: origin at take-off. */
    public function frame(): LocalFrame
    {
        return new LocalFrame($this->home);
    }
}
