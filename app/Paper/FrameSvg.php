<?php

declare(strict_types=1);

namespace App\Paper;

use Documents\Plan\Frame;

/** One small picture of a move as an SVG for paper: horizon, thirds, what stands there, and the subject's mark. */
final class FrameSvg
{
    /** @param  array<string, mixed>  $frame  as a plan's document has it */
    public static function image(array $frame, float $aspect, float $width = 320): string
    {
        $height = $width / $aspect;
        $x = static fn (float $u): float => ($u + 0.5) * $width;
        $y = static fn (float $v): float => (0.5 - $v) * $height;
        $svg = sprintf('<rect width="%.1F" height="%.1F" fill="#E4DFD2"/><rect width="%.1F" height="%.1F" fill="#FFFFFF"/>', $width, $height, $width, max(0.0, min($height, $y($frame['horizon']))));
        foreach ($frame['solids'] as $solid) {
            $points = implode(
                ' ', array_map(static fn (array $p): string => sprintf('%.1F,%.1F', $x($p[0]), $y($p[1])), self::within($solid['outline'])),
            );
            $svg .= sprintf('<polygon points="%s" fill="%s" stroke="#FFFFFF" stroke-width="1"/>', $points, $solid['subject'] ? '#1E1B3A' : '#9B8C6A');
        }
        foreach ([1, 2] as $k) {
            $svg .= sprintf('<line x1="%1$.1F" y1="0" x2="%1$.1F" y2="%2$.1F" stroke="#8F86E0"/><line x1="0" y1="%3$.1F" x2="%4$.1F" y2="%3$.1F" stroke="#8F86E0"/>', $k * $width / 3, $height, $k * $height / 3, $width);
        }
        if (is_array($frame['mark']) && max(abs($frame['mark'][0]), abs($frame['mark'][1])) <= 0.5) {
            $svg .= sprintf('<circle cx="%.1F" cy="%.1F" r="9" fill="none" stroke="#C97A00" stroke-width="4"/>', $x($frame['mark'][0]), $y($frame['mark'][1]));
        }

        return StaveSvg::coded($svg.sprintf('<rect x="1" y="1" width="%.1F" height="%.1F" fill="none" stroke="#1E1B3A" stroke-width="3"/>', $width - 2, $height - 2), $width, $height);
    }

    /**
     * The part of a convex outline that lies in the frame: cut off at one edge after the other (I. E. Sutherland and G. W. Hodgman,
     * Comm. ACM 17 (1974) 32-42), for not every printer cuts by itself.
     *
     * @param  list<array{int, int}>  $outline  as a plan's document has it
     * @return list<array{float, float}> fractions of the frame from its centre
     */
    private static function within(array $outline): array
    {
        $outline = array_map(static fn (array $p): array => [$p[0] / Frame::GRAIN, $p[1] / Frame::GRAIN], $outline);
        foreach ([[0, 1], [0, -1], [1, 1], [1, -1]] as [$axis, $sign]) {
            $kept = [];
            foreach ($outline as $k => $p) {
                $q = $outline[($k + 1) % count($outline)];
                [$a, $b] = [0.5 - $sign * $p[$axis], 0.5 - $sign * $q[$axis]];
                if ($a >= 0) {
                    $kept[] = $p;
                }
                if (($a >= 0) !== ($b >= 0)) {
                    $share = $a / ($a - $b);
                    $kept[] = [$p[0] + $share * ($q[0] - $p[0]), $p[1] + $share * ($q[1] - $p[1])];
                }
            }
            $outline = $kept;
        }

        return $outline;
    }
}
