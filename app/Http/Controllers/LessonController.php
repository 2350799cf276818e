<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\GiveLesson;
use App\Documents\GivenLesson;
use App\Http\Requests\LessonForm;
use App\Models\Lesson;
use App\Models\LessonMember;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Lessons that a trainer sets, and what those make of them to whom they were given. */
final class LessonController extends Controller
{
    #[OA\Get(path: '/lessons', operationId: 'lessons', responses: [new OA\Response(
        response: 200, description: 'Those of the school, or given to whoever asks; the latest first, sixty at most',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/GivenLesson')),
    )])]
    public function index(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $query = Lesson::query()->with(['author', 'members.operator'])->when(! $user->seesClass(), static fn ($query) => $query->whereHas(
            'members', static fn ($members) => $members->where('operator_id', $user->id),
        ));
        $query->orderByDesc('id')->limit(self::SHOWN);

        return $this->answer(array_values($query->get()->map(static fn (Lesson $one): GivenLesson => GivenLesson::of($one, $user))->all()));
    }

    #[OA\Post(path: '/lessons', operationId: 'giveLesson', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/LessonForm'),
    ), responses: [
        new OA\Response(response: 201, description: 'It is given', content: new OA\JsonContent(ref: '#/components/schemas/GivenLesson')),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function store(LessonForm $request, GiveLesson $give): JsonResponse
    {
        return $this->given($request, $give, null, 201);
    }

    #[OA\Put(path: '/lessons/{lesson}', operationId: 'changeLesson', parameters: [new OA\Parameter(
        name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/LessonForm'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'The next version', content: new OA\JsonContent(ref: '#/components/schemas/GivenLesson'),
        ),
        new OA\Response(
            response: 409, description: 'Somebody saved first', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function update(LessonForm $request, Lesson $lesson, GiveLesson $give): JsonResponse
    {
        return $this->given($request, $give, $lesson, 200);
    }

    #[OA\Delete(path: '/lessons/{lesson}', operationId: 'removeLesson', parameters: [new OA\Parameter(
        name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [new OA\Response(response: 204, description: 'It is withdrawn; what was flown for it stays')])]
    public function destroy(Lesson $lesson): JsonResponse
    {
        $this->authorize('run-school');
        $lesson->delete();

        return new JsonResponse(null, 204);
    }

    #[OA\Put(path: '/lessons/{lesson}/mine', operationId: 'answerLesson', parameters: [new OA\Parameter(
        name: 'lesson', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['ticked', 'comment'], properties: [
        new OA\Property(property: 'ticked', type: 'array', items: new OA\Items(type: 'integer')),
        new OA\Property(property: 'comment', type: 'string', maxLength: 1000),
    ], type: 'object')), responses: [
        new OA\Response(
            response: 200, description: 'What was read or talked over, and what is said of it',
            content: new OA\JsonContent(ref: '#/components/schemas/GivenLesson'),
        ),
        new OA\Response(response: 404, description: 'Not given to you', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function answerMine(Request $request, Lesson $lesson): JsonResponse
    {
        $user = $this->user($request);
        $query = LessonMember::query()->where('lesson_id', $lesson->id)->where('operator_id', $user->id);
        $member = $query->firstOrFail();
        $request->validate([
            'ticked' => ['present', 'array', 'list', 'max:30'], 'ticked.*' => ['integer', 'between:0,'.(count($lesson->steps) - 1)],
            'comment' => ['present', 'nullable', 'string', 'max:1000'],
        ]);
        $member->update([
            'ticked' => array_values(array_unique(array_map(intval(...), $request->array('ticked')))),
            'comment' => $request->string('comment')->toString(),
        ]);

        return $this->answer(GivenLesson::of($lesson->load(['author', 'members.operator']), $user));
    }

    private function given(LessonForm $request, GiveLesson $give, ?Lesson $lesson, int $status): JsonResponse
    {
        $this->authorize('run-school');
        $user = $this->user($request);
        $operators = array_values(array_map(intval(...), $request->array('operators')));
        $saved = $give($user, $lesson, $request->attributesOfLesson(), $operators, $request->integer('version'));

        return $this->answer(GivenLesson::of($saved->load(['author', 'members.operator']), $user), $status);
    }
}
