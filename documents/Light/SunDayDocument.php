<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Site\Sun;
use Larkspur\Site\SunDay;

/** The sun over a day at a place (docs/formats.md, "Light"). */
final readonly class SunDayDocument implements Document
{
    /** Of the altitudes that a day is searched at, every so many-th is told. */
    private const STRIDE = 3;

    /**
     * @param  'sets'|'up'|'down'  $state
     * @param  ?Fact  $sentence  what is unusual about it
     * @param  list<array{string, float, float}>  $path  instant, azimuth and altitude in degrees
     */
    public function __construct(
        public string $state,
        public ?Fact $sentence,
        public string $noon,
        public ?string $rise,
        public ?string $set,
        public float $highestDeg,
        public float $lowestDeg,
        public SunStretches $stretches,
        public array $path,
    ) {
    }

    public static function of(SunDay $day): self
    {
        [$rise, $set] = $day->crossing(Sun::RISE);
        $altitudes = array_column($day->altitudes, 1);
        $path = [];
        foreach ($day->altitudes as $i => [$t, $altitude]) {
            if ($i % self::STRIDE === 0) {
                $azimuth = Sun::at($t, $day->place)->azimuth;
                $path[] = [SunDay::written($t), round($azimuth / Angle::DEGREE, 2), round($altitude / Angle::DEGREE, 2)];
            }
        }

        return new self(
            state: $day->state(), sentence: $day->sentence(), noon: SunDay::written($day->noon),
            rise: $rise === null ? null : SunDay::written($rise), set: $set === null ? null : SunDay::written($set),
            highestDeg: round(Statistics::greatest($altitudes) / Angle::DEGREE, 2),
            lowestDeg: round(Statistics::least($altitudes) / Angle::DEGREE, 2), stretches: SunStretches::of($day), path: $path,
        );
    }
}
