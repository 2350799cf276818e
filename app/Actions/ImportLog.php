<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\ColumnMapping;
use App\Models\FlightLog as LogRecord;
use App\Models\Import;
use App\Models\RememberedReading;
use App\Models\Shot;
use App\Models\Take;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Scoring\MoveUnsure;
use Larkspur\Scoring\PlaceDoubtful;
use Larkspur\Scoring\Placement;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use Larkspur\Site\Zone;
use Larkspur\Telemetry\ColumnMapping as Mapping;
use Larkspur\Telemetry\ColumnsUnknown;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\LogNote;
use Larkspur\Telemetry\Reading;
use Throwable;

/**
 * Reads an uploaded log, keeps its bytes under their SHA-256, cuts it into takes and judges each. All or nothing: a
 * log that is refused leaves the words of the refusal and no half-saved take.
 */
final readonly class ImportLog
{
    /** No log that is read here is of an earlier year. */
    private const CLOCKS_SET = 2000;

    public function __construct(private KeepTake $keepTake)
    {
    }

    public function __invoke(Import $import, string $source = LogRecord::IMPORTED): void
    {
        try {
            $import->update(['state' => Import::READING]);
            $log = $this->placed($import, $this->read($import));
            $import->update(['state' => Import::JUDGING, 'bytes_read' => $import->bytes]);
            [$takes, $unsure, $said] = DB::transaction(fn (): array => $this->keep($import, $log, $source));
            $import->update(['state' => Import::DONE, 'outcome' => [
                'takes' => array_map(static fn (Take $take): int => $take->id, $takes),
                'unsure' => $unsure,
                'notes' => array_map(static fn (LogNote $note): array => $note->toArray(), [...$said, ...$log->notes]),
            ]]);
        } catch (ColumnsUnknown $unknown) {
            // The upload is kept until somebody has said what its columns are.
            $import->update(['state' => Import::COLUMNS, 'outcome' => [
                'message' => Fact::of('import.columns-unknown'), 'place' => $unknown->place, 'expected' => $unknown->expected,
                'headers' => $unknown->headers, 'guess' => $unknown->guess->toArray(),
            ]]);
        } catch (PlaceDoubtful $doubtful) {
            // The same: a log from elsewhere is no bad flying.
            $import->update(['state' => Import::PLACE, 'outcome' => [
                'message' => $doubtful->fact, 'place' => $doubtful->place, 'expected' => $doubtful->expected,
                'readings' => array_map(
                    static fn (string $id, Position $at): array => [
                        'id' => $id, 'east_m' => round($at->east, 1), 'north_m' => round($at->north, 1), 'up_m' => round($at->up, 1),
                    ],
                    [Reading::AsWritten->value, ...array_keys($doubtful->readings)],
                    [$doubtful->written, ...array_values($doubtful->readings)],
                ),
            ]]);
        } catch (Refusal $refusal) {
            $import->update(['state' => Import::REFUSED, 'outcome' => [
                'message' => $refusal->fact, 'place' => $refusal->place, 'expected' => $refusal->expected,
            ]]);
        } catch (Throwable $error) {
            $import->update(['state' => Import::REFUSED, 'outcome' => [
                'message' => Fact::of('import.broke'), 'place' => '', 'expected' => null,
            ]]);
            throw $error;
        } finally {
            if (! in_array($import->state, [Import::COLUMNS, Import::PLACE], true)) {
                Storage::delete($import->path);
            }
        }
    }

    /**
     * By the reading that somebody said, or as it is written where it lies at its plan.
     *
     * @throws PlaceDoubtful where it lies elsewhere
     */
    private function placed(Import $import, FlightLog $log): FlightLog
    {
        if ($import->reading !== null) {
            return Reading::from($import->reading)->of($log, $import->reading_ground_m ?? 0.0);
        }
        if ($import->shot === null) {
            return $log;
        }
        $intent = self::intent($import->shot);
        try {
            Placement::check($log, $intent);
        } catch (PlaceDoubtful $doubtful) {
            $said = RememberedReading::of($import);
            if ($said === null || ! isset($doubtful->readings[$said->value])) {
                throw $doubtful;
            }
            $import->fill(['reading' => $said->value, 'reading_ground_m' => SayReading::ground($intent)]);

            return $said->of($log, $import->reading_ground_m ?? 0.0)->noting(
                new LogNote(Fact::of('import.read-as-said-before', reading: $said->words())),
            );
        }

        return $log;
    }

    /**
     * When its first sample was taken, where it says so and its clock was set: one that was not gives its makers' year or one to come.
     * Dates that name no zone are of the clock of the site.
     */
    private static function date(FlightLog $log, Zone $zone): ?Carbon
    {
        $shown = $log->epoch === null ? null : $log->epoch + $log->from();
        $time = $shown === null ? null : Carbon::createFromTimestampUTC($log->zoneless ? $zone->instantOf($shown) : $shown);

        return $time !== null && $time->year >= self::CLOCKS_SET && $time->lessThan(now()->addDay()) ? $time : null;
    }

    private static function intent(Shot $shot): Intent
    {
        return Intent::read(Fields::of([...$shot->intent, 'camera' => $shot->rig->camera]));
    }

    /** Reads the upload; columns with names of their own by what the school confirmed once, or for this upload. */
    private function read(Import $import): FlightLog
    {
        try {
            return $this->readBy($import, $import->columns);
        } catch (ColumnsUnknown $unknown) {
            $known = ColumnMapping::query()->where('school_id', $import->school_id)
                ->where('fingerprint', Mapping::fingerprint($unknown->headers))
                ->first();
            if ($known === null) {
                throw $unknown;
            }
            $import->columns = $known->mapping;

            return $this->readBy($import, $known->mapping);
        }
    }

    /** @param  ?array<string, mixed>  $columns */
    private function readBy(Import $import, ?array $columns): FlightLog
    {
        $reader = Formats::reader($import->file_name, $columns === null ? null : Mapping::read(Fields::of($columns, 'columns')));
        $stream = Storage::readStream($import->path) ?? throw new Refusal(
            Fact::of('import.not-whole'), '', Fact::of('expected.file-sent-again'),
        );
        try {
            $told = 0;
            $log = $reader->read($stream, static function (int $bytes) use ($import, &$told): void {
                // Told every few megabytes: often enough for a progress bar, seldom enough for the database.
                if ($bytes - $told > 4_000_000) {
                    $told = $bytes;
                    $import->update(['bytes_read' => $bytes]);
                }
            });
            rewind($stream);
            $hash = hash_init('sha256');
            hash_update_stream($hash, $stream);

            return $log->withSha256(hash_final($hash));
        } finally {
            fclose($stream);
        }
    }

    /**
     * @return array{list<Take>, list<array{number: int, from_s: float, to_s: float, candidates: list<string>}>, list<LogNote>} takes kept,
     * those whose move somebody has to name, and what has to be said beside what the reader said
     */
    private function keep(Import $import, FlightLog $log, string $source): array
    {
        $known = LogRecord::query()->where('school_id', $import->school_id)
            ->where('owner_id', $import->owner_id)->where('sha256', $log->sha256)
            ->latest('edition')->first();
        // By other columns, or as another place, the same bytes are another flight: what they were taken for leaves the logbook.
        if ($known !== null && $known->columns == $import->columns && $known->reading === $import->reading) {
            throw new Refusal(Fact::of('import.known-already'), 'log '.$known->file_name, Fact::of('expected.log-not-imported-before'));
        }
        $left = (int) $known?->takes()->delete();
        $record = LogRecord::query()->create([
            'school_id' => $import->school_id, 'owner_id' => $import->owner_id, 'sha256' => $log->sha256, 'file_name' => $import->file_name,
            'bytes' => $import->bytes, 'source' => $source, 'samples' => $log->count(), 'rate_hz' => round($log->rate(), 2),
            'notes' => array_map(static fn (LogNote $note): array => $note->toArray(), $log->notes), 'columns' => $import->columns,
            'reading' => $import->reading, 'reading_ground_m' => $import->reading_ground_m,
            'edition' => $known === null ? 0 : $known->edition + 1,
        ]);
        $import->flown_at = self::date($log, $import->shot?->zone() ?? new Zone) ?? $import->flown_at;
        $takes = $unsure = [];
        $refused = null;
        foreach ($this->judged($import, $log) as $number => $judged) {
            if ($judged instanceof MoveUnsure) {
                $unsure[] = [
                    'number' => $number, 'from_s' => round($judged->from, 1), 'to_s' => round($judged->to, 1),
                    'candidates' => $judged->candidates,
                ];
            } elseif ($judged instanceof Refusal) {
                // One pass that can't be judged does not spoil the others of the log.
                $refused ??= $judged;
            } else {
                $takes[] = ($this->keepTake)($record, $log, $number, $judged, $import->shot, $import->owner, $import->flown_at);
            }
        }
        if ($takes === [] && $unsure === []) {
            throw $refused ?? new Refusal(Fact::of('import.no-take'), 'log', Fact::of('expected.log-of-one-pass'));
        }
        $import->flight_log_id = $record->id;
        if (! Storage::exists($record->path())) {
            Storage::copy($import->path, $record->path());
        }

        return [$takes, $unsure, $left === 0 ? [] : [new LogNote(Fact::of('import.read-anew', left: $left))]];
    }

    /**
     * The takes of the log, judged against the shot that was meant, or against the move each looks like.
     *
     * @return iterable<int, Score|Refusal>
     */
    private function judged(Import $import, FlightLog $log): iterable
    {
        $shot = $import->shot;
        $style = $import->owner->school->judging();

        return $shot === null
            ? Scorer::each($log, null, $style)
            : Scorer::each($log, self::intent($shot), $style, Wind::read(Fields::of($shot->wind)));
    }
}
