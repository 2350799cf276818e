<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\HandOver;
use App\Accounts\SignIns;
use App\Accounts\Trail;
use App\Documents\HandedOver;
use App\Documents\MemberDocument;
use App\Jobs\ForgetPerson;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Larkspur\Fact;
use Larkspur\Refusal;
use OpenApi\Attributes as OA;

/** The people of a school: roles, who is shut out, what is handed over, what is copied and removed; for trainers. */
final class PeopleController extends Controller
{
    #[OA\Get(path: '/people', operationId: 'people', responses: [
        new OA\Response(
            response: 200, description: 'Everybody of the school',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Member')),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function index(): JsonResponse
    {
        $this->authorize('run-school');
        $people = User::query()->where('email', 'not like', 'left-%@larkspur.invalid');
        $people->orderBy('name')->limit(1000);

        return $this->answer(array_map(MemberDocument::of(...), $people->get()->all()));
    }

    #[OA\Put(path: '/people/{person}', operationId: 'changePerson', parameters: [
        new OA\Parameter(name: 'person', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: [], properties: [
        new OA\Property(property: 'role', type: 'string', enum: ['trainer', 'operator', 'viewer']),
        new OA\Property(property: 'disabled', type: 'boolean'), new OA\Property(property: 'cohort', type: 'string', maxLength: 60),
        new OA\Property(property: 'trainer_id', type: 'integer', nullable: true),
    ], type: 'object')), responses: [
        new OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/Member')),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        new OA\Response(
            response: 422, description: 'Nobody would run the school', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function update(Request $request, User $person, SignIns $signIns): JsonResponse
    {
        $this->authorize('run-school');
        $request->validate([
            'role' => ['sometimes', Rule::in(User::ROLES)], 'disabled' => ['sometimes', 'boolean'],
            'cohort' => ['sometimes', 'nullable', 'string', 'max:60'], 'trainer_id' => ['sometimes', 'nullable', 'integer'],
        ]);
        if ($request->has('cohort')) {
            $person->update(['cohort' => $request->string('cohort')->trim()->toString()]);
        }
        if ($request->has('trainer_id')) {
            $trainer = $request->integer('trainer_id');
            $trainers = User::query()->where('role', User::TRAINER)->where('disabled_at', null);
            $person->update(['trainer_id' => $trainer === 0 ? null : $trainers->findOrFail($trainer)->id]);
        }
        $role = $request->string('role', $person->role)->toString();
        if ($role !== $person->role) {
            self::leaveATrainer($person);
            $person->forceFill(['role' => $role])->save();
            Trail::note('role-changed', "$person->name, $role");
        }
        if ($request->has('disabled') && $request->boolean('disabled') !== ($person->disabled_at !== null)) {
            self::leaveATrainer($person);
            $person->forceFill(['disabled_at' => $request->boolean('disabled') ? now() : null])->save();
            Trail::note($request->boolean('disabled') ? 'disabled' : 'enabled', $person->name);
            $signIns->endAll($person);
        }

        return $this->answer(MemberDocument::of($person));
    }

    #[OA\Post(path: '/people/{person}/hand-over', operationId: 'handOver', parameters: [
        new OA\Parameter(name: 'person', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(required: ['to'], properties: [
        new OA\Property(property: 'to', type: 'integer'),
    ], type: 'object')), responses: [
        new OA\Response(
            response: 200, description: 'What changed hands', content: new OA\JsonContent(ref: '#/components/schemas/HandedOver'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function handOver(Request $request, User $person, HandOver $handOver): JsonResponse
    {
        $this->authorize('run-school');
        $request->validate(['to' => ['required', 'integer']]);
        $to = User::query()->where('disabled_at', null)->findOrFail($request->integer('to'));
        $moved = $handOver($person, $to);

        return $this->answer(new HandedOver($moved['shots'], $moved['days'], $moved['sites']));
    }

    #[OA\Post(path: '/people/{person}/copies', operationId: 'copyPersonsData', parameters: [
        new OA\Parameter(name: 'person', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(
            response: 202, description: 'It is made in the background; find it in your account',
            content: new OA\JsonContent(ref: '#/components/schemas/PersonalCopy'),
        ),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function copy(Request $request, User $person): JsonResponse
    {
        $this->authorize('run-school');

        return $this->answer(AccountController::makeCopy($person, $this->user($request)), 202);
    }

    #[OA\Delete(path: '/people/{person}', operationId: 'removePerson', parameters: [
        new OA\Parameter(name: 'person', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
    ], responses: [
        new OA\Response(response: 204, description: 'Everything of them is removed, for good'),
        new OA\Response(response: 403, description: 'Trainers only', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        new OA\Response(
            response: 422, description: 'Nobody would run the school', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function destroy(User $person, SignIns $signIns): JsonResponse
    {
        $this->authorize('run-school');
        self::leaveATrainer($person);
        Trail::note('account-removed', $person->name);
        $signIns->endAll($person);
        $person->forceFill(['disabled_at' => now()])->save();
        dispatch((new ForgetPerson($person->id))->afterCommit());

        return $this->answer(null, 204);
    }

    /** Somebody has to run a school. */
    public static function leaveATrainer(User $person): void
    {
        $others = User::query()->where('role', User::TRAINER)->whereKeyNot($person->id)->where('school_id', $person->school_id)
            ->whereNull('disabled_at')->exists();
        if ($person->isTrainer() && $person->disabled_at === null && ! $others) {
            throw new Refusal(Fact::of('school.last-trainer'), 'role', Fact::of('expected.another-trainer-first'));
        }
    }
}
