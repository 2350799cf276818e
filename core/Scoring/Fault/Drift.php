<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Scoring\Measurements;
use Larkspur\Scoring\Path\CirclePath;

/** The path leaves its circle or its line, slowly. */
final readonly class Drift extends NamedFault
{
    /** Percent of the distance over the hold, and metres off the figure of a drill. */
    private const PERCENT = 7.0;

    private const OFF_FIGURE = 0.6;

    /** How far one goes that wanders to and fro, in its standard deviations (derived: half the span of a sine is 1.4 of them). */
    private const SPANS = 1.4;

    public function id(): string
    {
        return 'drift';
    }

    public function wordings(): array
    {
        return ['drift', 'drift.line', 'drift.spot', 'drift.figure'];
    }

    public function spoils(Fault $fault): array
    {
        return ['path'];
    }

    /** It takes the whole hold to show: a few seconds of it look still. */
    public function isSeen(): bool
    {
        return false;
    }

    public function find(Measurements $take): array
    {
        if ($take->drill !== null) {
            $main = $take->take->main;

            return $take->drill->stray <= self::OFF_FIGURE
                ? []
                : [Fault::lasting($this, 'travel', $take->take, $main->from, $main->to)->measured(
                    Quantity::metres($take->drill->stray), $take->drill->stray / self::OFF_FIGURE,
                    Fact::of('picture.off-figure', stray: Quantity::metres($take->drill->stray)),
                )->worded($take->drill->staysPut ? 'drift.spot' : 'drift.figure')];
        }

        if (in_array($take->take->judging->path, [PathKind::Spot, PathKind::Vertical], true)) {
            return $this->offTheSpot($take);
        }

        return $take->drift <= self::PERCENT ? [] : [Fault::ofHold($this, 'travel', $take->take)->measured(
            Quantity::percent($take->drift), $take->drift / self::PERCENT,
            Fact::of(
                $take->take->judging->hasSubject() ? 'picture.size-changes' : 'picture.off-line', drift: Quantity::percent($take->drift),
            ),
        )->worded($take->take->path instanceof CirclePath ? 'drift' : 'drift.line')];
    }

    /** @return list<Fault> of a craft that should stay over its place: whether it leaves it for good or comes back */
    private function offTheSpot(Measurements $take): array
    {
        $off = max($take->drift, self::SPANS * $take->path->value);

        return $off <= self::PERCENT ? [] : [Fault::ofHold($this, 'travel', $take->take)->measured(
            Quantity::percent($off), $off / self::PERCENT, Fact::of('picture.off-spot', off: Quantity::percent($off)),
        )->worded('drift.spot')];
    }

    public function stage(Staging $staging): Staging
    {
        $staging = $staging->unseen();
        [$begin, $hold] = [$staging->begin(), $staging->hold()];

        return $staging->path() === PathKind::Arc
            ? $staging->slipping(new Slip('sag', Finger::Slide, $begin + 0.4 * $hold, 0.8, 0.5 * $hold))
            : $staging->slipping(new Slip('kick', $staging->drifting(), $begin, $staging->driftPress(0.6 * $hold), 0.6 * $hold));
    }
}
