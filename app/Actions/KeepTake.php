<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightLog as LogRecord;
use App\Models\Rig;
use App\Models\Shot;
use App\Models\Take;
use App\Models\User;
use Documents\Score\ScoreDocument;
use Documents\Wire;
use Illuminate\Support\Carbon;
use Larkspur\Fields;
use Larkspur\Rig\Hands;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Score;
use Larkspur\Telemetry\Analysis\Tremble;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Training\FingerMarks;

/** Keeps one judged take of a log in the logbook, with its judgement. */
final readonly class KeepTake
{
    /** @param  ?array<string, mixed>  $practice  of a take that was practised here: with which rig, and how it was flown */
    public function __invoke(
        LogRecord $record, FlightLog $log, int $number, Score $score, ?Shot $shot, User $operator, Carbon $flownAt, ?array $practice = null,
    ): Take {
        $from = $score->window->from;
        [$holdFrom, $holdTo] = $score->hold();

        $take = Take::query()->create([
            'school_id' => $record->school_id, 'operator_id' => $operator->id, 'shot_id' => $shot?->id,
            'rig_id' => $practice['rig_id'] ?? $shot?->rig_id, 'craft_id' => $practice['craft_id'] ?? $shot?->rig->craft_id,
            'practised' => $practice !== null, 'practice' => $practice['how'] ?? null,
            'flight_log_id' => $record->id, 'number' => $number, 'move' => $score->intent->move,
            'mode' => $practice['mode'] ?? $shot->mode ?? self::mode($log),
            'direction' => $score->intent->way(),
            'hands' => self::hands($operator, Rig::query()->whereKey($practice['rig_id'] ?? $shot?->rig_id)->first()),
            ...self::fingers($score),
            'distance_m' => $score->intent->number('radius_m') ?? $score->intent->number('distance_m'),
            'pace_mps' => $score->intent->number('pace_mps'),
            'wind_mps' => $score->wind->mean,
            'faults' => implode(',', array_column($score->faults, 'id')),
            'from_s' => $from, 'to_s' => $score->window->to, 'cut_from_s' => $score->window->cutFrom, 'cut_to_s' => $score->window->cutTo,
            'zone' => $shot?->zone()->name ?? 'UTC',
            'flown_at' => $flownAt->copy()->addSeconds((int) ($from - $log->from())),
            'score' => round($score->score, 1), 'uncertainty' => round($score->uncertainty, 1), ...$score->facetScores(),
            'verdict' => $score->verdict->verdict, 'usable_s' => round($score->usable->longest(), 1),
            'automated' => ($score->automated ?? 0.0) > 0.5,
            'tremble' => Tremble::of($log, $holdFrom, $holdTo),
        ]);
        $take->scores()->create([
            'school_id' => $record->school_id, 'method' => Score::METHOD, 'intent' => $score->intent->toArray(),
            'document' => Wire::document(ScoreDocument::of($score), null),
        ]);

        return $take;
    }

    /** @return array<string, mixed> how whoever flew it held the sticks: a later change of theirs leaves it */
    private static function hands(User $operator, ?Rig $rig): array
    {
        $said = $rig === null ? [] : $rig->document['hands'] ?? [];

        return Hands::read(Fields::of([...$said, 'stick_mode' => $operator->stick_mode, 'wheel_up' => $operator->wheel_up]))->toArray();
    }

    /** @return array<string, ?float> */
    private static function fingers(Score $score): array
    {
        return FingerMarks::of($score->intent->move, array_map(
            static fn (Fault $fault): array => [$fault->axis, round($score->cost($fault), 1)], $score->faults,
        ));
    }

    /** The flight mode that the log names, where it names one of ours. */
    private static function mode(FlightLog $log): string
    {
        $named = $log->flightModes[intdiv(count($log->flightModes), 2)] ?? '';

        return in_array($named, \Larkspur\Rig\Rig::MODES, true) ? $named : '';
    }
}
