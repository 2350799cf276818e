<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\ReplayTake;
use App\Documents\CommentDocument;
use App\Documents\TakeDetail;
use App\Documents\TakeDocument;
use App\Documents\TakePage;
use App\Files\Vault;
use App\Http\Requests\CommentRequest;
use App\Http\Requests\DecideRequest;
use App\Http\Requests\TakeList;
use App\Models\Comment;
use App\Models\Take;
use Documents\Replay\ReplayDocument;
use Documents\Rig\BobIndexDocument;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Larkspur\Measure\Angle;
use Larkspur\Telemetry\Analysis\BobIndex;
use Larkspur\Telemetry\Analysis\TurnsAbove;
use Larkspur\Telemetry\Formats;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The logbook: takes, their debrief, what was decided and said about them. */
final class TakeController extends Controller
{
    private const PAGE = 30;

    #[OA\Get(path: '/takes', operationId: 'takes', parameters: [
        new OA\Parameter(name: 'operator', description: 'id; trainers only', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'shot', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(
            name: 'craft', description: 'flown with any rig of this craft', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
        new OA\Parameter(name: 'site', description: 'where its shot is flown', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'least', description: 'score', in: 'query', schema: new OA\Schema(type: 'number')),
        new OA\Parameter(name: 'most', description: 'score', in: 'query', schema: new OA\Schema(type: 'number')),
        new OA\Parameter(name: 'move', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'flown', in: 'query', schema: new OA\Schema(type: 'string', enum: ['hand', 'automated', 'practised'])),
        new OA\Parameter(name: 'mode', in: 'query', schema: new OA\Schema(type: 'string', enum: ['slow', 'standard', 'fast'])),
        new OA\Parameter(name: 'direction', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(
            name: 'air', description: 'mean wind of its log or its plan, m/s, from and to before: 3-6, or 6-; or unknown', in: 'query',
            schema: new OA\Schema(type: 'string'),
        ),
        new OA\Parameter(name: 'fault', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'from', description: 'a date', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'to', description: 'a date, itself counted', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'cursor', in: 'query', schema: new OA\Schema(type: 'string')),
    ], responses: [new OA\Response(
        response: 200, description: 'A page, newest first', content: new OA\JsonContent(ref: '#/components/schemas/TakePage'),
    )])]
    public function index(TakeList $request): JsonResponse
    {
        $page = $this->listed($request)->with(['operator', 'shot'])->withCount('comments')->cursorPaginate(self::PAGE);

        return $this->answer(new TakePage(TakeDocument::each($page->items()), $page->nextCursor()?->encode()));
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
    ), new OA\Parameter(
        name: 'turn_cap_dps', description: 'a turn rate: how long the take turned faster', in: 'query', schema: new OA\Schema(
            type: 'number', minimum: 1, maximum: 1000,
        ),
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
    public function bob(Request $request, Take $take): JsonResponse
    {
        $this->authorize('view', $take);
        $request->validate(['turn_cap_dps' => ['sometimes', 'numeric', 'between:1,1000']]);
        $log = $take->load('log')->log->read()->between($take->from_s, $take->to_s);
        $cap = $request->filled('turn_cap_dps') ? $request->float('turn_cap_dps') * Angle::DEGREE : null;

        return $this->answer(BobIndexDocument::of(BobIndex::of($log), $cap === null ? null : TurnsAbove::of($log, $cap)));
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
            ])), $take->held()->mode,
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
    public function log(Take $take, Vault $vault): StreamedResponse
    {
        $this->authorize('view', $take);

        $log = $take->load('log')->log;

        Trail::note('log-taken', $log->file_name);
        $stream = $vault->open($log);

        return response()->streamDownload(static function () use ($stream): void {
            fpassthru($stream);
            fclose($stream);
        }, $log->file_name, ['Content-Type' => Formats::mediaType($log->file_name), 'Content-Length' => (string) $log->bytes]);
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
     * Those that somebody may see, as they ask for them, newest first.
     *
     * @return Builder<Take>
     */
    private function listed(TakeList $request): Builder
    {
        $user = $this->user($request);
        $query = Take::query();
        $query->orderByDesc('flown_at')->orderByDesc('id');
        if (! $user->seesClass()) {
            $query->where('operator_id', $user->id);
        } elseif ($request->integer('operator') > 0) {
            $query->where('operator_id', $request->integer('operator'));
        }

        return $request->narrow($query);
    }
}
