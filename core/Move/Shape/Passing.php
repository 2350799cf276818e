<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Move\Handle\Scaled;
use Larkspur\Move\Handle\SubjectCourse;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Parameter;
use Larkspur\Move\Timing\Pace;

/**
 * A straight pass by a moving subject: from behind, from ahead, or over it. Half-way along, the craft is level with it.
 * Without a track of its own the subject goes straight on at one pace.
 */
abstract readonly class Passing extends Played
{
    /** Whether it is met coming the other way. */
    abstract protected function meets(): bool;

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'subject_mps', 'subject_course_deg', 'side', 'distance_m', 'height_m', 'tilt_start_deg', 'ease_s',
        );
    }

    protected function pivot(): float
    {
        return 0.5;
    }

    /** When it is level with the subject, s: half-way through the pass. */
    protected function level(Intent $intent, Pace $pace): float
    {
        return ($pace->onset() + $pace->stop()) / 2;
    }

    protected function passing(Intent $intent, Pace $pace, float $onset, float $stop): float
    {
        return $this->level($intent, $pace);
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke]];
    }

    /** How far it goes, where it keeps to, and where the subject goes if it has no track of its own. */
    protected function shaped(MovePlan $plan, Intent $asked): array
    {
        $tracked = $asked->track !== [];

        return [
            $tracked ? null : Scaled::way($this->pivot()), $this->takes('distance_m') ? Scaled::beside() : null,
            $tracked ? null : new SubjectCourse(true),
        ];
    }

    public function wanted(Intent $intent): TakeTarget
    {
        // Looking ahead, what lies ahead is seen move, not the subject at the side.
        return new TakeTarget(
            extent: $this->amount($intent), viewing: $this->firstTilt($intent) < -1.4 ? $intent->number('height_m') : null,
        );
    }

    protected function staged(Intent $intent, LocalFrame $frame, Pace $pace): array
    {
        $subject = Stance::needed($intent, $frame);
        $foot = Stance::foot($intent, $frame, $subject->first());
        $middle = $this->level($intent, $pace);
        $course = ($intent->number('subject_course_deg') ?? 0.0) * Angle::DEGREE;
        if (! $subject->moves()) {
            $speed = $intent->number('subject_mps') ?? 0.0;
            $from = $subject->first();
            $duration = $pace->duration();
            // Half-way along it stands where the intent puts it.
            $at = static fn (float $t): Position => $from->plus(
                ($t - $middle) * $speed * sin($course), ($t - $middle) * $speed * cos($course), 0.0,
            );
            $subject = MovingPoint::track([0.0, $duration], [$at(0.0), $at($duration)]);
            $intent = $intent->following($subject, $frame, 0.0, $duration);
        } else {
            $course = $subject->course($middle, 1.0) ?? $course;
        }
        $passed = $subject->at($middle);
        $beside = ($intent->number('distance_m') ?? 0.0) * Stance::way($intent);
        $heading = $this->meets() ? $course + M_PI : $course;

        return [$intent, Stance::at($subject, $foot, new Position(
            $passed->east + $beside * cos($heading), $passed->north - $beside * sin($heading), $foot + ($intent->number('height_m') ?? 0.0),
        ), $heading)];
    }
}
