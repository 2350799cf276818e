<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\TwoPaces;
use Larkspur\Rig\ModeTune;

/** Creep and lift: low and slow up to an edge, a lift just before it, then a little more pace. */
final readonly class RunAndLift extends Played
{
    public function about(): About
    {
        return new About(
            'run-and-lift', Group::Reveal, 3, 'run+ > climb+', ['rise-and-advance'], faults: ['stopped-short', 'kick', 'leak'],
            family: 'push-in-from-high',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'pace_end_mps', 'climb_m+', 'lift_after_s', 'distance_m', 'height_m', 'start_bearing_deg',
            'heading_deg', 'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead, 'PAZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 36.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.2),
            'pace_end_mps' => self::comfortable($mode, Finger::Run, 2.2), 'climb_m' => 7.0, 'lift_after_s' => 8.0,
            'distance_m' => 50.0, 'height_m' => 2.5, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -4.0,
        ];
    }

    private function paces(Intent $intent): TwoPaces
    {
        return new TwoPaces(
            $intent->number('length_m') ?? 36.0, $intent->number('pace_mps') ?? 1.2, $intent->number('pace_end_mps') ?? 2.2,
            $intent->number('lift_after_s') ?? 8.0, $intent->number('ease_s') ?? self::EASE,
        );
    }

    protected function pace(Intent $intent): Pace
    {
        return $this->paces($intent)->pace;
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        $paces = $this->paces($intent);

        return ['run' => $paces->strokes(), 'climb' => [$paces->change->of($intent->number('climb_m') ?? 7.0)]];
    }

    /** The speed planned at equal shares of the way: slow, then quicker. */
    public function wanted(Intent $intent): TakeTarget
    {
        $wanted = parent::wanted($intent);
        $length = $intent->number('length_m');

        if ($length === null || $intent->number('pace_mps') === null || $intent->number('pace_end_mps') === null) {
            return $wanted;
        }

        return new TakeTarget(
            $wanted->aimU, $wanted->aimV, extent: $length, viewing: $wanted->viewing, profile: $this->paces($intent)->profile(),
        );
    }
}
