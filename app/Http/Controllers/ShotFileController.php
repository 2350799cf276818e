<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\Trail;
use App\Actions\ImportShot;
use App\Actions\MakePdf;
use App\Actions\WriteShot;
use App\Documents\ShotDocument;
use App\Models\Rig;
use App\Models\Shot;
use App\Spoken;
use Documents\Plan\PlanDocument;
use Documents\Wire;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\ShotNumbers;
use Larkspur\Choreography\SoundNote;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\FlightDay\Batteries;
use Larkspur\FlightDay\Cautions;
use OpenApi\Attributes as OA;
use Words\Speaker;

/** Shots on paper and as files in open formats. */
final class ShotFileController extends Controller
{
    /** What is read at arm's length; the rest stands on the screen. */
    private const ON_CARD = [
        'turn_rate_dps', 'lap_s', 'hold_arc_deg', 'run_in_m', 'ease_out_m', 'height_above_takeoff_m', 'height_above_ground_m', 'distance_m',
        'tilt_start_deg', 'tilt_end_deg', 'tilt_rate_most_dps', 'trigger_height_m', 'trigger_s', 'settling_tilt_deg', 'release_s',
        'slip_dps', 'seconds_in_frame',
    ];

    private const TYPES = [
        'json' => 'application/json', 'geojson' => 'application/geo+json', 'kml' => 'application/xml', 'gpx' => 'application/gpx+xml',
        'csv' => 'text/csv; charset=utf-8', 'vtt' => 'text/vtt; charset=utf-8',
    ];

    #[OA\Get(path: '/shots/{shot}/files/{format}', operationId: 'shotFile', parameters: [
        new OA\Parameter(name: 'shot', in: 'path', required: true, schema: new OA\Schema(type: 'integer')),
        new OA\Parameter(
            name: 'format', in: 'path', required: true,
            schema: new OA\Schema(type: 'string', enum: ['json', 'geojson', 'kml', 'gpx', 'csv', 'vtt']),
        ),
    ], responses: [
        new OA\Response(
            response: 200, description: 'The shot and its site (json, geojson, kml), its path (gpx), its thumb sheet (csv), its cues (vtt)',
            content: new OA\MediaType(mediaType: 'application/octet-stream', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
    ])]
    public function show(Shot $shot, string $format, WriteShot $write): Response
    {
        $this->authorize('view', $shot);
        $name = self::name($shot).($format === 'json' ? '.shot.json' : ".$format");
        Trail::note('file-taken', $name);

        return new Response($write($shot->load(['site', 'rig', 'operator.school']), $format), 200, [
            'Content-Type' => self::TYPES[$format] ?? 'text/plain', 'Content-Disposition' => "attachment; filename=\"{$name}\"",
        ]);
    }

    #[OA\Get(path: '/shots/{shot}/card', operationId: 'shotCard', parameters: [new OA\Parameter(
        name: 'shot', in: 'path', required: true, schema: new OA\Schema(type: 'integer'),
    )], responses: [
        new OA\Response(
            response: 200, description: 'The shot on a card for the field, A5',
            content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
        ),
    ])]
    public function card(Request $request, Shot $shot, MakePdf $pdf): Response
    {
        $this->authorize('view', $shot);
        $shot->load(['site', 'rig.model', 'operator.school']);
        $plan = Planner::plan($shot->planned());
        $speaker = Spoken::to($plan->shot->sticks);
        $values = [
            'shot' => $shot, 'plan' => Wire::document(PlanDocument::of($plan, 10), $speaker),
            'numbers' => self::numbers($plan, $speaker),
            'cautions' => array_map($speaker->say(...), self::cautions($shot, $plan)),
            'sound' => array_map($speaker->say(...), SoundNote::of($plan, $shot->brief())?->sentences() ?? []),
            'feet' => $this->user($request)->units === 'feet', 'date' => now()->format('j M Y'),
        ];

        return new Response(
            $pdf->onOnePage('print.shot-card', $values, 'A5'), 200,
            ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="'.self::name($shot).'.pdf"'],
        );
    }

    #[OA\Post(path: '/shot-files', operationId: 'importShot', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/ShotFile'),
    ), responses: [
        new OA\Response(
            response: 201, description: 'Taken in, with its site, on a rig of yours',
            content: new OA\JsonContent(ref: '#/components/schemas/Shot'),
        ),
        new OA\Response(response: 422, description: 'It can’t be read', content: new OA\JsonContent(ref: '#/components/schemas/Problem')),
    ])]
    public function store(Request $request, ImportShot $import): JsonResponse
    {
        $request->validate(['rig_id' => ['required', 'integer'], 'shot' => ['required', 'array']]);
        $rig = $this->seen(Rig::class, $request->integer('rig_id'));
        $shot = $import(
            $this->user($request), $rig, Fields::of($request->json('shot')), is_array($request->json('shot')) ? $request->json('shot') : [],
        );

        return $this->answer(ShotDocument::of($shot), 201);
    }

    /**
     * What is written down of a shot beside its parameters: what it is called, and its value at the start and at the end.
     *
     * @return array<string, string>
     */
    private static function numbers(Plan $plan, Speaker $speaker): array
    {
        $numbers = [];
        foreach (ShotNumbers::of($plan) as $number) {
            if (in_array($number->id, self::ON_CARD, true)) {
                // From the one to the other, in few words.
                $tilt = in_array($number->id, ['tilt_start_deg', 'tilt_end_deg'], true);
                $name = $speaker->say($tilt ? Fact::of('number.tilt_deg') : $number->name());
                $value = $speaker->say(Fact::of('number.value', value: $number->quantity));
                $before = $numbers[$name] ?? $value;
                $numbers[$name] = $before === $value ? $value : "$before to $value";
            }
        }

        return $numbers;
    }

    /**
     * The three things to take care of: what the plan itself says first, then what its site and its way ask.
     *
     * @return list<Fact>
     */
    private static function cautions(Shot $shot, Plan $plan): array
    {
        $own = array_map(
            static fn (Finding $finding): Fact => $finding->text,
            array_filter($plan->findings, static fn (Finding $finding): bool => $finding->state !== Finding::OK),
        );
        $asked = array_column(
            Cautions::of(
                $plan->shot->site, [$shot->id => ['title' => $shot->title, 'plan' => $plan]],
                new Batteries(1, $plan->shot->rig->batteryMinutes),
            ),
            'text', 'id',
        );
        // Whose air and whose land are asked for every day; what this shot asks comes before.
        $always = array_intersect_key($asked, ['airspace' => 1, 'owner' => 1, 'aircraft' => 1]);

        return array_slice(array_values([...$own, ...array_diff_key($asked, $always), ...$always]), 0, 3);
    }

    private static function name(Shot $shot): string
    {
        return Str::slug($shot->title) ?: 'shot';
    }
}
