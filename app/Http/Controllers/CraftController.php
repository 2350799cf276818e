<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\KeepCraft;
use App\Actions\RemoveCraft;
use App\Actions\ShareCraft;
use App\Documents\CraftDocument;
use App\Documents\StepTestDocument;
use App\Http\Requests\CraftForm;
use App\Http\Requests\StepTestRequest;
use App\Models\Craft;
use App\Models\Rig;
use Closure;
use Documents\Rig\HoverPointDocument;
use Documents\Rig\StepFitDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Larkspur\Rig\Craft as CraftSheet;
use Larkspur\Telemetry\Analysis\HoverPoint;
use Larkspur\Telemetry\Analysis\StepTest;
use OpenApi\Attributes as OA;

/** Machines: entered by form, or measured by a step test. */
final class CraftController extends Controller
{
    #[OA\Get(
        path: '/crafts', operationId: 'crafts',
        responses: [new OA\Response(
            response: 200, description: 'The craft of the school',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Craft')),
        )],
    )]
    public function index(Request $request): JsonResponse
    {
        $crafts = Craft::seenBy($this->user($request));
        $crafts->orderBy('id')->limit(200);

        return $this->answer(array_map(
            fn (Craft $craft): CraftDocument => CraftDocument::of($craft, $this->user($request)), $crafts->get()->all(),
        ));
    }

    #[OA\Get(path: '/crafts/ordinary', operationId: 'ordinaryCraft', parameters: [new OA\Parameter(
        name: 'name', in: 'query', required: true, schema: new OA\Schema(type: 'string'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'A middling craft to begin with; nothing is kept',
            content: new OA\JsonContent(ref: '#/components/schemas/CraftDocument'),
        ),
    ])]
    public function ordinary(Request $request): JsonResponse
    {
        return $this->answer(CraftSheet::ordinary($request->string('name', 'A craft')->limit(120, '')->toString())->toArray());
    }

    #[OA\Post(path: '/crafts', operationId: 'enterCraft', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/CraftForm'),
    ), responses: [
        new OA\Response(
            response: 201, description: 'Entered, with a rig of the school as it leaves the box',
            content: new OA\JsonContent(ref: '#/components/schemas/Craft'),
        ),
        new OA\Response(
            response: 422, description: 'A number is out of range, or the name is taken',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function store(CraftForm $request, KeepCraft $keep): JsonResponse
    {
        return $this->answer(CraftDocument::of($keep(
            null, $request->document(), $request->measured(), 0, $this->user($request),
        ), $this->user($request)), 201);
    }

    #[OA\Put(path: '/crafts/{craft}', operationId: 'changeCraft', parameters: [new OA\Parameter(
        name: 'craft', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/CraftForm')), responses: [
        new OA\Response(
            response: 200, description: 'Changed; rigs of it keep what they are',
            content: new OA\JsonContent(ref: '#/components/schemas/Craft'),
        ),
        new OA\Response(
            response: 403, description: 'Of the school’s trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
        new OA\Response(
            response: 422, description: 'A number is out of range, or somebody changed it meanwhile',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function update(CraftForm $request, Craft $craft, KeepCraft $keep): JsonResponse
    {
        $this->authorize('update', $craft);

        Trail::note('craft-changed', $craft->name);

        return $this->answer(CraftDocument::of($keep(
            $craft, $request->document(), $request->measured() ?? $craft->measured, $request->integer('version'), $this->user($request),
        ), $this->user($request)));
    }

    #[OA\Post(path: '/crafts/{craft}/sharing', operationId: 'shareCraft', parameters: [new OA\Parameter(
        name: 'craft', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'The whole school sees it now', content: new OA\JsonContent(ref: '#/components/schemas/Craft'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function share(Request $request, Craft $craft, ShareCraft $share): JsonResponse
    {
        $this->authorize('share', $craft);
        Trail::note('craft-shared', $craft->name);

        return $this->answer(CraftDocument::of($share($craft, $this->user($request)), $this->user($request)));
    }

    #[OA\Delete(path: '/crafts/{craft}', operationId: 'removeCraft', parameters: [new OA\Parameter(
        name: 'craft', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 204, description: 'Removed, with its rigs'),
        new OA\Response(response: 403, description: 'Not yours', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        new OA\Response(
            response: 422, description: 'Something was planned or flown with it',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function destroy(Craft $craft, RemoveCraft $remove): Response
    {
        $this->authorize('update', $craft);
        $remove($craft);
        Trail::note('craft-removed', $craft->name);

        return new Response(status: 204);
    }

    #[OA\Post(path: '/crafts/{craft}/step-tests', operationId: 'fitStepTest', parameters: [new OA\Parameter(
        name: 'craft', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\MediaType(mediaType: 'multipart/form-data',
        schema: new OA\Schema(required: ['log', 'mode'], properties: [
            new OA\Property(property: 'log', description: 'full stick, held, let go: each finger alone', type: 'string', format: 'binary'),
            new OA\Property(property: 'mode', type: 'string', enum: ['slow', 'standard', 'fast']),
        ], type: 'object'))), responses: [
            new OA\Response(
                response: 200, description: 'What was measured, and the craft as it would be with it; nothing is kept',
                content: new OA\JsonContent(ref: '#/components/schemas/StepTest'),
            ),
            new OA\Response(response: 422, description: 'No step in it', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        ])]
    public function stepTest(StepTestRequest $request, Craft $craft): JsonResponse
    {
        $this->authorize('view', $craft);
        $fits = StepTest::fit($request->log());
        $mode = $request->string('mode')->toString();

        return $this->answer(new StepTestDocument(
            $mode, array_map(StepFitDocument::of(...), $fits), $craft->sheet()->measured($mode, $fits)->toArray(),
            $craft->sheet()->unlike($mode, $fits),
        ));
    }

    #[OA\Post(path: '/hover-points', operationId: 'hoverPoint', requestBody: new OA\RequestBody(
        required: true, content: new OA\MediaType(mediaType: 'multipart/form-data', schema: new OA\Schema(properties: [
            new OA\Property(property: 'log', description: 'a hover log', type: 'string', format: 'binary'),
            new OA\Property(
                property: 'rig', description: 'id of the rig whose kept throttle, limit and curve, it was flown with', type: 'integer',
            ),
            new OA\Property(
                property: 'trials', description: 'in place of a log: throttle, share of full, and climb, m/s', type: 'array',
                items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')),
            ),
        ], type: 'object'))
    ), responses: [
        new OA\Response(response: 200, description: 'Where it hovers', content: new OA\JsonContent(ref: '#/components/schemas/HoverPoint')),
        new OA\Response(
            response: 422, description: 'It hovers nowhere in this', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function hoverPoint(StepTestRequest $request): JsonResponse
    {
        $hover = $request->hasFile('log')
            ? HoverPoint::ofLog($request->log(), $request->filled('rig') ? $this->flownWith($request->integer('rig')) : null)
            : HoverPoint::ofTrials($request->trials());

        return $this->answer(HoverPointDocument::of($hover));
    }

    /**
     * How the throttle of a kept rig is set up; null where it has none.
     *
     * @return ?Closure(float): float
     */
    private function flownWith(int $rig): ?Closure
    {
        $ducted = $this->seen(Rig::class, $rig)->sheet()->ducted;

        return $ducted === null ? null : $ducted->throttle(...);
    }
}
