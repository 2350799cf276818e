<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Camera\View;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/**
 * Orbit: round a subject at one distance and height, the subject held at its place in the frame.
 *
 * Slide one way, turn the other: seen from above, slide left with turn right goes clockwise. The slide leads and
 * sets the pace, the turn follows and has caught up before the hold; at the end both die away together.
 */
final readonly class Orbit implements Move
{
    public const CLOCKWISE = 'clockwise';

    public const COUNTERCLOCKWISE = 'counterclockwise';

    public function id(): string
    {
        return 'orbit';
    }

    public function name(): string
    {
        return 'Orbit';
    }

    public function parameters(): array
    {
        return [
            Parameter::number('radius_m', 'Radius', 'm', 2, 500, 0.5, [4.0, 80.0]),
            Parameter::number('height_m', 'Height above its foot', 'm', 0.5, 500, 0.5, [1.0, 60.0]),
            Parameter::number('arc_deg', 'Arc', 'deg', 10, 1080, 5, [20.0, 400.0]),
            Parameter::choice('direction', 'Way round, from above', [self::CLOCKWISE, self::COUNTERCLOCKWISE]),
            Parameter::number('pace_mps', 'Pace', 'm/s', 0.1, 40, 0.1, [0.3, 9.0]),
            Parameter::number('start_bearing_deg', 'Start, seen from it', 'deg', -360, 360, 5, [0.0, 360.0]),
            Parameter::number('ease_s', 'Ease in and out', 's', 0.3, 10, 0.1, [0.5, 6.0]),
        ];
    }

    public function judging(): Judging
    {
        return new Judging(
            PathKind::Circle,
            [Axis::Travel->value => Role::Steady, Axis::Climb->value => Role::Still, Axis::Turn->value => Role::Steady, Axis::Tilt->value => Role::Still],
            ['path' => 0.18, 'framing' => 0.24, 'steady' => 0.18, 'ease' => 0.14, 'smooth' => 0.14, 'clean' => 0.08, 'pace' => 0.02, 'completion' => 0.02],
        );
    }

    public function defaults(Intent $intent, LocalFrame $frame, ModeTune $mode): array
    {
        $radius = $intent->number('radius_m') ?? 25.0;
        $toHome = $frame->position(self::subject($intent));
        // Nine seconds to cross the frame, and the slide near the middle of its travel where that is slower.
        $pace = min($intent->lens->horizontal / 9 * $radius, $mode->asked(Finger::Slide, 0.5), $mode->asked(Finger::Turn, 0.5) * $radius);

        return [
            'radius_m' => $radius,
            'height_m' => max(3.0, round(0.4 * $radius, 1)),
            'arc_deg' => 180.0,
            'direction' => self::CLOCKWISE,
            'pace_mps' => max(0.2, floor($pace * 10) / 10),
            'start_bearing_deg' => round(Angle::bearing((new Position(-$toHome->east, -$toHome->north, 0))->bearing())),
            'ease_s' => 2.6,
        ];
    }

    public function extent(Intent $intent): ?float
    {
        return $intent->number('arc_deg');
    }

    public function plan(Intent $intent, array $assumed, LocalFrame $frame): MovePlan
    {
        $subject = $frame->position(self::subject($intent));
        $foot = $intent->subjectBase === null ? $subject->up : $intent->subjectBase - $frame->origin->altitude;
        $radius = $intent->number('radius_m') ?? 0.0;
        $pace = $intent->number('pace_mps') ?? 0.0;
        $arc = ($intent->number('arc_deg') ?? 0.0) * Angle::DEGREE;
        $way = $intent->choice('direction') === self::COUNTERCLOCKWISE ? -1.0 : 1.0;
        $start = ($intent->number('start_bearing_deg') ?? 0.0) * Angle::DEGREE;
        $up = $foot + ($intent->number('height_m') ?? 0.0);

        $speed = new Pace($radius * $arc, $pace, $intent->number('ease_s') ?? 2.6);
        $lead = Lead::seconds($pace / $radius, $intent->lens);
        // The aim is the same all the way round but for the bearing, so it is solved once, seen from due north.
        [$aimedHeading, $tilt] = View::aim(new Position(0, $radius, $up), new Position(0, 0, $subject->up), $intent->lens, $intent->u(), $intent->v());

        $flight = MovePlan::sample($speed->duration(), static function (float $t) use ($subject, $radius, $way, $start, $up, $speed, $lead, $aimedHeading, $tilt): array {
            $bearing = $start + $way * $speed->travelled($t) / $radius;
            $turned = $start + $way * $speed->travelled($speed->behind($t, $lead)) / $radius;

            return [
                new Position($subject->east + $radius * sin($bearing), $subject->north + $radius * cos($bearing), $up),
                $turned + $aimedHeading,
                $tilt,
            ];
        });

        return new MovePlan(
            $intent, $assumed, $flight, $speed->onset(), $speed->holdFrom(), $speed->holdTo(), $speed->stop(),
            $subject, $foot, hypot($radius, $up - $subject->up), $pace / $radius, $lead,
        );
    }

    private static function subject(Intent $intent): GeoPoint
    {
        return $intent->subject ?? throw new Refusal('An orbit needs a subject to go round.', 'subject', '{lat, lon, alt_m}');
    }
}
