<?php

declare(strict_types=1);

namespace App\Paper;

use Larkspur\Geo\Position;
use Larkspur\Site\Area;
use Larkspur\Site\Outline;
use Larkspur\Site\Site;

/** A site from above as an SVG for paper: what stands there, where nobody flies, take-off, and the numbered ways of a day's shots. */
final class MapSvg
{
    /** Px round the edge. */
    private const EDGE = 26.0;

    private const FILLS = [Area::PEOPLE => '#F4E1DC', Area::WATER => '#DCE4EE', Area::BOUNDARY => 'none'];

    /**
     * @param  list<array{number: int, east: list<float>, north: list<float>}>  $ways  m from take-off
     */
    public static function image(Site $site, array $ways, bool $feet, float $width = 900, float $height = 380): string
    {
        [$east, $north] = [[0.0], [0.0]];
        foreach ($ways as $way) {
            [$east, $north] = [[...$east, ...$way['east']], [...$north, ...$way['north']]];
        }
        [$west, $south] = [min($east), min($north)];
        [$across, $up] = [max(20.0, max($east) - $west), max(20.0, max($north) - $south)];
        $per = min(($width - 2 * self::EDGE) / $across, ($height - 2 * self::EDGE) / $up);
        [$left, $top] = [($width - $per * $across) / 2, ($height - $per * $up) / 2];
        $x = static fn (float $at): float => $left + $per * ($at - $west);
        $y = static fn (float $at): float => $height - $top - $per * ($at - $south);
        $points = static fn (array $places): string => implode(
            ' ', array_map(static fn (Position $place): string => sprintf('%.1F,%.1F', $x($place->east), $y($place->north)), $places),
        );
        $svg = '';
        foreach ($site->areas as $area) {
            $svg .= sprintf(
                '<%s points="%s" fill="%s" stroke="#5C5878" stroke-width="1.5" stroke-dasharray="6 4"/>', $area->closed ? 'polygon' : 'polyline',
                $points($area->points), $area->closed ? self::FILLS[$area->kind] : 'none',
            );
        }
        foreach ($site->solids as $solid) {
            foreach (array_filter($solid->body->corners()) as $part) {
                $svg .= sprintf(
                    '<polygon points="%s" fill="%s" stroke="#1E1B3A" stroke-width="1.5"/>', $points(self::about($part)),
                    $solid->isSubject ? '#1E1B3A' : '#C9BFA6',
                );
            }
        }
        foreach ($ways as $way) {
            $places = array_map(static fn (float $e, float $n): Position => new Position($e, $n, 0.0), $way['east'], $way['north']);
            $svg .= sprintf('<polyline points="%s" fill="none" stroke="#5B4FC7" stroke-width="4"/>', $points($places));
        }
        // Numbers last: a way that crosses another does not cross out its number.
        foreach ($ways as $way) {
            [$cx, $cy] = [$x($way['east'][0] ?? 0.0), $y($way['north'][0] ?? 0.0)];
            $svg .= sprintf(
                '<circle cx="%1$.1F" cy="%2$.1F" r="13" fill="#FFFFFF" stroke="#5B4FC7" stroke-width="3"/>'
                .'<text x="%1$.1F" y="%3$.1F" font-size="17" font-weight="bold" text-anchor="middle" fill="#1E1B3A">%4$d</text>', $cx, $cy,
                $cy + 6, $way['number'],
            );
        }
        $unit = $feet ? 0.3048 : 1.0;
        $step = self::round($width / $per / $unit / 6);
        $svg .= sprintf(
            '<path d="M%.1F %.1Fh14m-7 -7v14" stroke="#B33A26" stroke-width="4"/><text x="%.1F" y="%.1F" font-size="16" fill="#B33A26">home</text>',
            $x(0) - 7, $y(0), $x(0) + 10, $y(0) + 18,
        ).sprintf(
            '<path d="M8 %1$.1Fh%2$.1F" stroke="#1E1B3A" stroke-width="4"/><text x="8" y="%3$.1F" font-size="16" fill="#1E1B3A">%4$s</text>',
            $height - 8, $per * $unit * $step, $height - 16, number_format($step, 0).($feet ? ' ft' : ' m'),
        ).sprintf(
            '<path d="M%1$.1F 34v-24l-6 9m6 -9l6 9" fill="none" stroke="#1E1B3A" stroke-width="3"/><text x="%2$.1F" y="34" font-size="16" fill="#1E1B3A">N</text>',
            $width - 16, $width - 42,
        );

        return StaveSvg::coded($svg, $width, $height);
    }

    /**
     * The corners of a convex part from above, in order round it.
     *
     * @param  non-empty-list<Position>  $corners
     * @return list<Position>
     */
    private static function about(array $corners): array
    {
        $middle = Outline::middle($corners);
        usort($corners, static fn (Position $a, Position $b): int => atan2($a->north - $middle->north, $a->east - $middle->east)
            <=> atan2($b->north - $middle->north, $b->east - $middle->east));

        return $corners;
    }

    /** The greatest of 1, 2, 5, 10, 20, … that is no more than a length. */
    private static function round(float $length): float
    {
        $power = 10 ** floor(log10(max(1.0, $length)));

        return $power * match (true) {
            $length >= 5 * $power => 5,
            $length >= 2 * $power => 2,
            default => 1,
        };
    }
}
