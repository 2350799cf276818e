<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Measure\Angle;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Tilt in place: the wheel alone. */
final readonly class Tilt extends Played
{
    public function about(): About
    {
        return new About(
            'tilt', Group::Look, 2, 'tilt±', ['return-to-centre'], faults: ['flick-stop', 'wrong-way', 'flick-start'], family: 'tilt',
        );
    }

    protected const MEASURE = ['tilt_end_deg', 'duration_s'];

    public function parameters(): array
    {
        return Parameter::common(
            'tilt_start_deg', 'tilt_end_deg', 'duration_s', 'height_m', 'distance_m', 'start_bearing_deg', 'heading_deg', 'ease_s',
        );
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

        return new Pace(
            $degrees, $degrees / max(1.0, $intent->number('duration_s') ?? 11.0), $intent->number('ease_s') ?? self::EASE, 'duration_s',
        );
    }

    public function wanted(Intent $intent): TakeTarget
    {
        return new TakeTarget(
            tiltStart: $intent->angle('tilt_start_deg'), tiltEnd: $intent->angle('tilt_end_deg'), viewing: $intent->number('distance_m'),
        );
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['tilt' => [$pace->stroke->of(
            (($intent->number('tilt_end_deg') ?? -5.0) - ($intent->number('tilt_start_deg') ?? -45.0)) * Angle::DEGREE,
        )]];
    }
}
