<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Lag;
use Larkspur\Rig\ModeTune;
use Larkspur\Rig\Rig;

/**
 * A rig in one mode, compiled for a page that steps it by itself: per axis a table of travel to rate, the share of the
 * difference that a step covers, and the limits. The page holds no constants of its own; a test flies the same
 * inputs through the page's stepping and through Aircraft.
 */
final readonly class ResponseSheet
{
    public const STEP = 0.02;

    /** Places in a table, from full travel one way to full travel the other. */
    private const PLACES = 201;

    private function __construct(public Rig $rig, public ModeTune $mode)
    {
    }

    public static function of(Rig $rig, string $mode): self
    {
        return new self($rig, $rig->mode($mode));
    }

    /** @return list<float> rate by travel, m/s or rad/s */
    public function rates(Finger $finger): array
    {
        $rates = [];
        for ($i = 0; $i < self::PLACES; $i++) {
            $rates[] = $this->mode->asked($finger, 2 * $i / (self::PLACES - 1) - 1);
        }

        return $rates;
    }

    /** Share of the difference to the asked rate that one step covers. */
    public function share(Finger $finger): float
    {
        return Lag::share($this->mode->lag($finger), self::STEP);
    }

    /** Greatest change of rate in one step; null where nothing limits it. Run and slide share theirs, as a vector. */
    public function mostPerStep(Finger $finger): ?float
    {
        return match ($finger) {
            Finger::Climb => $this->mode->climbAccelerate * self::STEP,
            Finger::Turn => $this->mode->turnAccelerate * self::STEP,
            default => null,
        };
    }
}
