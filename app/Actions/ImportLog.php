<?php

declare(strict_types=1);

namespace App\Actions;

use App\Files\NoRoom;
use App\Files\Vault;
use App\Imports\Lease;
use App\Imports\LeaseLost;
use App\Models\ColumnMapping;
use App\Models\FlightLog as LogRecord;
use App\Models\Import;
use App\Models\RememberedReading;
use App\Models\Shot;
use App\Models\Take;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Carbon;
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

    public function __construct(private KeepTake $keepTake, private Vault $vault)
    {
    }

    /** Does nothing where somebody else reads it, or where it has ended. */
    public function __invoke(Import $import): void
    {
        $lease = Lease::take($import);
        if ($lease === null) {
            return;
        }
        try {
            $this->work($import, $lease);
        } catch (LeaseLost) {
            // It was cancelled, or another holder took it: what it comes to is theirs to say.
            return;
        } finally {
            if (! in_array($import->state, Import::OPEN, true)) {
                $this->vault->drop($import->path);
            }
        }
    }

    private function work(Import $import, Lease $lease): void
    {
        try {
            $log = $this->placed($import, $this->read($import, $lease));
            $lease->renew(['state' => Import::JUDGING, 'bytes_read' => $import->bytes]);
            $judged = [];
            foreach ($this->judged($import, $log) as $number => $one) {
                $judged[$number] = $one;
                $lease->renew();
            }
            $lease->end(function () use ($import, $log, $judged): array {
                [$takes, $unsure, $said] = $this->keep($import, $log, $judged);

                return ['state' => Import::DONE, 'outcome' => [
                    'takes' => array_map(static fn (Take $take): int => $take->id, $takes),
                    'unsure' => $unsure,
                    'notes' => array_map(static fn (LogNote $note): array => $note->toArray(), [...$said, ...$log->notes]),
                ]];
            });
        } catch (ColumnsUnknown $unknown) {
            // The upload is kept until somebody has said what its columns are.
            self::stop($import, $lease, Import::COLUMNS, [
                'message' => Fact::of('import.columns-unknown'), 'place' => $unknown->place, 'expected' => $unknown->expected,
                'headers' => $unknown->headers, 'guess' => $unknown->guess->toArray(),
            ]);
        } catch (PlaceDoubtful $doubtful) {
            // The same: a log from elsewhere is no bad flying.
            self::stop($import, $lease, Import::PLACE, [
                'message' => $doubtful->fact, 'place' => $doubtful->place, 'expected' => $doubtful->expected,
                'readings' => array_map(
                    static fn (string $id, Position $at): array => [
                        'id' => $id, 'east_m' => round($at->east, 1), 'north_m' => round($at->north, 1), 'up_m' => round($at->up, 1),
                    ],
                    [Reading::AsWritten->value, ...array_keys($doubtful->readings)],
                    [$doubtful->written, ...array_values($doubtful->readings)],
                ),
            ]);
        } catch (UniqueConstraintViolationException) {
            // The same bytes were sent twice at once, and the other was first.
            self::refuse($import, $lease, self::known($import->file_name));
        } catch (Refusal $refusal) {
            self::refuse($import, $lease, $refusal);
        } catch (NoRoom $error) {
            self::stop($import, $lease, Import::FAILED, ['message' => Fact::of('import.no-room'), 'place' => '', 'expected' => null]);
            throw $error;
        } catch (LeaseLost $lost) {
            throw $lost;
        } catch (Throwable $error) {
            self::stop($import, $lease, Import::FAILED, ['message' => Fact::of('import.broke'), 'place' => '', 'expected' => null]);
            throw $error;
        }
    }

    /**
     * @param  string  $state  one of those of an import
     * @param  array<string, mixed>  $outcome
     */
    private static function stop(Import $import, Lease $lease, string $state, array $outcome): void
    {
        // What was noted on the way to a logbook entry that is none now.
        $import->discardChanges();
        $lease->end(static fn (): array => ['state' => $state, 'outcome' => $outcome]);
    }

    private static function refuse(Import $import, Lease $lease, Refusal $refusal): void
    {
        self::stop($import, $lease, Import::REFUSED, [
            'message' => $refusal->fact, 'place' => $refusal->place, 'expected' => $refusal->expected,
        ]);
    }

    private static function known(string $fileName): Refusal
    {
        return new Refusal(Fact::of('import.known-already'), 'log '.$fileName, Fact::of('expected.log-not-imported-before'));
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
        // What was practised here lies where it was flown.
        if ($import->shot === null || $import->practice !== null) {
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
    private function read(Import $import, Lease $lease): FlightLog
    {
        try {
            return $this->readBy($import, $lease, $import->columns);
        } catch (ColumnsUnknown $unknown) {
            $known = ColumnMapping::query()->where('school_id', $import->school_id)
                ->where('fingerprint', Mapping::fingerprint($unknown->headers))
                ->first();
            if ($known === null) {
                throw $unknown;
            }
            $import->columns = $known->mapping;

            return $this->readBy($import, $lease, $known->mapping);
        }
    }

    /** @param  ?array<string, mixed>  $columns */
    private function readBy(Import $import, Lease $lease, ?array $columns): FlightLog
    {
        $reader = Formats::reader($import->file_name, $columns === null ? null : Mapping::read(Fields::of($columns, 'columns')));
        $stream = Storage::readStream($import->path) ?? throw new Refusal(
            Fact::of('import.not-whole'), '', Fact::of('expected.file-sent-again'),
        );
        try {
            $told = 0;
            $log = $reader->read($stream, static function (int $bytes) use ($lease, &$told): void {
                // Told every few megabytes: often enough for a progress bar, seldom enough for the database.
                if ($bytes - $told > 4_000_000) {
                    $told = $bytes;
                    $lease->renew(['bytes_read' => $bytes]);
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
     * @param  array<int, Score|Refusal>  $judged  by number
     * @return array{list<Take>, list<array{number: int, from_s: float, to_s: float, candidates: list<string>}>, list<LogNote>} takes kept,
     * those whose move somebody has to name, and what has to be said beside what the reader said
     */
    private function keep(Import $import, FlightLog $log, array $judged): array
    {
        $alike = LogRecord::query()->where('school_id', $import->school_id)
            ->where('owner_id', $import->owner_id)->where('sha256', $log->sha256)
            ->latest('edition')->get();
        // In simulated still air two passes can be alike to the byte: there the recording is what tells them apart, and it names the file.
        $known = $alike->first(static fn (LogRecord $one): bool => $import->source !== LogRecord::PRACTISED
            || $one->file_name === $import->file_name);
        // By other columns, or as another place, the same bytes are another flight: what they were taken for leaves the logbook.
        if ($known !== null && $known->columns == $import->columns && $known->reading === $import->reading) {
            throw self::known($known->file_name);
        }
        $left = 0;
        foreach ($known?->takes()->get() ?? [] as $take) {
            $left += (int) $take->delete();
        }
        $record = LogRecord::query()->create([
            'school_id' => $import->school_id, 'owner_id' => $import->owner_id, 'sha256' => $log->sha256, 'file_name' => $import->file_name,
            'bytes' => $import->bytes, 'source' => $import->source, 'samples' => $log->count(), 'rate_hz' => round($log->rate(), 2),
            'notes' => array_map(static fn (LogNote $note): array => $note->toArray(), $log->notes), 'columns' => $import->columns,
            'reading' => $import->reading, 'reading_ground_m' => $import->reading_ground_m,
            'edition' => 1 + ($alike->first()->edition ?? -1),
        ]);
        $import->flown_at = self::date($log, $import->shot?->zone() ?? new Zone) ?? $import->flown_at;
        $takes = $unsure = [];
        $refused = null;
        foreach ($judged as $number => $one) {
            if ($one instanceof MoveUnsure) {
                $unsure[] = [
                    'number' => $number, 'from_s' => round($one->from, 1), 'to_s' => round($one->to, 1),
                    'candidates' => $one->candidates,
                ];
            } elseif ($one instanceof Refusal) {
                // One pass that can't be judged does not spoil the others of the log.
                $refused ??= $one;
            } else {
                $takes[] = ($this->keepTake)(
                    $record, $log, $number, $one, $import->shot, $import->owner, $import->flown_at, $import->practice,
                );
            }
        }
        if ($takes === [] && $unsure === []) {
            throw $refused ?? new Refusal(Fact::of('import.no-take'), 'log', Fact::of('expected.log-of-one-pass'));
        }
        $import->flight_log_id = $record->id;
        $this->put($import, $record);

        return [$takes, $unsure, $left === 0 ? [] : [new LogNote(Fact::of('import.read-anew', left: $left))]];
    }

    /** Its bytes to where they are kept, unless they lie there whole already. */
    private function put(Import $import, LogRecord $record): void
    {
        if ($this->vault->hashOf($record->path()) === $record->sha256) {
            return;
        }
        $stream = Storage::readStream($import->path);
        if ($stream === null || $this->vault->keep($record->path(), $stream) !== $record->sha256) {
            throw new Refusal(Fact::of('import.not-whole'), '', Fact::of('expected.file-sent-again'));
        }
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
        if ($import->practice !== null) {
            // Against what was set, whatever became of the shot since.
            $meant = $import->practice['intent'];

            return Scorer::each(
                $log, $meant === null ? null : Intent::read(Fields::of($meant)), $style, Wind::read(Fields::of($import->practice['wind'])),
            );
        }

        return $shot === null
            ? Scorer::each($log, null, $style)
            : Scorer::each($log, self::intent($shot), $style, Wind::read(Fields::of($shot->wind)));
    }
}
