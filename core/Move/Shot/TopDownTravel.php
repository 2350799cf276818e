<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Top-down, travelling: straight down, the craft going any way over the ground. */
final readonly class TopDownTravel extends Played
{
    public function about(): About
    {
        return new About(
            'top-down-travel', Group::Above, 2, '(run*) (slide*)', ['straight-down'], faults: ['leak', 'uneven'], family: 'top-down-travel',
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'course_deg', 'pace_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Sideways, 'AZZZ', straightDown: true);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 30.0, 'course_deg' => 90.0, 'pace_mps' => self::comfortable($mode, Finger::Slide, 2.5), 'height_m' => 35.0,
            'heading_deg' => 0.0,
        ];
    }

    /** Straight down the ground is looked at, from the height. */
    protected function viewing(Intent $intent): ?float
    {
        return $intent->number('height_m');
    }

    protected function firstTilt(Intent $intent): float
    {
        return -M_PI_2;
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        $course = ($intent->number('course_deg') ?? 90.0) * Angle::DEGREE;

        return array_filter(
            ['run' => [$pace->stroke->of($pace->length * cos($course))], 'slide' => [$pace->stroke->of($pace->length * sin($course))]],
            static fn (array $strokes): bool => abs($strokes[0]->amount) > 1e-6,
        );
    }

    protected function pivot(): float
    {
        return 0.5;
    }
}
