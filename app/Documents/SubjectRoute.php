<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Move\Route;

/** The way that a subject goes: corners after its own place, m east and north of take-off, and how. */
final readonly class SubjectRoute implements Document
{
    /**
     * @param  list<array{float, float}>  $points
     * @param  list<RouteStop>  $stops
     * @param  string  $cue  what it sets off at; empty where a call is all
     */
    public function __construct(public array $points, public float $paceMps, public array $stops, public string $cue)
    {
    }

    public static function of(Route $route): self
    {
        return new self(
            $route->points, $route->pace,
            array_map(static fn (array $one): RouteStop => new RouteStop($one['corner'], $one['s']), $route->stops),
            $route->cue,
        );
    }
}
