<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Geo\Position;

/** The form of something that stands on a site: how far it is from a point, whether it stands in a line of sight, what it looks like. */
interface Body
{
    /** Shortest distance from a point, m; 0 inside. */
    public function distance(Position $point): float;

    /** Whether it stands in the straight line from one point to another. */
    public function stands(Position $eye, Position $point): bool;

    /** The highest of it, m above take-off. */
    public function top(): float;

    /** Middle of its foot. */
    public function middle(): Position;

    /** No point of it lies farther than this from the middle, over the ground, m. */
    public function reach(): float;

    /**
     * Its corners, in groups that are each convex: seen wholly before the lens, the hull of a group’s corners is what it looks like.
     *
     * @return list<list<Position>>
     */
    public function corners(): array;

    /**
     * Its edges, in the same groups that are each convex: what the lens sees of a group is the hull of its ends.
     *
     * @return list<list<array{Position, Position}>>
     */
    public function edges(): array;

    /** @return list<Position> corners that all of it lies between; none where it has no more than its parts have */
    public function about(): array;
}
