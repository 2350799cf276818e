<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Fact;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Refusal;

/**
 * Where a move stands in the world: its subject, the place that it is built from, and which way it faces there.
 *
 * With a subject that place lies distance_m from it at start_bearing_deg, height_m above its foot, facing it; without
 * one it lies height_m above take-off, facing heading_deg. A heading that is stated wins.
 */
final readonly class Stance
{
    public const CLOCKWISE = 'clockwise';

    public const COUNTERCLOCKWISE = 'counterclockwise';

    /** What places a move: parameters that most moves share. */
    public const DIALS = ['distance_m', 'height_m', 'start_bearing_deg', 'heading_deg'];

    private function __construct(
        public ?MovingPoint $subject,
        public float $ground,
        public Position $place,
        public float $heading,
    ) {
    }

    public static function of(Intent $intent, LocalFrame $frame): self
    {
        $subject = $intent->filmed($frame);
        $heading = $intent->number('heading_deg');
        $height = $intent->number('height_m') ?? 0.0;
        if ($subject === null) {
            return new self(null, 0.0, new Position(0, 0, $height), ($heading ?? 0.0) * Angle::DEGREE);
        }
        $at = $subject->first();
        $ground = self::foot($intent, $frame, $at);
        $bearing = ($intent->number('start_bearing_deg') ?? 0.0) * Angle::DEGREE;
        $distance = $intent->number('distance_m') ?? 0.0;

        return new self(
            $subject, $ground,
            new Position($at->east + $distance * sin($bearing), $at->north + $distance * cos($bearing), $ground + $height),
            $heading === null ? $bearing + M_PI : $heading * Angle::DEGREE,
        );
    }

    /** A stance given outright. */
    public static function at(MovingPoint $subject, float $ground, Position $place, float $heading): self
    {
        return new self($subject, $ground, $place, $heading);
    }

    /** Height of the ground under the subject in the local frame: that of its foot, or its own where that is unknown. */
    public static function foot(Intent $intent, LocalFrame $frame, Position $subject): float
    {
        return $intent->subjectBase === null ? $subject->up : $intent->subjectBase - $frame->origin->altitude;
    }

    /** Bearing from the subject at which take-off lies, whole degrees: where one stands is where one starts. */
    public static function bearingOfHome(Intent $intent, LocalFrame $frame): float
    {
        $subject = $intent->subject === null ? null : $frame->position($intent->subject);

        return $subject === null ? 0.0 : round(Angle::bearing((new Position(-$subject->east, -$subject->north, 0))->bearing()));
    }

    /** The subject that a move can't do without. */
    public static function needed(Intent $intent, LocalFrame $frame): MovingPoint
    {
        return $intent->filmed($frame) ?? throw new Refusal(
            Fact::of('stance.built-round-subject-none', move: Catalogue::nameOf($intent->move)), 'intent.subject', Fact::of('stance.text'),
        );
    }

    /** -1 where a parameter is stated below zero, else +1. */
    public static function sign(Intent $intent, string $parameter): float
    {
        return ($intent->number($parameter) ?? 0.0) < 0.0 ? -1.0 : 1.0;
    }

    /** +1 for right and clockwise, -1 for left and counterclockwise. */
    public static function way(Intent $intent, string $parameter = 'side'): float
    {
        return match ($intent->choice($parameter)) {
            'left', self::COUNTERCLOCKWISE => -1.0,
            default => 1.0,
        };
    }
}
