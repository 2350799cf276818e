<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Geo\LocalFrame;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Passing;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\TwoPaces;
use Larkspur\Rig\ModeTune;

/**
 * Overtake: from behind past a moving subject until the space ahead of it is told. It may be followed for some seconds first, at its own
 * pace: then the step to the pace of the pass is marked on the thumb sheet.
 */
final readonly class Overtake extends Passing
{
    public function about(): About
    {
        return new About(
            'overtake', Group::Follow, 4, 'run+', ['follow'], faults: ['uneven', 'leak', 'kick'], family: 'push-in', caution: true,
        );
    }

    /** Between looks at the way of a subject, s. */
    private const LOOK = 1.0;

    public function parameters(): array
    {
        return [...parent::parameters(), ...Parameter::common('follow_s')];
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead, self::follows($intent) ? 'PZZZ' : 'AZZZ');
    }

    private static function follows(Intent $intent): bool
    {
        return ($intent->number('follow_s') ?? 0.0) > 0.0;
    }

    private function paces(Intent $intent): TwoPaces
    {
        return new TwoPaces(
            $intent->number('length_m') ?? 50.0, max(0.1, self::subjectPace($intent)), $intent->number('pace_mps') ?? 4.0,
            $intent->number('follow_s') ?? 0.0, $intent->number('ease_s') ?? self::EASE,
        );
    }

    /** At which it is followed, m/s: as it was stated, or where it goes a way of its own, the most that it goes there. */
    private static function subjectPace(Intent $intent): float
    {
        $way = $intent->track === [] ? null : $intent->filmed(new LocalFrame($intent->track[0]['at']));
        if ($way === null) {
            return $intent->number('subject_mps') ?? 1.6;
        }
        [$from, $to] = $way->between();
        $most = 0.0;
        for ($t = $from; $t < $to; $t += self::LOOK) {
            $most = max($most, $way->at($t + self::LOOK)->minus($way->at($t))->ground() / self::LOOK);
        }

        return $most;
    }

    protected function pace(Intent $intent): Pace
    {
        return self::follows($intent) ? $this->paces($intent)->pace : parent::pace($intent);
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return self::follows($intent) ? ['run' => $this->paces($intent)->strokes()] : parent::strokes($intent, $pace);
    }

    /** Half-way through what is quicker than the subject. */
    protected function level(Intent $intent, Pace $pace): float
    {
        return self::follows($intent) ? ($this->paces($intent)->change->from + $pace->stop()) / 2 : parent::level($intent, $pace);
    }

    public function wanted(Intent $intent): TakeTarget
    {
        $wanted = parent::wanted($intent);

        return ! self::follows($intent) || $intent->number('length_m') === null ? $wanted : new TakeTarget(
            extent: $wanted->extent, viewing: $wanted->viewing, profile: $this->paces($intent)->profile(),
        );
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 50.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 4.0), 'subject_mps' => 1.6, 'subject_course_deg' => 0.0,
            'side' => 'right', 'distance_m' => 5.0, 'height_m' => 4.0, 'tilt_start_deg' => -5.0, 'follow_s' => 0.0,
        ];
    }

    protected function meets(): bool
    {
        return false;
    }
}
