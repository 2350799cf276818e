<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Documents\UserDocument;
use App\Http\Requests\ChangePreferences;
use App\Http\Requests\SignIn;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** Signing in and out, who is signed in, and how they like things shown. */
final class SessionController extends Controller
{
    #[OA\Post(path: '/session', operationId: 'signIn', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/SignIn'),
    ), responses: [
        new OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: '#/components/schemas/User')),
        new OA\Response(response: 422, description: 'Not known', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function store(SignIn $request): JsonResponse
    {
        if (! $this->cookies()->attempt($request->credentials(), $request->boolean('remember'))) {
            throw ValidationException::withMessages(['email' => 'This address and password don’t go together.']);
        }
        $request->session()->regenerate();

        return $this->answer(UserDocument::of($this->user($request)->load('school')));
    }

    #[OA\Delete(path: '/session', operationId: 'signOut', responses: [new OA\Response(response: 204, description: 'Signed out')])]
    public function destroy(Request $request): JsonResponse
    {
        $this->cookies()->logout();
        if ($request->hasSession()) {
            $request->session()->invalidate();
            $request->session()->regenerateToken();
        }

        return $this->answer(null, 204);
    }

    #[OA\Get(
        path: '/me', operationId: 'me',
        responses: [new OA\Response(
            response: 200, description: 'Who is signed in', content: new OA\JsonContent(ref: '#/components/schemas/User'),
        )],
    )]
    public function show(Request $request): JsonResponse
    {
        return $this->answer(UserDocument::of($this->user($request)->load('school')));
    }

    #[OA\Patch(path: '/me', operationId: 'changePreferences', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/Preferences'),
    ), responses: [
        new OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/User')),
    ])]
    public function update(ChangePreferences $request): JsonResponse
    {
        $user = $this->user($request);
        $user->update($request->validated());

        return $this->answer(UserDocument::of($user->load('school')));
    }

    /** The guard that keeps people signed in by cookie. */
    private function cookies(): StatefulGuard
    {
        $guard = Auth::guard('web');
        assert($guard instanceof StatefulGuard);

        return $guard;
    }
}
