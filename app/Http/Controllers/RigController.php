<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\AdviseRig;
use App\Actions\CompareRigs;
use App\Actions\ReadRig;
use App\Actions\SaveRig;
use App\Actions\TellHistory;
use App\Documents\RigDetail;
use App\Documents\RigDocument;
use App\Http\Requests\AskAdvice;
use App\Http\Requests\RigReading;
use App\Http\Requests\SaveRigRequest;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\User;
use Documents\Rig\ResponseSheetDocument;
use Documents\Rig\RigCamera;
use Documents\Rig\StartingSetDocument;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Rig\House;
use Larkspur\Rig\SettingsEffect;
use OpenApi\Attributes as OA;

/** Rigs: what their numbers mean, what would be better, and how they became what they are. */
final class RigController extends Controller
{
    #[OA\Get(path: '/rigs', operationId: 'rigs', parameters: [new OA\Parameter(
        name: 'operator', description: 'id; trainers only', in: 'query', schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'Your rigs and the school’s, each in its latest version, your own first',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Rig')),
        ),
    ])]
    public function index(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $whose = $user->seesClass() ? ($request->integer('operator') > 0 ? $request->integer('operator') : null) : $user->id;
        $latest = Rig::query()->selectRaw('max(id)')->groupBy('craft_id', 'operator_id');
        $rigs = Rig::query()->with('operator')
            ->when(
                ! $user->seesClass() || $whose !== null,
                static fn (Builder $query) => $query->where(
                    static fn (Builder $own) => $own->whereNull('operator_id')->orWhere('operator_id', $whose),
                ),
            );
        $rigs->whereIn('id', $latest)->orderByRaw('operator_id is null'.(
            $user->seesClass() && $whose === null ? ' desc' : ''
        ))->orderBy('id')->limit(200);

        return $this->answer(array_map(RigDocument::of(...), $rigs->get()->all()));
    }

    #[OA\Get(path: '/rigs/{rig}', operationId: 'rig', parameters: [new OA\Parameter(
        name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'A version of a rig, whole', content: new OA\JsonContent(ref: '#/components/schemas/RigDetail'),
        ),
        new OA\Response(response: 404, description: 'Not in your school', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function show(Request $request, Rig $rig): JsonResponse
    {
        $this->authorize('view', $rig);

        return $this->answer(RigDetail::of($rig->load(['model', 'operator', 'author']), $this->user($request)));
    }

    #[OA\Post(path: '/rigs/{rig}/reading', operationId: 'readRig', parameters: [new OA\Parameter(
        name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/RigDraft')), responses: [
        new OA\Response(
            response: 200, description: 'What the settings mean in a mode; nothing is kept. Of a drag the dragged finger alone',
            content: new OA\JsonContent(ref: '#/components/schemas/RigReading'),
        ),
        new OA\Response(
            response: 422, description: 'They mean nothing, or the craft can’t',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function reading(RigReading $request, Rig $rig, ReadRig $read): JsonResponse
    {
        $this->authorize('view', $rig);
        $rig->load('model');

        return $this->answer($read(
            $rig, $rig->model, $request->string('mode')->toString(), $request->settings(), $request->drag(), $request->focal(),
            $request->float('distance_m', SettingsEffect::LOOKED_AT), $request->cushion(),
        ));
    }

    #[OA\Get(path: '/rigs/{rig}/starting-sets', operationId: 'startingSets', parameters: [new OA\Parameter(
        name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'Sets to begin with for such a craft, laid over the rig; nothing is kept',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/StartingSet')),
        ),
    ])]
    public function startingSets(Rig $rig): JsonResponse
    {
        $this->authorize('view', $rig);

        return $this->answer(StartingSetDocument::for($rig->load('model')->model->sheet(), $rig->sheet()));
    }

    #[OA\Post(path: '/rigs/{rig}/sheet', operationId: 'responseSheet', parameters: [new OA\Parameter(
        name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/RigDraft')), responses: [
        new OA\Response(
            response: 200, description: 'The settings compiled for a page that steps them',
            content: new OA\JsonContent(ref: '#/components/schemas/ResponseSheet'),
        ),
        new OA\Response(
            response: 422, description: 'They mean nothing, or the craft can’t',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function sheet(RigReading $request, Rig $rig): JsonResponse
    {
        $this->authorize('view', $rig);
        $sheet = $rig->load('model')->model->sheet()->setUp($request->settings() ?? $rig->document, $rig->sheet());

        return $this->answer(ResponseSheetDocument::of(
            ResponseSheet::of($sheet, $request->string('mode')->toString()), RigCamera::of($rig->camera),
        ));
    }

    #[OA\Post(path: '/rigs/{rig}/advice', operationId: 'adviseRig', parameters: [new OA\Parameter(
        name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/AskAdvice')), responses: [
        new OA\Response(
            response: 200, description: 'Recommended settings for planned shots',
            content: new OA\JsonContent(ref: '#/components/schemas/RigAdvice'),
        ),
        new OA\Response(
            response: 422, description: 'No shots, or settings without meaning',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function advice(AskAdvice $request, Rig $rig, AdviseRig $advise): JsonResponse
    {
        $this->authorize('view', $rig);
        $user = $this->user($request);
        $shots = Shot::query()->with(['site', 'rig', 'operator.school'])->when(
            ! $user->seesClass(), static fn (Builder $query) => $query->where('operator_id', $user->id),
        );
        $shots->whereIn('id', $request->array('shots'))->orderBy('id');
        $house = $request->filled('house') ? House::from($request->string('house')->toString()) : ($rig->operator ?? $user)->housed();

        return $this->answer($advise(
            $rig->load(['model', 'operator']), $rig->model, $request->string('mode')->toString(), $shots->get(), $house,
            $request->settings(), $user->school,
        ));
    }

    #[OA\Post(path: '/rigs/{rig}/versions', operationId: 'saveRig', parameters: [new OA\Parameter(
        name: 'rig', description: 'the version that was worked on', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SaveRig')), responses: [
        new OA\Response(
            response: 201, description: 'Kept as a new version', content: new OA\JsonContent(ref: '#/components/schemas/RigDetail'),
        ),
        new OA\Response(
            response: 403, description: 'Somebody else’s rig', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
        new OA\Response(
            response: 409, description: 'Somebody saved it first: what each of you changed',
            content: new OA\JsonContent(ref: '#/components/schemas/RigConflict'),
        ),
        new OA\Response(
            response: 422, description: 'Nothing changed, or the craft can’t',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function save(SaveRigRequest $request, Rig $rig, SaveRig $save): JsonResponse
    {
        $this->authorize('view', $rig);
        $operator = $request->filled('operator_id') ? User::query()->findOrFail($request->integer('operator_id')) : null;
        $this->authorize('saveFor', [Rig::class, $operator]);

        $saved = $save(
            $operator, $rig, $request->settings() ?? [], $request->focal(), $request->string('reason')->toString(), $this->user($request),
        );
        Trail::note('rig-saved', $saved->craft.($operator === null ? '' : ' of '.$operator->name).", version $saved->version");

        return $this->answer(RigDetail::of($saved, $this->user($request)), 201);
    }

    #[OA\Get(path: '/rigs/{rig}/history', operationId: 'rigHistory', parameters: [new OA\Parameter(
        name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'Its versions, the latest first, and how scores moved since each',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/RigVersion')),
        ),
    ])]
    public function history(Rig $rig, TellHistory $tell): JsonResponse
    {
        $this->authorize('view', $rig);

        return $this->answer($tell($rig));
    }

    #[OA\Get(path: '/rigs/{rig}/comparison', operationId: 'compareRigs', parameters: [
        new OA\Parameter(name: 'rig', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'with', in: 'query', required: true, schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'mode', in: 'query', schema: new OA\Schema(type: 'string', enum: ['slow', 'standard', 'fast'])),
    ], responses: [
        new OA\Response(
            response: 200, description: 'Two rigs side by side, as curves and as numbers',
            content: new OA\JsonContent(ref: '#/components/schemas/RigComparison'),
        ),
        new OA\Response(
            response: 404, description: 'One of them is not in your school',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function comparison(Request $request, Rig $rig, CompareRigs $compare): JsonResponse
    {
        $this->authorize('view', $rig);
        $other = $this->seen(Rig::class, $request->integer('with'));
        $mode = $request->string('mode')->toString();

        return $this->answer($compare($rig, $other, in_array($mode, \Larkspur\Rig\Rig::MODES, true) ? $mode : 'standard'));
    }
}
