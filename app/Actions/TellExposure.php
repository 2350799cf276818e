<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Rig;
use App\Models\Shot;
use Documents\Light\ExposureDocument;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Camera\ExposureWish;
use Larkspur\Refusal;

/** How a rig's camera is exposed for a scene, with what is in the bag. */
final readonly class TellExposure
{
    /** @param  ?float  $sun  elevation of the sun, rad, where it is known */
    public function __invoke(Rig $rig, ExposureWish $wish, ?float $sun = null): ExposureDocument
    {
        return ExposureDocument::of(self::plan($rig, $wish, $sun), $rig->model->sheet()->camera);
    }

    /** What a shot's camera is set to; null where nobody said what it is to be set for, or its camera can't be set so any more. */
    public static function ofShot(Shot $shot): ?ExposurePlan
    {
        $wish = $shot->brief()->exposure;

        try {
            return $wish === null ? null : self::plan($shot->rig, $wish, null);
        } catch (Refusal) {
            return null;
        }
    }

    private static function plan(Rig $rig, ExposureWish $wish, ?float $sun): ExposurePlan
    {
        $camera = $rig->model->sheet()->camera;

        return $wish->plan($camera, (float) ($rig->camera['focal_mm'] ?? $camera->focals[0]), $sun);
    }
}
