<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DrawClass;
use App\Documents\CohortMeasure;
use App\Documents\CohortsDocument;
use App\Documents\NextDocument;
use App\Documents\ProgressDocument;
use App\Http\Requests\ProgressWanted;
use App\Models\NotToday;
use App\Models\User;
use App\Progress\OperatorRecord;
use App\Progress\Standings;
use App\Progress\SuggestNext;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Larkspur\Training\Group\CohortComparison;
use OpenApi\Attributes as OA;

/** How operators stand, what they do next, and the class at a glance. */
final class ProgressController extends Controller
{
    #[OA\Get(path: '/progress', operationId: 'progress', parameters: [
        new OA\Parameter(
            name: 'operator', description: 'id; for those who see the class', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
    ], responses: [new OA\Response(
        response: 200, description: 'How somebody stands', content: new OA\JsonContent(ref: '#/components/schemas/Progress'),
    )])]
    public function show(ProgressWanted $request): JsonResponse
    {
        $operator = $request->operator();

        return $this->answer(ProgressDocument::of(OperatorRecord::of($operator), Standings::comparable($operator->school_id)));
    }

    #[OA\Get(path: '/next', operationId: 'next', parameters: [
        new OA\Parameter(
            name: 'operator', description: 'id; for those who see the class', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
        new OA\Parameter(name: 'place', in: 'query', schema: new OA\Schema(type: 'string', enum: ['desk', 'hall', 'field'])),
        new OA\Parameter(name: 'gust_mps', in: 'query', schema: new OA\Schema(type: 'number')),
        new OA\Parameter(name: 'battery_min', in: 'query', schema: new OA\Schema(type: 'number')),
    ], responses: [new OA\Response(
        response: 200, description: 'One or two things to do today, and what else was weighed',
        content: new OA\JsonContent(ref: '#/components/schemas/Next'),
    )])]
    public function next(ProgressWanted $request, SuggestNext $suggest): JsonResponse
    {
        $operator = $request->operator();

        return $this->answer(NextDocument::of($suggest(
            $operator, OperatorRecord::of($operator), $request->place(),
            $request->has('gust_mps') ? $request->float('gust_mps') : null,
            $request->has('battery_min') ? $request->float('battery_min') : null,
        )));
    }

    #[OA\Post(path: '/next/declined', operationId: 'notToday', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(
        required: ['key'], properties: [new OA\Property(property: 'key', type: 'string', maxLength: 150)], type: 'object',
    )), responses: [new OA\Response(response: 204, description: 'It is not suggested today, and weighs less for two weeks')])]
    public function decline(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $request->validate(['key' => ['required', 'string', 'max:150']]);
        NotToday::query()->create([
            'school_id' => $user->school_id, 'operator_id' => $user->id, 'suggestion' => $request->string('key')->toString(),
        ]);

        return new JsonResponse(null, 204);
    }

    #[OA\Get(path: '/class', operationId: 'classPicture', parameters: [
        new OA\Parameter(name: 'cohort', description: 'those of it alone', in: 'query', schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'trainer', description: 'id: whom they train', in: 'query', schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(
            response: 200, description: 'Who stands where, and who needs the trainer',
            content: new OA\JsonContent(ref: '#/components/schemas/Group'),
        ),
        new OA\Response(response: 403, description: 'Not for operators', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function group(Request $request, DrawClass $draw): JsonResponse
    {
        $this->authorize('see-class');
        $request->validate(['cohort' => ['sometimes', 'string', 'max:60'], 'trainer' => ['sometimes', 'integer']]);
        $operators = User::operators();
        $chosen = array_values(array_filter($operators, static fn (User $one): bool => (
            ! $request->filled('cohort') || $one->cohort === $request->string('cohort')->toString()
        ) && (! $request->filled('trainer') || $one->trainer_id === $request->integer('trainer'))));

        return $this->answer($draw($chosen, self::cohortsOf($operators)));
    }

    #[OA\Get(path: '/class/cohorts', operationId: 'compareCohorts', parameters: [
        new OA\Parameter(name: 'one', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'other', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(
            response: 200, description: 'Their means, how far apart they are, and how sure that is',
            content: new OA\JsonContent(ref: '#/components/schemas/Cohorts'),
        ),
        new OA\Response(response: 403, description: 'Not for operators', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function cohorts(Request $request): JsonResponse
    {
        $this->authorize('see-class');
        $request->validate(['one' => ['required', 'string', 'max:60'], 'other' => ['required', 'string', 'max:60', 'different:one']]);
        $operators = User::operators();
        $of = static fn (string $which): array => OperatorRecord::each(array_values(array_filter(
            $operators, static fn (User $one): bool => $one->cohort === $request->string($which)->toString(),
        )));
        [$one, $other] = [$of('one'), $of('other')];

        return $this->answer(new CohortsDocument(
            $request->string('one')->toString(), count($one), $request->string('other')->toString(), count($other),
            array_map(CohortMeasure::of(...), CohortComparison::each($one, $other)),
        ));
    }

    /**
     * @param  list<User>  $operators
     * @return list<string>
     */
    private static function cohortsOf(array $operators): array
    {
        $cohorts = array_values(array_unique(array_filter(
            array_map(static fn (User $one): string => $one->cohort, $operators), static fn (string $cohort): bool => $cohort !== '',
        )));
        sort($cohorts);

        return $cohorts;
    }
}
