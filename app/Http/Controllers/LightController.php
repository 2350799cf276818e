<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DraftShot;
use App\Actions\TellExposure;
use App\Http\Requests\ExposureWanted;
use App\Http\Requests\LightWanted;
use App\Models\Rig;
use App\Models\Site;
use Documents\Light\LightDayDocument;
use Illuminate\Http\JsonResponse;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Planner;
use Larkspur\Fields;
use Larkspur\Site\Light;
use OpenApi\Attributes as OA;

/** Light and exposure: the sun over a day, where it falls on a shot, and what the camera is set to. */
final class LightController extends Controller
{
    #[OA\Post(path: '/light', operationId: 'light', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/LightWanted'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'The sun’s day, and the light on a shot',
            content: new OA\JsonContent(ref: '#/components/schemas/LightDay'),
        ),
        new OA\Response(response: 422, description: 'No such day', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function light(LightWanted $request, DraftShot $draft): JsonResponse
    {
        $site = Site::query()->findOrFail($request->integer('site_id'));
        $plan = null;
        if ($request->filled('move')) {
            $rig = $this->seen(Rig::class, $request->integer('rig_id'));
            $plan = Planner::plan($draft($site, $rig, $this->user($request), $request->draft())['shot']);
        }

        return $this->answer(LightDayDocument::of(
            $site->sheet()->home, $request->string('date')->toString(), $plan,
            Light::read(Fields::of(['light' => $request->input('light')])->groupOrNull('light')),
            Brief::read($request->filled('brief') ? Fields::of($request->array('brief'), 'brief') : null),
        ));
    }

    #[OA\Post(path: '/exposures', operationId: 'exposure', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/ExposureWanted'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'What the camera is set to', content: new OA\JsonContent(ref: '#/components/schemas/Exposure'),
        ),
        new OA\Response(
            response: 422, description: 'The camera has no such setting', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function exposure(ExposureWanted $request, TellExposure $tell): JsonResponse
    {
        return $this->answer($tell($this->seen(Rig::class, $request->integer('rig_id'))->load('model'), $request->wish(), $request->sun()));
    }
}
