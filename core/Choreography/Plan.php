<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Camera\View;
use Larkspur\Fact;
use Larkspur\Flight;
use Larkspur\Geo\Position;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\MovePlan;

/** A shot worked out, ready to be drawn, printed, rehearsed or flown. */
final readonly class Plan
{
    /** Samples between looks at the way, and places of ground under it. */
    private const LOOK = 10;

    private const PLACES = 60;

    /** A way that leaves its plane by more than this share of what it goes within it is unrolled. */
    private const BESIDE = 0.35;

    /**
     * @param  list<FingerPart>  $parts  one a finger, in the order of the sheet
     * @param  list<Finding>  $findings
     */
    public function __construct(
        public Shot $shot,
        public MovePlan $move,
        public ThumbSheet $sheet,
        public array $parts,
        public array $findings,
    ) {
    }

    public function feasible(): bool
    {
        return Checks::feasible($this->move, $this->shot, $this->findings);
    }

    /** The camera at a sample of a flight of this shot. */
    public function view(int $index, ?Flight $flight = null): View
    {
        $flight ??= $this->move->flight;

        return new View($flight->position($index), $flight->heading[$index], $flight->tilt[$index], $this->shot->intent->lens);
    }

    /** @return list<Cue> */
    public function cues(): array
    {
        return Cue::all($this);
    }

    /**
     * Whether the side sheet has to unroll the way along its length: it leaves the upright plane through its start and its subject (or its
     * end) by a good share of what it goes within that, as an orbit or a side track does.
     */
    public function isUnrolled(): bool
    {
        $flight = $this->move->flight;
        $from = $flight->position(0);
        $to = ($this->move->subject?->first() ?? $flight->position($flight->count() - 1))->minus($from);
        $away = max(1e-6, $to->ground());
        [$off, $along] = [0.0, [0.0]];
        for ($k = self::LOOK; $k < $flight->count(); $k += self::LOOK) {
            $place = $flight->position($k)->minus($from);
            $off = max($off, abs($place->east * $to->north - $place->north * $to->east) / $away);
            $along[] = ($place->east * $to->east + $place->north * $to->north) / $away;
        }

        return $to->ground() > 1.0 && $off > 1.0 && $off > self::BESIDE * Statistics::span($along);
    }

    /**
     * How the ground lies along the line from the start to the subject (over it, along the way that is flown; unrolled, under the way), for
     * the side sheet: places and heights every twentieth of it; null where nobody said how it lies.
     *
     * @return ?list<array{float, float, float}> east, north, height, m
     */
    public function groundLine(): ?array
    {
        $ground = $this->shot->site->ground;
        if ($ground === null) {
            return null;
        }
        $flight = $this->move->flight;
        if ($this->isUnrolled()) {
            $places = array_map(
                static fn (int $k): Position => $flight->position((int) round($k * ($flight->count() - 1) / self::PLACES)),
                range(0, self::PLACES),
            );

            return array_map(static fn (Position $p): array => [$p->east, $p->north, $ground->at($p->east, $p->north)], $places);
        }
        $from = $flight->position(0);
        $to = $this->move->subject?->first() ?? $flight->position($flight->count() - 1);
        if ($to->minus($from)->ground() < 1) {
            $to = $flight->position($flight->count() - 1);
        }
        $line = [];
        for ($k = -14; $k <= 34; $k++) {
            $east = $from->east + ($to->east - $from->east) * $k / 20;
            $north = $from->north + ($to->north - $from->north) * $k / 20;
            $line[] = [$east, $north, $ground->at($east, $north)];
        }

        return $line;
    }

    /**
     * What lies between first motion and the first wanted frame.
     *
     * @return array{float, float} s, and m of way
     */
    public function runIn(): array
    {
        $flight = $this->move->flight;
        $way = 0.0;
        for ($i = $flight->indexAt($this->move->onset) + 1, $to = $flight->indexAt($this->move->holdFrom); $i <= $to; $i++) {
            $way += $flight->position($i)->minus($flight->position($i - 1))->length();
        }

        return [$this->move->holdFrom - $this->move->onset, $way];
    }

    /** @return non-empty-list<float> where the lens points at five moments of the hold, rad */
    public function headings(): array
    {
        $move = $this->move;
        $at = static fn (float $share): float => $move->flight->heading[$move->flight->indexAt($move->holdFrom + $share * (
            $move->holdTo - $move->holdFrom
        ))];

        return array_map($at, [0.0, 0.25, 0.5, 0.75, 1.0]);
    }

    /** The plan in short. */
    public function summary(): Fact
    {
        $seconds = $this->move->flight->duration();

        return Fact::of(
            'plan.recording-held', recording: Quantity::moment($seconds),
            hold: Quantity::seconds(max(0.0, $this->move->holdTo - $this->move->holdFrom)),
        );
    }
}
