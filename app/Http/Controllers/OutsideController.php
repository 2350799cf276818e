<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\FindHeights;
use App\Documents\MeterReading;
use App\Documents\WeatherDocument;
use App\Outside\LightMeter;
use App\Outside\WeatherService;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Larkspur\Geo\GeoPoint;
use OpenApi\Attributes as OA;

/** What the world outside says: weather, heights of the ground, light. Each answer says whether it is simulated; all can be typed over. */
final class OutsideController extends Controller
{
    #[OA\Get(path: '/weather', operationId: 'weather', parameters: [
        new OA\Parameter(name: 'lat', in: 'query', required: true, schema: new OA\Schema(type: 'number')),
        new OA\Parameter(name: 'lon', in: 'query', required: true, schema: new OA\Schema(type: 'number')),
        new OA\Parameter(
            name: 'at', description: 'such as 2026-06-03T09:00:00Z', in: 'query', required: true, schema: new OA\Schema(type: 'string'),
        ),
    ], responses: [
        new OA\Response(
            response: 200, description: 'Wind, gusts, temperature and cloud',
            content: new OA\JsonContent(ref: '#/components/schemas/Weather'),
        ),
    ])]
    public function weather(Request $request, WeatherService $service): JsonResponse
    {
        [$place, $time] = $this->asked($request);

        return $this->answer(WeatherDocument::of($service->at($place, $time)));
    }

    #[OA\Get(path: '/light-meter', operationId: 'lightMeter', parameters: [
        new OA\Parameter(name: 'lat', in: 'query', required: true, schema: new OA\Schema(type: 'number')),
        new OA\Parameter(name: 'lon', in: 'query', required: true, schema: new OA\Schema(type: 'number')),
        new OA\Parameter(name: 'at', in: 'query', required: true, schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(
            response: 200, description: 'What a light meter reads there',
            content: new OA\JsonContent(ref: '#/components/schemas/MeterReading'),
        ),
    ])]
    public function meter(Request $request, LightMeter $meter): JsonResponse
    {
        [$place, $time] = $this->asked($request);

        return $this->answer(new MeterReading($meter->read($place, $time), $meter->isSimulated()));
    }

    #[OA\Post(path: '/ground-heights', operationId: 'groundHeights', requestBody: new OA\RequestBody(
        required: true, content: new OA\JsonContent(ref: '#/components/schemas/HeightsWanted'),
    ), responses: [
        new OA\Response(
            response: 200, description: 'Spot heights about take-off', content: new OA\JsonContent(ref: '#/components/schemas/Heights'),
        ),
    ])]
    public function heights(Request $request, FindHeights $find): JsonResponse
    {
        $request->validate([
            'home.lat' => ['required', 'numeric', 'between:-89.9,89.9'], 'home.lon' => ['required', 'numeric', 'between:-180,180'],
            'reach_m' => ['sometimes', 'numeric', 'between:20,1000'],
        ]);

        return $this->answer($find(
            new GeoPoint($request->float('home.lat'), $request->float('home.lon')), $request->float('reach_m', 150),
        ));
    }

    /** @return array{GeoPoint, float} */
    private function asked(Request $request): array
    {
        $request->validate([
            'lat' => ['required', 'numeric', 'between:-89.9,89.9'], 'lon' => ['required', 'numeric', 'between:-180,180'],
            'at' => ['required', 'bail', 'string', 'date'],
        ]);

        return [new GeoPoint($request->float('lat'), $request->float('lon')), (float) strtotime($request->string('at')->toString())];
    }
}
