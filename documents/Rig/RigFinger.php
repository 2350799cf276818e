<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Documents\Shape;
use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Rig\Conversion;
use Larkspur\Rig\CurveKinds;
use Larkspur\Rig\FingerEffect;

/** What the numbers of one finger do. Rates in m/s or deg/s, ways in metres or degrees, widths in picture widths. */
final readonly class RigFinger implements Document
{
    /** Points of a curve card. */
    private const POINTS = 21;

    /**
     * @param  array{Fact, Fact}  $ends
     * @param  ?float  $quarterS  for 90 degrees of a turn or a tilt at the full rate
     * @param  ?float  $roundS  for a full turn
     * @param  array<string, mixed>  $curve
     * @param  float  $ceiling  greatest rate that may be set
     * @param  float  $stopWay  on the way to rest
     * @param  list<CurveConversion>  $says  the curve in every convention that states a number
     * @param  list<array{float, float}>  $points  rate by travel
     */
    public function __construct(
        public string $finger,
        public array $ends,
        public Fact $thumb,
        public string $unit,
        public float $top,
        public float $topBack,
        public float $ceiling,
        public float $halfStick,
        public float $startS,
        public float $stopS,
        public float $stopWay,
        public float $stopWidths,
        public float $topWidths,
        public float $halfWidths,
        public float $nudge,
        public float $nudgeWidths,
        public ?float $cushionS,
        public ?OwnNumbers $own,
        public ?float $quarterS,
        public ?float $roundS,
        public Fact $feel,
        #[Shape('RigCurve')] public array $curve,
        public Fact $convention,
        public array $says,
        public array $points,
    ) {
    }

    public static function of(FingerEffect $effect): self
    {
        $finger = $effect->finger;
        $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;
        $mode = $effect->mode;
        $curve = $mode->curve($finger);
        $response = $mode->response($finger);
        $points = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            $travel = $i / (self::POINTS - 1);
            $points[] = [round($travel, 3), round($mode->asked($finger, $travel) * $scale, 3)];
        }

        return new self(
            finger: $finger->value, ends: $finger->ends(), thumb: $effect->thumb(), unit: $finger->rotates() ? 'deg/s' : 'm/s',
            top: round($mode->top($finger) * $scale, 2), topBack: round($mode->top($finger, false) * $scale, 2),
            ceiling: round($effect->ceiling() * $scale, 2), halfStick: round($mode->asked($finger, 0.5) * $scale, 2),
            startS: round($response->startSeconds(), 2), stopS: round($response->stopSeconds(), 2),
            stopWay: round($response->stopWay() * $scale, 2), stopWidths: round($response->stopWay() * $effect->widths(), 3),
            topWidths: round($mode->top($finger) * $effect->widths(), 3),
            halfWidths: round($mode->asked($finger, 0.5) * $effect->widths(), 3),
            nudge: round($effect->nudge() * $scale, 3), nudgeWidths: round($effect->nudge() * $effect->widths(), 4),
            cushionS: $finger->rotates() ? round($mode->cushion($finger), 2) : null,
            own: $finger->rotates() ? OwnNumbers::of($effect) : null,
            quarterS: $finger->rotates() ? round($effect->secondsFor(M_PI_2), 1) : null,
            roundS: $finger === Finger::Turn ? round($effect->secondsFor(2 * M_PI), 1) : null, feel: $effect->feel(),
            curve: $curve->toArray(), convention: CurveKinds::meaning($curve->toArray()['kind']),
            says: array_map(CurveConversion::of(...), Conversion::all($curve, $mode->top($finger) * $scale)),
            points: $points,
        );
    }
}
