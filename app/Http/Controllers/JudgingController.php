<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Http\Requests\JudgingForm;
use Documents\Score\JudgingStyleDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What the school has chosen about judging: how near a plan is near, and what a rescue may cost. */
final class JudgingController extends Controller
{
    #[OA\Get(path: '/judging', operationId: 'judging', responses: [new OA\Response(
        response: 200, description: 'What takes are judged by from now on',
        content: new OA\JsonContent(ref: '#/components/schemas/JudgingStyle'),
    )])]
    public function show(Request $request): JsonResponse
    {
        return $this->answer(JudgingStyleDocument::of($this->user($request)->school->judging()));
    }

    #[OA\Put(path: '/judging', operationId: 'chooseJudging', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/ChooseJudging'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'What takes are judged by from now on; those that were judged keep their judgement',
            content: new OA\JsonContent(ref: '#/components/schemas/JudgingStyle'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        new OA\Response(
            response: 422, description: 'Beyond its limits', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function update(JudgingForm $request): JsonResponse
    {
        $this->authorize('run-school');
        $school = $this->user($request)->school;
        $school->judge($request->style());

        Trail::note('judging-changed');

        return $this->answer(JudgingStyleDocument::of($school->judging()));
    }
}
