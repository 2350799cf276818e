<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Angle;
use Larkspur\Move\Judging\Framed;

/** What trembles in the picture during the hold: pan and tilt shake, bobbing and surging ("Shake"). */
final readonly class Shake
{
    /** Allowance for the wander of satellite velocity, m/s. */
    private const VELOCITY_WALK = 0.08;

    /** What of a turn moves the picture where the lens looks straight down. */
    private const SPIN_SHARE = 0.35;

    /**
     * @param  NoiseCorrected  $pan  % of the frame's width a second
     * @param  NoiseCorrected  $tilt  the same
     * @param  NoiseCorrected  $bob  m/s
     * @param  NoiseCorrected  $surge  m/s
     * @param  NoiseCorrected  $image  all of them as image speed, %/s
     */
    private function __construct(
        public NoiseCorrected $pan,
        public NoiseCorrected $tilt,
        public NoiseCorrected $bob,
        public NoiseCorrected $surge,
        public NoiseCorrected $image,
    ) {
    }

    /**
     * Where the tilt's trembling is read: over the hold, or, where the tilt is itself part of the move, over its own hold.
     *
     * @param  list<int>  $nodes
     * @return list<int>
     */
    private static function tiltNodes(Take $take, array $nodes): array
    {
        $own = $take->spans[Axis::Tilt->value] ?? null;
        if ($take->judging->framed !== Framed::Reveal || $own === null || $own->holdTo - $own->holdFrom <= 24) {
            return $nodes;
        }
        $inside = array_values(array_filter(
            range($own->holdFrom + 7, $own->holdTo - 7), static fn (int $i): bool => $take->grid->valid[$i],
        ));

        return $inside === [] ? $nodes : $inside;
    }

    public static function of(Take $take): self
    {
        $grid = $take->grid;
        $nodes = [];
        for ($i = $take->main->holdFrom; $i <= $take->main->holdTo; $i++) {
            if ($grid->valid[$i]) {
                $nodes[] = $i;
            }
        }
        if (count($nodes) < 9) {
            $nodes = range($take->main->holdFrom, $take->main->holdTo);
        }
        $seconds = count($nodes) * Grid::STEP;
        $pan = $panNoise = $tilt = $tiltNoise = $bob = $bobNoise = $surge = $surgeNoise = 0.0;
        foreach ($nodes as $i) {
            // Near straight down a pan only spins the picture about its middle.
            $share = $take->judging->straightDown ? self::SPIN_SHARE : cos(max(-89.0 * Angle::DEGREE, min(0.0, $grid->tilt->value[$i])));
            $pan += ($grid->heading->band($i) * $share) ** 2;
            $panNoise += ($grid->heading->bandNoise($i) * $share) ** 2;
            $bob += ($grid->bob[$i] - $grid->z->slow[$i]) ** 2;
            $bobNoise += ($grid->z->sigma * $grid->gBob[$i]) ** 2;
            $surge += $grid->x->band($i) ** 2 + $grid->y->band($i) ** 2;
            $surgeNoise += $grid->x->bandNoise($i) ** 2;
        }
        $tiltNodes = self::tiltNodes($take, $nodes);
        foreach ($tiltNodes as $i) {
            $tilt += $grid->tilt->band($i) ** 2 / count($tiltNodes);
        }
        foreach ($nodes as $i) {
            $tiltNoise += $grid->tilt->bandNoise($i) ** 2 / count($nodes);
        }
        $n = count($nodes);
        $perFrame = 100 / $take->lens->horizontal;
        $panShake = NoiseCorrected::rate($pan / $n, $panNoise / $n, $seconds, Grid::ANGLE)->times($perFrame);
        $tiltShake = NoiseCorrected::rate($tilt, $tiltNoise, count($tiltNodes) * Grid::STEP, Grid::ANGLE)->times($perFrame);
        $bobbing = NoiseCorrected::rate($bob / $n, $bobNoise / $n, $seconds, Grid::BOB);
        $surging = NoiseCorrected::rate($surge / $n, 2 * $surgeNoise / $n + self::VELOCITY_WALK ** 2, $seconds, Grid::POSITION);
        $image = NoiseCorrected::combine(
            NoiseCorrected::combine($panShake, $tiltShake),
            NoiseCorrected::combine($bobbing->times($take->imageSpeed(1.0)), $surging->times(0.5 * $take->imageSpeed(1.0))),
        );

        return new self($panShake, $tiltShake, $bobbing, $surging, $image);
    }
}
