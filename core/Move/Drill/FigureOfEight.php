<?php

declare(strict_types=1);

namespace Larkspur\Move\Drill;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Drill;
use Larkspur\Move\Shape\Legs;
use Larkspur\Move\Shape\Stance;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\Stroke;
use Larkspur\Rig\ModeTune;

/**
 * Figure of eight: straight over the middle, four fifths of a circle, straight over the middle, and the same the other
 * way.
 */
final readonly class FigureOfEight extends Drill
{
    public function about(): About
    {
        return new About(
            'figure-of-eight', Group::Drill, 3, 'run+ > turn*', ['coordinated-circle'], faults: ['off-mark', 'uneven', 'bobbing'],
        );
    }

    public function parameters(): array
    {
        return Parameter::common('radius_m', 'direction', 'pace_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'radius_m' => 5.0, 'direction' => Stance::CLOCKWISE, 'pace_mps' => 1.2, 'height_m' => 1.8, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $pace = self::value($intent, 'pace_mps', 1.2);
        $radius = self::value($intent, 'radius_m', 5.0);
        $ease = $intent->number('ease_s') ?? self::USUAL_EASE;
        $way = Stance::way($intent, 'direction');
        $loop = $way * self::LOOP * Angle::DEGREE;
        $seconds = abs($loop) * $radius / $pace + $ease;
        $straight = self::straight($loop, $seconds, $ease, $pace);
        $out = $straight / $pace;
        $under = Pace::SETTLE + $ease / 2;
        $whole = 2 * ($seconds + 2 * $out);
        $first = $under + $out;
        $second = $under + 3 * $out + $seconds;

        return self::begin($intent)
            ->with(Finger::Run, new Stroke($pace * $whole, Pace::SETTLE, Pace::SETTLE + $whole + $ease, $ease), Mark::CLOSE)
            ->with(Finger::Turn, new Stroke($loop, $first, $first + $seconds, $ease))
            ->with(Finger::Turn, new Stroke(-$loop, $second, $second + $seconds, $ease))
            ->crossed($under + 2 * $out + $seconds);
    }

    /** Degrees of each loop: about four fifths of a circle, then straight (common practice, no published source). */
    private const LOOP = 288.0;

    /**
     * Metres from the crossing to where a loop begins: a loop is its own mirror image, so its ends lie on two straight
     * lines that meet where the way through it and back is as long as both together.
     */
    private static function straight(float $loop, float $seconds, float $ease, float $pace): float
    {
        $turn = new Stroke($loop, 0.0, $seconds, $ease);
        $ahead = $right = 0.0;
        for ($k = 0; $k < 2000; $k++) {
            $heading = $turn->at($seconds * ($k + 0.5) / 2000);
            $ahead += $pace * $seconds / 2000 * cos($heading);
            $right += $pace * $seconds / 2000 * sin($heading);
        }

        return hypot($ahead, $right) / hypot(1 + cos($loop), sin($loop));
    }
}
