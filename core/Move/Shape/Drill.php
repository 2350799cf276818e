<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Move\Handle\Scaled;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Timing\Pace;

/**
 * A drill: a figure of several legs, flown to train the thumbs rather than for a picture, and judged by its own measures
 * (how far off the figure, closure, corners, touchdowns).
 */
abstract readonly class Drill extends Played
{
    protected const MEASURE = ['duration_s', 'pace_mps'];

    /** Ease of each leg of a drill that nobody stated, s: shorter than in a shot, since legs are short. */
    protected const USUAL_EASE = 1.6;

    abstract protected function legs(Intent $intent): Legs;

    public function judging(Intent $intent): Judging
    {
        return Judging::figure();
    }

    public function wanted(Intent $intent): TakeTarget
    {
        return new TakeTarget(viewing: 15.0);
    }

    protected function pace(Intent $intent): Pace
    {
        $seconds = $this->legs($intent)->end() - Pace::SETTLE;
        $ease = min($seconds / 2, $intent->number('ease_s') ?? self::USUAL_EASE);

        return new Pace($seconds - $ease, 1.0, $ease, 'pace_mps');
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return $this->legs($intent)->strokes;
    }

    protected function marks(Intent $intent): array
    {
        return $this->legs($intent)->marks;
    }

    protected function shaped(MovePlan $plan, Intent $asked): array
    {
        foreach (['side_m', 'radius_m', 'length_m'] as $size) {
            if ($this->takes($size)) {
                return [$this->pivot() > 0.0 ? Scaled::way($this->pivot()) : Scaled::figure($size)];
            }
        }

        return [];
    }

    /** The legs begun, with the drill's own ease. */
    protected static function begin(Intent $intent): Legs
    {
        return Legs::begin($intent->number('ease_s') ?? self::USUAL_EASE);
    }

    /** A stated value, or what is usual where a caller left it open. */
    protected static function value(Intent $intent, string $parameter, float $usual): float
    {
        return $intent->number($parameter) ?? $usual;
    }
}
