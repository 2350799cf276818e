<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Geo\LocalFrame;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/**
 * Push-in from high: the pull-away the other way round, in and down onto a subject, which ends large and near.
 */
final readonly class PushInFromHigh implements Move
{
    public function id(): string
    {
        return 'push-in-from-high';
    }

    public function name(): string
    {
        return 'Push-in from high';
    }

    public function parameters(): array
    {
        return [
            Parameter::number('length_m', 'Way over the ground', 'm', 1, 400, 0.5, [5.0, 80.0]),
            Parameter::number('climb_m', 'Climb on the way (below zero: down)', 'm', -200, -0.5, 0.5, [-40.0, -2.0]),
            Parameter::number('pace_mps', 'Pace', 'm/s', 0.1, 40, 0.1, [0.3, 9.0]),
            ...HeldLine::start(),
        ];
    }

    public function judging(): Judging
    {
        return HeldLine::judging(PathKind::Line, Role::Steady, Crossing::Ahead);
    }

    public function defaults(Intent $intent, LocalFrame $frame, ModeTune $mode): array
    {
        return [
            'length_m' => HeldLine::way($intent) ?? 30.0, 'climb_m' => -13.0, 'pace_mps' => max(0.2, floor(10 * min(2.2, $mode->asked(Finger::Run, 0.4))) / 10),
            'distance_m' => 40.0, 'height_m' => 17.0, 'start_bearing_deg' => HeldLine::bearingOfHome($intent, $frame), 'ease_s' => 2.6,
        ];
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        $length = $intent->number('length_m') ?? 1.0;
        $pace = new Pace($length, $intent->number('pace_mps') ?? 1.0, $intent->number('ease_s') ?? 2.6);

        return HeldLine::plan($intent, $assumed, $frame, $pace, -1.0, ($intent->number('climb_m') ?? 0.0) / $length);
    }

    public function extent(Intent $intent): ?float
    {
        return HeldLine::way($intent);
    }
}
