<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Rig\FingerEffect;

/** A rate and a cushion in the numbers that the craft's own screens show, and what one of these is. */
final readonly class OwnNumbers implements Document
{
    /**
     * @param  float  $ratePerDps  the craft's own number for 1 deg/s
     * @param  float  $cushionPerS  and for a cushion of 1 s
     */
    public function __construct(public float $rate, public float $cushion, public float $ratePerDps, public float $cushionPerS)
    {
    }

    public static function of(FingerEffect $effect): self
    {
        [$rate, $cushion] = $effect->ownUnits();

        return new self(round($effect->ownRate(), 1), round($effect->ownCushion(), 1), $rate, $cushion);
    }
}
