<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Angle;

/** What trembles in the picture during the hold: pan and tilt shake, bobbing and surging ("Shake"). */
final readonly class Shake
{
    /** Allowance for the wander of satellite velocity, m/s. */
    private const VELOCITY_WALK = 0.08;

    /**
     * @param  Corrected  $pan  % of the frame's width a second
     * @param  Corrected  $tilt  the same
     * @param  Corrected  $bob  m/s
     * @param  Corrected  $surge  m/s
     * @param  Corrected  $image  all of them as image speed, %/s
     */
    private function __construct(
        public Corrected $pan,
        public Corrected $tilt,
        public Corrected $bob,
        public Corrected $surge,
        public Corrected $image,
    ) {
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
            $share = cos(max(-89.0, min(0.0, $grid->tilt->value[$i])) * Angle::DEGREE);
            $pan += ($grid->heading->band($i) * $share) ** 2;
            $panNoise += ($grid->heading->bandNoise($i) * $share) ** 2;
            $tilt += $grid->tilt->band($i) ** 2;
            $tiltNoise += $grid->tilt->bandNoise($i) ** 2;
            $bob += ($grid->bob[$i] - $grid->z->slow[$i]) ** 2;
            $bobNoise += ($grid->z->sigma * $grid->gBob[$i]) ** 2;
            $surge += $grid->x->band($i) ** 2 + $grid->y->band($i) ** 2;
            $surgeNoise += $grid->x->bandNoise($i) ** 2;
        }
        $n = count($nodes);
        $perFrame = 100 / $take->hfov();
        $panShake = Corrected::rate($pan / $n, $panNoise / $n, $seconds, Grid::ANGLE)->times($perFrame);
        $tiltShake = Corrected::rate($tilt / $n, $tiltNoise / $n, $seconds, Grid::ANGLE)->times($perFrame);
        $bobbing = Corrected::rate($bob / $n, $bobNoise / $n, $seconds, Grid::BOB);
        $surging = Corrected::rate($surge / $n, 2 * $surgeNoise / $n + self::VELOCITY_WALK ** 2, $seconds, Grid::POSITION);
        $image = Corrected::combine(
            Corrected::combine($panShake, $tiltShake),
            Corrected::combine($bobbing->times($take->imageSpeed(1.0)), $surging->times(0.5 * $take->imageSpeed(1.0))),
        );

        return new self($panShake, $tiltShake, $bobbing, $surging, $image);
    }
}
