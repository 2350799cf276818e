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

    /** Under which its phrases stand: its kind, or its kind in such a move ("drift.spot"). */
    public string $wording;

    /** When it is worst, s: where the picture should be looked at. */
    public float $worst;

    /**
     * @param  string  $axis  climb, turn, run, slide, tilt, travel, picture or all
     * @param  float  $t  s, in the log's time
     * @param  float  $until  end of what lasts, s; $t for a moment
     * @param  float  $severity  1 at the threshold
     * @param  'start'|'hold'|'stop'  $phase
     * @param  Quantity  $size  what was measured
     * @param  ?Fact  $picture  what it does to the picture
     * @param  ?float  $worst  when it is worst, s; null where it is a moment, or the same throughout
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
        ?string $wording = null,
        public ?Origin $origin = null,
        ?float $worst = null,
    ) {
        $this->id = $kind->id();
        $this->wording = $wording ?? $this->id;
        $this->worst = $worst ?? $t;
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

    /**
     * @param  float  $severity  1 at the threshold
     * @param  ?float  $worst  when it is worst, s
     */
    public function measured(Quantity $size, float $severity, ?Fact $picture = null, ?float $worst = null): self
    {
        return new self(
            $this->kind, $this->axis, $this->t, $this->until, $this->phase, $severity, $size, $picture, $this->wording, $this->origin,
            $worst,
        );
    }

    /** The same, said in the words that suit its move ("fault.<wording>"). */
    public function worded(string $wording): self
    {
        in_array($wording, $this->kind->wordings(), true) || throw new \LogicException("“{$wording}” is no wording of {$this->id}.");

        return new self(
            $this->kind, $this->axis, $this->t, $this->until, $this->phase, $this->severity, $this->size, $this->picture, $wording,
            $this->origin, $this->worst,
        );
    }

    /** The same, with what made it. */
    public function from(Origin $origin): self
    {
        return new self(
            $this->kind, $this->axis, $this->t, $this->until, $this->phase, $this->severity, $this->size, $this->picture, $this->wording,
            $origin, $this->worst,
        );
    }

    public function name(): Fact
    {
        return Fact::of("fault.$this->wording");
    }

    /** What to try against it: with the fingers, or, where the air made it, with the wait for a better moment. */
    /** Whether what it says is of this very take: by its wording, or since the air made it. */
    public function hasOwnWords(): bool
    {
        return $this->wording !== $this->id || $this->origin?->cause === Origin::OUTSIDE;
    }

    public function cure(): Fact
    {
        return $this->origin?->cause === Origin::OUTSIDE ? Fact::of('fault.outside.try') : Fact::of("fault.$this->wording.try");
    }

    /** Whether it is more than slight. */
    public function isGrave(): bool
    {
        return $this->severity >= self::SLIGHT;
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
