<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/** One format in which flight logs arrive. A new format is one class here and its row in Formats. */
interface LogReader
{
    /**
     * Reads a whole log.
     *
     * @param  resource  $stream  open for reading, at its start; read in pieces, never all at once
     * @param  ?callable(int): void  $progress  told the bytes read so far, now and then
     *
     * @throws \Larkspur\Refusal where nothing can be read from it
     */
    public function read(mixed $stream, ?callable $progress = null): FlightLog;
}
