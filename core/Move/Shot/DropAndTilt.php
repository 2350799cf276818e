<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Camera\View;
use Larkspur\Controls\Finger;
use Larkspur\Geo\Position;
use Larkspur\Measure\Ramp;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\SubjectHeldLine;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/**
 * Drop with tilt: straight down beside a subject; nothing moves over the ground. The wheel holds the subject from the first metre, or the
 * lens rests until the subject has climbed to its trigger's place in the frame, and the wheel then brings it back to its own as the sink
 * ends: both are flown (docs/schools.md).
 */
final readonly class DropAndTilt extends SubjectHeldLine
{
    public function about(): About
    {
        return new About(
            'drop-and-tilt', Group::Upright, 3, 'climb- > tilt+', ['lift-and-tilt'], faults: ['flick-start', 'off-mark', 'leak'],
            family: 'lift-and-tilt',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    /** Equal shares of the way at which the subject's planned place is stated. */
    private const SHARES = 200;

    /** The wheel begins by this share of the way, wherever the subject is. */
    private const LATEST = 0.6;

    /** Share of what is left of the way over which the wheel swells. */
    private const SWELL = 0.4;

    public function parameters(): array
    {
        return Parameter::common('climb_m-', 'climb_mps', 'trigger_y', ...self::DIALS);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::held(PathKind::Vertical, 'ZAZC', Crossing::Upright, $intent);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => -12.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 1.1, 0.45), 'distance_m' => 20.0, 'height_m' => 17.0,
            'start_bearing_deg' => 0.0, 'trigger_y' => $intent->aimY,
        ];
    }

    /**
     * Before the trigger the subject is where a resting lens sees it; after it, it goes back to its place on an ease of its own: what is
     * left of the way is what the wheel has. All by the share of the way, so that a take is measured against the same.
     */
    protected function place(Intent $intent, Pace $pace): callable
    {
        $rests = $this->resting($intent, $pace);
        $own = $intent->v();
        $trigger = 0.5 - ($intent->number('trigger_y') ?? $intent->aimY);
        if ($trigger <= $own) {
            return static fn (): float => $own;
        }
        // A subject far off hardly climbs the frame: the wheel begins all the same while there is way left for it.
        $share = min(self::LATEST, self::reaching($rests, $trigger) ?? self::LATEST);
        // Where the resting lens would have it, less what the wheel has taken back. It begins softly by itself and ends as the sink does.
        $eased = static fn (float $x): float => self::SWELL * Ramp::travel($x / self::SWELL) / (1 - self::SWELL / 2);

        return static fn (float $gone): float => $rests($gone) - ($rests(1.0) - $own) * $eased(($gone - $share) / (1.0 - $share));
    }

    public function wanted(Intent $intent): TakeTarget
    {
        $wanted = parent::wanted($intent);
        if ($intent->subject === null || $intent->number('trigger_y') === null || $intent->number('distance_m') === null) {
            return $wanted;
        }
        $place = $this->place($intent, $this->pace($intent));

        return $wanted->placed(array_map(static fn (int $k): float => $place($k / self::SHARES), range(0, self::SHARES)));
    }

    /**
     * Where a lens that rests as it was set sees the subject, by the share of the way; a fraction of the height above the centre.
     *
     * @return callable(float): float
     */
    private function resting(Intent $intent, Pace $pace): callable
    {
        $distance = $intent->number('distance_m') ?? 20.0;
        $height = ($intent->number('height_m') ?? 17.0) + $pace->before($intent) - self::above($intent);
        $sight = static fn (float $share): Position => new Position(0.0, $distance, -($height - $pace->length * $share));
        $eye = new Position(0.0, 0.0, 0.0);
        [, $tilt] = View::aim($eye, $sight(0.0), $intent->lens, $intent->u(), $intent->v());

        return static fn (float $share): float => View::heightAt($eye, $sight($share), $intent->lens, $intent->u(), $tilt);
    }

    /**
     * The share of the way at which the subject has climbed so far; null where it never does.
     *
     * @param  callable(float): float  $rests
     */
    private static function reaching(callable $rests, float $v): ?float
    {
        if ($rests(1.0) <= $v) {
            return null;
        }
        [$from, $to] = [0.0, 1.0];
        for ($k = 0; $k < 40; $k++) {
            $middle = ($from + $to) / 2;
            [$from, $to] = $rests($middle) < $v ? [$middle, $to] : [$from, $middle];
        }

        return $to;
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [0.0, -1.0];
    }
}
