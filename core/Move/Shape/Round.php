<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Handle\ArcEnd;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Parameter;
use Larkspur\Move\Timing\Pace;
use Larkspur\Refusal;
use Larkspur\Rig\ModeTune;

/**
 * Round a subject, the subject held at its place: at one distance or a changing one, level or climbing.
 *
 * Slide one way, turn the other: seen from above, slide left with turn right goes clockwise. The way is counted along the
 * tangent; where the radius grows by k metres for each of them, the bearing gained is ln(r / r0) / k.
 */
abstract readonly class Round extends SubjectHeld
{
    protected const MEASURE = ['arc_deg', 'pace_mps'];

    /** Between these a leaning stick may lead, m: what a radius may be stated as. */
    private const NEAREST = 2.0;

    private const FARTHEST = 500.0;

    /** What such moves are shaped by; their own parameters follow. */
    protected const DIALS = ['radius_m', 'height_m', 'arc_deg', 'direction', 'pace_mps', 'start_bearing_deg', 'ease_s'];

    public function parameters(): array
    {
        return Parameter::common(...self::DIALS);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::orbit();
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        $radius = $intent->number('radius_m') ?? 25.0;
        // Nine seconds to cross the frame, and the slide near the middle of its travel where that is slower.
        $pace = min($intent->lens->horizontal / 9 * $radius, $mode->asked(Finger::Slide, 0.5), $mode->asked(Finger::Turn, 0.5) * $radius);

        return [
            'radius_m' => $radius, 'height_m' => max(3.0, round(0.4 * $radius, 1)), 'arc_deg' => 180.0, 'direction' => Stance::CLOCKWISE,
            'pace_mps' => max(0.2, floor($pace * 10) / 10), 'start_bearing_deg' => 0.0,
        ];
    }

    /** The arc of a length in metres, degrees. */
    protected function inUnits(float $amount, Intent $intent): float
    {
        return round($amount / self::tangent($intent) / Angle::DEGREE, 2);
    }

    /** From its other end. */
    public function opposite(MovePlan $plan): array
    {
        $way = Stance::way($plan->intent, 'direction');
        $end = ($plan->intent->number('start_bearing_deg') ?? 0.0) + $way * ($plan->intent->number('arc_deg') ?? 0.0);

        return [...parent::opposite($plan), 'start_bearing_deg' => round(fmod($end + 7200.0, 360.0), 1)];
    }

    /** A wider arc, to the next five degrees. */
    public function longer(MovePlan $plan, float $times): array
    {
        return ['arc_deg' => min(1080.0, ceil(($plan->intent->number('arc_deg') ?? 180.0) * $times / 5) * 5)];
    }

    protected function shaped(MovePlan $plan, Intent $asked): array
    {
        return [new ArcEnd];
    }

    /** Metres of tangent for each radian of arc: the radius, or the logarithmic mean of a radius that changes. */
    private static function tangent(Intent $intent): float
    {
        $radius = max(0.5, $intent->number('radius_m') ?? 25.0);
        $end = max(0.5, self::radiusEnd($intent));

        return abs($end - $radius) < 1e-6 ? $radius : ($end - $radius) / log($end / $radius);
    }

    /**
     * The radius at the end, m: the one that is stated, or the one that the lean of the stick leads to. Leaning forward by an angle b, the
     * craft nears its subject by tan(b) metres for each along the tangent, so the radius falls as exp(-tan(b) arc), a logarithmic spiral.
     */
    private static function radiusEnd(Intent $intent): float
    {
        $radius = $intent->number('radius_m') ?? 25.0;
        $lean = ($intent->number('bias_deg') ?? 0.0) * Angle::DEGREE;

        return $intent->number('radius_end_m') ?? $radius * exp(-tan($lean) * ($intent->number('arc_deg') ?? 180.0) * Angle::DEGREE);
    }

    protected function widening(Intent $intent): float
    {
        return self::radiusEnd($intent) - ($intent->number('radius_m') ?? 25.0);
    }

    protected function pace(Intent $intent): Pace
    {
        $end = self::radiusEnd($intent);
        if (($intent->number('bias_deg') ?? 0.0) !== 0.0 && ($end < self::NEAREST || $end > self::FARTHEST)) {
            throw new Refusal(
                Fact::of('round.lean-leads-to', radius: Quantity::metres($end)), 'intent.parameters.bias_deg',
                Fact::of('round.within', nearest: Quantity::metres(self::NEAREST), farthest: Quantity::metres(self::FARTHEST)),
            );
        }

        return new Pace(
            ($intent->number('arc_deg') ?? 180.0) * Angle::DEGREE * self::tangent($intent), $intent->number('pace_mps') ?? 1.0,
            $intent->number('ease_s') ?? self::EASE,
        );
    }

    protected function pan(Intent $intent, Pace $pace): float
    {
        return $pace->rate / min($intent->number('radius_m') ?? 25.0, self::radiusEnd($intent));
    }

    protected function path(Intent $intent, Pace $pace): callable
    {
        $radius = $intent->number('radius_m') ?? 25.0;
        $growth = (self::radiusEnd($intent) - $radius) / $pace->length;
        $start = ($intent->number('start_bearing_deg') ?? 0.0) * Angle::DEGREE;
        $way = Stance::way($intent, 'direction');
        $height = $intent->number('height_m') ?? 0.0;
        $climb = ($intent->number('climb_m') ?? 0.0) / $pace->length;

        return static function (float $gone) use ($radius, $growth, $start, $way, $height, $climb): array {
            $reach = $radius + $growth * $gone;
            $bearing = abs($growth) < 1e-9 ? $gone / $radius : log($reach / $radius) / $growth;

            return [$reach, $start + $way * $bearing, $height + $climb * $gone];
        };
    }
}
