<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AdviseOperator;
use App\Documents\ClassMember;
use App\Documents\LatestComment;
use App\Documents\OperatorDocument;
use App\Documents\ShotDocument;
use App\Documents\TakeDocument;
use App\Documents\TodayDocument;
use App\Models\Comment;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use Documents\Person;
use Documents\Training\AdviceDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
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
    public function today(Request $request, AdviseOperator $advise): JsonResponse
    {
        $user = $this->user($request);
        $takes = Take::query()->when(! $user->isTrainer(), static fn ($query) => $query->where('operator_id', $user->id))
            ->with(['operator', 'shot'])->withCount('comments');
        $takes->orderByDesc('flown_at')->orderByDesc('id')->limit(6);
        $comment = $user->isTrainer() ? null : Comment::query()
            ->whereHas('take', static fn ($query) => $query->where('operator_id', $user->id))
            ->with('author')->latest('id')->first();
        $shot = Shot::query()->when(! $user->isTrainer(), static fn ($query) => $query->where('operator_id', $user->id))
            ->with(['site', 'rig', 'operator'])->withCount('takes')->latest('updated_at')->first();

        return $this->answer(new TodayDocument(
            $user->isTrainer() ? null : AdviceDocument::of($advise($user, now())), $user->isTrainer() ? $this->classAdvice($advise) : [],
            TakeDocument::each($takes->get()), $shot === null ? null : ShotDocument::of($shot),
            $comment === null ? null : LatestComment::of($comment),
        ));
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
        $counts = Take::query()->selectRaw('operator_id, count(*) as takes')->groupBy('operator_id')->pluck('takes', 'operator_id');
        $operators = [];
        foreach ($this->class() as $operator) {
            $operators[] = new OperatorDocument($operator->id, $operator->name, (int) ($counts[$operator->id] ?? 0));
        }

        return $this->answer($operators);
    }

    /** @return list<ClassMember> */
    private function classAdvice(AdviseOperator $advise): array
    {
        $class = [];
        foreach ($this->class() as $operator) {
            $class[] = new ClassMember(new Person($operator->id, $operator->name), AdviceDocument::of($advise($operator, now())));
        }

        return $class;
    }

    /** @return list<User> operators of the school, by name */
    private function class(): array
    {
        return array_values(User::query()->where('role', User::OPERATOR)->get()->sortBy('name')->all());
    }
}
