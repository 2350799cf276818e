<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Geo\Position;
use Larkspur\Site\Outline;
use Larkspur\Site\Site;
use Larkspur\Site\Solid;

/**
 * What a craft can run into: the ground, upright bodies and wires, in a form that the page can test at each step. A craft is a ball of its
 * half width. Metres in the site's frame.
 *
 * @phpstan-type Upright array{id: string, name: string, base: float, top: float, ring: non-empty-list<Position>}
 * @phpstan-type Line array{id: string, name: string, points: list<array{float, float, float}>}
 */
final readonly class Surroundings
{
    /** Sinking faster than this onto the ground is a crash and no landing, m/s (common practice, no published source). */
    public const LANDING_SINK = 1.5;

    /** So is going faster than this over it, m/s (common practice, no published source). */
    public const LANDING_SPEED = 1.0;

    /**
     * @param  list<Upright>  $uprights
     * @param  list<Line>  $lines
     * @param  float  $radius  half the width of the craft, m
     */
    private function __construct(public GroundGrid $ground, public array $uprights, public array $lines, public float $radius)
    {
    }

    /**
     * @param  float  $reach  how far from take-off the ground is described, m
     * @param  float  $level  height of the ground where nobody said how it lies, m
     * @param  list<Upright>  $course  what stands there for the exercise alone
     */
    public static function of(Site $site, float $radius, float $reach, float $level = 0.0, array $course = []): self
    {
        $uprights = $course;
        $lines = [];
        foreach ($site->solids as $solid) {
            $named = ['id' => $solid->id, 'name' => $solid->name];
            if ($solid->shape === 'wire') {
                $lines[] = [...$named, 'points' => self::line($solid)];
            } elseif (! $solid->moves) {
                $uprights[] = [
                    ...$named, 'base' => round($solid->body->middle()->up, 3), 'top' => round($solid->body->top(), 3),
                    'ring' => array_map(
                        static fn (Position $p): Position => new Position(round($p->east, 3), round($p->north, 3), 0.0), $solid->foot(),
                    ),
                ];
            }
        }

        return new self(GroundGrid::of($site->ground, $reach, $level), $uprights, $lines, $radius);
    }

    /** @return list<array{float, float, float}> */
    private static function line(Solid $wire): array
    {
        $points = [];
        foreach ($wire->body->edges() as $k => [[$from, $to]]) {
            foreach ($k === 0 ? [$from, $to] : [$to] as $p) {
                $points[] = [round($p->east, 3), round($p->north, 3), round($p->up, 3)];
            }
        }

        return $points;
    }

    /**
     * What a craft there runs into, by id and name; null where it is clear. The ground is not among it.
     *
     * @return ?array{id: string, name: string}
     */
    public function touched(float $east, float $north, float $up): ?array
    {
        foreach ($this->uprights as $one) {
            $beyond = max($one['base'] - $up, $up - $one['top']);
            if ($beyond < $this->radius) {
                $away = Outline::distance($one['ring'], $east, $north);
                if (hypot($away, max(0.0, $beyond)) < $this->radius) {
                    return ['id' => $one['id'], 'name' => $one['name']];
                }
            }
        }
        foreach ($this->lines as $one) {
            if (self::fromLine($one['points'], $east, $north, $up) < $this->radius) {
                return ['id' => $one['id'], 'name' => $one['name']];
            }
        }

        return null;
    }

    /** @param  list<array{float, float, float}>  $points */
    private static function fromLine(array $points, float $east, float $north, float $up): float
    {
        $least = INF;
        for ($i = 1, $n = count($points); $i < $n; $i++) {
            [$a, $b] = [$points[$i - 1], $points[$i]];
            [$we, $wn, $wu] = [$b[0] - $a[0], $b[1] - $a[1], $b[2] - $a[2]];
            [$e, $n2, $u] = [$east - $a[0], $north - $a[1], $up - $a[2]];
            $s = max(0.0, min(1.0, ($e * $we + $n2 * $wn + $u * $wu) / max(1e-12, $we ** 2 + $wn ** 2 + $wu ** 2)));
            $least = min($least, sqrt(($e - $s * $we) ** 2 + ($n2 - $s * $wn) ** 2 + ($u - $s * $wu) ** 2));
        }

        return $least;
    }
}
