<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Documents\MadeToken;
use App\Documents\TokenDocument;
use App\Http\Requests\NameToken;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Laravel\Sanctum\PersonalAccessToken;
use OpenApi\Attributes as OA;

/** Bearer tokens for scripts: each has a name, what it may do, and an end; none makes another. */
final class TokenController extends Controller
{
    /** More than anybody has scripts. */
    private const MOST = 30;

    #[OA\Get(path: '/tokens', operationId: 'tokens', responses: [
        new OA\Response(
            response: 200, description: 'Your tokens, without their secret',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Token')),
        ),
    ])]
    public function index(Request $request): JsonResponse
    {
        return $this->answer(array_map(TokenDocument::of(...), array_values($this->user($request)->tokens()->latest('id')->get()->all())));
    }

    #[OA\Post(path: '/tokens', operationId: 'makeToken', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/NameToken'),
    ), responses: [
        new OA\Response(
            response: 201, description: 'Its secret, shown once', content: new OA\JsonContent(ref: '#/components/schemas/MadeToken'),
        ),
        new OA\Response(
            response: 422, description: 'Without name, scope or end', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function store(NameToken $request): JsonResponse
    {
        $user = $this->user($request);
        if ($user->tokens()->count() >= self::MOST) {
            throw new \Larkspur\Refusal(\Larkspur\Fact::of('account.tokens-enough', most: self::MOST), 'name');
        }
        $made = $user->createToken(
            $request->string('name')->toString(), $request->string('scope')->toString() === 'write' ? ['read', 'write'] : ['read'],
            now()->addDays($request->integer('days')),
        );
        Trail::note('token-made', $request->string('name')->toString());
        $token = $made->accessToken;
        assert($token instanceof PersonalAccessToken);

        return $this->answer(new MadeToken($made->plainTextToken, TokenDocument::of($token)), 201);
    }

    #[OA\Delete(path: '/tokens/{token}', operationId: 'endToken', parameters: [
        new OA\Parameter(name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 204, description: 'Good no longer'),
    ])]
    public function destroy(Request $request, int $token): JsonResponse
    {
        $found = $this->user($request)->tokens()->findOrFail($token);
        assert($found instanceof PersonalAccessToken);
        Trail::note('token-ended', (string) $found->getAttribute('name'));
        $found->delete();

        return $this->answer(null, 204);
    }
}
