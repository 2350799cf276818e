<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Camera\CraftCamera;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Camera\Scene;
use Larkspur\Fact;

/** How a camera is exposed for a scene, with what is in the bag. */
final readonly class ExposureDocument implements Document
{
    /**
     * @param  string  $estimate  id of the scene that it was estimated as: white balance begins with it, and the light where nothing was
     *     metered
     * @param  list<Fact>  $warnings
     * @param  list<ExposureScene>  $scenes
     */
    public function __construct(
        public float $fps,
        public float $iso,
        public float $aperture,
        public ExposureShutter $shutter,
        public float $sceneEv,
        public string $estimate,
        public ExposureFilter $filter,
        public int $whiteBalanceK,
        public float $diffractionFromF,
        public float $sharpFromM,
        public array $warnings,
        public ExposureCamera $camera,
        public array $scenes,
    ) {
    }

    public static function of(ExposurePlan $plan, CraftCamera $camera): self
    {
        return new self(
            fps: $plan->fps, iso: $plan->exposure->iso, aperture: $plan->exposure->aperture, shutter: ExposureShutter::of($plan),
            sceneEv: round($plan->scene, 2), estimate: $plan->estimate->value,
            filter: ExposureFilter::of($plan), whiteBalanceK: $plan->kelvin,
            diffractionFromF: round($plan->diffraction, 2), sharpFromM: round($plan->sharpFrom, 2), warnings: $plan->warnings,
            camera: ExposureCamera::of($camera), scenes: array_map(ExposureScene::of(...), Scene::cases()),
        );
    }
}
