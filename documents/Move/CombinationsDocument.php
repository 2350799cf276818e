<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Documents\Map;
use Larkspur\Move\Fingering\AxisCombinations;

/** Every way in which the axes may move at once. */
final readonly class CombinationsDocument implements Document
{
    /**
     * @param  list<AxisCount>  $withZoom
     * @param  list<AxisCount>  $withoutZoom
     * @param  list<AxisCombination>  $all  of the five fingers
     */
    public function __construct(public array $withZoom, public array $withoutZoom, public array $all)
    {
    }

    public static function counted(): self
    {
        return new self(
            AxisCount::each(AxisCombinations::counts(true)), AxisCount::each(AxisCombinations::counts(false)),
            array_map(
                static fn (array $one): AxisCombination => new AxisCombination(new Map($one['axes']), $one['moves']),
                AxisCombinations::all(false),
            ),
        );
    }
}
