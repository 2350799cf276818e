<?php

declare(strict_types=1);

namespace Larkspur\Scoring\AsPlanned;

use Larkspur\Fact;
use Larkspur\Measure\Anchors;
use Larkspur\Measure\Quantity;

/** A quantity that a plan states, as it was planned and as it was flown; or one that it left open, as it was flown. */
final readonly class PlanFigure
{
    /** Points of a figure by the tolerances that it is off. */
    private const POINTS = [[0.5, 100.0], [1.0, 80.0], [2.0, 40.0], [4.0, 0.0]];

    /** How far it is off, in tolerances; null where the plan left it open. */
    public ?float $off;

    /** 0 to 100; null where the plan left it open. */
    public ?float $score;

    private function __construct(
        public string $id, public ?Quantity $planned, public Quantity $flown, public ?Quantity $tolerance, ?float $off,
    ) {
        $this->off = $off;
        $this->score = $off === null ? null : (new Anchors(self::POINTS))->at($off);
    }

    /**
     * @param  callable(float): Quantity  $in  what the numbers are
     * @param  ?float  $apart  how far the two lie apart, where it is not their difference
     */
    public static function stated(string $id, callable $in, float $planned, float $flown, float $tolerance, ?float $apart = null): self
    {
        return new self($id, $in($planned), $in($flown), $in($tolerance), abs($apart ?? $flown - $planned) / $tolerance);
    }

    /** One that is the right way or the other: +1 or -1. */
    public static function way(string $id, float $planned, float $flown): self
    {
        return new self($id, Quantity::number($planned), Quantity::number($flown), null, $planned === $flown ? 0.0 : 4.0);
    }

    /** One that the plan left open: it is shown and not judged. */
    public static function open(string $id, Quantity $flown): self
    {
        return new self($id, null, $flown, null, null);
    }

    public function given(): bool
    {
        return $this->off !== null;
    }

    /** What it is called. */
    public function label(): Fact
    {
        [$kind, $number] = $this->numbered();

        return $number === null ? Fact::of("plan-figure.$kind") : Fact::of("plan-figure.$kind", number: $number);
    }

    /** @return array{string, ?int} of the parts of a drill, which kind it is and its number, counted from 1: “leg-2” */
    private function numbered(): array
    {
        return preg_match('/^(leg|lap|corner|touchdown|crossing)-(\d+)$/', $this->id, $found) === 1
            ? [$found[1], (int) $found[2]]
            : [$this->id, null];
    }

    /** What is off about it, both numbers said: “52 m round instead of 21”. */
    public function difference(): Fact
    {
        $way = $this->flown->value > 0 ? 'right' : 'left';

        return match ($this->id) {
            'climb' => $this->sinks() ?? $this->differs(),
            'direction' => Fact::of('plan-figure.direction.off', flown: $this->flown->value > 0 ? 'clockwise' : 'counterclockwise'),
            'side' => Fact::of('plan-figure.side.off', flown: $way),
            'start', 'end' => Fact::of("plan-figure.$this->id.off", flown: $this->flown),
            default => $this->differs(),
        };
    }

    /** A way down is said without its sign; null where it goes up, planned or flown. */
    private function sinks(): ?Fact
    {
        $planned = -($this->planned ?? $this->flown)->value;
        $flown = -$this->flown->value;

        return min($planned, $flown) <= 0
            ? null
            : Fact::of('plan-figure.climb.sunk', flown: Quantity::metres($flown), planned: Quantity::metres($planned));
    }

    private function differs(): Fact
    {
        [$kind, $number] = $this->numbered();

        return $number === null
            ? Fact::of("plan-figure.$kind.off", flown: $this->flown, planned: $this->planned ?? $this->flown)
            : Fact::of("plan-figure.$kind.off", flown: $this->flown, planned: $this->planned ?? $this->flown, number: $number);
    }
}
