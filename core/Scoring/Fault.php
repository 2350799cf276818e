<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/** One named fault of a take, pinned to its time, with its cost and what to try next. */
final readonly class Fault
{
    public const SLIGHT = 1.5;

    public const CLEAR = 2.5;

    /**
     * @param  string  $id  of FaultKinds
     * @param  string  $axis  climb, turn, run, slide, tilt, travel, picture or all
     * @param  float  $t  s, in the log's time
     * @param  float  $until  end of what lasts, s; $t for a moment
     * @param  float  $severity  1 at the threshold
     * @param  'start'|'hold'|'stop'  $phase
     * @param  float  $size  what was measured, in $unit
     * @param  string  $picture  what it does to the picture
     */
    public function __construct(
        public string $id,
        public string $axis,
        public float $t,
        public float $until,
        public float $severity,
        public string $phase,
        public float $size,
        public string $unit,
        public string $picture = '',
    ) {
    }

    /** Severity beyond 1 at which a flick costs all that it can. */
    private const FLICKED = 0.15;

    /** Points that this fault takes off before the deductions are bent together. */
    public function deduction(): float
    {
        return match ($this->id) {
            'kick' => min(8.0, 6 * max(0.0, $this->severity - 1)) * ($this->phase === 'hold' ? 1.0 : 0.6),
            // From nothing at the threshold to all of it a little beyond: otherwise the log's rate decides over three points.
            'flick-start', 'flick-stop' => 3.0 * max(0.0, min(1.0, ($this->severity - 1) / self::FLICKED)),
            'stall' => 5.0,
            default => 0.0,
        };
    }

    /** @return 'slight'|'clear'|'ruinous' */
    public function grade(): string
    {
        return $this->severity < self::SLIGHT ? 'slight' : ($this->severity < self::CLEAR ? 'clear' : 'ruinous');
    }
}
