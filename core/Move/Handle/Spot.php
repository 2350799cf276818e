<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;

/**
 * Where a handle is put: a place on the site sheet, a height or a tilt on the side sheet, a time on the thumb sheet. What its sheet does
 * not tell is 0.
 */
final readonly class Spot
{
    /**
     * @param  ?float  $tilt  rad; null where it is no tilt
     * @param  float  $t  s since the start of recording
     */
    private function __construct(public Position $place, public ?float $tilt, public float $t)
    {
    }

    public static function place(Position $place): self
    {
        return new self($place, null, 0.0);
    }

    /** A direction of the lens, drawn from where the craft is. */
    public static function tilt(Position $from, float $tilt): self
    {
        return new self($from, $tilt, 0.0);
    }

    public static function time(float $t): self
    {
        return new self(new Position(0.0, 0.0, 0.0), null, $t);
    }

    /** The same on a clock that runs so many seconds before: of a place it changes nothing. */
    public function later(float $seconds): self
    {
        return new self($this->place, $this->tilt, $this->t + $seconds);
    }

    public static function read(Fields $fields): self
    {
        return new self(
            new Position(
                $fields->numberOrNull('east_m', -50000, 50000, 'm') ?? 0.0,
                $fields->numberOrNull('north_m', -50000, 50000, 'm') ?? 0.0,
                $fields->numberOrNull('up_m', -1000, 10000, 'm') ?? 0.0,
            ),
            ($fields->numberOrNull('tilt_deg', -180, 180, 'deg') ?? 0.0) * Angle::DEGREE,
            $fields->numberOrNull('t_s', -3600, 3600, 's') ?? 0.0,
        );
    }

    /** Direction over the ground from another place, degrees clockwise from north. */
    public function bearingFrom(Position $other): float
    {
        return Angle::bearing($this->place->minus($other)->bearing());
    }

    /** Distance over the ground from another place, m. */
    public function distanceFrom(Position $other): float
    {
        return $this->place->minus($other)->ground();
    }
}
