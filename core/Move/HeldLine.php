<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Camera\View;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;

/**
 * A straight way in the plane through a subject and a bearing from it, at an even pace with eases, while the tilt (and,
 * for a subject off the middle, a breath of turn) holds the subject at its place in the frame.
 */
final class HeldLine
{
    /**
     * What such moves are shaped by beside their own length and height.
     *
     * @return list<Parameter>
     */
    public static function start(): array
    {
        return [
            Parameter::number('distance_m', 'Distance at the start', 'm', 2, 500, 0.5, [4.0, 80.0]),
            Parameter::number('height_m', 'Height above its foot', 'm', 0.5, 500, 0.5, [1.0, 60.0]),
            Parameter::number('start_bearing_deg', 'Start, seen from it', 'deg', -360, 360, 5, [0.0, 360.0]),
            Parameter::number('ease_s', 'Ease in and out', 's', 0.3, 10, 0.1, [0.5, 6.0]),
        ];
    }

    /** The climb is steady, the tilt follows it to hold the subject, the turn rests; whether it travels is the move's own. */
    public static function judging(PathKind $path, Role $travel, Crossing $crossing): Judging
    {
        return new Judging(
            $path,
            [Axis::Travel->value => $travel, Axis::Climb->value => Role::Steady, Axis::Turn->value => Role::Still, Axis::Tilt->value => Role::Coupled],
            ['path' => 0.10, 'framing' => 0.26, 'steady' => 0.20, 'ease' => 0.16, 'smooth' => 0.14, 'clean' => 0.10, 'pace' => 0.02, 'completion' => 0.02],
            Framed::Subject, $crossing,
        );
    }

    /** The way that an intent states, m: outright, or by its pace and seconds. */
    public static function way(Intent $intent): ?float
    {
        $pace = $intent->number('pace_mps');
        $seconds = $intent->number('duration_s');

        return $intent->number('length_m') ?? ($pace === null || $seconds === null ? null : $pace * $seconds);
    }

    /** Bearing from the subject at which take-off lies, whole degrees: where one stands is where one starts. */
    public static function bearingOfHome(Intent $intent, LocalFrame $frame): float
    {
        $subject = $frame->position(self::subject($intent));

        return round(Angle::bearing((new Position(-$subject->east, -$subject->north, 0))->bearing()));
    }

    /**
     * @param  list<string>  $assumed
     * @param  float  $outward  metres away from the subject for each metre of travel
     * @param  float  $upward  metres up for each metre of travel
     */
    public static function plan(Intent $intent, array $assumed, LocalFrame $frame, Pace $pace, float $outward, float $upward): MovePlan
    {
        $subject = $frame->position(self::subject($intent));
        $foot = $intent->subjectBase === null ? $subject->up : $intent->subjectBase - $frame->origin->altitude;
        $bearing = ($intent->number('start_bearing_deg') ?? 0.0) * Angle::DEGREE;
        $distance = $intent->number('distance_m') ?? 0.0;
        $height = $foot + ($intent->number('height_m') ?? 0.0);
        if ($distance + $outward * $pace->length < 1.0) {
            throw new Refusal('The way ends beyond the subject.', 'intent.parameters.length_m', sprintf('at most %.1f m from that distance', max(0.1, $distance - 1.0)));
        }
        $at = static function (float $travelled) use ($subject, $bearing, $distance, $height, $outward, $upward): Position {
            $reach = $distance + $outward * $travelled;

            return new Position($subject->east + $reach * sin($bearing), $subject->north + $reach * cos($bearing), $height + $upward * $travelled);
        };
        $flight = MovePlan::sample($pace->duration(), static function (float $t) use ($at, $pace, $subject, $intent): array {
            $place = $at($pace->travelled($t));

            return [$place, ...View::aim($place, $subject, $intent->lens, $intent->u(), $intent->v())];
        });

        return new MovePlan(
            $intent, $assumed, $flight, $pace->onset(), $pace->holdFrom(), $pace->holdTo(), $pace->stop(),
            $subject, $foot, $at($pace->length / 2)->minus($subject)->length(), 0.0, 0.0,
        );
    }

    private static function subject(Intent $intent): GeoPoint
    {
        return $intent->subject ?? throw new Refusal('This move holds a subject, and none is given.', 'intent.subject', '{lat, lon, alt_m}');
    }
}
