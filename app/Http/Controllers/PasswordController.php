<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\GoodPassword;
use App\Accounts\SignIns;
use App\Accounts\Trail;
use App\Http\Requests\ForgotPassword;
use App\Http\Requests\ResetPassword;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** A forgotten password: a link by mail, and a new one in its place. */
final class PasswordController extends Controller
{
    #[OA\Post(
        path: '/password/forgot', operationId: 'forgotPassword',
        requestBody: new OA\RequestBody(
            required: true,
            content: new OA\JsonContent(
                required: ['email'], properties: [new OA\Property(property: 'email', type: 'string', format: 'email')], type: 'object',
            ),
        ),
        responses: [new OA\Response(response: 202, description: 'Sent, if the address is known')],
    )]
    public function forgot(ForgotPassword $request): JsonResponse
    {
        // The answer is the same for known and unknown addresses: it must not tell who has an account.
        Password::sendResetLink(['email' => $request->string('email')->toString()]);

        return $this->answer(null, 202);
    }

    #[OA\Post(path: '/password/reset', operationId: 'resetPassword', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(required: [
            'token', 'email', 'password',
        ], properties: [
            new OA\Property(property: 'token', type: 'string'), new OA\Property(property: 'email', type: 'string', format: 'email'),
            new OA\Property(property: 'password', type: 'string', minLength: GoodPassword::SHORTEST),
        ], type: 'object')
    ), responses: [new OA\Response(response: 204, description: 'Changed')])]
    public function reset(ResetPassword $request, SignIns $signIns): JsonResponse
    {
        $status = Password::reset($request->only(
            'token', 'email', 'password',
        ), static function (User $user, string $password) use ($signIns): void {
            $user->forceFill(['password' => $password])->save();
            $user->tokens()->delete();
            $signIns->endAll($user);
            Trail::note('password-changed', 'by a link', $user);
        });
        if ($status !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages(['email' => 'This link has been used or is too old. Ask for a new one.']);
        }

        return $this->answer(null, 204);
    }
}
