<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Choreography\FingerPart;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Controls\Finger;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Slip;
use Larkspur\Move\About;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Judging\PathKind;

/**
 * How a fault is put in on purpose: what the hands do, or how the plan is flown otherwise. Times are seconds after first motion; a kind
 * asks the staging which finger carries the move, which rests, and when its hold begins.
 */
final readonly class Staging
{
    /** Travel that a finger must be held at to take part. */
    private const TAKES_PART = 0.02;

    /**
     * @param  Plan  $plan  as it is flown
     * @param  list<Slip>  $slips
     * @param  bool  $isSeen  whether whoever flies sees the fault, and corrects it
     * @param  callable(): float  $crossing  seconds in which the clean move crosses the frame
     * @param  float  $strength  how much stronger than usual it is put in: 1 or more
     */
    private function __construct(
        public Plan $plan, public array $slips, public bool $isSeen, private mixed $crossing, public float $strength,
    ) {
    }

    /**
     * @param  callable(): float  $crossing  seconds in which a clean flight of the plan crosses the frame; asked only where a fault needs
     * it
     */
    public static function of(Plan $plan, callable $crossing, float $strength = 1.0): self
    {
        return new self($plan, [], true, $crossing, $strength);
    }

    public function slipping(Slip ...$slips): self
    {
        $stronger = array_map(fn (Slip $slip): Slip => $slip->scaled($this->strength), array_values($slips));

        return new self($this->plan, [...$this->slips, ...$stronger], $this->isSeen, $this->crossing, $this->strength);
    }

    /** Whoever does it does not see it, so does not correct it either. */
    public function unseen(): self
    {
        return new self($this->plan, $this->slips, false, $this->crossing, $this->strength);
    }

    /**
     * Another plan is flown than the one that was meant.
     *
     * @param  array<string, float|string>  $parameters
     */
    public function flownAs(array $parameters): self
    {
        $plan = $parameters === []
            ? $this->plan
            : Planner::plan($this->plan->shot->withIntent($this->plan->move->intent->with($parameters)));

        return new self($plan, $this->slips, $this->isSeen, $this->crossing, $this->strength);
    }

    /** The hands that make it. */
    public function habits(OperatorHabits $habits): OperatorHabits
    {
        return ($this->isSeen ? $habits : new OperatorHabits(tremor: $habits->tremor, wander: $habits->wander))->slipping(...$this->slips);
    }

    public function secondsToCross(): float
    {
        return ($this->crossing)();
    }

    /** Length of the hold, s. */
    public function hold(): float
    {
        return max(1.0, $this->plan->move->holdTo - $this->plan->move->holdFrom);
    }

    public function begin(): float
    {
        return $this->plan->move->holdFrom - $this->plan->move->onset;
    }

    public function middle(): float
    {
        return $this->begin() + 0.5 * $this->hold();
    }

    public function end(): float
    {
        return $this->plan->move->holdTo - $this->plan->move->onset;
    }

    public function about(): About
    {
        return Catalogue::move($this->plan->move->intent->move)->about();
    }

    public function path(): PathKind
    {
        return Catalogue::move($this->plan->move->intent->move)->judging($this->plan->move->intent)->path;
    }

    /** Whether the lens looks straight down, where a turn only spins the picture. */
    public function looksDown(): bool
    {
        return Catalogue::move($this->plan->move->intent->move)->judging($this->plan->move->intent)->straightDown;
    }

    /** The finger that carries the craft; the one that turns the picture where nothing travels. */
    public function main(): Finger
    {
        return $this->strongest(rotates: false) ?? $this->turning();
    }

    /** @return list<Finger> those that carry the craft; the one that turns the picture where none does */
    public function travelling(): array
    {
        $fingers = [];
        foreach ($this->plan->parts as $part) {
            if (in_array($part->finger, [Finger::Run, Finger::Slide], true) && ! $part->rests() && abs($part->peak) > self::TAKES_PART) {
                $fingers[] = $part->finger;
            }
        }

        return $fingers === [] ? [$this->main()] : $fingers;
    }

    /** The finger that turns the picture; the turn, kicked where it should rest, where none does. */
    public function turning(): Finger
    {
        return $this->strongest(rotates: true) ?? Finger::Turn;
    }

    private function strongest(bool $rotates): ?Finger
    {
        $best = null;
        $most = self::TAKES_PART;
        foreach ($this->plan->parts as $part) {
            $size = $part->rests() ? 0.0 : abs($part->peak);
            if ($part->finger->rotates() === $rotates && $size > $most) {
                [$best, $most] = [$part->finger, $size];
            }
        }

        return $best;
    }

    /** Whether nothing rotates and the nose comes toward the pilot: there left and right are what goes wrong. */
    public function nothingTurns(): bool
    {
        return array_filter($this->plan->parts, static fn (FingerPart $part): bool => $part->finger->rotates() && ! $part->rests()) === [];
    }

    /** A finger of the thumbs that the move leaves at rest: beside the one that carries it, where there is one. */
    public function resting(): Finger
    {
        foreach ([
            $this->plan->shot->sticks->neighbour($this->main()), Finger::Turn, Finger::Climb, Finger::Slide, Finger::Run,
        ] as $finger) {
            foreach ($this->plan->parts as $part) {
                if ($part->finger === $finger && ($part->rests() || $part->isTouch())) {
                    return $finger;
                }
            }
        }

        return Finger::Turn;
    }

    /** A finger that leads the craft away: run round a subject, else one across the way. */
    public function drifting(): Finger
    {
        return $this->main() === Finger::Slide ? Finger::Run : Finger::Slide;
    }

    /** A press of it by which the craft drifts off by a third of the viewing distance over that time. */
    public function driftPress(float $seconds): float
    {
        return $this->press($this->drifting(), 0.3 * $this->plan->move->viewing / $seconds);
    }

    /** A jerk of about a fifth of the frame a second, whatever the craft. */
    public function jerk(Finger $finger): float
    {
        return $this->press($finger, $finger->rotates() ? 0.4 * $this->plan->shot->intent->lens->horizontal : 2.5);
    }

    /** The travel that adds a rate to what a finger holds, m/s or rad/s. */
    private function press(Finger $finger, float $rate): float
    {
        $mode = $this->plan->shot->tune();
        $held = $this->plan->sheet->at($finger, ($this->plan->move->holdFrom + $this->plan->move->holdTo) / 2);

        return abs($mode->travelFor($finger, $mode->asked($finger, $held) + ($held < 0 ? -$rate : $rate)) - $held);
    }

    /** The finger that joins the one that carries the move: a rotating one, or the second of two that travel. */
    public function joining(): Finger
    {
        $main = $this->main();
        foreach ([Finger::Tilt, Finger::Turn, Finger::Climb, Finger::Run, Finger::Slide] as $finger) {
            foreach ($this->plan->parts as $part) {
                if ($part->finger === $finger && $finger !== $main && ! $part->rests() && abs($part->peak) > FingerPart::TOUCH) {
                    return $finger;
                }
            }
        }

        return Finger::Turn;
    }

    /** When a finger is pressed hardest. */
    public function busiest(Finger $finger): float
    {
        $most = 0.0;
        $at = 0.0;
        foreach ($this->plan->sheet->travel[$finger->value] ?? [] as $i => $travel) {
            if (abs($travel) > $most) {
                [$most, $at] = [abs($travel), $this->plan->sheet->t[$i]];
            }
        }

        return max(0.0, $at - $this->plan->move->onset);
    }

    /** When a finger sets out. */
    public function onset(Finger $finger): float
    {
        foreach ($this->plan->parts as $part) {
            if ($part->finger === $finger && $part->onset !== null) {
                return max(0.0, $part->onset - $this->plan->move->onset);
            }
        }

        return 0.0;
    }
}
