<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Controls\Finger;
use Larkspur\Flight\ResponseSheet;

/** The five axes of a response sheet. */
final readonly class SheetAxes implements Document
{
    public function __construct(
        public SheetAxis $climb,
        public SheetAxis $turn,
        public SheetAxis $run,
        public SheetAxis $slide,
        public SheetAxis $tilt,
    ) {
    }

    public static function of(ResponseSheet $sheet): self
    {
        $axis = static fn (Finger $finger): SheetAxis => SheetAxis::of($sheet, $finger);

        return new self($axis(Finger::Climb), $axis(Finger::Turn), $axis(Finger::Run), $axis(Finger::Slide), $axis(Finger::Tilt));
    }
}
