<?php

declare(strict_types=1);

namespace Larkspur\Move\Drill;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Drill;
use Larkspur\Move\Shape\Legs;
use Larkspur\Move\Shape\Stance;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\Stroke;
use Larkspur\Rig\ModeTune;

/**
 * Coordinated circle: momentum first, then turn; a lap at one radius, a lap drawn tighter, a lap let out again (radius
 * = speed / turn rate).
 */
final readonly class CoordinatedCircle extends Drill
{
    public function about(): About
    {
        return new About('coordinated-circle', Group::Drill, 2, 'run+ > turn±', ['out-and-back'], faults: ['uneven', 'bobbing']);
    }

    public function parameters(): array
    {
        return Parameter::common('radius_m', 'radius_end_m', 'direction', 'pace_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'radius_m' => 5.0, 'radius_end_m' => 3.6, 'direction' => Stance::CLOCKWISE, 'pace_mps' => 1.2, 'height_m' => 1.8,
            'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $pace = self::value($intent, 'pace_mps', 1.2);
        $wide = self::value($intent, 'radius_m', 5.0);
        $tight = min($wide, self::value($intent, 'radius_end_m', 3.6));
        $way = Stance::way($intent, 'direction');
        $ease = $intent->number('ease_s') ?? self::USUAL_EASE;
        $laps = 2 * M_PI * (2 * $wide + $tight) / $pace;
        $from = Pace::SETTLE + $ease;
        // Two laps' worth of turn at the wide radius, and what a tight lap in the middle asks beside it.
        $turn = new Stroke($way * $pace / $wide * ($laps - $ease), $from, $from + $laps, $ease);
        $more = new Stroke(
            $way * $pace * (1 / $tight - 1 / $wide) * (2 * M_PI * $tight / $pace), $from + 2 * M_PI * $wide / $pace,
            $from + 2 * M_PI * ($wide + $tight) / $pace + $ease, $ease,
        );

        return self::begin($intent)
            ->with(Finger::Run, new Stroke($pace * ($laps + $ease), Pace::SETTLE, $from + $laps + $ease, $ease))
            ->with(Finger::Turn, $turn)
            ->with(Finger::Turn, $more);
    }
}
