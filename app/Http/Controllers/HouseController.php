<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChooseHouse;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Which house of thought about settings is followed: the school's, and otherwise for one operator. */
final class HouseController extends Controller
{
    #[OA\Put(path: '/house', operationId: 'chooseHouse', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/ChooseHouse'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'What is followed now', content: new OA\JsonContent(ref: '#/components/schemas/Houses'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function school(ChooseHouse $request): JsonResponse
    {
        $this->authorize('see-class');
        $school = $this->user($request)->school;
        $school->update(['house_style' => [...$school->house_style, 'house' => $request->string('house')->toString()]]);

        return $this->houses($this->user($request));
    }

    #[OA\Put(path: '/operators/{operator}/house', operationId: 'chooseOperatorsHouse', parameters: [new OA\Parameter(
        name: 'operator', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/ChooseHouse')), responses: [
        new OA\Response(
            response: 200, description: 'What is followed now', content: new OA\JsonContent(ref: '#/components/schemas/Houses'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function operator(ChooseHouse $request, User $operator): JsonResponse
    {
        $this->authorize('see-class');
        $operator->update(['house' => $request->filled('house') ? $request->string('house')->toString() : null]);

        return $this->houses($operator->load('school'));
    }

    private function houses(User $user): JsonResponse
    {
        return $this->answer([
            'school' => $user->school->house_style['house'] ?? 'middle', 'own' => $user->house, 'followed' => $user->housed()->value,
        ]);
    }
}
