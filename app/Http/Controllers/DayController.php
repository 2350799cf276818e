<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\FindPassTakes;
use App\Actions\LogEntries;
use App\Actions\MakePdf;
use App\Actions\PlanDay;
use App\Actions\WriteCalendar;
use App\Documents\DayDetail;
use App\Documents\DayDocument;
use App\Http\Requests\DayForm;
use App\Http\Requests\FieldEntries;
use App\Models\FlightDay;
use App\Models\Shot;
use App\Models\Site;
use App\Models\User;
use Documents\Day\FieldLogDocument;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** Days of flying: planned, taken into the field, and what came back from there. */
final class DayController extends Controller
{
    #[OA\Get(path: '/days', operationId: 'days', parameters: [
        new OA\Parameter(name: 'operator', description: 'id; trainers only', in: 'query', schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(name: 'find', description: 'words of its name', in: 'query', schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(
            response: 200, description: 'Days, the latest first, sixty at most',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: '#/components/schemas/Day')),
        ),
    ])]
    public function index(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $query = FlightDay::query()->with(['site', 'operator']);
        $query->orderByDesc('date')->orderByDesc('id');
        if (! $user->seesClass()) {
            $query->where('operator_id', $user->id);
        } elseif ($request->integer('operator') > 0) {
            $query->where('operator_id', $request->integer('operator'));
        }

        return $this->answer(array_map(DayDocument::of(...), $this->found($query, 'title', $request)->all()));
    }

    #[OA\Post(path: '/days', operationId: 'keepDay', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/DayForm'),
    ), responses: [
        new OA\Response(response: 201, description: 'Kept', content: new OA\JsonContent(ref: '#/components/schemas/DayDetail')),
        new OA\Response(
            response: 422, description: 'Something in it can’t be', content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
        ),
    ])]
    public function store(DayForm $request, PlanDay $plan): JsonResponse
    {
        $user = $this->user($request);
        $operator = $user->isTrainer() && $request->filled('operator_id')
            ? User::query()->where('school_id', $user->school_id)->findOrFail($request->integer('operator_id'))
            : $user;
        $day = FlightDay::query()->create([
            ...$this->filled($request), 'school_id' => $user->school_id, 'operator_id' => $operator->id, 'version' => 1,
        ]);

        return $this->answer($this->detail($day, $plan), 201);
    }

    #[OA\Get(path: '/days/{day}', operationId: 'day', parameters: [new OA\Parameter(
        name: 'day', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'A day, worked out: all that the field needs',
            content: new OA\JsonContent(ref: '#/components/schemas/DayDetail'),
        ),
    ])]
    public function show(FlightDay $day, PlanDay $plan): JsonResponse
    {
        $this->authorize('view', $day);

        return $this->answer($this->detail($day, $plan));
    }

    #[OA\Put(path: '/days/{day}', operationId: 'changeDay', parameters: [new OA\Parameter(
        name: 'day', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/DayForm')), responses: [
        new OA\Response(
            response: 200, description: 'Changed, and planned anew', content: new OA\JsonContent(ref: '#/components/schemas/DayDetail'),
        ),
        new OA\Response(
            response: 409, description: 'Somebody saved first', content: new OA\JsonContent(ref: '#/components/schemas/SavedFirst'),
        ),
    ])]
    public function update(DayForm $request, FlightDay $day, PlanDay $plan): JsonResponse
    {
        $this->authorize('update', $day);

        return $this->answer($this->detail($day->saveOver($request->integer('version'), $this->filled($request, $day)), $plan));
    }

    #[OA\Delete(path: '/days/{day}', operationId: 'removeDay', parameters: [new OA\Parameter(
        name: 'day', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(response: 204, description: 'Removed'),
    ])]
    public function destroy(FlightDay $day): Response
    {
        $this->authorize('update', $day);
        Trail::note('removed-day', $day->title);
        $day->delete();

        return new Response(status: 204);
    }

    #[OA\Post(path: '/days/{day}/entries', operationId: 'logEntries', parameters: [new OA\Parameter(
        name: 'day', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/FieldEntries')), responses: [
        new OA\Response(
            response: 200, description: 'What holds after all that was entered',
            content: new OA\JsonContent(ref: '#/components/schemas/FieldLog'),
        ),
    ])]
    public function entries(FieldEntries $request, FlightDay $day, LogEntries $log): JsonResponse
    {
        $this->authorize('update', $day);

        return $this->answer(FieldLogDocument::of($log($day, $this->user($request), $request->entries(), $request->behind())));
    }

    #[OA\Get(path: '/days/{day}/log', operationId: 'fieldLog', parameters: [new OA\Parameter(
        name: 'day', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'What holds after all that was entered, on whichever device',
            content: new OA\JsonContent(ref: '#/components/schemas/FieldLog'),
        ),
    ])]
    public function log(FlightDay $day, FindPassTakes $find): JsonResponse
    {
        $this->authorize('view', $day);
        $log = PlanDay::log($day);

        return $this->answer(FieldLogDocument::of($log, $find($log)));
    }

    #[OA\Get(path: '/days/{day}/calendar', operationId: 'dayCalendar', parameters: [new OA\Parameter(
        name: 'day', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'The timetable as iCalendar',
            content: new OA\MediaType(mediaType: 'text/calendar', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
    ])]
    public function calendar(FlightDay $day, PlanDay $plan, WriteCalendar $write): Response
    {
        $this->authorize('view', $day);
        $day->load('site');
        Trail::note('file-taken', self::name($day).'.ics');

        return new Response(
            $write($day, $plan($day)), 200,
            ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="'.self::name($day).'.ics"'],
        );
    }

    #[OA\Get(path: '/days/{day}/sheet', operationId: 'daySheet', parameters: [new OA\Parameter(
        name: 'day', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'The day on paper, A4',
            content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
    ])]
    public function sheet(Request $request, FlightDay $day, PlanDay $plan, MakePdf $pdf): Response
    {
        $this->authorize('view', $day);
        $day->load(['site', 'operator']);
        Trail::note('file-taken', self::name($day).'.pdf');

        return new Response(
            $pdf(
                'print.day-sheet',
                ['day' => $day, 'plan' => $plan($day), 'feet' => $this->user($request)->units === 'feet', 'date' => now()->format('j M Y')],
                'A4',
            ),
            200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="'.self::name($day).'.pdf"'],
        );
    }

    /** @return array<string, mixed> */
    private function filled(DayForm $request, ?FlightDay $day = null): array
    {
        $site = Site::query()->findOrFail($request->integer('site_id'));
        $document = $request->document();
        $document['shots'] = $this->shots(is_array($document['shots'] ?? null) ? $document['shots'] : [], $site, $day);

        return [
            'title' => $request->string('title')->toString(), 'date' => $request->string('date')->toString(), 'site_id' => $site->id,
            'document' => $document,
            ...$request->has('purpose') ? ['purpose' => $request->string('purpose')->trim()->toString()] : [],
        ];
    }

    /**
     * Shots that can be flown at this site. One that is gone leaves the day; one that is somebody else's is refused, unless a trainer put
     * it
     * there.
     *
     * @param  array<array-key, mixed>  $wanted
     * @return list<mixed>
     */
    private function shots(array $wanted, Site $site, ?FlightDay $day): array
    {
        $before = $day === null ? [] : array_column(is_array($day->document['shots'] ?? null) ? $day->document['shots'] : [], 'shot_id');
        $query = Shot::query()->where('site_id', $site->id);
        $query->whereIn('id', array_column($wanted, 'shot_id'));
        $known = $query->get()->keyBy('id');
        foreach ($known as $shot) {
            if (! in_array($shot->id, $before, true)) {
                $this->authorize('view', $shot);
            }
        }

        return array_values(array_filter(
            $wanted, static fn (mixed $one): bool => is_array($one) && is_int($one['shot_id'] ?? null) && $known->has($one['shot_id']),
        ));
    }

    private function detail(FlightDay $day, PlanDay $plan): DayDetail
    {
        $day->load(['site', 'operator']);

        return DayDetail::of($day, $plan($day));
    }

    private static function name(FlightDay $day): string
    {
        return Str::slug($day->title).'-'.$day->day();
    }
}
