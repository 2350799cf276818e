<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\CompareTakes;
use App\Actions\DraftShot;
use App\Actions\FlyShot;
use App\Documents\ImportDocument;
use App\Documents\ShotDocument;
use App\Http\Requests\FlyRequest;
use App\Http\Requests\SaveShot;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Planner;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Refusal;
use OpenApi\Attributes as OA;

/** Shots that were kept, and flights of them. */
final class ShotController extends Controller
{
    #[OA\Get(path: '/shots', operationId: 'shots', parameters: [
        new OA\Parameter(name: 'operator', description: 'id; trainers only', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'site', description: 'id', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'find', description: 'words of its name', in: 'query', schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(
            response: 200, description: 'Shots, latest first, sixty at most',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Shot')),
        ),
    ])]
    public function index(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $query = Shot::query()->with(['site', 'rig', 'operator.school'])->withCount('takes')->latest('updated_at');
        if (! $user->seesClass()) {
            $query->where('operator_id', $user->id);
        } elseif ($request->integer('operator') > 0) {
            $query->where('operator_id', $request->integer('operator'));
        }
        if ($request->integer('site') > 0) {
            $query->where('site_id', $request->integer('site'));
        }

        return $this->answer(array_map(ShotDocument::of(...), $this->found($query, 'title', $request)->all()));
    }

    #[OA\Get(path: '/shots/{shot}', operationId: 'shot', parameters: [new OA\Parameter(
        name: 'shot', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 200, description: 'A shot', content: new OA\JsonContent(ref: '#/components/schemas/Shot')),
        new OA\Response(response: 404, description: 'Not in your school', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function show(Shot $shot): JsonResponse
    {
        $this->authorize('view', $shot);

        return $this->answer(ShotDocument::of($shot->load(['site', 'rig', 'operator.school'])->loadCount('takes')));
    }

    #[OA\Post(path: '/shots', operationId: 'saveShot', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/ShotDraft'),
    ), responses: [
        new OA\Response(response: 201, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/Shot')),
        new OA\Response(response: 422, description: 'It can’t be drawn', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function store(SaveShot $request, DraftShot $draft): JsonResponse
    {
        $user = $this->user($request);
        $shot = new Shot(['operator_id' => $user->id]);
        $shot->setRelation('operator', $user);
        $shot->fill($this->drafted($shot, $request, $draft))->save();

        return $this->answer(ShotDocument::of($shot->load(['site', 'rig', 'operator.school'])->loadCount('takes')), 201);
    }

    #[OA\Put(path: '/shots/{shot}', operationId: 'changeShot', parameters: [new OA\Parameter(
        name: 'shot', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/ShotDraft')), responses: [
        new OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/Shot')),
        new OA\Response(
            response: 409, description: 'Somebody kept it first', content: new OA\JsonContent(ref: '#/components/schemas/ShotChanged'),
        ),
    ])]
    public function update(SaveShot $request, Shot $shot, DraftShot $draft): JsonResponse
    {
        $this->authorize('update', $shot);
        $kept = $this->drafted($shot->load('operator'), $request, $draft);
        $shot = $shot->saveOver($request->integer('version'), $kept);

        return $this->answer(ShotDocument::of($shot->load(['site', 'rig', 'operator.school'])->loadCount('takes')));
    }

    #[OA\Delete(path: '/shots/{shot}', operationId: 'removeShot', parameters: [new OA\Parameter(
        name: 'shot', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 204, description: 'Removed; days that had it fly it no more'),
        new OA\Response(response: 422, description: 'It was flown', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function destroy(Shot $shot): Response
    {
        $this->authorize('update', $shot);
        $takes = $shot->takes()->count();
        if ($takes > 0) {
            throw new Refusal(Fact::of('shot.was-flown', takes: $takes), 'shot', Fact::of('expected.shot-without-takes'));
        }
        Trail::note('removed-shot', $shot->title);
        $shot->delete();

        return new Response(status: 204);
    }

    #[OA\Post(path: '/shots/{shot}/flights', operationId: 'flyShot', parameters: [new OA\Parameter(
        name: 'shot', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/FlyRequest')), responses: [
        new OA\Response(
            response: 201, description: 'Flown, by a simulated operator', content: new OA\JsonContent(ref: '#/components/schemas/Import'),
        ),
        new OA\Response(
            response: 403, description: 'Somebody else’s shot', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function fly(FlyRequest $request, Shot $shot, FlyShot $fly): JsonResponse
    {
        $this->authorize('fly', $shot);
        $shot->load(['site', 'rig', 'operator.school']);
        $name = $request->string('operator')->toString();
        $seed = $request->integer('seed');
        $import = $fly(
            $shot, OperatorHabits::named($name, $seed)->slipping(...$request->slips()), $name, $request->wind(), $seed, $shot->operator,
            positioning: $request->boolean('positioning', true),
        );

        return $this->answer(ImportDocument::of($import), 201);
    }

    #[OA\Get(path: '/shots/{shot}/comparison', operationId: 'compareTakes', parameters: [new OA\Parameter(
        name: 'shot', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'Takes of a shot, the best first, and why',
            content: new OA\JsonContent(ref: '#/components/schemas/Comparison'),
        ),
    ])]
    public function comparison(Shot $shot, CompareTakes $compare): JsonResponse
    {
        $this->authorize('view', $shot);

        return $this->answer($compare($shot));
    }

    /** @return array<string, mixed> what is kept of it */
    private function drafted(Shot $shot, SaveShot $request, DraftShot $draft): array
    {
        $site = Site::query()->findOrFail($request->integer('site_id'));
        $rig = $this->seen(Rig::class, $request->integer('rig_id'));
        $operator = $shot->operator;
        assert($operator instanceof User);
        // It is printed for whoever flies it: they must be one who sees it too.
        $this->authorizeForUser($operator, 'view', $rig);
        $drafted = $draft($site, $rig, $operator, $request->draft());
        // Every parameter is fixed when a shot is kept, so that its takes are judged against what was planned that day.
        $intent = Planner::plan($drafted['shot'])->move->intent;

        return [
            'school_id' => $operator->school_id, 'site_id' => $site->id, 'rig_id' => $rig->id,
            'title' => $request->string('title')->toString(),
            'mode' => $request->string('mode')->toString(), 'move' => $intent->move,
            'intent' => [...$drafted['intent'], 'parameters' => $intent->parameters], 'wind' => $drafted['shot']->wind->toArray(),
            ...$request->filled('brief') ? ['brief' => Brief::read(Fields::of($request->array('brief'), 'brief'))->toArray()] : [],
        ];
    }
}
