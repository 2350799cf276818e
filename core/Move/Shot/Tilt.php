<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Measure\Angle;
use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Framed;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Pace;
use Larkspur\Move\Parameter;
use Larkspur\Move\Played;
use Larkspur\Move\Wanted;
use Larkspur\Rig\ModeTune;

/** Tilt in place: the wheel alone. */
final readonly class Tilt extends Played
{
    public function about(): About
    {
        return new About(
            'tilt', 'Tilt in place', Group::Look, 2, 'tilt±', ['return-to-centre'],
            does: 'The picture lifts or lowers its eyes from one thing to another.',
            clean: 'The last degrees so slow that the stop can’t be seen.',
            faults: [
                'flick-stop' => 'Stop sooner than you want to; the last degrees must all but die.',
                'wrong-way' => 'Touch the wheel a hair before the take and see which way it goes.',
                'flick-start' => 'Start the wheel from a resting finger.',
            ], family: 'tilt',
        );
    }

    protected const MEASURE = ['tilt_end_deg', 'duration_s'];

    public function parameters(): array
    {
        return Parameter::common('tilt_start_deg', 'tilt_end_deg', 'duration_s', 'height_m', 'distance_m', 'start_bearing_deg', 'heading_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::onTheSpot('ZZZA', Framed::Reveal, Crossing::Tilt);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'tilt_end_deg' => -5.0, 'duration_s' => 11.0,
            'distance_m' => 25.0, 'height_m' => 8.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -45.0,
        ];
    }

    protected function amount(Intent $intent): float
    {
        return abs(($intent->number('tilt_end_deg') ?? -5.0) - ($intent->number('tilt_start_deg') ?? -45.0));
    }

    protected function pace(Intent $intent): Pace
    {
        $degrees = max(0.1, $this->amount($intent));

        return new Pace($degrees, $degrees / max(1.0, $intent->number('duration_s') ?? 11.0), $intent->number('ease_s') ?? self::EASE, 'duration_s');
    }

    public function wanted(Intent $intent): Wanted
    {
        return new Wanted(tiltStart: $intent->number('tilt_start_deg'), tiltEnd: $intent->number('tilt_end_deg'), viewing: $intent->number('distance_m'));
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['tilt' => [$pace->stroke->of((($intent->number('tilt_end_deg') ?? -5.0) - ($intent->number('tilt_start_deg') ?? -45.0)) * Angle::DEGREE)]];
    }
}
