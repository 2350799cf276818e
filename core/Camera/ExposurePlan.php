<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;

/**
 * What a camera is set to before a shot: the shutter by the frame rate, the filter by the light, one white balance for the whole shot, and
 * what to look out for. The scene's brightness comes from a meter (its EV at ISO 100, or the shutter it shows) or from an estimate.
 */
final readonly class ExposurePlan
{
    private const OFF = 0.5;

    /** The least noise is at the lowest ISO: what is added beyond it has a reason (common practice, no published source). */
    private const LOWEST_ISO = 100.0;

    /** @param  list<Fact>  $warnings */
    private function __construct(
        public float $fps,
        public Exposure $exposure,
        public Shutter $wanted,
        public float $scene,
        public float $stops,
        public NdFilter $filter,
        public float $left,
        public int $kelvin,
        public float $diffraction,
        public float $sharpFrom,
        public array $warnings,
        public Scene $estimate,
    ) {
    }

    /**
     * @param  list<float|int>  $bag  factors of the filters that are there
     * @param  ?float  $meter  EV at ISO 100 as metered; null for the estimate of the scene
     * @param  ?int  $kelvin  fixed white balance; null for automatic
     */
    public static function of(
        CraftCamera $camera, float $focal, float $fps, float $iso, float $aperture, Scene $scene, ?float $meter, array $bag, ?int $kelvin,
        bool $automaticWhite = false, float $angle = 180.0, Histogram $histogram = new Histogram(0.0),
    ): self {
        $wanted = Shutter::wanted($fps, $angle);
        $exposure = new Exposure($aperture, $wanted->nearest(), $iso);
        $value = $meter ?? $scene->value();
        $stops = $exposure->filterFor($value);
        $filter = NdFilter::nearest($stops, $bag);
        $left = $stops - $filter->stops();
        $width = $camera->resolutions[0][0] ?? 3840;
        $limit = Sharpness::diffractionLimit($camera->sensorWidth, $width);
        $circle = hypot($camera->sensorWidth, $camera->sensorHeight) / 1500;
        $warnings = [];
        if ($automaticWhite) {
            $warnings[] = Fact::of('exposure-plan.white-balance-automatic-colour', kelvin: $scene->kelvin());
        }
        if ($histogram->clipped > 0 || $histogram->change() !== 0.0) {
            $warnings[] = $histogram->words();
        }
        if ($bag === [] && $stops > self::OFF) {
            $warnings[] = Fact::of('exposure-plan.no-filter-there', stops: $stops);
        }
        if ($filter->factor > 1 && $scene->isDark()) {
            $warnings[] = Fact::of('exposure-plan.light-dark-take-off', words: $filter->words());
        }
        if ($stops < -self::OFF) {
            $warnings[] = Fact::of('exposure-plan.too-dark-stops-without', stops: -$stops);
        } elseif ($bag !== [] && abs($left) > self::OFF) {
            $warnings[] = Fact::of(
                count($camera->apertures) > 1 ? 'exposure-plan.nearest-filter-bag-leaves' : 'exposure-plan.nearest-filter-one-aperture',
                left: abs($left),
                value: $left > 0 ? Fact::of('exposure-plan.too-bright') : Fact::of('exposure-plan.too-dark'),
            );
        }
        if ($aperture > $limit + 0.05) {
            $warnings[] = Fact::of(
                'exposure-plan.f-diffraction-softens-picture', aperture: Fields::written($aperture),
                limit: Fields::written(floor($limit * 10) / 10),
            );
        }
        if ($aperture < Statistics::least($camera->apertures) - 0.01 || $aperture > Statistics::greatest($camera->apertures) + 0.01) {
            throw new Refusal(
                Fact::of('exposure-plan.camera-f', aperture: Fields::written($aperture)), 'aperture',
                Fact::of(
                    'exposure-plan.f-f', least: Fields::written(Statistics::least($camera->apertures)),
                    greatest: Fields::written(Statistics::greatest($camera->apertures)),
                ),
            );
        }

        array_push($warnings, ...self::hints($camera, $iso, $aperture, $stops, $left));

        return new self(
            $fps, $exposure, $wanted, $value, $stops, $filter, $left, $kelvin ?? $scene->kelvin(), $limit,
            Sharpness::hyperfocal($focal, $aperture, $circle) / 2, $warnings, $scene,
        );
    }

    /** What is shown of it in a line: on cards, in the field. */
    public function words(): Fact
    {
        return Fact::of(
            'exposure-plan.set', shutter: $this->exposure->shutter->words(), aperture: Fields::written($this->exposure->aperture),
            iso: Fields::written($this->exposure->iso), filter: $this->filter->words(), kelvin: $this->kelvin,
            fps: Fields::written($this->fps),
        );
    }

    /**
     * Why ISO and aperture are as they are, and what else they could be.
     *
     * @return list<Fact>
     */
    private static function hints(CraftCamera $camera, float $iso, float $aperture, float $stops, float $left): array
    {
        $hints = [];
        if ($iso > self::LOWEST_ISO && $stops > self::OFF) {
            $hints[] = Fact::of('exposure-plan.iso-higher-than-needed', iso: Fields::written($iso), stops: log($iso / self::LOWEST_ISO, 2));
        }
        $widest = Statistics::least($camera->apertures);
        if (count($camera->apertures) > 1 && $left < -self::OFF && $aperture > $widest) {
            $hints[] = Fact::of('exposure-plan.open-aperture', widest: Fields::written($widest), stops: 2 * log($aperture / $widest, 2));
        }

        return $hints;
    }
}
