<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/** One format in which flight logs leave. */
interface LogWriter
{
    /** @return iterable<string> the file, piece by piece */
    public function write(FlightLog $log): iterable;
}
