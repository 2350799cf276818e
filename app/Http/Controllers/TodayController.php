<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\ClassMember;
use App\Documents\LatestComment;
use App\Documents\NextDocument;
use App\Documents\OperatorDocument;
use App\Documents\ShotDocument;
use App\Documents\TakeDocument;
use App\Documents\TodayDocument;
use App\Models\Comment;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use App\Progress\Notices;
use App\Progress\OperatorRecord;
use App\Progress\SuggestNext;
use Documents\Training\TypicalTake;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Larkspur\Training\Group\GroupPicture;
use Larkspur\Training\Next\Circumstances;
use OpenApi\Attributes as OA;

/** What to do next, and the class as its trainer sees it. */
final class TodayController extends Controller
{
    #[OA\Get(
        path: '/today', operationId: 'today',
        responses: [new OA\Response(
            response: 200, description: 'What to practise next, and why', content: new OA\JsonContent(ref: '#/components/schemas/Today'),
        )],
    )]
    public function today(Request $request, SuggestNext $suggest): JsonResponse
    {
        $user = $this->user($request);
        $takes = Take::query()->when(! $user->seesClass(), static fn ($query) => $query->where('operator_id', $user->id))
            ->with(['operator', 'shot'])->withCount('comments');
        $takes->orderByDesc('flown_at')->orderByDesc('id')->limit(6);
        $comment = $user->seesClass() ? null : Comment::query()
            ->whereHas('take', static fn ($query) => $query->where('operator_id', $user->id))
            ->with('author')->latest('id')->first();
        $shot = Shot::query()->when(! $user->seesClass(), static fn ($query) => $query->where('operator_id', $user->id))
            ->with(['site', 'rig', 'operator.school'])->withCount('takes')->latest('updated_at')->first();
        $record = $user->seesClass() ? null : OperatorRecord::of($user);

        return $this->answer(new TodayDocument(
            $record === null ? null : NextDocument::of($suggest($user, $record, Circumstances::FIELD)),
            $record === null ? null : TypicalTake::of($record->standings), $record === null ? $this->needs() : [],
            TakeDocument::each($takes->get()), $shot === null ? null : ShotDocument::of($shot),
            $comment === null ? null : LatestComment::of($comment), Notices::of($user),
        ));
    }

    #[OA\Post(path: '/notices/seen', operationId: 'seenNotices', responses: [
        new OA\Response(response: 204, description: 'What came back until now is not shown again'),
    ])]
    public function seenNotices(Request $request): JsonResponse
    {
        $this->user($request)->forceFill(['notices_seen_at' => now()])->save();

        return $this->answer(null, 204);
    }

    #[OA\Get(path: '/operators', operationId: 'operators', responses: [
        new OA\Response(
            response: 200, description: 'Operators of the class',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Operator')),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function operators(Request $request): JsonResponse
    {
        $this->authorize('see-class');
        $operators = [];
        foreach (User::operators() as $operator) {
            $operators[] = new OperatorDocument($operator->id, $operator->name);
        }

        return $this->answer($operators);
    }

    /** @return list<ClassMember> */
    private function needs(): array
    {
        return array_map(
            ClassMember::of(...), GroupPicture::byNeed(OperatorRecord::each(User::operators()), now()->getTimestamp() / 86400),
        );
    }
}
