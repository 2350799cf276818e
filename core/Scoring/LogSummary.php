<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Telemetry\FlightLog;

/** What a judgement says of the log that it rests on: the whole log, not the take alone. */
final readonly class LogSummary
{
    private function __construct(public int $samples, public float $rate, public float $duration, public string $sha256)
    {
    }

    public static function of(FlightLog $log): self
    {
        return new self($log->count(), $log->rate(), $log->to() - $log->from(), $log->sha256);
    }
}
