<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DraftShot;
use App\Documents\FirstDraft;
use App\Documents\FirstPlace;
use App\Http\Requests\PlanDraft;
use App\Http\Requests\PlanDrag;
use App\Http\Requests\WantedPicture;
use App\Models\Rig;
use App\Models\Site;
use Documents\Map;
use Documents\Plan\CompositionDocument;
use Documents\Plan\ExpectationDocument;
use Documents\Plan\PlanDocument;
use Documents\Reading\ReadingDocument;
use Illuminate\Http\JsonResponse;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Notes\ShotNotes;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Choreography\WantedPicture as Picture;
use Larkspur\Fields;
use Larkspur\Scoring\Expectation;
use Larkspur\Training\FirstShot;
use OpenApi\Attributes as OA;

/** Works a draft out without keeping it: asked at every drag. */
final class PlanController extends Controller
{
    /** Samples of 0.02 s between those sent to the page. */
    private const STRIDE = 10;

    #[OA\Post(path: '/compositions', operationId: 'compose', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/WantedPicture'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'Where the lens must be for that picture, and the parameters that bring it there',
            content: new OA\JsonContent(ref: '#/components/schemas/Composition'),
        ),
        new OA\Response(
            response: 422, description: 'No such picture can be taken', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function compose(WantedPicture $request, DraftShot $draft): JsonResponse
    {
        $picture = Picture::read(Fields::of($request->array('picture'), 'picture'));

        return $this->answer(CompositionDocument::of($picture->solve($this->shot($request, $this->rig($request), $draft))));
    }

    #[OA\Post(path: '/plans', operationId: 'plan', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanDrag'),
    ), responses: [
        new OA\Response(response: 200, description: 'The plan', content: new OA\JsonContent(ref: '#/components/schemas/Plan')),
        new OA\Response(response: 422, description: 'It can’t be drawn', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function store(PlanDrag $request, DraftShot $draft): JsonResponse
    {
        $shot = $this->shot($request, $this->rig($request), $draft);
        $pull = $request->pull();
        $pulled = $pull === null ? null : Planner::pulled($shot, $pull);
        $plan = Planner::plan($pulled === null ? $shot : $shot->withIntent($shot->intent->with($pulled)));

        return $this->answer(PlanDocument::of($plan, self::STRIDE, $pulled));
    }

    #[OA\Post(path: '/drafts', operationId: 'beginPlan', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanDraft'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'The same move where it flies as it is: the mode, the place and the parameters to begin with',
            content: new OA\JsonContent(ref: '#/components/schemas/FirstDraft'),
        ),
        new OA\Response(response: 422, description: 'It can’t be drawn', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function begin(PlanDraft $request, DraftShot $draft): JsonResponse
    {
        $asked = $this->shot($request, $this->rig($request), $draft);
        $first = FirstShot::of($asked);
        $subject = $first->intent->subject;
        $kept = $subject?->toArray() === $asked->intent->subject?->toArray();
        $frame = $first->site->frame();
        $at = $subject === null || $kept ? null : $frame->position($subject);
        $foot = $first->intent->subjectBase ?? $subject->altitude ?? 0.0;

        return $this->answer(new FirstDraft(
            match ($first->mode) {
                'slow' => 'slow',
                'fast' => 'fast',
                default => 'standard',
            }, $kept ? $request->draft()['subject_id'] ?? null : null,
            $at === null || $subject === null ? null : new FirstPlace(
                round($at->east, 2), round($at->north, 2), round($foot - $frame->origin->altitude, 2), round($subject->altitude - $foot, 2),
            ),
            new Map($first->intent->parameters),
        ));
    }

    #[OA\Post(path: '/expectations', operationId: 'expectScore', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanDraft'),
    ), responses: [
        new OA\Response(
            response: 200,
            description: 'What the plan would score if its thumb sheet were flown as written, in still air: asked when the hand rests',
            content: new OA\JsonContent(ref: '#/components/schemas/Expectation'),
        ),
        new OA\Response(response: 422, description: 'It can’t be drawn', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function expect(PlanDraft $request, DraftShot $draft): JsonResponse
    {
        return $this->answer(ExpectationDocument::of(Expectation::of(Planner::plan($this->shot($request, $this->rig($request), $draft)))));
    }

    #[OA\Post(path: '/readings', operationId: 'readShot', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanDraft'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'What the plan has to say for itself: asked when the hand has let go',
            content: new OA\JsonContent(ref: '#/components/schemas/Reading'),
        ),
        new OA\Response(response: 422, description: 'It can’t be drawn', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function read(PlanDraft $request, DraftShot $draft): JsonResponse
    {
        $rig = $this->rig($request)->load('model');
        $brief = Brief::read($request->filled('brief') ? Fields::of($request->array('brief'), 'brief') : null);

        return $this->answer(ReadingDocument::of(ShotNotes::of(
            Planner::plan($this->shot($request, $rig, $draft)), $brief, $rig->recordedWidth(),
        )));
    }

    private function rig(PlanDraft $request): Rig
    {
        return $this->seen(Rig::class, $request->integer('rig_id'));
    }

    private function shot(PlanDraft $request, Rig $rig, DraftShot $draft): Shot
    {
        return $draft(Site::query()->findOrFail($request->integer('site_id')), $rig, $this->user($request), $request->draft())['shot'];
    }
}
