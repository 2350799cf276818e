<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Telemetry\Analysis\StepFit;

/** How a craft answers one finger, fitted to a step test. */
final readonly class StepFitDocument implements Document
{
    /** @param  array{Fact, Fact}  $ends */
    public function __construct(
        public string $finger,
        public array $ends,
        public int $steps,
        public string $unit,
        public ?Measured $top,
        public ?Measured $topBack,
        public ?Measured $accelerate,
        public ?Measured $brake,
        public Measured $lagS,
        public Measured $stopWay,
        public float $stopS,
    ) {
    }

    public static function of(StepFit $fit): self
    {
        $rotates = $fit->finger->rotates();
        $scale = $rotates ? 1 / Angle::DEGREE : 1.0;
        $top = static fn (int $way): ?Measured => isset($fit->tops[$way])
            ? Measured::of($fit->tops[$way]['value'], $fit->tops[$way]['sd'], $scale)
            : null;

        return new self(
            finger: $fit->finger->value, ends: $fit->finger->ends(), steps: $fit->steps, unit: $rotates ? 'deg/s' : 'm/s',
            top: $top(1), topBack: $top(-1),
            accelerate: $fit->accelerates() ? Measured::of($fit->response->accelerate, $fit->sd['accelerate'], $scale) : null,
            brake: $fit->brakes() ? Measured::of($fit->response->brake, $fit->sd['brake'], $scale) : null,
            lagS: Measured::of($fit->response->lag, $fit->sd['lag']),
            stopWay: Measured::of($fit->response->stopWay(), $fit->stopWayDeviation(), $scale),
            stopS: round($fit->response->stopSeconds(), 2),
        );
    }
}
