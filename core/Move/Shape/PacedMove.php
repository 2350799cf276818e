<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Controls\Finger;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Move;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/**
 * What all moves share that go so far at such a pace: of length, pace and seconds any two are given and the third
 * follows; what else is left open takes what suits the craft.
 */
abstract readonly class PacedMove implements Move
{
    /** Every ease that nobody stated, s (common practice for 2 to 3 s, no published source). */
    public const EASE = 2.6;

    /** What the moves of a kind take. */
    protected const USUAL_EASE = self::EASE;

    /** @var array{string, string} the parameters that state how far and how fast */
    protected const MEASURE = ['length_m', 'pace_mps'];

    /**
     * What the move would be flown with where nothing is stated.
     *
     * @return array<string, float|string>
     */
    abstract protected function usual(Intent $intent, ModeTune $mode): array;

    public function defaults(Intent $intent, LocalFrame $frame, ModeTune $mode): array
    {
        /** @var array<string, float|string> $open */
        $open = [...$this->usual($intent, $mode), 'ease_s' => static::USUAL_EASE];
        [$far, $fast] = static::MEASURE;
        $seconds = $intent->number('duration_s');
        if ($seconds !== null) {
            $rate = $intent->number($fast);
            $amount = $this->amount($intent);
            if ($rate !== null && $amount === null) {
                $open[$far] = $this->inUnits($rate * $seconds, $intent);
            } elseif ($rate === null) {
                $stated = $amount ?? $this->amount($intent->with($open));
                $open[$fast] = $stated === null ? $open[$fast] : max(0.05, round($stated / $seconds, 3));
            }
        }
        if (array_key_exists('start_bearing_deg', $open)) {
            $open['start_bearing_deg'] = Stance::bearingOfHome($intent, $frame);
        }
        if ($intent->subject !== null) {
            // Facing the subject is what a stance does by itself.
            unset($open['heading_deg']);
        } else {
            unset($open['distance_m'], $open['start_bearing_deg']);
        }

        return $open;
    }

    /** Distance of what is looked at where no subject is judged, m; null where the move has none. */
    protected function viewing(Intent $intent): ?float
    {
        $distance = $intent->number('distance_m');

        return $distance === null || $distance < 1.0 ? null : $distance;
    }

    /** How far the move goes, in metres or degrees, as far as the intent says it. */
    protected function amount(Intent $intent): ?float
    {
        $amount = $intent->number(static::MEASURE[0]);

        return $amount === null ? null : abs($amount);
    }

    /** An amount as the parameter that states it counts. */
    protected function inUnits(float $amount, Intent $intent): float
    {
        return round($amount, 2);
    }

    /** The timing of the move. */
    protected function pace(Intent $intent): Pace
    {
        return new Pace(max(0.01, $this->amount($intent) ?? 1.0), max(0.01, abs($intent->number(static::MEASURE[1]) ?? 1.0)), $intent->number('ease_s') ?? self::EASE, static::MEASURE[1]);
    }

    public function wanted(Intent $intent): TakeTarget
    {
        $rate = $intent->number(static::MEASURE[1]);
        $seconds = $intent->number('duration_s');
        $extent = $this->amount($intent) ?? ($rate === null || $seconds === null ? null : abs($rate) * $seconds);
        $first = $intent->number('first_y');
        $last = $intent->number('last_y');
        $radiusEnd = $intent->number('radius_end_m') ?? 0.0;

        return new TakeTarget(
            $intent->u(), $first === null ? $intent->v() : 0.5 - $first,
            extent: $extent === null || ! str_ends_with(static::MEASURE[0], '_deg') ? $extent : $extent * Angle::DEGREE,
            tiltStart: $intent->angle('tilt_start_deg'),
            tiltEnd: $intent->angle('tilt_end_deg'),
            lastV: $last === null ? null : 0.5 - $last,
            sweep: $intent->angle('turn_deg'),
            viewing: $this->viewing($intent),
            gap: $intent->number('gap_m'),
            widening: $radiusEnd === 0.0 ? 0.0 : $radiusEnd - ($intent->number('radius_m') ?? 0.0),
        );
    }

    /** A pace near the middle of a finger's travel, no faster than wanted; m/s or deg/s, rounded down to a tenth. */
    protected static function comfortable(ModeTune $mode, Finger $finger, float $wanted, float $travel = 0.4): float
    {
        $asked = abs($mode->asked($finger, $travel)) / ($finger->rotates() ? Angle::DEGREE : 1.0);

        return max(0.2, floor(10 * min($wanted, $asked)) / 10);
    }

    /** Height of the aimed-at point above the subject's foot, m; 0 where there is no subject. */
    protected static function above(Intent $intent): float
    {
        return $intent->subject === null || $intent->subjectBase === null ? 0.0 : $intent->subject->altitude - $intent->subjectBase;
    }

    /** The tilt that looks at the subject from a distance and a height above its foot (those stated win), whole degrees. */
    protected static function lookingAt(Intent $intent, float $distance, float $height): float
    {
        $distance = $intent->number('distance_m') ?? $distance;
        $height = $intent->number('height_m') ?? $height;

        return $intent->subject === null ? -6.0 : round(atan2(self::above($intent) - $height, max(1.0, $distance)) / Angle::DEGREE);
    }

    /**
     * The tilt below level that puts a level horizon on the upper third, degrees: atan(tan(VFOV / 2) / 3), the place of the
     * horizon being tan(tilt down) / tan(VFOV / 2) of the half-height above the centre.
     */
    protected static function horizonOnThird(Intent $intent): float
    {
        return round(-atan($intent->lens->halfHeight / 3) / Angle::DEGREE, 1);
    }
}
