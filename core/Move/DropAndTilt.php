<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Geo\LocalFrame;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/**
 * Drop with tilt: straight down beside a subject, the tilt coming up against it. The lift with tilt the other way round; the
 * craft sinks slower than it climbs, and the ground comes nearer.
 */
final readonly class DropAndTilt implements Move
{
    public function id(): string
    {
        return 'drop-and-tilt';
    }

    public function name(): string
    {
        return 'Drop with tilt';
    }

    public function parameters(): array
    {
        return [
            Parameter::number('climb_m', 'Climb (below zero: down)', 'm', -200, -0.5, 0.5, [-40.0, -2.0]),
            Parameter::number('climb_mps', 'Rate of descent', 'm/s', 0.1, 20, 0.1, [0.3, 4.0]),
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
            'climb_m' => -11.0, 'climb_mps' => max(0.2, floor(10 * min(1.2, -$mode->asked(Finger::Climb, -0.45))) / 10),
            'distance_m' => 20.0, 'height_m' => 16.0, 'start_bearing_deg' => HeldLine::bearingOfHome($intent, $frame), 'ease_s' => 2.6,
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
