<?php

declare(strict_types=1);

namespace Larkspur\Scoring\AsPlanned;

use Larkspur\Fields;
use Larkspur\Measure\Angle;

/**
 * By how much a take may differ from its plan and still be as planned: what an editor would not mind. The ordinary ones are our judgement
 * (common practice has none written down); a school may choose its own. What a receiver may be off comes on top of every one.
 */
final readonly class Tolerances
{
    /** Name in files, the least and the most that it may be, and what one of them is: percent or degrees. */
    private const FIELDS = [
        'place_percent' => [1.0, 50.0, '%'], 'length_percent' => [1.0, 50.0, '%'], 'arc_percent' => [1.0, 50.0, '%'],
        'heading_deg' => [1.0, 45.0, 'deg'], 'course_deg' => [1.0, 45.0, 'deg'], 'across_deg' => [1.0, 45.0, 'deg'],
        'tilt_deg' => [1.0, 30.0, 'deg'], 'pace_percent' => [1.0, 100.0, '%'], 'frame_percent' => [1.0, 30.0, '%'],
    ];

    /**
     * @param  float  $place  of a place, share of the viewing distance
     * @param  float  $length  of a length, a radius or a height, share of it
     * @param  float  $arc  of an angle that is flown or turned, share of it
     * @param  float  $heading  of a heading, rad
     * @param  float  $course  of a direction over the ground, rad
     * @param  float  $across  of the angle between way and look, rad
     * @param  float  $tilt  rad
     * @param  float  $pace  of a pace, a climb rate or a turn rate, share of it
     * @param  float  $frame  of a place in the frame, share of its height
     */
    public function __construct(
        public float $place = 0.1,
        public float $length = 0.12,
        public float $arc = 0.1,
        public float $heading = 8 * Angle::DEGREE,
        public float $course = 6 * Angle::DEGREE,
        public float $across = 10 * Angle::DEGREE,
        public float $tilt = 6 * Angle::DEGREE,
        public float $pace = 0.3,
        public float $frame = 0.08,
    ) {
    }

    /** What is not stated stays ordinary. */
    public static function read(Fields $fields): self
    {
        $own = (new self)->toArray();
        $percent = static fn (string $name): float => ($fields->numberOrNull($name, ...self::FIELDS[$name]) ?? $own[$name]) / 100;
        $degrees = static fn (string $name): float => ($fields->numberOrNull($name, ...self::FIELDS[$name]) ?? $own[$name]) * Angle::DEGREE;

        return new self(
            $percent('place_percent'), $percent('length_percent'), $percent('arc_percent'), $degrees('heading_deg'), $degrees('course_deg'),
            $degrees('across_deg'), $degrees('tilt_deg'), $percent('pace_percent'), $percent('frame_percent'),
        );
    }

    /** @return array<string, float> percent and degrees, by name */
    public function toArray(): array
    {
        $degrees = static fn (float $angle): float => round($angle / Angle::DEGREE, 3);
        $percent = static fn (float $share): float => round(100 * $share, 3);

        return [
            'place_percent' => $percent($this->place), 'length_percent' => $percent($this->length), 'arc_percent' => $percent($this->arc),
            'heading_deg' => $degrees($this->heading), 'course_deg' => $degrees($this->course), 'across_deg' => $degrees($this->across),
            'tilt_deg' => $degrees($this->tilt), 'pace_percent' => $percent($this->pace), 'frame_percent' => $percent($this->frame),
        ];
    }

    /** @return array<string, array{float, float}> the least and the most of each, by name */
    public static function limits(): array
    {
        return array_map(static fn (array $field): array => [$field[0], $field[1]], self::FIELDS);
    }
}
