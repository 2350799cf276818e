<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Measure\Angle;

/** A rig in one mode, compiled for a page that steps it by itself. */
final readonly class ResponseSheetDocument implements Document
{
    public function __construct(
        public float $stepS,
        public SheetAxes $axes,
        public SheetTravel $travel,
        public SheetTilt $tilt,
        public float $hfovDeg,
        public float $aspect,
    ) {
    }

    public static function of(ResponseSheet $sheet, RigCamera $camera): self
    {
        return new self(
            ResponseSheet::STEP, SheetAxes::of($sheet),
            new SheetTravel($sheet->mode->accelerate * ResponseSheet::STEP, $sheet->mode->brake * ResponseSheet::STEP),
            new SheetTilt($sheet->rig->tiltLow / Angle::DEGREE, $sheet->rig->tiltHigh / Angle::DEGREE),
            $camera->hfovDeg, $camera->aspect,
        );
    }
}
