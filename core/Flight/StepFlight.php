<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Finger;
use Larkspur\Flight;
use Larkspur\Rig\Rig;

/**
 * A step test flown by the simulated craft: each finger in turn to full travel and let go, both ways. What comes of it
 * stands in for the log of a real craft (simulated), and shows what a step test has to look like.
 */
final class StepFlight
{
    public const STEP = 0.02;

    /**
     * @param  int  $times  presses of each finger each way
     * @param  ?float  $press  seconds at full travel; as long as the full rate needs, and a little more, where left out
     */
    public static function fly(Rig $rig, string $mode, int $times = 6, ?float $press = null): Flight
    {
        $aircraft = new Aircraft($rig, $rig->mode($mode), self::STEP);
        $pose = new Pose(0.0, 0.0, 40.0, 0.4, ($rig->tiltLow + $rig->highestTilt()) / 2);
        $track = new Track;
        $time = 0.0;
        $hold = static function (float $seconds, FingerInput $fingers) use (&$pose, &$time, $aircraft, $track): void {
            for ($k = 0, $n = (int) round($seconds / self::STEP); $k < $n; $k++) {
                $track->add($time, $pose, $fingers);
                $pose = $aircraft->step($pose, $fingers);
                $time += self::STEP;
            }
        };
        $hold(2.0, new FingerInput);
        foreach (Finger::cases() as $finger) {
            $response = $rig->mode($mode)->response($finger);
            $seconds = $press ?? $response->startSeconds() + 1.5;
            // The gimbal has stops: its presses end before them.
            $seconds = $finger === Finger::Tilt ? min($seconds, 0.42 * ($rig->highestTilt() - $rig->tiltLow) / $response->top) : $seconds;
            for ($i = 0; $i < 2 * $times; $i++) {
                $hold($seconds, FingerInput::of([$finger->value => $i % 2 === 0 ? 1.0 : -1.0]));
                // Nobody presses in step with the log: the rest differs from press to press.
                $hold($response->stopSeconds() + 1.3 + 0.02 * (7 * $i % 5), new FingerInput);
            }
        }

        return $track->flight();
    }
}
