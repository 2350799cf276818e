<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\KeptFilterDocument;
use App\Http\Requests\TakeList;
use App\Models\KeptFilter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Larkspur\Fact;
use Larkspur\Refusal;
use OpenApi\Attributes as OA;

/** What somebody looks for in a logbook again and again, under a name. */
final class KeptFilterController extends Controller
{
    #[OA\Get(path: '/kept-filters', operationId: 'keptFilters', responses: [new OA\Response(
        response: 200, description: 'One’s own, by name',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/KeptFilter')),
    )])]
    public function index(Request $request): JsonResponse
    {
        $query = KeptFilter::query()->where('user_id', $this->user($request)->id);
        $query->orderBy('name')->limit(self::SHOWN);

        return $this->answer(array_values($query->get()->map(
            static fn (KeptFilter $one): KeptFilterDocument => KeptFilterDocument::of($one),
        )->all()));
    }

    #[OA\Post(path: '/kept-filters', operationId: 'keepFilter', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(required: ['name', 'filter'], properties: [
            new OA\Property(property: 'name', type: 'string', maxLength: 60),
            new OA\Property(property: 'filter', description: 'as the list of takes is asked', type: 'object', additionalProperties: true),
        ], type: 'object'),
    ), responses: [
        new OA\Response(
            response: 201, description: 'Kept; one of the same name is replaced',
            content: new OA\JsonContent(ref: '#/components/schemas/KeptFilter'),
        ),
        new OA\Response(
            response: 422, description: 'It asks for nothing', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function store(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $rules = ['name' => ['required', 'string', 'max:60'], 'filter' => ['required', 'array']];
        foreach ((new TakeList)->rules() as $field => $rule) {
            $rules["filter.$field"] = $rule;
        }
        unset($rules['filter.cursor'], $rules['filter.operator']);
        $request->validate($rules);
        $filter = array_intersect_key($request->array('filter'), array_flip(KeptFilter::FIELDS));
        if ($filter === []) {
            throw new Refusal(Fact::of('logbook.filter-of-nothing'), 'filter');
        }
        $kept = KeptFilter::query()->updateOrCreate(
            ['user_id' => $user->id, 'name' => $request->string('name')->trim()->toString()],
            ['school_id' => $user->school_id, 'filter' => $filter],
        );

        return $this->answer(KeptFilterDocument::of($kept), 201);
    }

    #[OA\Delete(path: '/kept-filters/{filter}', operationId: 'dropFilter', parameters: [new OA\Parameter(
        name: 'filter', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 204, description: 'Gone'),
        new OA\Response(response: 404, description: 'Not yours', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function destroy(Request $request, int $filter): JsonResponse
    {
        $query = KeptFilter::query()->where('user_id', $this->user($request)->id)->whereKey($filter);
        $query->firstOrFail()->delete();

        return $this->answer(null, 204);
    }
}
