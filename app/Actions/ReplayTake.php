<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Take;
use Illuminate\Support\Facades\Storage;
use Larkspur\Choreography\Planner;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Rig\StickMode;
use Larkspur\Scoring\Replay;
use Larkspur\Scoring\Scorer;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;

/** Works the pictures of a take out again from its log and its plan. Nothing of them is stored. */
final readonly class ReplayTake
{
    /** @return array<string, mixed> */
    public function __invoke(Take $take): array
    {
        $log = $this->log($take);
        $intent = $take->judgement === null ? null : Intent::read(Fields::of($take->judgement->intent));
        $score = Scorer::score($log, $intent, $take->number, $take->operator->school->house_style['crop_budget']);
        $plan = null;
        $shot = $take->shot?->planned();
        if ($shot !== null) {
            try {
                $plan = Planner::plan($shot->withIntent($intent ?? $shot->intent));
            } catch (Refusal) {
                // A shot that has since become impossible still has its take.
            }
        }

        return Replay::of($score, $plan, $shot?->tune(), StickMode::from($take->operator->stick_mode));
    }

    private function log(Take $take): FlightLog
    {
        $stream = Storage::readStream($take->log->path()) ?? throw new Refusal('The log of this take is not on the disk any more.', 'log');
        try {
            return Formats::reader($take->log->path())->read($stream);
        } finally {
            fclose($stream);
        }
    }
}
