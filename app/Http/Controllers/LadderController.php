<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\PrintCertificate;
use App\Actions\SaveLadder;
use App\Actions\SayOfStep as Say;
use App\Documents\LadderDocument;
use App\Documents\SchoolLadder;
use App\Documents\StepSayingDocument;
use App\Http\Requests\LadderForm;
use App\Http\Requests\ProgressWanted;
use App\Http\Requests\SayOfStep;
use App\Models\StepSaying;
use App\Models\User;
use App\Progress\ClimbLadder;
use App\Progress\PastTakes;
use Documents\Person;
use Documents\Progress\StepDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Larkspur\Training\Ladder\Templates;
use OpenApi\Attributes as OA;

/** The ladder: where somebody stands on it, what is said of their steps, and the school's own of it. */
final class LadderController extends Controller
{
    #[OA\Get(path: '/ladder', operationId: 'ladder', parameters: [
        new OA\Parameter(
            name: 'operator', description: 'id; for those who see the class', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
    ], responses: [new OA\Response(
        response: 200, description: 'Every step with its state', content: new OA\JsonContent(ref: '#/components/schemas/Ladder'),
    )])]
    public function show(ProgressWanted $request): JsonResponse
    {
        return $this->of($request->operator());
    }

    #[OA\Post(path: '/ladder/steps/{step}/sayings', operationId: 'sayOfStep', parameters: [new OA\Parameter(
        name: 'step', in: 'path', required: true, schema: new OA\Schema(type: 'string'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SayOfStep')), responses: [
        new OA\Response(
            response: 200, description: 'The ladder as it stands now', content: new OA\JsonContent(ref: '#/components/schemas/Ladder'),
        ),
        new OA\Response(response: 403, description: 'Not yours to say', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
        new OA\Response(
            response: 422, description: 'The evidence is not enough', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function say(SayOfStep $request, string $step, Say $say): JsonResponse
    {
        $user = $this->user($request);
        $operator = User::query()->findOrFail($request->integer('operator'));
        abort_if($request->isOwnWord() && $operator->id !== $user->id, 403);
        if (! $request->isOwnWord()) {
            $this->authorize('run-school');
        }
        $say($operator, $user, $step, $request->string('kind')->toString(), $request->string('text')->trim()->toString(),
            $request->boolean('overrule'));

        return $this->of($operator);
    }

    #[OA\Get(path: '/ladder/certificate', operationId: 'certificate', parameters: [
        new OA\Parameter(
            name: 'operator', description: 'id; for those who see the class', in: 'query', schema: new OA\Schema(type: 'integer'),
        ),
    ], responses: [new OA\Response(
        response: 200, description: 'What is passed, and what it rests on, A4',
        content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
    )])]
    public function certificate(ProgressWanted $request, PrintCertificate $print): Response
    {
        $operator = $request->operator();

        return new Response($print($operator), 200, [
            'Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="'.Str::slug($operator->name).'-steps.pdf"',
        ]);
    }

    #[OA\Get(path: '/school/ladder', operationId: 'schoolLadder', parameters: [new OA\Parameter(
        name: 'order', description: 'one of the orders to begin with, in place of the school’s own', in: 'query',
        schema: new OA\Schema(type: 'string', enum: ['foundation', 'axes', 'controls']),
    )], responses: [new OA\Response(
        response: 200, description: 'As it is edited', content: new OA\JsonContent(ref: '#/components/schemas/SchoolLadder'),
    )])]
    public function edit(Request $request): JsonResponse
    {
        $request->validate(['order' => ['sometimes', 'in:'.implode(',', Templates::ALL)]]);

        return $this->answer($request->filled('order')
            ? SchoolLadder::ofOrder(Templates::of($request->string('order')->toString()))
            : SchoolLadder::of($this->user($request)->school_id));
    }

    #[OA\Post(path: '/school/ladder/effects', operationId: 'ladderEffects', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/LadderForm'),
    ), responses: [new OA\Response(
        response: 200, description: 'What the change would do to whom',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/LadderEffect')),
    )])]
    public function effects(LadderForm $request, SaveLadder $save): JsonResponse
    {
        $this->authorize('run-school');

        return $this->answer($save->effects($this->user($request)->school_id, $request->ladder()));
    }

    #[OA\Put(path: '/school/ladder', operationId: 'saveLadder', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/LadderForm'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'The next version', content: new OA\JsonContent(ref: '#/components/schemas/SchoolLadder'),
        ),
        new OA\Response(
            response: 409, description: 'Somebody saved first', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function save(LadderForm $request, SaveLadder $save): JsonResponse
    {
        $this->authorize('run-school');
        $user = $this->user($request);
        $save($user, $request->ladder(), $request->integer('version'), $request->string('reason')->trim()->toString());
        Trail::note('ladder-changed', $request->string('reason')->toString());

        return $this->answer(SchoolLadder::of($user->school_id));
    }

    private function of(User $operator): JsonResponse
    {
        $ladder = ClimbLadder::ofSchool($operator->school_id);
        $today = now()->getTimestamp() / 86400;
        $steps = [];
        foreach ($ladder->of($operator, PastTakes::of($operator->id, $operator->school->clock())) as $one) {
            $steps[] = StepDocument::of($one, $today);
        }
        $query = StepSaying::query()->where('operator_id', $operator->id);
        $query->orderByDesc('id')->limit(self::SHOWN);

        return $this->answer(new LadderDocument(
            new Person($operator->id, $operator->name), $ladder->version, $steps,
            array_values($query->get()->map(static fn (StepSaying $one): StepSayingDocument => StepSayingDocument::of($one))->all()),
        ));
    }
}
