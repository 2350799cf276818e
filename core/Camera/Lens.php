<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fields;
use Larkspur\Measure\Angle;

/** Field of view and shape of the frame. Pinhole geometry (any optics handbook; S. F. Ray, Applied Photographic Optics). */
final readonly class Lens
{
    /** Half-width and half-height of the picture plane at unit distance. */
    public float $halfWidth;

    public float $halfHeight;

    /**
     * @param  float  $horizontal  horizontal field of view, rad
     * @param  float  $aspect  width over height of the frame
     * @param  bool  $assumed  whether nobody stated it and the default was taken
     */
    public function __construct(public float $horizontal, public float $aspect = 16 / 9, public bool $assumed = false)
    {
        $this->halfWidth = tan($horizontal / 2);
        $this->halfHeight = $this->halfWidth / $aspect;
    }

    /** 70 degrees and 16:9, to be reported as assumed. */
    public static function assumed(): self
    {
        return new self(70 * Angle::DEGREE, 16 / 9, true);
    }

    /** HFOV = 2 atan(w / 2f). */
    public static function ofSensor(float $widthMm, float $focalMm, float $aspect = 16 / 9): self
    {
        return new self(2 * atan($widthMm / (2 * $focalMm)), $aspect);
    }

    /** Reads {hfov_deg, aspect?}. */
    public static function read(?Fields $fields): self
    {
        return $fields === null ? self::assumed() : new self(
            $fields->number('hfov_deg', 2, 160, 'degrees') * Angle::DEGREE,
            $fields->numberOrNull('aspect', 0.3, 4) ?? 16 / 9,
        );
    }

    /** Vertical field of view, rad. */
    public function vertical(): float
    {
        return 2 * atan($this->halfHeight);
    }

    /**
     * The tilt that puts a level horizon on the upper third, rad: -atan(tan(VFOV / 2) / 3), the place of the horizon being
     * tan(tilt down) / tan(VFOV / 2) of the half-height above the centre.
     */
    public function horizonOnThird(): float
    {
        return -atan($this->halfHeight / 3);
    }

    /** @return array{hfov_deg: float, aspect: float} */
    public function toArray(): array
    {
        return ['hfov_deg' => round($this->horizontal / Angle::DEGREE, 4), 'aspect' => round($this->aspect, 6)];
    }
}
