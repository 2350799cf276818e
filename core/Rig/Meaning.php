<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Measure\Angle;

/** What the numbers of a rig do, in words of the field: rates, seconds, metres to stop, and the curve of each finger. */
final class Meaning
{
    /** Points of a curve card. */
    private const POINTS = 21;

    /** @return list<array<string, mixed>> one a flight mode */
    public static function of(Rig $rig): array
    {
        return array_values(array_map(self::mode(...), $rig->modes));
    }

    /** @return array<string, mixed> */
    private static function mode(ModeTune $mode): array
    {
        return [
            'mode' => $mode->name,
            // Stopping from v with deceleration a covers v^2 / 2a; the lag adds v times its time constant.
            'brake_m' => round($mode->run ** 2 / (2 * $mode->brake) + $mode->run * $mode->travelLag, 2),
            'brake_s' => round($mode->run / $mode->brake + $mode->travelLag, 2),
            'fingers' => array_map(static fn (Finger $finger): array => self::finger($mode, $finger), Finger::cases()),
        ];
    }

    /** @return array<string, mixed> */
    private static function finger(ModeTune $mode, Finger $finger): array
    {
        $scale = $finger->rotates() ? 1 / Angle::DEGREE : 1.0;
        $curve = $mode->curve($finger);
        $points = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            $travel = $i / (self::POINTS - 1);
            $points[] = [round($travel, 3), round($mode->asked($finger, $travel) * $scale, 3)];
        }

        return [
            'finger' => $finger->value,
            'ends' => $finger->ends(),
            'unit' => $finger->rotates() ? 'deg/s' : 'm/s',
            'top' => round($mode->top($finger) * $scale, 2),
            'top_back' => round($mode->top($finger, false) * $scale, 2),
            'half_stick' => round($mode->asked($finger, 0.5) * $scale, 2),
            // A first-order response has covered 95 % after three time constants.
            'settles_s' => round(3 * $mode->lag($finger), 2),
            'curve' => $curve->toArray(),
            'convention' => CurveKinds::MEANINGS[(string) $curve->toArray()['kind']],
            'points' => $points,
        ];
    }
}
