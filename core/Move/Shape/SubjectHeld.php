<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Camera\View;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Move\Intent;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Timing\Pace;
use Larkspur\Move\Timing\RotationLead;

/**
 * A move that draws a path about its subject while turn and tilt hold it at its place in the frame. Translation leads,
 * the turn follows by a breath (RotationLead), the tilt with the path; where the place is to change, it wanders with the way.
 */
abstract readonly class SubjectHeld extends PacedMove
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

    /**
     * Where in the frame the subject is held at each share of the way: fractions of the height above the centre.
     *
     * @return callable(float): float
     */
    protected function place(Intent $intent, Pace $pace): callable
    {
        $wanted = $this->wanted($intent);
        $wander = ($wanted->lastV ?? $wanted->aimV) - $wanted->aimV;

        return static fn (float $share): float => $wanted->aimV + $wander * $share;
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        $subject = Stance::needed($intent, $frame);
        $centre = $subject->first();
        $foot = Stance::foot($intent, $frame, $centre);
        $pace = $this->pace($intent);
        $path = $this->path($intent, $pace);
        $pan = $this->pan($intent, $pace);
        $lead = $pan > 0 ? RotationLead::seconds($pan, $intent->lens) : 0.0;
        $held = $this->place($intent, $pace);
        $before = $pace->before($intent);
        $place = static fn (float $reach, float $bearing, float $height): Position => new Position(
            $centre->east + $reach * sin($bearing), $centre->north + $reach * cos($bearing), $foot + $height,
        );
        // The aim depends on the bearing by a turn alone: it is solved from due north, and once while reach, height and mark stay.
        $solved = $from = null;
        $aim = static function (float $reach, float $height, float $v) use (&$solved, &$from, $centre, $foot, $intent): array {
            if ($solved === null || $from !== [$reach, $height, $v]) {
                $solved = View::aim(
                    new Position(0.0, $reach, $foot + $height), new Position(0.0, 0.0, $centre->up), $intent->lens, $intent->u(), $v,
                );
                $from = [$reach, $height, $v];
            }

            return $solved;
        };
        $flight = MovePlan::sample($pace->duration(), static function (float $t) use (
            $path, $place, $aim, $pace, $before, $lead, $held,
        ): array {
            $way = $pace->travelled($t);
            $v = $held($way / $pace->length);
            [$reach, $bearing, $height] = $path($way - $before);
            [$heading, $tilt] = $aim($reach, $height, $v);
            $turned = $bearing + $heading;
            if ($lead > 0) {
                [$reached, $passed, $stood] = $path($pace->travelled($pace->behind($t, $lead)) - $before);
                $turned = $passed + $aim($reached, $stood, $v)[0];
            }

            return [$place($reach, $bearing, $height), $turned, $tilt];
        });

        return new MovePlan(
            $intent, $assumed, $flight, $pace->onset(), $pace->holdFrom(), $pace->holdTo(), $pace->stop(),
            $subject, $foot, $place(...$path($pace->length / 2 - $before))->minus($centre)->length(), $pan, $lead,
        );
    }
}
