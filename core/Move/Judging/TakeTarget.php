<?php

declare(strict_types=1);

namespace Larkspur\Move\Judging;

/** What a take was meant to be, as far as it is measured against: angles in radians, lengths in metres; null where open. */
final readonly class TakeTarget
{
    /**
     * @param  float  $aimU  wanted place, fraction of the width right of the centre
     * @param  float  $aimV  fraction of the height above it, at the first picture
     * @param  ?float  $lastV  the same at the last picture, where it is meant to wander
     * @param  float  $lead  by which rotation was planned to follow translation, s
     * @param  ?float  $extent  radians of arc, of turn or of tilt, or metres of way or of climb
     * @param  ?float  $sweep  by how much the heading was to change, rad, clockwise positive
     * @param  ?float  $viewing  distance of what is looked at, m
     * @param  float  $widening  by which a radius was to grow over the way, m
     * @param  list<float>  $profile  planned speed at equal shares of the way, from its first metre to its last, m/s; empty where it is
     *     even
     * @param  ?float  $gap  width of an opening that is flown through, m
     * @param  ?float  $across  angle from the look to the way over the ground, right positive, rad
     * @param  ?array{run: float, slide: float}  $shares  what either has to do with the way over the ground, 0 to 1
     * @param  list<float>  $places  height in the frame above the centre at equal shares of the way, from its first metre to its last, as
     *     a share of the frame's; empty where it goes evenly from aimV to lastV
     */
    public function __construct(
        public float $aimU = 0.0,
        public float $aimV = 0.0,
        public float $lead = 0.0,
        public ?float $extent = null,
        public ?float $tiltStart = null,
        public ?float $tiltEnd = null,
        public ?float $lastV = null,
        public ?float $sweep = null,
        public ?float $viewing = null,
        public float $widening = 0.0,
        public array $profile = [],
        public ?float $gap = null,
        public ?float $across = null,
        public ?array $shares = null,
        public array $places = [],
    ) {
    }

    /** Planned height of the subject in the frame once a share of the way is behind, as a share of the frame's above the centre. */
    public function placeAt(float $share): float
    {
        $last = count($this->places) - 1;

        return $last < 0
            ? $this->aimV + (($this->lastV ?? $this->aimV) - $this->aimV) * $share
            : $this->places[(int) round(max(0.0, min(1.0, $share)) * $last)];
    }

    /** The same with the subject in the middle of the frame. */
    public function centred(): self
    {
        return new self(
            0.0, 0.0, $this->lead, $this->extent, $this->tiltStart, $this->tiltEnd, null, $this->sweep, $this->viewing, $this->widening,
            $this->profile, $this->gap, $this->across, $this->shares,
        );
    }

    /** @param  list<float>  $places */
    public function placed(array $places): self
    {
        return new self(
            $this->aimU, $this->aimV, $this->lead, $this->extent, $this->tiltStart, $this->tiltEnd, $this->lastV, $this->sweep,
            $this->viewing, $this->widening, $this->profile, $this->gap, $this->across, $this->shares, $places,
        );
    }

    public function withLead(float $lead): self
    {
        return new self(
            $this->aimU, $this->aimV, $lead, $this->extent, $this->tiltStart, $this->tiltEnd, $this->lastV, $this->sweep, $this->viewing,
            $this->widening, $this->profile, $this->gap, $this->across, $this->shares, $this->places,
        );
    }

    /** @param  array{run: float, slide: float}  $shares */
    public function going(float $across, array $shares): self
    {
        return new self(
            $this->aimU, $this->aimV, $this->lead, $this->extent, $this->tiltStart, $this->tiltEnd, $this->lastV, $this->sweep,
            $this->viewing, $this->widening, $this->profile, $this->gap, $across, $shares, $this->places,
        );
    }
}
