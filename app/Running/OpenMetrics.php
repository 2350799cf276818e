<?php

declare(strict_types=1);

namespace App\Running;

/**
 * The state of the server as OpenMetrics 1.0 (text format: a TYPE and HELP line a family, labels in braces, `# EOF` at the end).
 */
final class OpenMetrics
{
    public const MEDIA_TYPE = 'application/openmetrics-text; version=1.0.0; charset=utf-8';

    public static function of(ServerState $state): string
    {
        $imports = [];
        foreach ($state->imports as $name => $many) {
            $imports["{state=\"$name\"}"] = $many;
        }

        return self::gauge('larkspur_up', 'Whether pages can be answered.', ['' => $state->word() === 'down' ? 0 : 1])
            .self::gauge('larkspur_database_up', 'Whether the database answers.', ['' => (int) $state->database])
            .self::gauge('larkspur_storage_writable', 'Whether files can be kept.', ['' => (int) $state->storage])
            .self::gauge('larkspur_workers', 'Workers that were seen within a minute.', ['' => $state->workers])
            .self::gauge('larkspur_imports', 'Logs under way, failed, or waiting for an answer.', $imports)
            .self::gauge('larkspur_imports_stalled', 'Logs that should go on and show no sign of it.', ['' => $state->stalled])
            .self::gauge(
                'larkspur_queue_oldest_seconds', 'How long the oldest log has been under way.', ['' => $state->oldestS ?? 0.0], 'seconds',
            )
            .self::gauge('larkspur_jobs_failed_last_day', 'Jobs that failed within a day.', ['' => $state->failedJobs])
            .(
                $state->freeBytes === null ? '' : self::gauge(
                    'larkspur_free_bytes', 'Room left on the disk.', ['' => $state->freeBytes], 'bytes',
                )
            )
            ."# EOF\n";
    }

    /** @param  array<string, int|float>  $samples  by their labels */
    private static function gauge(string $name, string $help, array $samples, string $unit = ''): string
    {
        $text = "# TYPE $name gauge\n".($unit === '' ? '' : "# UNIT $name $unit\n")."# HELP $name $help\n";
        foreach ($samples as $labels => $value) {
            $text .= "$name$labels $value\n";
        }

        return $text;
    }
}
