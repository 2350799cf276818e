<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DraftShot;
use App\Http\Requests\PlanDraft;
use App\Models\Rig;
use App\Models\Site;
use Illuminate\Http\JsonResponse;
use Larkspur\Choreography\Planner;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Parameter;
use Larkspur\Scoring\Expectation;
use OpenApi\Attributes as OA;

/** Works a draft out without keeping it: asked at every drag. */
final class PlanController extends Controller
{
    /** Samples of 0.02 s between those sent to the page. */
    private const STRIDE = 10;

    #[OA\Get(path: '/moves', operationId: 'moves', responses: [new OA\Response(response: 200, description: 'Moves that can be planned, with their parameters', content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Move')))])]
    public function moves(): JsonResponse
    {
        return new JsonResponse(array_map(static function (string $id): array {
            $move = Catalogue::move($id);

            return ['id' => $id, 'name' => $move->about()->name, 'parameters' => array_map(static fn (Parameter $parameter): array => $parameter->toArray(), $move->parameters())];
        }, Catalogue::ids()));
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
