<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ReplayTake;
use App\Documents\CommentDocument;
use App\Documents\TakeDetail;
use App\Documents\TakeDocument;
use App\Documents\TakePage;
use App\Documents\TrendDocument;
use App\Http\Requests\CommentRequest;
use App\Http\Requests\DecideRequest;
use App\Http\Requests\TakeList;
use App\Models\Comment;
use App\Models\Rig;
use App\Models\Take;
use Documents\Replay\ReplayDocument;
use Documents\Rig\BobIndexDocument;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Storage;
use Larkspur\Controls\StickMode;
use Larkspur\Telemetry\Analysis\BobIndex;
use Larkspur\Telemetry\Formats;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The logbook: takes, their debrief, what was decided and said about them. */
final class TakeController extends Controller
{
    private const PAGE = 30;

    /** Takes whose scores are drawn over time. */
    private const TREND = 120;

    #[OA\Get(path: '/takes', operationId: 'takes', parameters: [
        new OA\Parameter(name: 'operator', description: 'id; trainers only', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'shot', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(
            name: 'craft', description: 'flown with any rig of this craft', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
        new OA\Parameter(name: 'cursor', in: 'query', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(
        response: 200, description: 'A page, newest first', content: new OA\JsonContent(ref: '#/components/schemas/TakePage'),
    )])]
    public function index(TakeList $request): JsonResponse
    {
        $page = $this->listed($request)->with(['operator', 'shot'])->withCount('comments')->cursorPaginate(self::PAGE);

        return $this->answer(new TakePage(TakeDocument::each($page->items()), $page->nextCursor()?->encode()));
    }

    #[OA\Get(path: '/trend', operationId: 'trend', parameters: [
        new OA\Parameter(name: 'operator', description: 'id; trainers only', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'shot', in: 'query', schema: new OA\Schema(type: 'integer')),
    ], responses: [new OA\Response(
        response: 200, description: 'Scores over time, oldest first',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Trend')),
    )])]
    public function trend(TakeList $request): JsonResponse
    {
        $latest = $this->listed($request)->with('operator');
        // What automation flew says nothing about the hands.
        $latest->where('automated', false)->limit(self::TREND);
        $trends = [];
        foreach ($latest->get()->reverse()->groupBy('operator_id') as $takes) {
            $trends[] = TrendDocument::of($takes[0]->operator->name, array_values($takes->all()));
        }

        return $this->answer($trends);
    }

    #[OA\Get(path: '/takes/{take}', operationId: 'take', parameters: [new OA\Parameter(
        name: 'take', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'The take and its judgement', content: new OA\JsonContent(ref: '#/components/schemas/TakeDetail'),
        ),
        new OA\Response(response: 404, description: 'Not in your school', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function show(Take $take): JsonResponse
    {
        $this->authorize('view', $take);

        return $this->answer(TakeDetail::of(
            $take->load(['operator', 'shot.site', 'shot.rig', 'rig', 'log', 'judgement', 'comments.author'])->loadCount('comments')));
    }

    #[OA\Get(path: '/takes/{take}/bob', operationId: 'bobIndex', parameters: [new OA\Parameter(
        name: 'take', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'Whether speed was made with throttle',
            content: new OA\JsonContent(ref: '#/components/schemas/BobIndex'),
        ),
        new OA\Response(
            response: 422, description: 'The log does not say what the sticks did',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function bob(Take $take): JsonResponse
    {
        $this->authorize('view', $take);

        return $this->answer(BobIndexDocument::of(BobIndex::of($take->load('log')->log->read()->between($take->from_s, $take->to_s))));
    }

    #[OA\Get(path: '/takes/{take}/replay', operationId: 'replay', parameters: [new OA\Parameter(
        name: 'take', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'Series for the pictures', content: new OA\JsonContent(ref: '#/components/schemas/Replay'),
        ),
    ])]
    public function replay(Take $take, ReplayTake $replay): JsonResponse
    {
        $this->authorize('view', $take);

        return $this->answer(ReplayDocument::of(
            $replay($take->load([
                'operator.school', 'shot.site', 'shot.rig', 'shot.operator.school', 'log', 'judgement',
            ])), StickMode::from($take->operator->stick_mode),
        ));
    }

    #[OA\Get(path: '/takes/{take}/log', operationId: 'takeLog', parameters: [new OA\Parameter(
        name: 'take', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'The log, byte for byte',
            content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
    ])]
    public function log(Take $take): StreamedResponse
    {
        $this->authorize('view', $take);

        $log = $take->load('log')->log;

        return Storage::download($log->path(), $log->file_name, ['Content-Type' => Formats::mediaType($log->file_name)]);
    }

    #[OA\Patch(path: '/takes/{take}', operationId: 'decide', parameters: [new OA\Parameter(
        name: 'take', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['decision'],
            properties: [new OA\Property(property: 'decision', type: 'string', enum: ['keep', 'drop'], nullable: true)], type: 'object',
        ),
    ), responses: [
        new OA\Response(response: 200, description: 'Decided', content: new OA\JsonContent(ref: '#/components/schemas/Take')),
    ])]
    public function update(DecideRequest $request, Take $take): JsonResponse
    {
        $this->authorize('decide', $take);
        $take->update(['decision' => $request->input('decision')]);

        return $this->answer(TakeDocument::of($take->load(['operator', 'shot'])->loadCount('comments')));
    }

    #[OA\Post(path: '/takes/{take}/comments', operationId: 'comment', parameters: [new OA\Parameter(
        name: 'take', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['at_s', 'text'], properties: [
        new OA\Property(property: 'at_s', type: 'number'), new OA\Property(property: 'text', type: 'string', maxLength: 2000),
    ], type: 'object')), responses: [
        new OA\Response(response: 201, description: 'Said', content: new OA\JsonContent(ref: '#/components/schemas/Comment')),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function comment(CommentRequest $request, Take $take): JsonResponse
    {
        $this->authorize('comment', $take);
        $comment = Comment::query()->create([
            'take_id' => $take->id, 'author_id' => $this->user($request)->id, 'at_s' => $request->float('at_s'),
            'text' => $request->string('text')->trim()->toString(),
        ]);

        return $this->answer(CommentDocument::of($comment->load('author')), 201);
    }

    /**
     * The takes that this person may see and asked for, newest first.
     *
     * @return Builder<Take>
     */
    private function listed(TakeList $request): Builder
    {
        $user = $this->user($request);
        $query = Take::query();
        $query->orderByDesc('flown_at')->orderByDesc('id');
        if (! $user->isTrainer()) {
            $query->where('operator_id', $user->id);
        } elseif ($request->integer('operator') > 0) {
            $query->where('operator_id', $request->integer('operator'));
        }
        if ($request->integer('shot') > 0) {
            $query->where('shot_id', $request->integer('shot'));
        }

        if ($request->integer('craft') > 0) {
            $query->whereIn('rig_id', Rig::query()->where('craft_id', $request->integer('craft'))->select('id'));
        }

        return $query;
    }
}
