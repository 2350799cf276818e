<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightLog as LogRecord;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use Illuminate\Support\Carbon;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;

/** Judges one take of a log against its shot, or against the move it looks like, and keeps the judgement. */
final readonly class JudgeTake
{
    public function __invoke(LogRecord $record, FlightLog $log, int $number, ?Shot $shot, User $operator, Carbon $flownAt): Take
    {
        $intent = $shot === null ? null : Intent::read(Fields::of([...$shot->intent, 'camera' => $shot->rig->camera]));
        $wind = $shot === null ? null : Wind::read(Fields::of($shot->wind));
        $score = Scorer::score($log, $intent, $number, $operator->school->house_style['crop_budget'], $wind);
        $document = $score->toArray();

        $facets = [];
        foreach ($score->facets as $facet) {
            $facets[$facet->id] = $facet->score === null ? null : round($facet->score, 1);
        }
        $take = Take::query()->create([
            'school_id' => $record->school_id, 'operator_id' => $operator->id, 'shot_id' => $shot?->id, 'rig_id' => $shot?->rig_id,
            'flight_log_id' => $record->id, 'number' => $number, 'move' => $score->intent->move, 'mode' => $shot->mode ?? self::mode($log),
            'direction' => $score->intent->choice('direction') ?? '',
            'from_s' => $score->take['from_s'], 'to_s' => $score->take['to_s'], 'flown_at' => $flownAt->copy()->addSeconds((int) ($score->take['from_s'] - $log->from())),
            'score' => round($score->score, 1), 'uncertainty' => round($score->uncertainty, 1), ...$facets,
            'verdict' => $score->verdict->verdict, 'usable_s' => round($score->usable->longest(), 1),
        ]);
        $take->scores()->create([
            'school_id' => $record->school_id, 'method' => Score::METHOD, 'intent' => $score->intent->toArray(), 'document' => $document,
        ]);

        return $take;
    }

    /** The flight mode that the log names, where it names one of ours. */
    private static function mode(FlightLog $log): string
    {
        $named = $log->flightModes[intdiv(count($log->flightModes), 2)] ?? '';

        return in_array($named, \Larkspur\Rig\Rig::MODES, true) ? $named : '';
    }
}
