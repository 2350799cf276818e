<?php

declare(strict_types=1);

namespace Larkspur\TakeAlong;

use Larkspur\Choreography\Plan;
use Larkspur\Flight\Recorder;
use Larkspur\Telemetry\GpxWriter;

/** A planned path as GPX 1.1: a track with the plan's own seconds, from 1970 on, for there is no time yet at which it was flown. */
final class ShotGpx
{
    public static function of(Plan $plan): string
    {
        $log = (new Recorder(rate: 5.0, walk: 0.0))->record($plan->move->flight, $plan->shot->site->frame());

        return implode('', [...(new GpxWriter)->write($log)]);
    }
}
