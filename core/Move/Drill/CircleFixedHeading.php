<?php

declare(strict_types=1);

namespace Larkspur\Move\Drill;

use Larkspur\Geo\LocalFrame;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Drill;
use Larkspur\Move\Shape\Legs;
use Larkspur\Move\Shape\Stance;
use Larkspur\Move\Timing\Stroke;
use Larkspur\Rig\ModeTune;

/** Circle, one heading: the right thumb swept round, the lens facing one way throughout. */
final readonly class CircleFixedHeading extends Drill
{
    public function about(): About
    {
        return new About('circle-fixed-heading', Group::Drill, 2, 'run* slide*', ['square-fixed-heading'], faults: ['uneven', 'leak']);
    }

    public function parameters(): array
    {
        return Parameter::common('radius_m', 'direction', 'turns', 'pace_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'radius_m' => 3.0, 'direction' => Stance::CLOCKWISE, 'turns' => 1.0, 'pace_mps' => 0.8, 'height_m' => 1.6, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $way = 2 * M_PI * self::value($intent, 'radius_m', 3.0) * self::value($intent, 'turns', 1.0);

        return self::begin($intent)->rest($way / max(0.1, self::value($intent, 'pace_mps', 0.8)) + 2.0, Mark::CLOSE);
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        $plan = parent::plan($intent, $assumed, $frame);
        $radius = self::value($intent, 'radius_m', 3.0);
        $stroke = new Stroke(
            2 * M_PI * self::value($intent, 'turns', 1.0), $plan->onset, $plan->stop, self::value($intent, 'ease_s', self::USUAL_EASE),
        );
        $start = $plan->flight->position(0);
        $heading = $plan->flight->heading[0];
        $way = Stance::way($intent, 'direction');
        // The thumb starts at twelve, so the middle lies to the side that the circle bends to.
        $flight = MovePlan::sample($plan->flight->duration(), static function (float $t) use (
            $stroke, $start, $heading, $way, $radius,
        ): array {
            $angle = $stroke->at($t);
            $ahead = $radius * sin($angle);
            $right = $way * $radius * (1 - cos($angle));

            return [
                $start->plus($ahead * sin($heading) + $right * cos($heading), $ahead * cos($heading) - $right * sin($heading), 0.0),
                $heading, 0.0,
            ];
        });

        return $plan->flying($flight);
    }
}
