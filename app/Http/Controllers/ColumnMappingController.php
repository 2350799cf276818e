<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\RememberedColumns;
use App\Http\Requests\ColumnsRequest;
use App\Models\ColumnMapping;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Larkspur\Fields;
use Larkspur\Telemetry\ColumnMapping as Mapping;
use OpenApi\Attributes as OA;

/** What the school confirmed of the columns of other makers' logs: looked at, changed, forgotten. */
final class ColumnMappingController extends Controller
{
    #[OA\Get(path: '/column-mappings', operationId: 'columnMappings', responses: [new OA\Response(
        response: 200, description: 'What the school confirmed, the latest first',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/RememberedColumns')),
    )])]
    public function index(): JsonResponse
    {
        $known = ColumnMapping::query()->latest('updated_at');
        $known->limit(self::SHOWN);

        return $this->answer(array_map(RememberedColumns::of(...), array_values($known->get()->all())));
    }

    #[OA\Put(path: '/column-mappings/{mapping}', operationId: 'changeColumnMapping', parameters: [new OA\Parameter(
        name: 'mapping', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['columns'], properties: [
        new OA\Property(
            property: 'columns', description: 'by quantity: the name of the column and its unit', type: 'object',
            additionalProperties: new OA\AdditionalProperties(ref: '#/components/schemas/MappedColumn'),
        ),
    ], type: 'object')), responses: [
        new OA\Response(
            response: 200, description: 'Logs are read so from now on',
            content: new OA\JsonContent(ref: '#/components/schemas/RememberedColumns'),
        ),
        new OA\Response(
            response: 422, description: 'Something is missing', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function update(ColumnsRequest $request, ColumnMapping $mapping): JsonResponse
    {
        $mapping->update(['mapping' => Mapping::read(Fields::of(['columns' => $request->columns()]))->toArray()]);

        return $this->answer(RememberedColumns::of($mapping));
    }

    #[OA\Delete(path: '/column-mappings/{mapping}', operationId: 'forgetColumnMapping', parameters: [new OA\Parameter(
        name: 'mapping', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [new OA\Response(response: 204, description: 'It is asked about again')])]
    public function destroy(ColumnMapping $mapping): Response
    {
        $mapping->delete();

        return response()->noContent();
    }
}
