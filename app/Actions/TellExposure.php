<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use Documents\Light\ExposureDocument;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Camera\NdFilter;
use Larkspur\Camera\Scene;

/** How a rig's camera is exposed for a scene, with what is in the bag. */
final readonly class TellExposure
{
    /**
     * @param  array{
     *     scene?: ?string, filters?: ?list<int|float>, fps?: ?float, iso?: ?float, aperture?: ?float, meter_ev?: ?float, kelvin?: ?int,
     *     automatic_white?: ?bool, angle_deg?: ?float, clipped?: ?float,
     * }  $wanted
     */
    public function __invoke(Rig $rig, array $wanted): ExposureDocument
    {
        $camera = $rig->model->sheet()->camera;
        $plan = ExposurePlan::of(
            $camera, (float) ($rig->camera['focal_mm'] ?? $camera->focals[0]), (float) ($wanted['fps'] ?? $camera->frameRates[0]),
            (float) ($wanted['iso'] ?? 100), (float) ($wanted['aperture'] ?? $camera->apertures[0]),
            Scene::from($wanted['scene'] ?? Scene::Sun->value), isset($wanted['meter_ev']) ? (float) $wanted['meter_ev'] : null,
            isset($wanted['filters']) ? array_map(floatval(...), $wanted['filters']) : NdFilter::COMMON,
            isset($wanted['kelvin']) ? (int) $wanted['kelvin'] : null, (bool) ($wanted['automatic_white'] ?? false),
            (float) ($wanted['angle_deg'] ?? 180), (float) ($wanted['clipped'] ?? 0),
        );

        return ExposureDocument::of($plan, $camera);
    }
}
