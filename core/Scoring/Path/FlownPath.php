<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Path;

use Larkspur\Scoring\NoiseCorrected;
use Larkspur\Scoring\Span;

/**
 * What "along the path" and "off the path" mean for the kind of path a move draws. One class per kind.
 * Metres and seconds, one value per grid node unless said otherwise.
 */
interface FlownPath
{
    /** @return list<float> speed along the path by the main kernel, positive the planned way */
    public function speed(): array;

    /** @return list<float> the same by the 1.8 s kernel */
    public function steadySpeed(): array;

    /** @return list<float> acceleration along the path */
    public function acceleration(): array;

    /** @return list<float> distance along the path at each raw sample, m */
    public function rawDistance(Span $span): array;

    /**
     * How far the flight strays from its path.
     *
     * @return array{wander: NoiseCorrected, drift: float, over: ?float} m: the spread about the path, the steady drift beyond
     *                                                              what a receiver may do on its own, and the length
     *                                                              that it is told as a share of, null for the viewing
     *                                                              distance
     */
    public function stray(Span $span): array;

    /**
     * How far places lie off the path, m, from any line of reference: what counts is how it changes.
     *
     * @param  list<float>  $east  per node of the span
     * @param  list<float>  $north
     * @return list<float>
     */
    public function off(array $east, array $north, Span $span): array;

    /** How much of the move was flown: radians of arc, or metres. Never negative. */
    public function extent(Span $span): float;
}
