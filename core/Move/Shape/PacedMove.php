<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Controls\Finger;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use Larkspur\Move\Group;
use Larkspur\Move\Handle\Climb;
use Larkspur\Move\Handle\Ease;
use Larkspur\Move\Handle\Handle;
use Larkspur\Move\Handle\Height;
use Larkspur\Move\Handle\Look;
use Larkspur\Move\Handle\Over;
use Larkspur\Move\Handle\Scaled;
use Larkspur\Move\Handle\SetsOut;
use Larkspur\Move\Handle\Start;
use Larkspur\Move\Handle\TiltAt;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Move;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Parameter;
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

    /** Share of the time at which the move passes the place that it is built from: 0 where it begins there, 1 where it ends there. */
    protected function pivot(): float
    {
        return 0.0;
    }

    public function opposite(MovePlan $plan): array
    {
        $direction = $plan->intent->choice('direction');
        if ($direction !== null) {
            return ['direction' => $direction === Stance::CLOCKWISE ? Stance::COUNTERCLOCKWISE : Stance::CLOCKWISE];
        }
        $side = $plan->intent->choice('side');
        if ($side !== null) {
            return ['side' => $side === 'left' ? 'right' : 'left'];
        }
        // What turns, or sets out at an angle, has its mirror: the first of these that it is shaped by. A drill goes both ways by itself.
        foreach ($this->about()->group === Group::Drill ? [] : ['turn_deg', 'spin_dps', 'course_deg'] as $id) {
            $amount = $plan->intent->number($id);
            if ($this->takes($id) && $amount !== null && abs($amount) > 0.0) {
                return [$id => -$amount];
            }
        }

        return [];
    }

    public function reversed(MovePlan $plan): array
    {
        return [];
    }

    public function slower(MovePlan $plan, float $share): array
    {
        if (static::MEASURE[1] === 'duration_s') {
            return ['duration_s' => round(($plan->intent->number('duration_s') ?? 0.0) / $share, 1)];
        }
        $pace = $plan->intent->number(static::MEASURE[1]);

        return $pace === null || ! $this->takes(static::MEASURE[1])
            ? []
            : [static::MEASURE[1] => ($pace <=> 0.0) * max(0.1, floor(abs($pace) * $share * 100) / 100)];
    }

    /** A slower pace: a longer way may lead anywhere. */
    public function longer(MovePlan $plan, float $times): array
    {
        return $this->slower($plan, 1 / $times);
    }

    public function handles(MovePlan $plan, Intent $asked): array
    {
        $away = $this->takes('radius_m') ? 'radius_m' : 'distance_m';
        $fast = $this->takes(static::MEASURE[1]) ? static::MEASURE[1] : null;

        return array_values(array_filter([
            $this->takes($away) && $this->takes('start_bearing_deg') && $plan->subject !== null ? new Start($away, $this->pivot()) : null,
            ...$this->shaped($plan, $asked),
            $this->takes('heading_deg') ? new Look($this->pivot()) : null,
            $this->takes('height_m') ? new Height($this->pivot()) : null,
            $this->takes('climb_m') ? new Climb($this->pivot()) : null,
            $this->takes('tilt_start_deg') ? TiltAt::start() : null,
            $this->takes('tilt_end_deg') ? TiltAt::end() : null,
            $this->takes('ease_s') ? new Ease : null,
            $fast !== null && $fast !== 'duration_s' ? Over::pace($fast) : ($this->takes('duration_s') ? Over::seconds() : null),
            $this->takes('tilt_after_s') && self::tilts($plan->intent) ? SetsOut::tilt() : null,
            $this->takes('lift_after_s') ? SetsOut::lift() : null,
        ]));
    }

    /** Whether the lens ends under another tilt than it begins, as far as the intent says both. */
    protected static function tilts(Intent $intent): bool
    {
        $from = $intent->number('tilt_start_deg');
        $to = $intent->number('tilt_end_deg');

        return $from !== null && $to !== null && abs($to - $from) > 0.5;
    }

    /**
     * The handles on the site sheet that change how far it goes.
     *
     * @return list<?Handle>
     */
    protected function shaped(MovePlan $plan, Intent $asked): array
    {
        return [$this->takes('length_m') ? Scaled::way($this->pivot()) : null];
    }

    /** Whether it has a parameter. */
    protected function takes(string $parameter): bool
    {
        return in_array($parameter, array_map(static fn (Parameter $own): string => $own->id, $this->parameters()), true);
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
        return new Pace(
            max(0.01, $this->amount($intent) ?? 1.0), max(0.01, abs($intent->number(static::MEASURE[1]) ?? 1.0)),
            $intent->number('ease_s') ?? self::EASE, static::MEASURE[1],
        );
    }

    public function wanted(Intent $intent): TakeTarget
    {
        $rate = $intent->number(static::MEASURE[1]);
        $seconds = $intent->number('duration_s');
        $extent = $this->amount($intent) ?? ($rate === null || $seconds === null ? null : abs($rate) * $seconds);
        $first = $intent->number('first_y');
        $last = $intent->number('last_y');

        return new TakeTarget(
            $intent->u(), $first === null ? $intent->v() : 0.5 - $first,
            extent: $extent === null || ! str_ends_with(static::MEASURE[0], '_deg') ? $extent : $extent * Angle::DEGREE,
            tiltStart: $intent->angle('tilt_start_deg'),
            tiltEnd: $intent->angle('tilt_end_deg'),
            lastV: $last === null ? null : 0.5 - $last,
            sweep: $intent->angle('turn_deg'),
            viewing: $this->viewing($intent),
            gap: $intent->number('gap_m'),
            widening: $this->widening($intent),
        );
    }

    /** By how much a radius is to grow over the way, m. */
    protected function widening(Intent $intent): float
    {
        return 0.0;
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
        return self::lookingFrom($intent, $intent->number('distance_m') ?? $distance, $intent->number('height_m') ?? $height);
    }

    /**
     * The tilt that has the subject in the picture where a straight way has led in the end, whole degrees.
     *
     * @param  array<string, float|string>  $usual  by id, where the intent leaves it open: distance_m, length_m, height_m, climb_m
     * @param  int  $outward  1 for a way away from the subject, -1 for one toward it
     * @param  float  $v  where in it: 0 the middle, +0.5 the upper edge
     */
    protected static function lookingInTheEnd(Intent $intent, array $usual, int $outward, float $v = 0.0): float
    {
        $of = static fn (string $id): float => $intent->number($id) ?? (float) ($usual[$id] ?? 0.0);

        return self::lookingFrom($intent, $of('distance_m') + $outward * $of('length_m'), $of('height_m') + $of('climb_m'), $v);
    }

    /**
     * The tilt that has the subject in the picture from just there, whole degrees.
     *
     * @param  float  $v  where in it: 0 the middle, +0.5 the upper edge
     */
    private static function lookingFrom(Intent $intent, float $distance, float $height, float $v = 0.0): float
    {
        if ($intent->subject === null) {
            return -6.0;
        }
        $sight = atan2(self::above($intent) - $height, max(1.0, $distance));

        return max(-90.0, round(($sight - atan(2 * $v * $intent->lens->halfHeight)) / Angle::DEGREE));
    }

    /** The tilt that puts a level horizon on the upper third, degrees. */
    protected static function horizonOnThird(Intent $intent): float
    {
        return round($intent->lens->horizonOnThird() / Angle::DEGREE, 1);
    }
}
