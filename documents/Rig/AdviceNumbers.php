<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Documents\Shape;
use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Rig\ModeTune;

/** The numbers of one finger, as they are or as they are advised; rates in m/s or deg/s. */
final readonly class AdviceNumbers implements Document
{
    /**
     * @param  array<string, mixed>  $curve
     * @param  float  $half  share of the full rate at half travel
     */
    public function __construct(
        public float $top,
        public float $topBack,
        #[Shape('RigCurve')] public array $curve,
        public float $half,
        public ?float $cushionS,
    ) {
    }

    public static function of(ModeTune $mode, Finger $finger): self
    {
        $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;

        return new self(
            round($mode->top($finger) * $scale, 2), round($mode->top($finger, false) * $scale, 2), $mode->curve($finger)->toArray(),
            round($mode->curve($finger)->output(0.5), 3), $finger->rotates() ? round($mode->cushion($finger), 2) : null,
        );
    }
}
