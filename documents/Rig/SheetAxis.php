<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Controls\Finger;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Measure\Angle;

/** One axis of a response sheet; rates in m/s or deg/s. */
final readonly class SheetAxis implements Document
{
    /**
     * @param  list<float>  $rates  by travel, from full one way to full the other
     * @param  float  $share  of the difference to the asked rate that a step covers
     * @param  ?float  $mostPerStep  greatest change of rate in one step; null where nothing limits it, or the ground speed does
     */
    public function __construct(
        public string $unit,
        public array $rates,
        public float $top,
        public float $share,
        public ?float $mostPerStep,
    ) {
    }

    public static function of(ResponseSheet $sheet, Finger $finger): self
    {
        $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;
        $most = $sheet->mostPerStep($finger);

        return new self(
            $finger->rotates() ? 'deg/s' : 'm/s',
            array_map(static fn (float $rate): float => round($rate * $scale, 5), $sheet->rates($finger)),
            round($sheet->mode->top($finger) * $scale, 4), round($sheet->share($finger), 9),
            $most === null ? null : round($most * $scale, 9),
        );
    }
}
