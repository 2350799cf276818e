<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Camera\View;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;

/**
 * A move that draws a path about its subject while turn and tilt hold it at its place in the frame. Translation leads,
 * the turn follows by a breath (Lead), the tilt with the path; where the place is to change, it wanders with the way.
 */
abstract readonly class Held extends PacedMove
{
    /**
     * The path about the subject's foot, as a function of the way travelled, m: distance over the ground, bearing from
     * the subject (rad) and height above the foot.
     *
     * @return callable(float): array{float, float, float}
     */
    abstract protected function path(Intent $intent, Pace $pace): callable;

    /** Greatest rate at which the picture pans, rad/s. */
    protected function pan(Intent $intent, Pace $pace): float
    {
        return 0.0;
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        $subject = Stance::needed($intent, $frame);
        $centre = $subject->first();
        $foot = Stance::foot($intent, $frame, $centre);
        $pace = $this->pace($intent);
        $path = $this->path($intent, $pace);
        $pan = $this->pan($intent, $pace);
        $lead = $pan > 0 ? Lead::seconds($pan, $intent->lens) : 0.0;
        $first = $this->wanted($intent)->aimV;
        $wander = ($this->wanted($intent)->lastV ?? $first) - $first;
        $before = $pace->before($intent);
        $at = static function (float $way) use ($path, $centre, $foot, $before): Position {
            [$reach, $bearing, $height] = $path($way - $before);

            return new Position($centre->east + $reach * sin($bearing), $centre->north + $reach * cos($bearing), $foot + $height);
        };
        $flight = MovePlan::sample($pace->duration(), static function (float $t) use ($at, $pace, $lead, $centre, $intent, $first, $wander): array {
            $way = $pace->travelled($t);
            $place = $at($way);
            $v = $first + $wander * $way / $pace->length;
            [$heading, $tilt] = View::aim($place, $centre, $intent->lens, $intent->u(), $v);
            if ($lead > 0) {
                [$heading] = View::aim($at($pace->travelled($pace->behind($t, $lead))), $centre, $intent->lens, $intent->u(), $v);
            }

            return [$place, $heading, $tilt];
        });

        return new MovePlan(
            $intent, $assumed, $flight, $pace->onset(), $pace->holdFrom(), $pace->holdTo(), $pace->stop(),
            $subject, $foot, $at($pace->length / 2)->minus($centre)->length(), $pan, $lead,
        );
    }
}
