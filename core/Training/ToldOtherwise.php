<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Fact;

/**
 * Typical faults that a log can't tell under their own name in some move, and why: what is put in then shows as something else. Every
 * other fault of a lesson is named as it was put in (a test holds it so over every move).
 */
final class ToldOtherwise
{
    private const LATE_BY_PLAN = 'late-by-plan';

    private const FIGURE = 'figure';

    private const BOBS = 'bobs';

    private const REASONS = [
        'lateral-dolly' => ['too-quick' => 'slide-at-its-limit'],
        'ascent-late-tilt' => ['out-of-step' => self::LATE_BY_PLAN],
        'reveal-orbit' => ['out-of-step' => self::LATE_BY_PLAN],
        'sink-to-horizon' => ['out-of-step' => self::LATE_BY_PLAN],
        'rise-turn-tilt' => ['out-of-step' => self::LATE_BY_PLAN],
        'back-rise-tilt' => ['out-of-step' => self::LATE_BY_PLAN],
        'sink-turn-tilt' => ['out-of-step' => self::LATE_BY_PLAN, 'off-mark' => 'tilt-ends-near'],
        'curved-retreat' => ['drift' => 'no-distance-to-keep'],
        'rise-slide-turn' => ['leak' => 'none-at-rest'],
        'pure-axis' => ['leak' => self::FIGURE], 'square-fixed-heading' => ['leak' => self::FIGURE],
        'square-with-turns' => ['leak' => self::FIGURE], 'nose-in-bay' => ['leak' => self::FIGURE, 'wrong-way' => self::FIGURE],
        'return-home' => ['leak' => self::FIGURE],
        'out-and-back' => ['wrong-way' => self::FIGURE], 'circle-fixed-heading' => ['leak' => self::FIGURE],
        'return-to-centre' => ['flick-stop' => 'pressed-too-lightly'],
        'speed-by-pitch' => ['throttle-bounce' => self::BOBS], 'indoor-tour' => ['throttle-bounce' => self::BOBS],
    ];

    /** Why a fault of a move is not named by its own name; null where it is. */
    public static function reason(string $move, string $fault): ?Fact
    {
        $reason = self::REASONS[$move][$fault] ?? null;

        return $reason === null ? null : Fact::of("lesson.told-otherwise.$reason");
    }
}
