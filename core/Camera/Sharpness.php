<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Refusal;

/** What limits how sharp a picture is: diffraction at small apertures, and depth of field at wide ones. */
final class Sharpness
{
    /** Green light, the middle of the visible, mm. */
    private const WAVELENGTH = 0.00055;

    /** Pixels across the Airy disc before it is seen: our choice between the strict 2 and the lenient 3. */
    public const PIXELS = 2.5;

    /** Smallest aperture whose Airy disc, 2.44 lambda N, spans so many pixels (any optics handbook). */
    public static function diffractionLimit(float $sensorWidthMm, float $pixels, float $across = self::PIXELS): float
    {
        if ($sensorWidthMm <= 0 || $pixels <= 0) {
            throw new Refusal(Fact::of('sharpness.sensor-width-pixels'), 'camera', Fact::of('sharpness.numbers-above-0'));
        }

        return $across * $sensorWidthMm / $pixels / (2.44 * self::WAVELENGTH);
    }

    /**
     * Focused here, all is sharp from half of it to the horizon: H = f^2 / (N c) + f, metres.
     *
     * @param  float  $circle  largest blur that passes for sharp, mm; usually the diagonal over 1500
     */
    public static function hyperfocal(float $focalMm, float $aperture, float $circle): float
    {
        return ($focalMm ** 2 / ($aperture * $circle) + $focalMm) / 1000;
    }

    /**
     * What is sharp when focused at a distance: s (H - f) / (H + s - 2f) to s (H - f) / (H - s).
     *
     * @return array{float, ?float} near and far limit, m; far is null where it reaches the horizon
     */
    public static function field(float $focalMm, float $aperture, float $circle, float $distance): array
    {
        $hyperfocal = self::hyperfocal($focalMm, $aperture, $circle);
        $focal = $focalMm / 1000;
        $near = $distance * ($hyperfocal - $focal) / ($hyperfocal + $distance - 2 * $focal);

        return [$near, $distance >= $hyperfocal ? null : $distance * ($hyperfocal - $focal) / ($hyperfocal - $distance)];
    }
}
