<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Take;

/** One fault of a take, pinned to its time. Values only; what its kind means is asked of the kind. */
final readonly class Fault
{
    /** Severity up to which one is slight, and up to which it is clear. */
    public const SLIGHT = 1.5;

    public const CLEAR = 2.5;

    public string $id;

    /**
     * @param  string  $axis  climb, turn, run, slide, tilt, travel, picture or all
     * @param  float  $t  s, in the log's time
     * @param  float  $until  end of what lasts, s; $t for a moment
     * @param  float  $severity  1 at the threshold
     * @param  'start'|'hold'|'stop'  $phase
     * @param  Quantity  $size  what was measured
     * @param  ?Fact  $picture  what it does to the picture
     */
    public function __construct(
        public FaultKind $kind,
        public string $axis,
        public float $t,
        public float $until,
        public string $phase,
        public float $severity,
        public Quantity $size,
        public ?Fact $picture = null,
    ) {
        $this->id = $kind->id();
    }

    /** One that goes on between two nodes of the hold. */
    public static function lasting(FaultKind $kind, string $axis, Take $take, int $from, int $to): self
    {
        return new self($kind, $axis, $take->grid->t[$from], $take->grid->t[$to], 'hold', 1.0, Quantity::number(0.0));
    }

    /** One that goes on through the whole hold. */
    public static function ofHold(FaultKind $kind, string $axis, Take $take): self
    {
        return self::lasting($kind, $axis, $take, $take->main->holdFrom, $take->main->holdTo);
    }

    /**
     * One at a moment, s.
     *
     * @param  'start'|'hold'|'stop'  $phase
     */
    public static function momentary(FaultKind $kind, string $axis, float $t, string $phase): self
    {
        return new self($kind, $axis, $t, $t, $phase, 1.0, Quantity::number(0.0));
    }

    /** @param  float  $severity  1 at the threshold */
    public function measured(Quantity $size, float $severity, ?Fact $picture = null): self
    {
        return new self($this->kind, $this->axis, $this->t, $this->until, $this->phase, $severity, $size, $picture);
    }

    /** Points that it takes off, before the deductions are bent together. */
    public function deduction(): float
    {
        return $this->kind->cost($this);
    }

    /** @return 'slight'|'clear'|'ruinous' */
    public function grade(): string
    {
        return $this->severity < self::SLIGHT ? 'slight' : ($this->severity < self::CLEAR ? 'clear' : 'ruinous');
    }
}
