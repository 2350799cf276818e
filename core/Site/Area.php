<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Refusal;

/** Part of the ground that limits a flight: people to keep away from, water that blinds the sensors, a line not to cross. */
final readonly class Area
{
    public const PEOPLE = 'people';

    public const WATER = 'water';

    public const BOUNDARY = 'boundary';

    public const KINDS = [self::PEOPLE, self::WATER, self::BOUNDARY];

    /**
     * @param  value-of<self::KINDS>  $kind
     * @param  non-empty-list<Position>  $points  corners in order; of a boundary the ends may lie apart
     * @param  bool  $closed  whether the last point leads back to the first
     */
    public function __construct(
        public string $id, public string $name, public string $kind, public array $points, public bool $closed = true,
    ) {
    }

    public static function read(Fields $fields): self
    {
        /** @var value-of<self::KINDS> $kind */
        $kind = $fields->choiceOrNull('kind', self::KINDS) ?? self::PEOPLE;
        $closed = $kind !== self::BOUNDARY || $fields->flag('closed');
        $name = $fields->textOrNull('name') ?? $kind;
        $points = array_map(static fn (array $pair): Position => new Position($pair[0], $pair[1], 0.0), $fields->pairs('points'));
        $least = $closed ? 3 : 2;
        if ($points === [] || count($points) < $least || count($points) > Solid::MOST_POINTS) {
            throw new Refusal(
                Fact::of('area.points-do-not-make', count: count($points), shape: $closed ? 'area' : 'line'), $fields->place('points'),
                Fact::of('area.from-to', least: $least, mostPoints: Solid::MOST_POINTS),
            );
        }
        try {
            $crossing = $closed ? Outline::selfCrossing($points) : null;
        } catch (Refusal $intricate) {
            throw $intricate->at($fields->place('points'));
        }
        if ($crossing !== null) {
            throw new Refusal(
                Fact::of('area.outline-crosses-itself-side', name: $name, side: $crossing[0] + 1, otherSide: $crossing[1] + 1),
                $fields->place('points'), Fact::of('area.corners-order-round-same'),
            );
        }

        return new self($fields->textOrNull('id') ?? '', $name, $kind, $points, $closed);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'kind' => $this->kind,
            'points' => array_map(static fn (Position $p): array => [round($p->east, 3), round($p->north, 3)], $this->points),
            ...$this->kind === self::BOUNDARY ? ['closed' => $this->closed] : [],
        ];
    }

    public function contains(Position $place): bool
    {
        return $this->closed && Outline::contains($this->points, $place->east, $place->north);
    }

    /** Distance over the ground, m; 0 inside. */
    public function distance(Position $place): float
    {
        return $this->closed
            ? Outline::distance($this->points, $place->east, $place->north)
            : Outline::fromLine($this->points, $place->east, $place->north);
    }

    /** Whether the straight way from one place to another crosses its line. */
    public function crossedBy(Position $from, Position $to): bool
    {
        $n = count($this->points);
        for ($i = 0; $i < ($this->closed ? $n : $n - 1); $i++) {
            if (Outline::cross($from, $to, $this->points[$i], $this->points[($i + 1) % $n])) {
                return true;
            }
        }

        return false;
    }
}
