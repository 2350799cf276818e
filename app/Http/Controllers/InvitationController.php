<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\GoodPassword;
use App\Accounts\Invite;
use App\Accounts\SignIns;
use App\Accounts\TakeInvitation;
use App\Accounts\Trail;
use App\Documents\InvitationDocument;
use App\Documents\InvitedTo;
use App\Documents\UserDocument;
use App\Models\Invitation;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** Invitations to a school: made by trainers, taken by whoever has the link. */
final class InvitationController extends Controller
{
    #[OA\Get(path: '/invitations', operationId: 'invitations', responses: [
        new OA\Response(
            response: 200, description: 'Those that can still be taken',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Invitation')),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function index(): JsonResponse
    {
        $this->authorize('run-school');
        $open = Invitation::open()->get();

        return $this->answer(
            array_map(static fn (Invitation $one): InvitationDocument => InvitationDocument::of($one, null), array_values($open->all())),
        );
    }

    #[OA\Post(path: '/invitations', operationId: 'invite', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['email', 'role'],
            properties: [
                new OA\Property(property: 'email', type: 'string', format: 'email'),
                new OA\Property(property: 'role', type: 'string', enum: ['trainer', 'operator', 'viewer']),
                new OA\Property(property: 'send', type: 'boolean'),
            ],
            type: 'object',
        ),
    ), responses: [
        new OA\Response(
            response: 201, description: 'Its link is shown once', content: new OA\JsonContent(ref: '#/components/schemas/Invitation'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function store(Request $request, Invite $invite): JsonResponse
    {
        $this->authorize('run-school');
        $request->validate([
            'email' => [
                'required', 'string', 'email', 'max:255',
            ], 'role' => ['required', Rule::in(User::ROLES)], 'send' => ['sometimes', 'boolean'],
        ]);
        $role = $request->string('role')->toString();
        [$invitation, $link] = $invite(
            $this->user($request), $request->string('email')
                ->toString(), $role === User::TRAINER || $role === User::VIEWER ? $role : User::OPERATOR,
            $request->boolean('send'),
        );

        return $this->answer(InvitationDocument::of($invitation, $link), 201);
    }

    #[OA\Delete(path: '/invitations/{invitation}', operationId: 'takeBackInvitation', parameters: [
        new OA\Parameter(name: 'invitation', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 204, description: 'Good no longer'),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function destroy(Invitation $invitation): JsonResponse
    {
        $this->authorize('run-school');
        Trail::note('invitation-taken-back', $invitation->email);
        $invitation->delete();

        return $this->answer(null, 204);
    }

    #[OA\Post(path: '/links/invitation', operationId: 'readInvitation', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(required: ['token'], properties: [new OA\Property(property: 'token', type: 'string')], type: 'object'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'What it invites to', content: new OA\JsonContent(ref: '#/components/schemas/InvitedTo'),
        ),
        new OA\Response(
            response: 422, description: 'It is used or too old', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function read(Request $request): JsonResponse
    {
        $request->validate(['token' => ['required', 'string', 'max:100']]);
        $invitation = self::invitation($request->string('token')->toString());

        return $this->answer(new InvitedTo(
            $invitation->school->name, $invitation->inviter->name, $invitation->email, $invitation->role,
            User::query()->withoutGlobalScopes()->where('email', $invitation->email)->exists(),
        ));
    }

    #[OA\Put(path: '/links/invitation', operationId: 'takeInvitation', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['token', 'name', 'password'],
            properties: [
                new OA\Property(property: 'token', type: 'string'), new OA\Property(property: 'name', type: 'string', maxLength: 120),
                new OA\Property(property: 'password', type: 'string'),
            ],
            type: 'object',
        ),
    ), responses: [
        new OA\Response(response: 201, description: 'You are in', content: new OA\JsonContent(ref: '#/components/schemas/User')),
        new OA\Response(
            response: 422, description: 'It is used or too old, or the password is not good enough',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function take(Request $request, TakeInvitation $take, SignIns $signIns): JsonResponse
    {
        $request->validate(['token' => ['required', 'string', 'max:100'], 'name' => ['required', 'string', 'max:120']]);
        $invitation = self::invitation($request->string('token')->toString());
        $name = $request->string('name')->trim()->toString();
        $request->validate(['password' => [
            'required', 'string', new GoodPassword(GoodPassword::wordsOf($name, $invitation->email, $invitation->school->name)),
        ]]);
        $user = $take->asNew($invitation, $name, $request->string('password')->toString());
        if ($request->hasSession()) {
            $this->cookies()->login($user);
            $request->session()->regenerate();
            $signIns->begin($request, $user);
        }

        return $this->answer(UserDocument::of($user->load('school')), 201);
    }

    public static function invitation(string $token): Invitation
    {
        return Invitation::ofLink($token) ?? throw ValidationException::withMessages([
            'token' => 'This invitation was taken, taken back, or is too old. Ask for another.',
        ]);
    }
}
