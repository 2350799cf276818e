<?php

declare(strict_types=1);

namespace Larkspur\Rig;

/**
 * What a stick or wheel does with the travel of a finger: travel -1..1 to a share of the full rate, -1..1.
 *
 * Every curve is odd, rises all the way and ends at 1: a curve never lowers the top rate, limits do.
 * A new kind of curve is one class here and its row in CurveKinds.
 */
interface ResponseCurve
{
    /** Share of the full rate at a finger travel; both are clamped to -1..1. */
    public function output(float $travel): float;

    /** The finger travel that gives a share of the full rate: the inverse of output(). */
    public function travel(float $output): float;

    /**
     * The curve in the convention in which the craft states it.
     *
     * @return array{kind: string, value?: float, centre?: float, end?: float, points?: list<array{float, float}>}
     */
    public function toArray(): array;
}
