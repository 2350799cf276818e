<?php

declare(strict_types=1);

namespace Larkspur\Camera;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Refusal;

/**
 * From a wanted picture to where the lens must be: distance, height and tilt for a subject of known height to fill so much
 * of the frame at such a place, with the horizon where it is wanted, or from a height that is given.
 *
 * A place v above the frame's middle (fraction of its height) is seen along theta + atan(2 v tan(VFOV / 2)). For the foot
 * and the top of a subject H high, tan(top) - tan(foot) = H / d. A level horizon at v_h means theta = -atan(2 v_h tan(VFOV / 2)).
 * Pinhole geometry (any optics handbook).
 */
final readonly class Composition
{
    private function __construct(
        /** Over the ground, m. */
        public float $distance,
        /** Of the lens above the subject's foot, m. */
        public float $height,
        /** rad, 0 level, negative down. */
        public float $tilt,
    ) {
    }

    /**
     * With the horizon at a chosen place.
     *
     * @param  float  $subject  its height, m
     * @param  float  $fills  share of the frame's height that it fills, 0..0.95
     * @param  float  $middle  where its middle stands above the frame's, fraction of the height
     * @param  float  $horizon  where the horizon stands above the frame's middle, fraction of the height
     *
     * @throws Refusal where no such picture can be taken
     */
    public static function withHorizon(Lens $lens, float $subject, float $fills, float $middle, float $horizon): self
    {
        return self::seenAt($lens, $subject, $fills, $middle, -atan(2 * $horizon * $lens->halfHeight));
    }

    /** From a height above its foot, m: the tilt follows. */
    public static function fromHeight(Lens $lens, float $subject, float $fills, float $middle, float $height): self
    {
        // From level down the lens must stand ever higher for the same picture, until it looks so steeply that it must come
        // nearer again: the first tilt on the way down that gives the height is the one that is meant.
        $at = static function (float $tilt) use ($lens, $subject, $fills, $middle): ?float {
            try {
                return self::seenAt($lens, $subject, $fills, $middle, $tilt)->height;
            } catch (Refusal) {
                return null;
            }
        };
        [$low, $high, $most] = [null, 40 * Angle::DEGREE, -INF];
        for ($tilt = $high; $tilt > -85 * Angle::DEGREE; $tilt -= 0.5 * Angle::DEGREE) {
            $reached = $at($tilt);
            $most = max($most, $reached ?? -INF);
            if ($reached !== null && $reached >= $height) {
                $low = $tilt;
                break;
            }
            $high = $reached === null ? $high : $tilt;
        }
        if ($low === null || $low === 40 * Angle::DEGREE) {
            throw new Refusal(
                Fact::of('composition.height-tilt-gives-picture'), 'frame.height_m',
                $low === null
                    ? Fact::of('composition.most-smaller-share-frame', most: Quantity::metres(max(0.0, $most)))
                    : Fact::of('composition.lens-stands-higher'),
            );
        }
        for ($k = 0; $k < 50; $k++) {
            $tilt = ($low + $high) / 2;
            [$low, $high] = ($at($tilt) ?? -INF) >= $height ? [$tilt, $high] : [$low, $tilt];
        }

        return self::seenAt($lens, $subject, $fills, $middle, ($low + $high) / 2);
    }

    /** With a tilt that is given, rad. */
    public static function seenAt(Lens $lens, float $subject, float $fills, float $middle, float $tilt): self
    {
        if ($subject <= 0 || $fills <= 0 || $fills > 0.95) {
            throw new Refusal(Fact::of('composition.subject-height-one-fills'), 'frame.fills', Fact::of('composition.share-0-01-0'));
        }
        $top = $tilt + atan(2 * ($middle + $fills / 2) * $lens->halfHeight);
        $foot = $tilt + atan(2 * ($middle - $fills / 2) * $lens->halfHeight);
        if ($top >= M_PI_2 - 0.02 || $foot <= -M_PI_2 + 0.02) {
            throw new Refusal(Fact::of('composition.picture-lens-would-look'), 'frame', Fact::of('composition.smaller-share-place-nearer'));
        }
        $distance = $subject / (tan($top) - tan($foot));

        return new self($distance, -$distance * tan($foot), $tilt);
    }
}
