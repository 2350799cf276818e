<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Lag;
use Larkspur\Rig\Rig;

/**
 * A rig in one mode, compiled for a page that steps it by itself: per axis a table of travel to rate, the share of the
 * difference that a step covers, and the limits. The page holds no constants of its own; a test flies the same
 * inputs through the page's stepping and through Aircraft.
 */
final class ResponseSheet
{
    public const STEP = 0.02;

    /** Places in a table, from full travel one way to full travel the other. */
    private const PLACES = 201;

    /** @return array<string, mixed> rates in m/s and deg/s */
    public static function of(Rig $rig, string $modeName): array
    {
        $mode = $rig->mode($modeName);
        $axes = [];
        foreach (Finger::cases() as $finger) {
            $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;
            $table = [];
            for ($i = 0; $i < self::PLACES; $i++) {
                $table[] = round($mode->asked($finger, 2 * $i / (self::PLACES - 1) - 1) * $scale, 5);
            }
            $axes[$finger->value] = [
                'unit' => $finger->rotates() ? 'deg/s' : 'm/s', 'rates' => $table, 'top' => round($mode->top($finger) * $scale, 4),
                'share' => round(Lag::share($mode->lag($finger), self::STEP), 9),
                // Greatest change of rate in one step; null where nothing limits it. Run and slide share theirs, as a vector.
                'most_per_step' => match ($finger) {
                    Finger::Climb => round($mode->climbAccelerate * self::STEP, 9),
                    Finger::Turn => round($mode->turnAccelerate * $scale * self::STEP, 9),
                    default => null,
                },
            ];
        }

        return [
            'step_s' => self::STEP, 'axes' => $axes,
            'travel' => [
                'accelerate_per_step' => round($mode->accelerate * self::STEP, 9), 'brake_per_step' => round($mode->brake * self::STEP, 9),
            ],
            'tilt' => ['low_deg' => round($rig->tiltLow / Angle::DEGREE, 4), 'high_deg' => round($rig->tiltHigh / Angle::DEGREE, 4)],
        ];
    }
}
