<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Camera\View;
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
use Larkspur\Rig\ModeTune;

/**
 * A move that keeps its place beside a moving subject, on any track and with any pace of its own, and looks at it.
 *
 * The subject's track is the intent's; without one it sets off from its point on a straight course at subject_mps, with the
 * eases of the move. A subject that is already under way is joined: the craft waits ahead and is beside it once it has
 * its pace, as a runner takes a baton.
 */
abstract readonly class Following extends PacedMove
{
    /** What such moves are shaped by. */
    protected const DIALS = ['subject_mps', 'subject_course_deg', 'length_m', 'distance_m', 'height_m', 'ease_s'];

    protected const MEASURE = ['length_m', 'subject_mps'];

    /** Nobody swings round a corner over less, m. */
    private const CLOSE = 4.0;

    private const CUTS = 1.5;

    /** A subject slower than this is at rest, m/s. */
    private const REST_PACE = 0.1;

    /**
     * Where the craft keeps to, seen from the subject: metres ahead of it on its course, to the right, and above its foot.
     *
     * @return array{float, float, float}
     */
    abstract protected function place(Intent $intent): array;

    /** Whether the lens looks straight down instead of at the subject. */
    protected function straightDown(): bool
    {
        return false;
    }

    public function parameters(): array
    {
        return Parameter::common(...self::DIALS);
    }

    /** How far it goes, where it keeps to, and where the subject goes if it has no track of its own. */
    protected function shaped(MovePlan $plan, Intent $asked): array
    {
        $tracked = $asked->track !== [];

        return [
            $tracked ? null : Scaled::way($this->pivot()), $this->takes('distance_m') ? Scaled::beside() : null,
            $tracked ? null : new SubjectCourse(false),
        ];
    }

    public function wanted(Intent $intent): TakeTarget
    {
        return new TakeTarget($intent->u(), $intent->v(), viewing: $intent->number('distance_m'));
    }

    public function defaults(Intent $intent, LocalFrame $frame, ModeTune $mode): array
    {
        $open = parent::defaults($intent, $frame, $mode);
        if (! isset($open['distance_m']) && isset($this->usual($intent, $mode)['distance_m'])) {
            $open['distance_m'] = $this->usual($intent, $mode)['distance_m'];
        }

        return $open;
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        $subject = Stance::needed($intent, $frame);
        $foot = Stance::foot($intent, $frame, $subject->first());
        if ($subject->moves()) {
            [$begin, $end] = $subject->between();
            $seconds = max(2.0, min(Pace::LONGEST, $end - max(0.0, $begin) - Pace::SETTLE - Pace::REST));
            $pace = new Pace($seconds, 1.0, $intent->number('ease_s') ?? self::EASE, 'duration_s');
        } else {
            $pace = $this->pace($intent);
            $subject = self::settingOff($intent, $subject->first(), $pace);
            $intent = $intent->following($subject, $frame, 0.0, $pace->duration());
        }
        $joined = self::joined($subject, $pace);
        [$ahead, $right, $above] = $this->place($intent);
        $course = ($intent->number('subject_course_deg') ?? 0.0) * Angle::DEGREE;
        // Whoever keeps some metres off cuts a corner over half as many more, and stays where he is while the subject stands.
        $going = $subject->courseOver(max(self::CLOSE, self::CUTS * hypot($ahead, $right)));
        $down = $this->straightDown();
        $flight = MovePlan::sample($pace->duration(), static function (float $t) use (
            &$course, $going, $subject, $joined, $ahead, $right, $above, $foot, $down, $intent,
        ): array {
            $then = $joined($t);
            $course = $going($then) ?? $course;
            $at = $subject->at($then);
            [$a, $r] = [$ahead, $right];
            if ($down) {
                // Seen from straight above, its place in the frame is where the craft is not over it.
                $over = $foot + $above - $at->up;
                $a -= 2 * $over * $intent->lens->halfHeight * $intent->v();
                $r -= 2 * $over * $intent->lens->halfWidth * $intent->u();
            }
            $place = new Position(
                $at->east + $a * sin($course) + $r * cos($course),
                $at->north + $a * cos($course) - $r * sin($course),
                $foot + $above,
            );

            return $down ? [$place, $course, -M_PI_2] : [
                $place, ...View::aim($place, $subject->at($t), $intent->lens, $intent->u(), $intent->v()),
            ];
        });

        return new MovePlan(
            $intent, $assumed, $flight, $pace->onset(), $pace->holdFrom(), $pace->holdTo(), $pace->stop(),
            $subject, $foot,
            max(1.0, $flight->position($flight->indexAt($pace->holdFrom()))->minus($subject->at($pace->holdFrom()))->length()), 0.0, 0.0,
        );
    }

    /** A subject that sets off from its point on a straight course, with the eases of the move. */
    private static function settingOff(Intent $intent, Position $from, Pace $pace): MovingPoint
    {
        $course = ($intent->number('subject_course_deg') ?? 0.0) * Angle::DEGREE;
        $t = [0.0];
        $places = [$from];
        for ($k = 1, $n = (int) ceil($pace->duration() / 0.1); $k <= $n; $k++) {
            $t[] = 0.1 * $k;
            $way = $pace->travelled(0.1 * $k);
            $places[] = $from->plus($way * sin($course), $way * cos($course), 0.0);
        }

        return MovingPoint::track($t, $places);
    }

    /**
     * The moment of the track at which the craft is beside the subject: its own, once both are under way.
     *
     * @return callable(float): float
     */
    private static function joined(MovingPoint $subject, Pace $pace): callable
    {
        $speed = static fn (float $t): float => $subject->at($t + 0.1)->minus($subject->at($t - 0.1))->length() / 0.2;
        $running = $speed($pace->onset() + 0.1) > self::REST_PACE;
        $still = $speed($pace->stop() - 0.1) > self::REST_PACE;

        return static fn (float $t): float => match (true) {
            $running && $t < $pace->holdFrom() => $pace->onset() + $pace->ease / 2 + $pace->travelled($t) / $pace->rate,
            $still && $t > $pace->holdTo() => $pace->holdTo() + ($pace->travelled($t) - $pace->travelled($pace->holdTo())) / $pace->rate,
            default => $t,
        };
    }
}
