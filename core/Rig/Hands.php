<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Controls\StickMode;
use Larkspur\Fields;
use Larkspur\Measure\Angle;

/**
 * How an operator holds the controller: stick mode, wheel, grip, length of the sticks, touch on the wheel, and how finely
 * the fingers can be relied on.
 */
final readonly class Hands
{
    /** How far a stick leans from its middle to its stop (common practice, no published source). */
    private const LEAN = 25 * Angle::DEGREE;

    /** A nudge is dependable where it stands out from the tremble: twice its standard deviation. */
    private const STANDS_OUT = 2.0;

    /**
     * @param  float  $stickMm  from the pivot to the tip, mm
     * @param  ?float  $measured  tremble measured from the operator's own logs, travel, standard deviation
     */
    public function __construct(
        public StickMode $mode = StickMode::Mode2,
        public bool $wheelUp = true,
        public Grip $grip = Grip::Thumbs,
        public float $stickMm = 21.0,
        public Touch $touch = Touch::Firm,
        public ?float $measured = null,
    ) {
    }

    public static function read(?Fields $fields): self
    {
        return $fields === null ? new self : new self(
            StickMode::from((int) ($fields->numberOrNull('stick_mode', 1, 4) ?? 2)),
            $fields->choiceOrNull('wheel_up', ['push', 'pull']) !== 'pull',
            Grip::from($fields->choiceOrNull('grip', array_column(Grip::cases(), 'value')) ?? Grip::Thumbs->value),
            $fields->numberOrNull('stick_mm', 5, 80, 'mm') ?? 21.0,
            Touch::from($fields->choiceOrNull('touch', array_column(Touch::cases(), 'value')) ?? Touch::Firm->value),
        );
    }

    public function withTremble(?float $measured): self
    {
        return new self($this->mode, $this->wheelUp, $this->grip, $this->stickMm, $this->touch, $measured);
    }

    /** Share of the travel that a millimetre at the tip is: a longer stick gives a finer hand. */
    public function perMillimetre(): float
    {
        return 1 / ($this->stickMm * sin(self::LEAN));
    }

    /** Share of the travel that a degree of lean about the middle is. */
    public function perDegree(): float
    {
        return Angle::DEGREE / sin(self::LEAN);
    }

    /** How far the tip goes from its middle to its stop, mm: what the finger has to reach. */
    public function reach(): float
    {
        return $this->stickMm * sin(self::LEAN);
    }

    /** Tremble of the finger, travel, standard deviation: the operator's own where it was measured. */
    public function tremble(): float
    {
        return $this->measured ?? $this->grip->tremble() * $this->perMillimetre();
    }

    /** Smallest change of travel that the fingers can be relied on to make. */
    public function nudge(): float
    {
        return self::STANDS_OUT * $this->tremble();
    }

    /** @return array{stick_mode: int, wheel_up: string, grip: string, stick_mm: float, touch: string} */
    public function toArray(): array
    {
        return [
            'stick_mode' => $this->mode->value, 'wheel_up' => $this->wheelUp ? 'push' : 'pull', 'grip' => $this->grip->value,
            'stick_mm' => $this->stickMm, 'touch' => $this->touch->value,
        ];
    }
}
