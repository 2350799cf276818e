<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\NameToken;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Bearer tokens for scripts. */
final class TokenController extends Controller
{
    #[OA\Post(path: '/tokens', operationId: 'makeToken', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['name'], properties: [new OA\Property(property: 'name', type: 'string', maxLength: 80)], type: 'object',
        ),
    ), responses: [
        new OA\Response(
            response: 201, description: 'Shown once',
            content: new OA\JsonContent(
                required: ['token'], properties: [new OA\Property(property: 'token', type: 'string')], type: 'object',
            ),
        ),
    ])]
    public function store(NameToken $request): JsonResponse
    {
        return $this->answer(['token' => $this->user($request)->createToken($request->string('name')->toString())->plainTextToken], 201);
    }
}
