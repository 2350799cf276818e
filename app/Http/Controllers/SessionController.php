<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\SecondFactor;
use App\Accounts\SignIns;
use App\Accounts\Trail;
use App\Documents\UserDocument;
use App\Http\Requests\ChangePreferences;
use App\Http\Requests\SignIn;
use App\Models\SignIn as SignInRecord;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
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
    public function store(SignIn $request, SecondFactor $factor, SignIns $signIns): JsonResponse
    {
        $credentials = $request->credentials();
        $user = User::query()->withoutGlobalScopes()->where('email', $credentials['email'])->first();
        if (! $this->cookies()->validate($credentials) || $user === null || $user->disabled_at !== null) {
            if ($user !== null) {
                Trail::note('sign-in-failed', $user->disabled_at === null ? '' : 'shut out', $user);
            }
            throw ValidationException::withMessages(['email' => 'This address and password don’t go together.']);
        }
        if ($user->hasSecondFactor() && ! $factor->take($user, $request->string('code')->toString())) {
            if ($request->filled('code')) {
                Trail::note('sign-in-failed', 'second factor', $user);
            }
            throw ValidationException::withMessages(['code' => $request->filled('code')
                ? 'This is not the code that your device shows now, nor a spare one.' : 'Give the code that your device shows as well.']);
        }
        $this->cookies()->login($user, $request->boolean('remember'));
        $request->session()->regenerate();
        $signIns->begin($request, $user);
        Trail::note('signed-in', '', $user);

        return $this->answer(UserDocument::of($user->load('school')));
    }

    #[OA\Delete(path: '/session', operationId: 'signOut', responses: [new OA\Response(response: 204, description: 'Signed out')])]
    public function destroy(Request $request, SignIns $signIns): JsonResponse
    {
        $signIn = $signIns->current($request);
        if ($signIn !== null) {
            SignInRecord::query()->whereKey($signIn)->update(['ended_at' => now()]);
        }
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
}
