<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Path;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Span;

/** No path: the craft keeps its place. Along it is nothing; off it is any way over the ground, as for a plumb line. */
final readonly class SpotPath implements FlownPath
{
    private VerticalPath $plumb;

    /** @param  ?Axis  $turning  what moves instead: the turn or the tilt; null where nothing does */
    public function __construct(private Grid $grid, private ?Axis $turning)
    {
        $this->plumb = new VerticalPath($grid);
    }

    public function speed(): array
    {
        return $this->plumb->speed();
    }

    public function steadySpeed(): array
    {
        return $this->plumb->speed();
    }

    public function acceleration(): array
    {
        return $this->plumb->speed();
    }

    public function rawDistance(Span $span): array
    {
        return $this->plumb->rawDistance($span);
    }

    public function stray(Span $span): array
    {
        return $this->plumb->stray($span);
    }

    public function off(array $east, array $north, Span $span): array
    {
        return $this->plumb->off($east, $north, $span);
    }

    /** Radians turned or tilted; seconds held where nothing moves. */
    public function extent(Span $span): float
    {
        $channel = match ($this->turning) {
            Axis::Turn => $this->grid->heading,
            Axis::Tilt => $this->grid->tilt,
            default => null,
        };

        return $channel === null
            ? ($span->to - $span->from) * Grid::STEP
            : abs(
                Statistics::mean(array_slice($channel->value, $span->to, 5)) - Statistics::mean(array_slice(
                    $channel->value, max(0, $span->from - 4), 5,
                )),
            );
    }
}
