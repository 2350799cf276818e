<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** How one finger played its stave: late or early, too much or too little, snapped, uneven; or what it did where it should rest. */
final readonly class RehearsedFinger
{
    /** Limits of what is let through (common practice, no published source): s, share, times, share, travel. */
    private const LATE = 0.35;

    private const OFF = 0.15;

    private const SNAPPED = 2.5;

    private const UNEVEN = 0.35;

    private const LEAK = 0.06;

    /**
     * @param  ?float  $late  seconds behind its stave, negative early; null where it rests in the plan or was never pressed
     * @param  ?float  $gain  how much of the written travel was pressed; null where it rests
     * @param  ?float  $snap  steepest press or release, in multiples of the written one
     * @param  ?float  $uneven  what is left over when lateness and amount are taken out, share of the written travel
     * @param  float  $leak  travel exceeded for a twentieth of the time where the plan rests
     */
    public function __construct(
        public Finger $finger, public ?float $late, public ?float $gain, public ?float $snap, public ?float $uneven, public float $leak,
    ) {
    }

    public function rests(): bool
    {
        return $this->gain === null;
    }

    public function isClean(): bool
    {
        return $this->faults() === [];
    }

    /** @return list<Fact> what to do otherwise, the gravest first */
    public function faults(): array
    {
        $finger = $this->finger->value;
        if ($this->gain === null) {
            return $this->leak > self::LEAK ? [Fact::of('rehearsal.leak', finger: $finger, leak: Quantity::share($this->leak))] : [];
        }
        if ($this->late === null) {
            return [Fact::of('rehearsal.not-played', finger: $finger)];
        }

        return array_values(array_filter([
            abs($this->late) > self::LATE
                ? Fact::of($this->late > 0 ? 'rehearsal.late' : 'rehearsal.early', finger: $finger, by: Quantity::seconds(abs($this->late)))
                : null,
            abs($this->gain - 1) > self::OFF
                ? Fact::of(
                    $this->gain > 1 ? 'rehearsal.too-much' : 'rehearsal.too-little', finger: $finger,
                    by: Quantity::share(abs($this->gain - 1)),
                ) : null,
            ($this->snap ?? 0.0) > self::SNAPPED
                ? Fact::of('rehearsal.snapped', finger: $finger, times: $this->snap ?? 0.0) : null,
            ($this->uneven ?? 0.0) > self::UNEVEN
                ? Fact::of('rehearsal.uneven', finger: $finger, share: Quantity::share($this->uneven ?? 0.0)) : null,
        ]));
    }

    public function said(): Fact
    {
        $faults = $this->faults();

        return $faults !== [] ? $faults[0]
            : Fact::of($this->rests() ? 'rehearsal.rested' : 'rehearsal.as-written', finger: $this->finger->value);
    }
}
