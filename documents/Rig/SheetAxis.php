<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Controls\Finger;
use Larkspur\Flight\ResponseSheet;
use Larkspur\Measure\Angle;

/** One axis of a response sheet; rates in m/s or deg/s, of a ducted craft leans in deg and thrust in multiples of the weight. */
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
        $unit = $sheet->unit($finger);
        $scale = str_starts_with($unit, 'deg') ? 1 / Angle::DEGREE : 1.0;
        $most = $sheet->mostPerStep($finger);
        $rates = array_map(static fn (float $rate): float => $rate * $scale, $sheet->rates($finger));

        // Not rounded: the server flies the same table.
        return new self(
            $unit, $rates, round($rates[count($rates) - 1], 4), $sheet->share($finger), $most === null ? null : $most * $scale,
        );
    }
}
