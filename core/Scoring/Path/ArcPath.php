<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Path;

use Larkspur\Measure\CircleFit;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Span;

/** The arc that a craft draws that turns as it goes: measured about its own fitted circle, told in metres. */
final readonly class ArcPath implements FlownPath
{
    /** A fitted circle wider than this is a straight line, m. */
    private const STRAIGHT = 1500.0;

    private function __construct(private CirclePath $circle)
    {
    }

    /** @param  ?array{float, float}  $limits  of the take, s */
    public static function of(Grid $grid, ?array $limits): FlownPath
    {
        $x = $y = [];
        foreach ($grid->t as $i => $t) {
            if ($limits === null || ($t >= $limits[0] && $t <= $limits[1])) {
                $x[] = $grid->x->value[$i];
                $y[] = $grid->y->value[$i];
            }
        }
        $fit = count($x) < 5 ? null : CircleFit::taubin($x, $y);
        if ($fit === null || $fit->radius > self::STRAIGHT) {
            return LinePath::of($grid);
        }
        $dx = array_map(static fn (float $east): float => $fit->x - $east, $grid->x->value);
        $dy = array_map(static fn (float $north): float => $fit->y - $north, $grid->y->value);
        $path = new CirclePath($grid, $dx, $dy, $fit->x, $fit->y, 1.0);

        return new self(array_sum($path->speed()) >= 0 ? $path : new CirclePath($grid, $dx, $dy, $fit->x, $fit->y, -1.0));
    }

    public function speed(): array
    {
        return $this->circle->speed();
    }

    public function steadySpeed(): array
    {
        return $this->circle->steadySpeed();
    }

    public function acceleration(): array
    {
        return $this->circle->acceleration();
    }

    public function rawDistance(Span $span): array
    {
        return $this->circle->rawDistance($span);
    }

    /** Told as a share of the viewing distance: the circle's middle is nobody's subject. */
    public function stray(Span $span): array
    {
        return [...$this->circle->stray($span), 'over' => null];
    }

    public function off(array $east, array $north, Span $span): array
    {
        return $this->circle->off($east, $north, $span);
    }

    public function extent(Span $span): float
    {
        return $this->circle->extent($span) * $this->circle->meanRadius($span);
    }
}
