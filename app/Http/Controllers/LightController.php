<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DraftShot;
use App\Actions\TellLight;
use App\Http\Requests\ExposureWanted;
use App\Http\Requests\LightWanted;
use App\Models\Rig;
use App\Models\Site;
use Illuminate\Http\JsonResponse;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Camera\NdFilter;
use Larkspur\Camera\Scene;
use Larkspur\Choreography\Planner;
use Larkspur\Fields;
use Larkspur\Site\Light;
use OpenApi\Attributes as OA;

/** Light and exposure: the sun over a day, where it falls on a shot, and what the camera is set to. */
final class LightController extends Controller
{
    #[OA\Post(path: '/light', operationId: 'light', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/LightWanted')), responses: [
        new OA\Response(response: 200, description: 'The sun’s day, and the light on a shot', content: new OA\JsonContent(ref: '#/components/schemas/LightDay')),
        new OA\Response(response: 422, description: 'No such day', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function light(LightWanted $request, DraftShot $draft, TellLight $tell): JsonResponse
    {
        $site = Site::query()->findOrFail($request->integer('site_id'));
        $plan = null;
        if ($request->filled('move')) {
            $rig = Rig::query()->findOrFail($request->integer('rig_id'));
            $plan = Planner::plan($draft($site, $rig, $this->user($request), $request->draft())['shot']);
        }

        return $this->answer($tell($site->sheet()->home, $request->string('date')->toString(), $plan, Light::read(Fields::of(['light' => $request->input('light')])->groupOrNull('light'))));
    }

    #[OA\Post(path: '/exposures', operationId: 'exposure', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/ExposureWanted')), responses: [
        new OA\Response(response: 200, description: 'What the camera is set to', content: new OA\JsonContent(ref: '#/components/schemas/Exposure')),
        new OA\Response(response: 422, description: 'The camera has no such setting', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function exposure(ExposureWanted $request): JsonResponse
    {
        $rig = Rig::query()->with('model')->findOrFail($request->integer('rig_id'));
        $craft = $rig->model->sheet();
        $scene = Scene::from($request->string('scene', Scene::Sun->value)->toString());
        /** @var list<float> $bag */
        $bag = array_values(array_map(floatval(...), $request->array('filters')));
        $plan = ExposurePlan::of(
            $craft->camera, $rig->camera['focal_mm'] ?? $craft->camera->focals[0], $request->float('fps', $craft->camera->frameRates[0]), $request->float('iso', 100), $request->float('aperture', $craft->camera->apertures[0]),
            $scene, $request->filled('meter_ev') ? $request->float('meter_ev') : null, $request->has('filters') ? $bag : NdFilter::COMMON, $request->filled('kelvin') ? $request->integer('kelvin') : null,
            $request->boolean('automatic_white'), $request->float('angle_deg', 180), $request->float('clipped', 0),
        );

        return $this->answer([
            ...$plan->toArray(),
            'camera' => ['frame_rates' => $craft->camera->frameRates, 'apertures' => $craft->camera->apertures],
            'scenes' => array_map(static fn (Scene $one): array => ['id' => $one->value, 'name' => $one->words(), 'ev' => $one->value(), 'kelvin' => $one->kelvin()], Scene::cases()),
        ]);
    }
}
