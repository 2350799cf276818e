<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DraftShot;
use App\Http\Requests\PlanDraft;
use App\Http\Requests\WantedPicture;
use App\Models\Rig;
use App\Models\Site;
use Illuminate\Http\JsonResponse;
use Larkspur\Camera\Composition;
use Larkspur\Camera\Lens;
use Larkspur\Choreography\Planner;
use Larkspur\Fields;
use Larkspur\Scoring\Expectation;
use OpenApi\Attributes as OA;

/** Works a draft out without keeping it: asked at every drag. */
final class PlanController extends Controller
{
    /** Samples of 0.02 s between those sent to the page. */
    private const STRIDE = 10;

    #[OA\Post(path: '/compositions', operationId: 'compose', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/WantedPicture')), responses: [
        new OA\Response(response: 200, description: 'Where the lens must be for that picture', content: new OA\JsonContent(ref: '#/components/schemas/Composition')),
        new OA\Response(response: 422, description: 'No such picture can be taken', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function compose(WantedPicture $request): JsonResponse
    {
        $lens = Lens::read(Fields::of(Rig::query()->findOrFail($request->integer('rig_id'))->camera));
        [$subject, $fills, $middle] = [$request->float('subject_m'), $request->float('fills'), 0.5 - $request->float('middle_y', 0.5)];

        return new JsonResponse(($request->filled('height_m')
            ? Composition::fromHeight($lens, $subject, $fills, $middle, $request->float('height_m'))
            : Composition::withHorizon($lens, $subject, $fills, $middle, 0.5 - $request->float('horizon_y', 1 / 3)))->toArray());
    }

    #[OA\Post(path: '/plans', operationId: 'plan', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanDraft')), responses: [
        new OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: '#/components/schemas/Plan')),
        new OA\Response(response: 422, description: 'It can’t be drawn', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function store(PlanDraft $request, DraftShot $draft): JsonResponse
    {
        $site = Site::query()->findOrFail($request->integer('site_id'));
        $rig = Rig::query()->findOrFail($request->integer('rig_id'));
        $shot = $draft($site, $rig, $this->user($request), $request->draft())['shot'];

        $plan = Planner::plan($shot);

        return new JsonResponse($request->boolean('expect', true) ? Expectation::of($plan)->toArray(self::STRIDE) : $plan->toArray(self::STRIDE));
    }
}
