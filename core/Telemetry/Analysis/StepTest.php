<?php

declare(strict_types=1);

namespace Larkspur\Telemetry\Analysis;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Refusal;
use Larkspur\Telemetry\FlightLog;

/**
 * Finds the steps of a step test in a log (one finger to full travel, held, and let go) and fits to each how the axis
 * answered: top rate, gain and loss of rate, time constant.
 *
 * A log states the sticks only at its samples, so when the finger really went out and came back is fitted too. Rates
 * come from the log's own speed columns where it has them; a turn and a tilt are fitted as angles, which are less noisy
 * than their differences. Several steps of one finger are averaged by their weight, and their scatter is told.
 */
final class StepTest
{
    /** A finger is out from here, and back below this: travel. */
    private const OUT = 0.9;

    private const BACK = 0.1;

    /** Shortest press, and shortest rest after it, that show anything, s. */
    private const PRESS = 0.5;

    private const REST = 1.0;

    /** Presses of a finger that are fitted: more of them say no more. */
    private const PRESSES = 12;

    /** Longest part of the rest that is looked at, s. */
    private const LOOKED_AT = 8.0;

    /**
     * @return non-empty-list<StepFit> one for each finger that was pressed
     *
     * @throws Refusal where nothing in the log is a step
     */
    public static function fit(FlightLog $log): array
    {
        $steps = self::steps($log);
        if ($steps === []) {
            throw new Refusal(
                Fact::of('step-test.step-log'), 'log',
                Fact::of(
                    'step-test.stick-columns-finger-held', out: Quantity::share(self::OUT), press: Quantity::seconds(self::PRESS),
                    rest: Quantity::seconds(self::REST),
                ),
            );
        }
        $fits = [];
        foreach ($steps as [$finger, $sign, $from, $to, $until]) {
            if (count($fits[$finger->value] ?? []) >= self::PRESSES) {
                continue;
            }
            $one = StepFit::of($finger, $sign, ...self::series($log, $finger, $sign, $from, $to, $until));
            if ($one !== null) {
                $fits[$finger->value][] = $one;
            }
        }
        $all = array_map(StepFit::together(...), array_values($fits));
        if ($all === []) {
            throw new Refusal(Fact::of('step-test.craft-was-let-go'), 'log', Fact::of('step-test.presses-held-until-speed'));
        }

        return $all;
    }

    /**
     * Presses of one finger alone.
     *
     * @return list<array{Finger, int, int, int, int}> finger, way, rows at which it is out first, back first, and where its rest ends
     */
    private static function steps(FlightLog $log): array
    {
        $t = $log->column('t');
        $n = count($t);
        $steps = [];
        foreach (Finger::cases() as $finger) {
            $x = $log->column('stick_'.$finger->value);
            for ($i = 1; $i < $n && $x !== []; $i++) {
                if (! (abs($x[$i]) >= self::OUT && abs($x[$i - 1]) < self::OUT)) {
                    continue;
                }
                $sign = $x[$i] <=> 0.0;
                $back = $i;
                while ($back < $n && $sign * $x[$back] >= self::OUT) {
                    $back++;
                }
                $gone = $back;
                while ($gone < $n && abs($x[$gone]) > self::BACK && $t[$gone] - $t[$back] < 0.35) {
                    $gone++;
                }
                if ($gone >= $n || $t[min($back, $n - 1)] - $t[$i] < self::PRESS || abs($x[$gone]) > self::BACK) {
                    continue;
                }
                $until = $gone;
                while ($until + 1 < $n && $t[$until + 1] - $t[$gone] < self::LOOKED_AT && self::rests($log, $until + 1)) {
                    $until++;
                }
                if ($t[$until] - $t[$gone] >= self::REST && self::alone($log, $finger, $i, $gone)) {
                    $steps[] = [$finger, $sign, $i, $back, $until];
                }
                $i = $until;
            }
        }

        return $steps;
    }

    /** Whether every finger rests in a row. */
    private static function rests(FlightLog $log, int $row): bool
    {
        foreach (Finger::cases() as $finger) {
            if (abs($log->column('stick_'.$finger->value)[$row] ?? 0.0) > self::BACK) {
                return false;
            }
        }

        return true;
    }

    /** Whether every other finger rests between two rows. */
    private static function alone(FlightLog $log, Finger $finger, int $from, int $until): bool
    {
        foreach (Finger::cases() as $other) {
            $x = $other === $finger ? [] : $log->column('stick_'.$other->value);
            for ($i = $from; $i <= $until && $x !== []; $i++) {
                if (abs($x[$i]) > self::BACK) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * What a press did, from a second before it to the end of its rest: times, values, whether they are a way (or an
     * angle) and not a rate, and the rows' times at which the finger was out and back.
     *
     * @return array{list<float>, list<float>, bool, float, float}
     */
    private static function series(FlightLog $log, Finger $finger, int $sign, int $from, int $to, int $until): array
    {
        $t = $log->column('t');
        $first = $from;
        while ($first > 0 && $t[$from] - $t[$first - 1] <= 1.0 && abs($log->column('stick_'.$finger->value)[$first - 1]) <= self::BACK) {
            $first--;
        }
        // The row before is the last at which the finger was not out yet: the press lies between the two.
        $out = ($t[$from] + $t[max(0, $from - 1)]) / 2;
        $back = ($t[$to] + $t[$to - 1]) / 2;
        $speed = match ($finger) {
            Finger::Run, Finger::Slide => $log->column('speed_mps'),
            Finger::Climb => $log->column('climb_mps'),
            default => [],
        };
        $frame = null;
        $times = $values = [];
        $heading = null;
        for ($i = $first; $i <= $until; $i++) {
            $times[] = $t[$i];
            if ($speed !== [] && is_finite($speed[$i])) {
                $values[] = $finger === Finger::Climb ? $sign * $speed[$i] : $speed[$i];

                continue;
            }
            if ($finger->rotates()) {
                $angle = $log->column($finger === Finger::Turn ? 'heading_deg' : 'gimbal_tilt_deg')[$i] * Angle::DEGREE;
                $heading = $heading === null ? $angle : $heading + Angle::wrap($angle - $heading);
                $values[] = $sign * $heading;

                continue;
            }
            $here = new GeoPoint($log->column('lat')[$i], $log->column('lon')[$i], $log->column('alt_m')[$i]);
            $frame ??= new LocalFrame($here);
            $position = $frame->position($here);
            $values[] = $finger === Finger::Climb
                ? $sign * $position->up
                : self::along($position->east, $position->north, $log->column('heading_deg')[$first] * Angle::DEGREE, $finger, $sign);
        }

        return [$times, $values, $speed === [], $out, $back];
    }

    private static function along(float $east, float $north, float $heading, Finger $finger, int $sign): float
    {
        return $sign * (
            $finger === Finger::Run ? $east * sin($heading) + $north * cos($heading) : $east * cos($heading) - $north * sin($heading)
        );
    }
}
