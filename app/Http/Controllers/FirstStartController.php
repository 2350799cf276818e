<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\SetUpSchool;
use App\Accounts\SignIns;
use App\Documents\AddedDemo;
use App\Documents\FirstStart;
use App\Documents\UserDocument;
use App\Http\Requests\SetUpForm;
use App\Jobs\LoadDemoSchool;
use App\Models\School;
use Demo\School as Demo;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** The first start: nothing is there yet, and whoever started the server sets up a school or looks at the demo. */
final class FirstStartController extends Controller
{
    #[OA\Get(path: '/first-start', operationId: 'firstStart', responses: [
        new OA\Response(
            response: 200, description: 'Whether a school is there', content: new OA\JsonContent(ref: '#/components/schemas/FirstStart'),
        ),
    ])]
    public function show(): JsonResponse
    {
        return $this->answer(new FirstStart(! School::query()->exists(), Cache::has(LoadDemoSchool::UNDER_WAY)));
    }

    #[OA\Post(path: '/first-start/school', operationId: 'setUpSchool', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/SetUpForm'),
    ), responses: [
        new OA\Response(
            response: 201, description: 'It is there, and you are in', content: new OA\JsonContent(ref: '#/components/schemas/User'),
        ),
        new OA\Response(
            response: 422, description: 'Something is missing, or a school is there already',
            content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function school(SetUpForm $request, SetUpSchool $setUp, SignIns $signIns): JsonResponse
    {
        self::mayBegin($request);
        // Of two who set up at once, one does.
        $user = Cache::lock('first-start', 30)->block(10, static fn () => School::query()->where('demo', false)->exists()
            ? throw ValidationException::withMessages(
                ['school' => 'A school has been set up here meanwhile: sign in, or ask for an invitation.'],
            )
            : $setUp(...$request->filledIn()));
        assert($user instanceof \App\Models\User);
        if ($request->hasSession()) {
            $this->cookies()->login($user);
            $request->session()->regenerate();
            $signIns->begin($request, $user);
        }

        return $this->answer(UserDocument::of($user->load('school')), 201);
    }

    #[OA\Post(path: '/first-start/demo', operationId: 'lookAtDemo', requestBody: new OA\RequestBody(
        required: true,
        content: new OA\JsonContent(required: ['code'], properties: [new OA\Property(property: 'code', type: 'string')], type: 'object'),
    ), responses: [
        new OA\Response(
            response: 202, description: 'It is being loaded', content: new OA\JsonContent(ref: '#/components/schemas/AddedDemo'),
        ),
        new OA\Response(
            response: 422, description: 'A school is there already', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function demo(Request $request): JsonResponse
    {
        self::mayBegin($request);
        if (School::query()->exists() || ! Cache::add(LoadDemoSchool::UNDER_WAY, true, 600)) {
            throw ValidationException::withMessages(['school' => 'A school is there already, or on its way.']);
        }
        $password = config()->string('larkspur.demo_password');
        dispatch(new LoadDemoSchool(Hash::make($password)));

        return $this->answer(new AddedDemo(Demo::TRAINER, Demo::OPERATOR, $password), 202);
    }

    /** Only whoever started the server knows the code: on a network anyone could be first. */
    private static function mayBegin(Request $request): void
    {
        $request->validate(['code' => ['required', 'string', 'max:100']]);
        $code = config()->string('larkspur.set_up_code');
        if ($code === '' || ! hash_equals($code, $request->string('code')->toString())) {
            throw ValidationException::withMessages(['code' => 'This is not the code that bin/start printed.']);
        }
    }
}
