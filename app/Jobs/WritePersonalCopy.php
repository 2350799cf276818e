<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Files\BytesGone;
use App\Files\Vault;
use App\Models\FlightLog;
use App\Models\PersonalCopy;
use App\Models\Recording;
use App\Models\Take;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use RuntimeException;
use Throwable;
use ZipArchive;

/** Writes everything about a person into one file: their account, shots, days, rigs, takes with every judgement, and logs byte for byte. */
final class WritePersonalCopy implements ShouldQueue
{
    use Queueable;

    public int $tries = 2;

    public int $timeout = 590;

    /** Said of the columns of an account that are nobody's business, theirs neither. */
    private const SECRET = ['password' => 1, 'remember_token' => 1, 'totp_secret' => 1, 'spare_codes' => 1, 'calendar_key' => 1];

    public function __construct(private readonly int $copy)
    {
    }

    public function handle(Vault $vault): void
    {
        $copy = PersonalCopy::query()->find($this->copy);
        if ($copy === null || $copy->state === 'ready') {
            return;
        }
        $user = $copy->user_id;
        $copy->update(['state' => 'writing', 'done' => 0, 'of' => DB::table('takes')->where('operator_id', $user)->count()
            + DB::table('flight_logs')->where('owner_id', $user)->count()]);
        $path = (string) tempnam(sys_get_temp_dir(), 'copy');
        try {
            $zip = new ZipArchive;
            if ($zip->open($path, ZipArchive::OVERWRITE) !== true) {
                throw new RuntimeException('No archive can be made.');
            }
            foreach ($this->tables($user) as $name => $rows) {
                $zip->addFromString("$name.json", self::json($rows));
            }
            $takes = $this->takes($copy);
            $zip->addFile($takes, 'takes.jsonl');
            $this->logs($zip, $copy, $vault);
            $zip->addFromString(
                'README.txt',
                "Everything that Larkspur keeps about a person. takes.jsonl has one take a line, with its judgements\nand what was said of it; logs/ has each flight log as it was sent. Times are UTC.\n",
            );
            if (! $zip->close()) {
                throw new RuntimeException('The archive can’t be written.');
            }
            unlink($takes);
            $stream = fopen($path, 'rb');
            if ($stream === false) {
                throw new RuntimeException('The archive can’t be read.');
            }
            $vault->keep($copy->path(), $stream);
            fclose($stream);
            $copy->update(['state' => 'ready', 'done' => $copy->of, 'bytes' => (int) filesize($path)]);
        } finally {
            @unlink($path);
        }
    }

    public function failed(?Throwable $_): void
    {
        PersonalCopy::query()->whereKey($this->copy)->update(['state' => 'failed']);
    }

    /** @return array<string, list<array<string, mixed>>> */
    private function tables(int $user): array
    {
        $of = static fn (string $table, string $column): array => self::rows(
            DB::table($table)->where($column, $user)->orderBy('id')->get()->all(),
        );

        return [
            'account' => array_map(static fn (array $row): array => array_diff_key($row, self::SECRET), $of('users', 'id')),
            'shots' => $of('shots', 'operator_id'), 'days' => $of('flight_days', 'operator_id'), 'rigs' => $of('rigs', 'operator_id'),
            'imports' => array_map(
                static fn (array $row): array => array_diff_key($row, ['path' => 1, 'leased_by' => 1]), $of('imports', 'owner_id'),
            ),
            'practised' => array_map(
                static fn (array $row): array => [...array_diff_key($row, ['body' => 1]), 'recording' => json_decode(
                    Recording::unpacked((string) $row['body']), true,
                )],
                $of('recordings', 'operator_id'),
            ),
            'spotted' => $of('spottings', 'operator_id'), 'steps' => $of('step_sayings', 'operator_id'),
            'lessons' => $of('lesson_members', 'operator_id'), 'own-entries' => $of('own_entries', 'operator_id'),
            'not-today' => $of('not_todays', 'operator_id'), 'kept-filters' => $of('kept_filters', 'user_id'),
            'said' => $of('comments', 'author_id'), 'entered-in-the-field' => $of('day_entries', 'author_id'),
            'sign-ins' => $of('sign_ins', 'user_id'), 'trail' => $of('trail', 'user_id'),
        ];
    }

    /** @return string a file of one take a line */
    private function takes(PersonalCopy $copy): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'takes');
        $out = fopen($path, 'wb');
        if ($out === false) {
            throw new RuntimeException('No file for the takes can be made.');
        }
        foreach (Take::query()->withoutGlobalScopes()->where('operator_id', $copy->user_id)->lazyById(200) as $k => $take) {
            $line = [
                ...$take->attributesToArray(),
                'judgements' => self::rows(DB::table('scores')->where('take_id', $take->id)->orderBy('id')->get()->all()),
                'said' => self::rows(DB::table('comments')->where('take_id', $take->id)->orderBy('id')->get()->all()),
            ];
            fwrite($out, json_encode($line, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n");
            if ($k % 50 === 49) {
                $copy->update(['done' => $copy->done + 50]);
            }
        }
        fclose($out);

        return $path;
    }

    private function logs(ZipArchive $zip, PersonalCopy $copy, Vault $vault): void
    {
        foreach (FlightLog::query()->withoutGlobalScopes()->where('owner_id', $copy->user_id)->lazyById(200) as $log) {
            try {
                $stream = $vault->open($log);
                $name = "logs/$log->id-".basename($log->file_name);
                // From the disk where it is one of this machine: a thousand logs need not be in memory at once.
                if (Vault::isLocal()) {
                    $zip->addFile(Storage::path($log->path()), $name);
                } else {
                    $zip->addFromString($name, (string) stream_get_contents($stream));
                }
                fclose($stream);
            } catch (BytesGone) {
                $zip->addFromString("logs/$log->id-".basename($log->file_name).'.lost.txt', "The bytes of this log are gone.\n");
            }
            $copy->update(['done' => $copy->done + 1]);
        }
    }

    /**
     * @param  array<array-key, mixed>  $rows
     * @return list<array<string, mixed>> with what is JSON in the database as what it is
     */
    private static function rows(array $rows): array
    {
        return array_values(array_map(static fn (mixed $row): array => array_map(
            static fn (mixed $value): mixed => is_string($value)
                && preg_match('/^[\[{]/', $value) === 1 ? json_decode($value, true) ?? $value : $value,
            (array) $row,
        ), $rows));
    }

    /** @param  list<array<string, mixed>>  $rows */
    private static function json(array $rows): string
    {
        return json_encode($rows, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
    }
}
