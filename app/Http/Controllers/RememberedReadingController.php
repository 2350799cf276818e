<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\RememberedReadingDocument;
use App\Models\RememberedReading;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** How the school said that the places and heights of a maker's logs are meant: looked at and forgotten. */
final class RememberedReadingController extends Controller
{
    #[OA\Get(path: '/remembered-readings', operationId: 'rememberedReadings', responses: [new OA\Response(
        response: 200, description: 'What the school said, the latest first',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/RememberedReading')),
    )])]
    public function index(): JsonResponse
    {
        $known = RememberedReading::query()->latest('updated_at');
        $known->limit(self::SHOWN);

        return $this->answer(array_map(RememberedReadingDocument::of(...), array_values($known->get()->all())));
    }

    #[OA\Delete(path: '/remembered-readings/{reading}', operationId: 'forgetReading', parameters: [new OA\Parameter(
        name: 'reading', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [new OA\Response(response: 204, description: 'It is asked about again')])]
    public function destroy(RememberedReading $reading): Response
    {
        $reading->delete();

        return response()->noContent();
    }
}
