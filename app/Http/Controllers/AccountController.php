<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\GoodPassword;
use App\Accounts\SecondFactor;
use App\Accounts\SignIns;
use App\Accounts\TakeInvitation;
use App\Accounts\Trail;
use App\Documents\AccountDocument;
use App\Documents\NewKeyDocument;
use App\Documents\PersonalCopyDocument;
use App\Documents\SignedInDocument;
use App\Documents\SpareCodes;
use App\Documents\UserDocument;
use App\Jobs\ForgetPerson;
use App\Jobs\WritePersonalCopy;
use App\Models\PersonalCopy;
use App\Models\SignIn;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Storage;
use Illuminate\Validation\ValidationException;
use Larkspur\Fact;
use Larkspur\Refusal;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** One's own account: password, second factor, where one is signed in, a copy of one's data, and leaving. */
final class AccountController extends Controller
{
    #[OA\Get(path: '/account', operationId: 'account', responses: [
        new OA\Response(
            response: 200, description: 'How the account is guarded', content: new OA\JsonContent(ref: '#/components/schemas/Account'),
        ),
    ])]
    public function show(Request $request): JsonResponse
    {
        return $this->answer(AccountDocument::of($this->user($request)->load('school')));
    }

    #[OA\Put(path: '/account/password', operationId: 'changePassword', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['current', 'password'],
            properties: [new OA\Property(property: 'current', type: 'string'), new OA\Property(property: 'password', type: 'string')],
            type: 'object',
        ),
    ), responses: [
        new OA\Response(response: 204, description: 'Changed; other sessions are ended'),
        new OA\Response(
            response: 422, description: 'Not right, or not good enough', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function password(Request $request, SignIns $signIns): JsonResponse
    {
        $user = $this->user($request);
        $this->ask($request, 'current');
        $request->validate(['password' => ['required', 'string', self::good($user)]]);
        $user->update(['password' => $request->string('password')->toString()]);
        $signIns->endAll($user, $signIns->current($request));
        Trail::note('password-changed');

        return $this->answer(null, 204);
    }

    #[OA\Post(path: '/account/second-factor', operationId: 'beginSecondFactor', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['password'], properties: [new OA\Property(property: 'password', type: 'string')], type: 'object',
        ),
    ), responses: [
        new OA\Response(
            response: 201, description: 'A key, shown once; it counts when a code of it was given',
            content: new OA\JsonContent(ref: '#/components/schemas/NewKey'),
        ),
        new OA\Response(
            response: 422, description: 'There is one already, or the password is wrong',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function beginFactor(Request $request, SecondFactor $factor): JsonResponse
    {
        $user = $this->user($request);
        $this->ask($request, 'password');
        if ($user->hasSecondFactor()) {
            throw new Refusal(Fact::of('account.has-second-factor'), 'second_factor');
        }
        $key = $factor->begin($user);

        return $this->answer(new NewKeyDocument($key->toBase32(), $key->uri($user->email)), 201);
    }

    #[OA\Put(path: '/account/second-factor', operationId: 'confirmSecondFactor', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(required: ['code'], properties: [new OA\Property(property: 'code', type: 'string')], type: 'object'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'It counts from now on; codes for when the device is lost',
            content: new OA\JsonContent(ref: '#/components/schemas/SpareCodes'),
        ),
        new OA\Response(
            response: 422, description: 'Not a code of this key', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function confirmFactor(Request $request, SecondFactor $factor): JsonResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:20']]);
        $codes = $factor->confirm($this->user($request), $request->string('code')->toString());
        if ($codes === null) {
            throw ValidationException::withMessages(['code' => 'This is not the code that your device shows now.']);
        }
        Trail::note('second-factor-on');

        return $this->answer(new SpareCodes($codes));
    }

    #[OA\Delete(path: '/account/second-factor', operationId: 'endSecondFactor', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['password'], properties: [new OA\Property(property: 'password', type: 'string')], type: 'object',
        ),
    ), responses: [
        new OA\Response(response: 204, description: 'Taken off'),
        new OA\Response(
            response: 422, description: 'The password is wrong', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function endFactor(Request $request, SecondFactor $factor): JsonResponse
    {
        $this->ask($request, 'password');
        $factor->off($this->user($request));
        Trail::note('second-factor-off');

        return $this->answer(null, 204);
    }

    #[OA\Get(path: '/account/sign-ins', operationId: 'signIns', responses: [
        new OA\Response(
            response: 200, description: 'Where you are signed in',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/SignedIn')),
        ),
    ])]
    public function signIns(Request $request, SignIns $signIns): JsonResponse
    {
        $current = $signIns->current($request);
        $open = SignIn::query()->where('user_id', $this->user($request)->id);
        $open->whereNull('ended_at')->where('seen_at', '>', now()->subMinutes(60 * 24 * 30))->orderByDesc('seen_at')->limit(50);

        return $this->answer(
            array_map(static fn (SignIn $one): SignedInDocument => SignedInDocument::of($one, $current), $open->get()->all()),
        );
    }

    #[OA\Delete(path: '/account/sign-ins/{signIn}', operationId: 'endSignIn', parameters: [
        new OA\Parameter(name: 'signIn', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 204, description: 'Ended'),
    ])]
    public function endSignIn(Request $request, int $signIn): JsonResponse
    {
        $user = $this->user($request);
        $ended = SignIn::query()->where('user_id', $user->id)->whereKey($signIn)->whereNull('ended_at')->update(['ended_at' => now()]);
        abort_if($ended === 0, 404);
        // A cookie that remembers would open it again.
        $user->forceFill(['remember_token' => \Illuminate\Support\Str::random(60)])->save();
        Trail::note('sign-in-ended');

        return $this->answer(null, 204);
    }

    #[OA\Delete(path: '/account/sign-ins', operationId: 'endOtherSignIns', responses: [
        new OA\Response(response: 204, description: 'All others are ended'),
    ])]
    public function endOthers(Request $request, SignIns $signIns): JsonResponse
    {
        $signIns->endAll($this->user($request), $signIns->current($request));
        Trail::note('sign-in-ended');

        return $this->answer(null, 204);
    }

    #[OA\Get(path: '/account/copies', operationId: 'personalCopies', responses: [
        new OA\Response(
            response: 200, description: 'Copies of your data that were made or are on their way',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/PersonalCopy')),
        ),
    ])]
    public function copies(Request $request): JsonResponse
    {
        $copies = PersonalCopy::query()->where('asker_id', $this->user($request)->id);
        $copies->orderByDesc('id')->limit(10);

        return $this->answer(array_map(PersonalCopyDocument::of(...), $copies->with('user')->get()->all()));
    }

    #[OA\Post(path: '/account/copies', operationId: 'copyMyData', responses: [
        new OA\Response(
            response: 202, description: 'It is made in the background',
            content: new OA\JsonContent(ref: '#/components/schemas/PersonalCopy'),
        ),
    ])]
    public function copy(Request $request): JsonResponse
    {
        return $this->answer(self::makeCopy($this->user($request), $this->user($request)), 202);
    }

    public static function makeCopy(User $of, User $asker): PersonalCopyDocument
    {
        $open = PersonalCopy::query()->where('user_id', $of->id)->where('asker_id', $asker->id);
        $open->whereIn('state', ['waiting', 'writing']);
        $copy = $open->first();
        if ($copy === null) {
            $copy = PersonalCopy::query()->create(['school_id' => $asker->school_id, 'user_id' => $of->id, 'asker_id' => $asker->id]);
            Trail::note('data-copied', $of->name);
            dispatch((new WritePersonalCopy($copy->id))->afterCommit());
        }

        return PersonalCopyDocument::of($copy->refresh()->load('user'));
    }

    #[OA\Get(path: '/account/copies/{copy}', operationId: 'takePersonalCopy', parameters: [
        new OA\Parameter(name: 'copy', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(
            response: 200, description: 'The file', content: new OA\MediaType(
                mediaType: 'application/zip', schema: new OA\Schema(type: 'string', format: 'binary'),
            ),
        ),
    ])]
    public function takeCopy(Request $request, PersonalCopy $copy): StreamedResponse
    {
        abort_unless($copy->asker_id === $this->user($request)->id && $copy->state === 'ready' && Storage::exists($copy->path()), 404);

        return Storage::download($copy->path(), "larkspur-$copy->id.zip", ['Content-Type' => 'application/zip']);
    }

    #[OA\Post(path: '/account/school', operationId: 'goToSchool', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['token', 'password'],
            properties: [new OA\Property(property: 'token', type: 'string'), new OA\Property(property: 'password', type: 'string')],
            type: 'object',
        ),
    ), responses: [
        new OA\Response(
            response: 200, description: 'You are there, with your record', content: new OA\JsonContent(ref: '#/components/schemas/User'),
        ),
        new OA\Response(
            response: 422, description: 'The link is used or too old', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function goToSchool(Request $request, TakeInvitation $take): JsonResponse
    {
        $user = $this->user($request);
        $this->ask($request, 'password');
        $take->withRecord(InvitationController::invitation($request->string('token')->toString()), $user);

        return $this->answer(UserDocument::of($user->refresh()->load('school')));
    }

    #[OA\Delete(path: '/account', operationId: 'removeAccount', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(
            required: ['password'], properties: [new OA\Property(property: 'password', type: 'string')], type: 'object',
        ),
    ), responses: [
        new OA\Response(response: 204, description: 'Everything of you is removed, for good'),
        new OA\Response(
            response: 422, description: 'The password is wrong, or nobody else runs the school',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function destroy(Request $request, SignIns $signIns): JsonResponse
    {
        $user = $this->user($request);
        $this->ask($request, 'password');
        PeopleController::leaveATrainer($user);
        Trail::note('account-removed', $user->name);
        $signIns->endAll($user);
        $user->forceFill(['disabled_at' => now()])->save();
        dispatch((new ForgetPerson($user->id))->afterCommit());

        return $this->answer(null, 204);
    }

    /** What matters is done only by whoever knows the password. */
    private function ask(Request $request, string $field): void
    {
        $request->validate([$field => ['required', 'string', 'max:255']]);
        if (! Hash::check($request->string($field)->toString(), $this->user($request)->password)) {
            throw ValidationException::withMessages([$field => 'This is not your password.']);
        }
    }

    private static function good(User $user): GoodPassword
    {
        return new GoodPassword(GoodPassword::wordsOf($user->name, $user->email, $user->school->name));
    }
}
