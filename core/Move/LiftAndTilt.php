<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Geo\LocalFrame;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/**
 * Lift with tilt: straight up beside a subject, the tilt going down against it, so that the subject keeps its place while
 * the world moves. The climb leads; nothing moves over the ground.
 */
final readonly class LiftAndTilt implements Move
{
    public function id(): string
    {
        return 'lift-and-tilt';
    }

    public function name(): string
    {
        return 'Lift with tilt';
    }

    public function parameters(): array
    {
        return [
            Parameter::number('climb_m', 'Climb', 'm', 0.5, 200, 0.5, [2.0, 40.0]),
            Parameter::number('climb_mps', 'Rate of climb', 'm/s', 0.1, 20, 0.1, [0.3, 4.0]),
            ...HeldLine::start(),
        ];
    }

    public function judging(): Judging
    {
        return HeldLine::judging(PathKind::Vertical, Role::Still, Crossing::Upright);
    }

    public function defaults(Intent $intent, LocalFrame $frame, ModeTune $mode): array
    {
        return [
            'climb_m' => 12.0, 'climb_mps' => max(0.2, floor(10 * min(1.2, $mode->asked(Finger::Climb, 0.45))) / 10),
            'distance_m' => 20.0, 'height_m' => 4.0, 'start_bearing_deg' => HeldLine::bearingOfHome($intent, $frame), 'ease_s' => 2.6,
        ];
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        $climb = $intent->number('climb_m') ?? 0.0;
        $pace = new Pace(abs($climb), $intent->number('climb_mps') ?? 1.0, $intent->number('ease_s') ?? 2.6, 'climb_mps');

        return HeldLine::plan($intent, $assumed, $frame, $pace, 0.0, $climb <=> 0.0);
    }

    public function extent(Intent $intent): ?float
    {
        $climb = $intent->number('climb_m');

        return $climb === null ? null : abs($climb);
    }
}
