<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AskLesson;
use App\Models\Rig;
use Documents\Move\CombinationsDocument;
use Documents\Move\LessonDocument;
use Documents\Move\MachineMove;
use Documents\Move\MoveDocument;
use Documents\Move\Word;
use Illuminate\Http\JsonResponse;
use Larkspur\Controls\StickMode;
use Larkspur\Move\Catalogue;
use Larkspur\Training\Lesson;
use OpenApi\Attributes as OA;

/** The move library: what every move is, how it is flown clean and with a fault, and which axes make which. */
final class MoveController extends Controller
{
    /** Samples of 0.02 s between those sent to the page. */
    private const STRIDE = 10;

    #[OA\Get(
        path: '/moves', operationId: 'moves',
        responses: [new OA\Response(
            response: 200, description: 'All moves and drills, with their parameters',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Move')),
        )],
    )]
    public function index(): JsonResponse
    {
        return $this->answer(array_map(MoveDocument::of(...), Catalogue::all()));
    }

    #[OA\Get(
        path: '/machine-moves', operationId: 'machineMoves',
        responses: [new OA\Response(
            response: 200, description: 'Moves that many craft fly by themselves',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/MachineMove')),
        )],
    )]
    public function machine(): JsonResponse
    {
        return $this->answer(MachineMove::all());
    }

    #[OA\Get(path: '/moves/{move}/lesson', operationId: 'lesson', parameters: [
        new OA\Parameter(name: 'move', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'rig_id', in: 'query', required: true, schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'mode', in: 'query', schema: new OA\Schema(type: 'string', enum: ['slow', 'standard', 'fast'])),
        new OA\Parameter(
            name: 'fault', description: 'one of the move’s typical faults, put in on purpose', in: 'query',
            schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(
            response: 200, description: 'The move on a plain stage, flown by a simulated hand',
            content: new OA\JsonContent(ref: '#/components/schemas/Lesson'),
        ),
        new OA\Response(
            response: 422, description: 'No such move or fault', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function lesson(AskLesson $request, string $move): JsonResponse
    {
        $rig = $this->seen(Rig::class, $request->integer('rig_id'));
        $user = $this->user($request);
        $plan = Lesson::planned(
            $move, $rig->document, $request->string('mode', 'standard')->toString(), $rig->camera, StickMode::from($user->stick_mode),
            $user->wheel_up !== 'pull',
        );
        $fault = $request->filled('fault') ? $request->string('fault')->toString() : null;

        return $this->answer(LessonDocument::of(Lesson::flown($plan, $fault), self::STRIDE));
    }

    #[OA\Get(
        path: '/combinations', operationId: 'combinations',
        responses: [
            new OA\Response(
                response: 200, description: 'Every way in which the five fingers may be pressed at once, and which move it is',
                content: new OA\JsonContent(ref: '#/components/schemas/Combinations'),
            ),
        ],
    )]
    public function combinations(): JsonResponse
    {
        return $this->answer(CombinationsDocument::counted());
    }

    #[OA\Get(
        path: '/glossary', operationId: 'glossary',
        responses: [new OA\Response(
            response: 200, description: 'Words of the trade that mean several things',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Word')),
        )],
    )]
    public function glossary(): JsonResponse
    {
        return $this->answer(Word::all());
    }
}
