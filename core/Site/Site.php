<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;

/** A place to film at: the take-off point, what stands there, and the limits that hold there. */
final readonly class Site
{
    /** Common defaults, editable per site; the rules of the local authority apply. */
    public const CEILING = 120.0;

    public const SIGHT_LINE = 300.0;

    /** Farther from the take-off point than this, nothing can be planned: nobody could see the craft. */
    public const REACH = 5000.0;

    /**
     * @param  float  $ceiling  greatest height above ground, m
     * @param  float  $sightLine  greatest distance from the operator, m
     * @param  list<Solid>  $solids
     */
    public function __construct(
        public string $name,
        public GeoPoint $home,
        public float $ceiling,
        public float $sightLine,
        public array $solids,
    ) {
    }

    public static function read(Fields $fields): self
    {
        return new self(
            $fields->textOrNull('name') ?? 'site',
            GeoPoint::read($fields->group('home')),
            $fields->numberOrNull('ceiling_m', 1, 5000, 'm') ?? self::CEILING,
            $fields->numberOrNull('sight_line_m', 10, 5000, 'm') ?? self::SIGHT_LINE,
            array_map(Solid::read(...), $fields->groups('solids')),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name, 'home' => $this->home->toArray(), 'ceiling_m' => $this->ceiling, 'sight_line_m' => $this->sightLine,
            'solids' => array_map(static fn (Solid $solid): array => $solid->toArray(), $this->solids),
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

    /** The local frame in which the site, its solids and every flight over it are measured: origin at take-off. */
    public function frame(): LocalFrame
    {
        return new LocalFrame($this->home);
    }
}
