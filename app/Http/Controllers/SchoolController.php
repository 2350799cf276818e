<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\RemoveSchool;
use App\Accounts\Trail;
use App\Documents\SchoolDocument;
use App\Documents\TrailPage;
use App\Documents\TrailStep;
use App\Http\Requests\SchoolForm;
use App\Jobs\LoadDemoSchool;
use App\Jobs\RecountLogbooks;
use App\Models\School;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;
use Larkspur\Fact;
use Larkspur\Refusal;
use OpenApi\Attributes as OA;

/** A school's own settings, and the trail of what was done in it; for trainers. */
final class SchoolController extends Controller
{
    private const PAGE = 50;

    #[OA\Get(path: '/school', operationId: 'school', responses: [
        new OA\Response(response: 200, description: 'Its settings', content: new OA\JsonContent(ref: '#/components/schemas/School')),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function show(Request $request): JsonResponse
    {
        $this->authorize('run-school');

        return $this->answer(SchoolDocument::of($this->user($request)->school));
    }

    #[OA\Put(path: '/school', operationId: 'changeSchool', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/SchoolForm'),
    ), responses: [
        new OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/School')),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function update(SchoolForm $request): JsonResponse
    {
        $this->authorize('run-school');
        $user = $this->user($request);
        if ($request->boolean('second_factor') && ! $user->hasSecondFactor()) {
            throw new Refusal(Fact::of('school.own-second-factor-first'), 'second_factor');
        }
        $zone = $user->school->zone;
        $user->school->update($request->validated());
        if ($user->school->zone !== $zone) {
            dispatch(new RecountLogbooks($user->school_id))->afterCommit();
        }
        Trail::note('school-changed', $user->school->name);

        return $this->answer(SchoolDocument::of($user->school));
    }

    #[OA\Get(path: '/trail', operationId: 'trail', parameters: [
        new OA\Parameter(name: 'before', in: 'query', schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(
            response: 200, description: 'What was done, the latest first',
            content: new OA\JsonContent(ref: '#/components/schemas/TrailPage'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function trail(Request $request): JsonResponse
    {
        $this->authorize('run-school');
        $before = $request->integer('before');
        $steps = DB::table('trail')->where('school_id', $this->user($request)->school_id)
            ->when($before > 0, static fn ($query) => $query->where('id', '<', $before))->orderByDesc('id')->limit(self::PAGE)->get()
            ->all();

        return $this->answer(new TrailPage(
            array_values(array_map(TrailStep::of(...), $steps)), count($steps) < self::PAGE ? null : (int) end($steps)->id,
        ));
    }

    #[OA\Post(path: '/demo-school', operationId: 'addDemo', responses: [
        new OA\Response(
            response: 202, description: 'It is being loaded', content: new OA\JsonContent(ref: '#/components/schemas/AddedDemo'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        new OA\Response(response: 422, description: 'There is one', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function addDemo(): JsonResponse
    {
        $this->authorize('run-school');
        if (School::query()->where('demo', true)->exists() || ! Cache::add(LoadDemoSchool::UNDER_WAY, true, 600)) {
            throw new Refusal(Fact::of('school.demo-is-there'), 'demo');
        }
        $password = Str::lower(Str::random(6).'-'.Str::random(6));
        dispatch(new LoadDemoSchool(Hash::make($password)));
        Trail::note('demo-added');

        return $this->answer(new \App\Documents\AddedDemo(\Demo\School::TRAINER, \Demo\School::OPERATOR, $password), 202);
    }

    #[OA\Delete(path: '/demo-school', operationId: 'removeDemo', responses: [
        new OA\Response(response: 204, description: 'Gone with everything in it'),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        new OA\Response(response: 422, description: 'There is none', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function removeDemo(RemoveSchool $remove): JsonResponse
    {
        $this->authorize('run-school');
        $demo = School::query()->where('demo', true)->first();
        if ($demo === null) {
            throw new Refusal(Fact::of('school.no-demo'), 'demo');
        }
        $remove($demo);
        Trail::note('demo-removed');

        return $this->answer(null, 204);
    }
}
