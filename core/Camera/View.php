<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;

/**
 * A camera at one instant: where it stands, which way it looks, through which lens. Level horizon.
 *
 * With heading psi (clockwise from north) and tilt theta (negative down), for an offset (e, n, z) from the camera:
 * ahead f = e sin psi + n cos psi, right r = e cos psi - n sin psi, depth Z = f cos theta + z sin theta,
 * up Y = -f sin theta + z cos theta, u = r / (2 Z tan(HFOV/2)), v = Y / (2 Z tan(VFOV/2)).
 */
final readonly class View
{
    /** Nearest depth at which a point is drawn, m: what lies behind the lens must be cut off before dividing. */
    public const NEAR = 0.05;

    private float $sinHeading;

    private float $cosHeading;

    private float $sinTilt;

    private float $cosTilt;

    public function __construct(
        public Position $position,
        public float $heading,
        public float $tilt,
        public Lens $lens,
    ) {
        $this->sinHeading = sin($heading);
        $this->cosHeading = cos($heading);
        $this->sinTilt = sin($tilt);
        $this->cosTilt = cos($tilt);
    }

    /**
     * Offset of a point from the lens in the lens' own axes.
     *
     * @return array{float, float, float} right, up, depth; metres
     */
    public function inLensAxes(Position $point): array
    {
        $east = $point->east - $this->position->east;
        $north = $point->north - $this->position->north;
        $up = $point->up - $this->position->up;
        $ahead = $east * $this->sinHeading + $north * $this->cosHeading;

        return [
            $east * $this->cosHeading - $north * $this->sinHeading,
            -$ahead * $this->sinTilt + $up * $this->cosTilt,
            $ahead * $this->cosTilt + $up * $this->sinTilt,
        ];
    }

    /** Where a point falls in the frame; null where it lies behind the lens. */
    public function project(Position $point): ?FramePoint
    {
        return $this->onPlane(...$this->inLensAxes($point));
    }

    public function onPlane(float $right, float $up, float $depth): ?FramePoint
    {
        if ($depth < self::NEAR) {
            return null;
        }

        return new FramePoint(
            $right / (2 * $depth * $this->lens->halfWidth),
            $up / (2 * $depth * $this->lens->halfHeight),
            $depth,
        );
    }

    /**
     * Where several points fall, in one pass: asked of every corner of everything on a site, six times at each drag.
     *
     * @param  list<Position>  $points
     * @return ?list<array{float, float}> (u, v) of each; null where one of them lies behind the lens
     */
    public function projectAll(array $points): ?array
    {
        [$east0, $north0, $up0] = [$this->position->east, $this->position->north, $this->position->up];
        [$sh, $ch, $st, $ct] = [$this->sinHeading, $this->cosHeading, $this->sinTilt, $this->cosTilt];
        [$w, $h] = [2 * $this->lens->halfWidth, 2 * $this->lens->halfHeight];
        $places = [];
        foreach ($points as $point) {
            $east = $point->east - $east0;
            $north = $point->north - $north0;
            $up = $point->up - $up0;
            $ahead = $east * $sh + $north * $ch;
            $depth = $ahead * $ct + $up * $st;
            if ($depth < self::NEAR) {
                return null;
            }
            $places[] = [($east * $ch - $north * $sh) / ($depth * $w), ($up * $ct - $ahead * $st) / ($depth * $h)];
        }

        return $places;
    }

    /**
     * Whether any of a ball can reach into the frame and is large enough to be seen there: of many things on a site few are.
     *
     * @param  float  $radius  m
     * @param  float  $speck  half the width of the least thing that is seen, as a share of half the frame's width
     */
    public function maySee(Position $centre, float $radius, float $speck): bool
    {
        $east = $centre->east - $this->position->east;
        $north = $centre->north - $this->position->north;
        $up = $centre->up - $this->position->up;
        $ahead = $east * $this->sinHeading + $north * $this->cosHeading;
        $depth = $ahead * $this->cosTilt + $up * $this->sinTilt;
        [$w, $h] = [$this->lens->halfWidth, $this->lens->halfHeight];
        if ($depth < -$radius || $radius < $speck * $w * $depth) {
            return false;
        }

        // Distance from the planes through the lens and the sides of the frame.
        return abs($east * $this->cosHeading - $north * $this->sinHeading) - $depth * $w < $radius * sqrt(1 + $w * $w)
            && abs($up * $this->cosTilt - $ahead * $this->sinTilt) - $depth * $h < $radius * sqrt(1 + $h * $h);
    }

    /** Height of the horizon above the frame's centre, as a fraction of the frame's height; unbounded. */
    public function horizon(): float
    {
        $tilt = max(-89.9 * Angle::DEGREE, min(89.9 * Angle::DEGREE, $this->tilt));

        return -tan($tilt) / (2 * $this->lens->halfHeight);
    }

    /**
     * The heading and tilt that put a point at a wanted place in the frame.
     *
     * From the lens axes, the ray to (u, v) is (a, b, 1) with a = 2u tan(HFOV/2), b = 2v tan(VFOV/2); its upward part
     * b cos theta + sin theta must equal n sin(elevation) with n = |(a, b, 1)|, which gives theta; the heading follows.
     *
     * @return array{float, float} heading and tilt, rad
     */
    public static function aim(Position $from, Position $point, Lens $lens, float $u = 0.0, float $v = 0.0): array
    {
        $offset = $point->minus($from);
        $distance = max(1e-9, $offset->length());
        $a = 2 * $u * $lens->halfWidth;
        $b = 2 * $v * $lens->halfHeight;
        $n = sqrt(1 + $a * $a + $b * $b);
        $sine = max(-1.0, min(1.0, $n * $offset->up / $distance / sqrt(1 + $b * $b)));
        $tilt = asin($sine) - atan($b);
        $heading = $offset->bearing() - atan2($a, cos($tilt) - $b * sin($tilt));

        return [Angle::wrap($heading), $tilt];
    }

    /**
     * How high in the frame a lens with a given tilt sees a point that its heading keeps at u: a fraction of the height above the centre.
     *
     * The inverse of aim: from sin(sight) sqrt(1 + a^2 + b^2) = sin(tilt) + b cos(tilt) follows a square equation in b; of the two ways of
     * writing its root the one that divides by more is taken.
     *
     * @param  float  $tilt  rad; the point has to lie before the lens
     */
    public static function heightAt(Position $from, Position $point, Lens $lens, float $u, float $tilt): float
    {
        $offset = $point->minus($from);
        $s = $offset->up / max(1e-9, $offset->length());
        $a = 2 * $u * $lens->halfWidth;
        [$sin, $cos] = [sin($tilt), cos($tilt)];
        $apart = $cos * $cos - $s * $s;
        $root = $s * sqrt(max(0.0, 1 - $s * $s + $a * $a * $apart));
        $b = abs($apart) > abs($root + $sin * $cos)
            ? ($root - $sin * $cos) / $apart
            : ($s * $s * (1 + $a * $a) - $sin * $sin) / ($root + $sin * $cos);

        return $b / (2 * $lens->halfHeight);
    }
}
