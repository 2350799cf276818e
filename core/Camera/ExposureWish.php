<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/**
 * What a camera is to be set for: kept with a shot, so that it is on its card and in the field. What is left out follows from the camera
 * and the scene. A meter is read as it shows: a shutter at an ISO and an aperture, or an EV at ISO 100.
 */
final readonly class ExposureWish
{
    /**
     * @param  ?float  $meterEv  EV at ISO 100
     * @param  ?float  $meterShutter  denominator of the shutter that the meter shows, 1/s: 1600 for 1/1600
     * @param  ?float  $meterIso  at which it shows it; as the camera is set where null
     * @param  ?float  $meterAperture  likewise
     * @param  ?list<float>  $bag  factors of the filters that are there; empty for none, null for what is commonly carried
     * @param  float  $clipped  share of the picture against the right edge of the histogram, %
     * @param  float  $crushed  share against the left one, %
     */
    private function __construct(
        public ?float $fps, public ?float $iso, public ?float $aperture, public ?Scene $scene, public ?float $meterEv,
        public ?float $meterShutter, public ?float $meterIso, public ?float $meterAperture, public ?array $bag, public ?int $kelvin,
        public bool $automaticWhite, public float $angle, public float $clipped, public float $crushed,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $kelvin = $fields->numberOrNull('kelvin', 2000, 12000, 'K');
        // An empty bag is known: it is no bag that nobody spoke of.
        $bag = ! $fields->has('filters') ? null : ($fields->listIsEmpty('filters') ? [] : $fields->numbers('filters', 1, 100000));
        if ($bag !== null && count($bag) > 20) {
            throw new Refusal(Fact::of('exposure.many-filters'), $fields->place('filters'), Fact::of('exposure.up-to-filters'));
        }

        return new self(
            $fields->numberOrNull('fps', 1, 1000), $fields->numberOrNull('iso', 25, 204800), $fields->numberOrNull('aperture', 0.7, 45),
            Scene::tryFrom($fields->choiceOrNull('scene', array_column(Scene::cases(), 'value')) ?? ''),
            $fields->numberOrNull('meter_ev', -8, 22), $fields->numberOrNull('meter_shutter', 0.03, 64000, '1/s'),
            $fields->numberOrNull('meter_iso', 25, 204800), $fields->numberOrNull('meter_aperture', 0.7, 45), $bag,
            $kelvin === null ? null : (int) $kelvin, $fields->flag('automatic_white'), $fields->numberOrNull('angle_deg', 5, 360) ?? 180.0,
            $fields->numberOrNull('clipped', 0, 100, '%') ?? 0.0, $fields->numberOrNull('crushed', 0, 100, '%') ?? 0.0,
        );
    }

    /**
     * What the camera is set to by it.
     *
     * @param  float  $focal  mm
     * @param  ?float  $sun  elevation of the sun as it is flown, rad: the light where there is neither meter nor scene; null where unknown
     */
    public function plan(CraftCamera $camera, float $focal, ?float $sun = null): ExposurePlan
    {
        $iso = $this->iso ?? 100.0;
        $aperture = $this->aperture ?? $camera->apertures[0];

        return ExposurePlan::of(
            $camera, $focal, $this->fps ?? $camera->frameRates[0], $iso, $aperture, $this->scene ?? Scene::under($sun),
            $this->metered($iso, $aperture), $this->bag ?? NdFilter::COMMON, $this->kelvin, $this->automaticWhite, $this->angle,
            new Histogram($this->clipped, $this->crushed),
        );
    }

    /** @return array<string, mixed> what of it was said */
    public function toArray(): array
    {
        return array_filter([
            'fps' => $this->fps, 'iso' => $this->iso, 'aperture' => $this->aperture, 'scene' => $this->scene?->value,
            'meter_ev' => $this->meterEv, 'meter_shutter' => $this->meterShutter, 'meter_iso' => $this->meterIso,
            'meter_aperture' => $this->meterAperture, 'filters' => $this->bag, 'kelvin' => $this->kelvin,
            'automatic_white' => $this->automaticWhite ? true : null, 'angle_deg' => $this->angle === 180.0 ? null : $this->angle,
            'clipped' => $this->clipped > 0 ? $this->clipped : null, 'crushed' => $this->crushed > 0 ? $this->crushed : null,
        ], static fn (mixed $one): bool => $one !== null);
    }

    /** EV at ISO 100 by the meter: log2(N^2 / t) - log2(S / 100) of what it shows; null where nobody read one. */
    private function metered(float $iso, float $aperture): ?float
    {
        return $this->meterShutter === null ? $this->meterEv : (new Exposure(
            $this->meterAperture ?? $aperture, Shutter::ofPart($this->meterShutter), $this->meterIso ?? $iso,
        ))->scene();
    }
}
