<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Shot;
use App\Spoken;
use Larkspur\Choreography\Planner;
use Larkspur\TakeAlong\CueVtt;
use Larkspur\TakeAlong\ShotGeoJson;
use Larkspur\TakeAlong\ShotGpx;
use Larkspur\TakeAlong\ShotKml;
use Larkspur\TakeAlong\ThumbSheetCsv;

/** A shot as a file to take along: in an open format, or whole, as Larkspur reads it again. */
final readonly class WriteShot
{
    private const JSON = JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION | self::PLAIN;

    private const PLAIN = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;

    public function __invoke(Shot $shot, string $format): string
    {
        $plan = Planner::plan($shot->planned());
        $speaker = Spoken::to($plan->shot->sticks);

        return match ($format) {
            'geojson' => ShotGeoJson::ofPlan($plan, $shot->title),
            'kml' => ShotKml::of($plan, $shot->title),
            'gpx' => ShotGpx::of($plan),
            'csv' => ThumbSheetCsv::of($plan, $speaker->say(...)),
            'vtt' => CueVtt::of($plan, $shot->title, $speaker->say(...)),
            default => json_encode(
                [
                    'title' => $shot->title, ...$plan->shot->toArray(), 'subjects' => $shot->site->subjects,
                    'brief' => $shot->brief()->toArray(),
                ],
                self::JSON,
            )."\n",
        };
    }
}
