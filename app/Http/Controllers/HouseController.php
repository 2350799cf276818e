<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Documents\HouseStyleDocument;
use App\Http\Requests\ChooseHouse;
use App\Http\Requests\HoldStyle;
use App\Http\Requests\ProgressWanted;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Larkspur\FlightDay\Gates;
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
        $this->authorize('run-school');
        $school = $this->user($request)->school;
        $school->update(['house_style' => [...$school->house_style, 'house' => $request->string('house')->toString()]]);

        Trail::note('house-chosen', $request->string('house')->toString());

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
        $this->authorize('run-school');
        $operator->update(['house' => $request->filled('house') ? $request->string('house')->toString() : null]);

        Trail::note('house-chosen', $operator->name.' '.$request->string('house')->toString());

        return $this->houses($operator->load('school'));
    }

    #[OA\Get(path: '/house-style', operationId: 'houseStyle', parameters: [
        new OA\Parameter(
            name: 'operator', description: 'id; for those who see the class', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
    ], responses: [new OA\Response(
        response: 200, description: 'What is held, and every question', content: new OA\JsonContent(ref: '#/components/schemas/HouseStyle'),
    )])]
    public function style(ProgressWanted $request): JsonResponse
    {
        $operator = $request->operator();

        return $this->answer(HouseStyleDocument::of($this->user($request), $operator->role === User::OPERATOR ? $operator : null));
    }

    #[OA\Put(path: '/house-style', operationId: 'holdStyle', parameters: [
        new OA\Parameter(
            name: 'operator', description: 'id: held otherwise for this one', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
    ], requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/HoldStyle'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'What is held now', content: new OA\JsonContent(ref: '#/components/schemas/HouseStyle'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function hold(HoldStyle $request): JsonResponse
    {
        $this->authorize('run-school');
        $user = $this->user($request);
        $operator = $request->has('operator') ? User::query()->findOrFail($request->integer('operator')) : null;
        if ($operator === null) {
            $style = $request->style($user->school->training());
            $user->school->update(['house_style' => [...$user->school->house_style, 'training' => $style->toArray()]]);
        } else {
            $operator->update(['training' => $request->boolean('as_school') ? null : $request->style($operator->training())->toArray()]);
        }
        Trail::note('style-held', $operator->name ?? $user->school->name);

        return $this->answer(HouseStyleDocument::of($user->refresh(), $operator));
    }

    #[OA\Put(path: '/gates', operationId: 'bindGates', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(required: ['binding'], properties: [
            new OA\Property(property: 'binding', type: 'array', items: new OA\Items(type: 'string')),
        ], type: 'object'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'Which gates bind now; the others warn',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(type: 'string')),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function gates(Request $request): JsonResponse
    {
        $this->authorize('run-school');
        $valid = $request->validate(['binding' => ['present', 'array', 'max:20'], 'binding.*' => [Rule::in(Gates::IDS)]]);
        $school = $this->user($request)->school;
        $school->update(['house_style' => [...$school->house_style, 'gates' => array_values((array) $valid['binding'])]]);
        Trail::note('style-held', $school->name);

        return $this->answer($school->gatesThatBind());
    }

    private function houses(User $user): JsonResponse
    {
        return $this->answer([
            'school' => $user->school->house_style['house'] ?? 'middle', 'own' => $user->house, 'followed' => $user->housed()->value,
        ]);
    }
}
