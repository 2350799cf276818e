<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

/**
 * The registry of faults: name on screen, rank among the faults of a take, and the cue that mends it.
 * A new fault is a row here and its rule in FaultFinder.
 */
final class FaultKinds
{
    /** @var array<string, array{name: string, rank: int, try: string}> */
    private const KINDS = [
        'kick' => ['name' => 'Kick', 'rank' => 0, 'try' => 'Move that finger as if through honey; rest the tip of the thumb on the stick before you press.'],
        'flick-start' => ['name' => 'Flicked start', 'rank' => 1, 'try' => 'Take two full seconds to reach your hold. Count them aloud.'],
        'flick-stop' => ['name' => 'Flicked stop', 'rank' => 1, 'try' => 'Bring the finger back as slowly as it left. Never let the spring do it.'],
        'stall' => ['name' => 'Stall', 'rank' => 2, 'try' => 'Find your pace, then freeze the thumb that carries it. Correct with the other one.'],
        'off-mark' => ['name' => 'Subject off its mark', 'rank' => 3, 'try' => 'Watch the mark, not the craft, and correct early and small.'],
        'wrong-way' => ['name' => 'Wrong way', 'rank' => 4, 'try' => 'Say the direction aloud before you move: slide left with turn right goes clockwise.'],
        'uneven' => ['name' => 'Uneven pace', 'rank' => 5, 'try' => 'Hold against a marked place of the stick’s travel, and leave it there.'],
        'shaky' => ['name' => 'Shaky picture', 'rank' => 5, 'try' => 'Hold the stick at its tip and lower the curve about the centre.'],
        'bobbing' => ['name' => 'Bobbing', 'rank' => 5, 'try' => 'Leave the height alone once it is set; the left thumb only turns.'],
        'drift' => ['name' => 'Circle grows or shrinks', 'rank' => 5, 'try' => 'A touch of run toward the subject on the upwind side holds the circle.'],
        'stopped-short' => ['name' => 'Stopped short', 'rank' => 5, 'try' => 'Fly on past the last frame you want before you begin to ease out.'],
        'leak' => ['name' => 'Leak into another axis', 'rank' => 5, 'try' => 'Look along the axis that you fly; move the thumb from its tip, not from its joint.'],
        'throttle-bounce' => ['name' => 'Throttle bounce', 'rank' => 4, 'try' => 'Make the pace with the pitch; the throttle only holds the height.'],
        'too-quick' => ['name' => 'Too quick for the eye', 'rank' => 6, 'try' => 'Halve the pace, or fly it from twice as far.'],
        'half-sky' => ['name' => 'Half sky', 'rank' => 4, 'try' => 'Stop the tilt while the horizon still stands on the upper third.'],
        'sway-off-centre' => ['name' => 'Off the middle of the gap', 'rank' => 3, 'try' => 'Line up before you press; in the gap nothing but run moves.'],
        'out-of-step' => ['name' => 'Fingers out of step', 'rank' => 5, 'try' => 'Slide first, turn right after it; at the end let both die away together.'],
    ];

    public static function name(string $id): string
    {
        return self::KINDS[$id]['name'] ?? $id;
    }

    public static function cue(string $id): string
    {
        return self::KINDS[$id]['try'] ?? '';
    }

    public static function rank(string $id): int
    {
        return self::KINDS[$id]['rank'] ?? 9;
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(self::KINDS);
    }
}
