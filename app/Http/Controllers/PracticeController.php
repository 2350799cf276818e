<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepRecording;
use App\Documents\PairDocument;
use App\Documents\PracticePass;
use App\Documents\SpotChoice;
use App\Documents\SpottingDocument;
use App\Documents\SpotVerdict;
use App\Http\Requests\ExerciseWanted;
use App\Http\Requests\RecordingSent;
use App\Models\Recording;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Site;
use App\Models\Spotting;
use App\Models\Take;
use App\Practice\KeepRehearsal;
use App\Practice\SetExercise;
use App\Spoken;
use Documents\Move\LessonFlight;
use Documents\Plan\PlanDocument;
use Documents\Practice\DetectionDocument;
use Documents\Practice\RehearsalDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Larkspur\Choreography\Planner;
use Larkspur\Move\Catalogue;
use Larkspur\Practice\SpotRound;
use Larkspur\Training\Lesson;
use OpenApi\Attributes as OA;

/** Practice in Fly: exercises, the recordings that come back, dry rehearsals, and takes with hidden faults. */
final class PracticeController extends Controller
{
    /** Samples of 0.02 s between those sent to the page. */
    private const STRIDE = 5;

    #[OA\Post(path: '/exercises', operationId: 'setExercise', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/ExerciseWanted'),
    ), responses: [
        new OA\Response(response: 200, description: 'The exercise', content: new OA\JsonContent(ref: '#/components/schemas/Exercise')),
        new OA\Response(response: 422, description: 'It can’t be flown', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function exercise(ExerciseWanted $request, SetExercise $set): JsonResponse
    {
        $user = $this->user($request);
        $conditions = $request->array('conditions');
        $seed = $request->integer('seed');
        if ($request->filled('shot_id')) {
            $shot = $this->seen(Shot::class, $request->integer('shot_id'), 'fly');
            $shot->load(['site', 'rig', 'operator.school']);

            return $this->answer($set->ofShot($user, $shot, $conditions, $seed, Spoken::to()));
        }
        $draft = $request->draft();
        $site = Site::query()->findOrFail($draft['site_id']);
        $rig = $this->seen(Rig::class, $draft['rig_id']);
        $kind = $request->input('kind') === 'free' ? 'free' : 'plan';

        return $this->answer($set->ofDraft($kind, $user, $site, $rig, $draft, $conditions, $seed, Spoken::to()));
    }

    #[OA\Post(path: '/recordings', operationId: 'keepRecording', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/RecordingSent'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'Flown again and judged; sent again it is answered the same',
            content: new OA\JsonContent(ref: '#/components/schemas/PracticePass'),
        ),
        new OA\Response(
            response: 422, description: 'It is no whole recording of what was set',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function record(RecordingSent $request, KeepRecording $keep): JsonResponse
    {
        /** @var array<string, mixed> $recording */
        $recording = $request->array('recording');

        return $this->answer(PracticePass::of($keep(
            $this->user($request), $request->string('envelope')->toString(), $request->string('seal')->toString(), $recording,
            $request->madeAt(),
        )));
    }

    #[OA\Get(path: '/recordings/{recording}/file', operationId: 'recordingFile', parameters: [
        new OA\Parameter(name: 'recording', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [new OA\Response(
        response: 200, description: 'The recording with its exercise (larkspur/recording/1)',
        content: new OA\MediaType(mediaType: 'application/json', schema: new OA\Schema(type: 'string')),
    )])]
    public function file(Recording $recording): Response
    {
        $this->authorize('view', $recording);

        return response($recording->file(), 200, [
            'Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="recording-'.$recording->id.'.json"',
        ]);
    }

    #[OA\Post(path: '/rehearsals', operationId: 'rehearse', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/RecordingSent'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'Judged finger by finger; counted apart from flying',
            content: new OA\JsonContent(ref: '#/components/schemas/Rehearsal'),
        ),
        new OA\Response(
            response: 422, description: 'It is no whole recording', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function rehearse(RecordingSent $request, KeepRehearsal $keep): JsonResponse
    {
        /** @var array<string, mixed> $recording */
        $recording = $request->array('recording');

        return $this->answer(RehearsalDocument::of($keep(
            $this->user($request), $request->string('envelope')->toString(), $request->string('seal')->toString(), $recording,
            $request->madeAt(),
        )));
    }

    #[OA\Get(path: '/shots/{shot}/pair', operationId: 'pair', parameters: [
        new OA\Parameter(name: 'shot', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(
            name: 'fault', description: 'the first of the move’s typical ones where left out', in: 'query',
            schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [new OA\Response(
        response: 200, description: 'Flown clean, and with one fault', content: new OA\JsonContent(ref: '#/components/schemas/Pair'),
    )])]
    public function pair(Request $request, Shot $shot): JsonResponse
    {
        $this->authorize('fly', $shot);
        $request->validate(['fault' => ['sometimes', 'string', 'max:40']]);
        $shot->load(['site', 'rig', 'operator.school']);
        $plan = Planner::plan($shot->planned());
        $typical = Catalogue::move($shot->move)->about()->faults;
        $fault = $request->string('fault', $typical[0] ?? '')->toString();

        return $this->answer(new PairDocument(
            PlanDocument::of($plan, self::STRIDE), $plan->shot->site->toArray(), LessonFlight::of(Lesson::flown($plan, null), self::STRIDE),
            LessonFlight::of(Lesson::flown($plan, $fault === '' ? null : $fault), self::STRIDE), SpotChoice::ofMove($shot->move),
        ));
    }

    #[OA\Post(path: '/spottings', operationId: 'spot', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(
        required: ['shot_id'], properties: [
            new OA\Property(property: 'shot_id', type: 'integer'),
            new OA\Property(
                property: 'faults', description: 'to choose from; the move’s typical ones where left out', type: 'array',
                items: new OA\Items(type: 'string'),
            ),
            new OA\Property(property: 'own', description: 'those that one makes oneself most often', type: 'boolean'),
        ], type: 'object',
    )), responses: [new OA\Response(
        response: 200, description: 'A take with a hidden fault, or with none',
        content: new OA\JsonContent(ref: '#/components/schemas/Spotting'),
    )])]
    public function spot(Request $request): JsonResponse
    {
        $request->validate([
            'shot_id' => ['required', 'integer'], 'faults' => ['sometimes', 'array', 'max:20'], 'faults.*' => ['string', 'max:40'],
        ]);
        $shot = $this->seen(Shot::class, $request->integer('shot_id'), 'fly');
        $shot->load(['site', 'rig', 'operator.school']);
        $user = $this->user($request);
        $wanted = $request->boolean('own')
            ? Take::commonestFaults($user->id) : array_values(array_filter($request->array('faults'), is_string(...)));
        $round = SpotRound::of(Planner::plan($shot->planned()), random_int(1, 999999), $wanted);
        $spotting = Spotting::query()->create([
            'school_id' => $user->school_id, 'operator_id' => $user->id, 'shot_id' => $shot->id, 'move' => $shot->move,
            'fault' => $round->fault, 'finger' => $round->finger?->value, 'from_s' => $round->from, 'to_s' => $round->to,
        ]);

        return $this->answer(SpottingDocument::of($spotting, $round));
    }

    #[OA\Put(path: '/spottings/{spotting}', operationId: 'answerSpotting', parameters: [
        new OA\Parameter(name: 'spotting', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(properties: [
        new OA\Property(property: 'at_s', description: 'null: nothing was wrong', type: 'number', nullable: true),
        new OA\Property(property: 'fault', type: 'string', nullable: true),
        new OA\Property(property: 'finger', type: 'string', nullable: true),
    ], type: 'object')), responses: [new OA\Response(
        response: 200, description: 'What was hidden', content: new OA\JsonContent(ref: '#/components/schemas/SpotVerdict'),
    )])]
    public function answerSpotting(Request $request, Spotting $spotting): JsonResponse
    {
        $this->authorize('update', $spotting);
        $request->validate([
            'at_s' => ['present', 'nullable', 'numeric', 'between:0,3600'], 'fault' => ['nullable', 'string', 'max:40'],
            'finger' => ['nullable', 'string', 'max:10'],
        ]);
        // The first answer counts: what was hidden is told with it.
        if ($spotting->outcome === null) {
            $at = $request->filled('at_s') ? $request->float('at_s') : null;
            $spotting->update([
                'said' => ['at_s' => $at, 'fault' => $request->input('fault'), 'finger' => $request->input('finger')],
                'outcome' => SpotRound::outcome($spotting->from_s, $spotting->to_s, $at),
            ]);
        }

        return $this->answer(SpotVerdict::of($spotting));
    }

    #[OA\Get(path: '/spottings/record', operationId: 'spottingRecord', responses: [new OA\Response(
        response: 200, description: 'How well one’s eye has told so far',
        content: new OA\JsonContent(ref: '#/components/schemas/Detection'),
    )])]
    public function spottingRecord(Request $request): JsonResponse
    {
        return $this->answer(DetectionDocument::of(Spotting::detectionOf($this->user($request)->id)));
    }
}
