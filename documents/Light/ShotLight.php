<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Documents\Shape;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Notes\MixedLight;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\SoundNote;
use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Site\Light;
use Larkspur\Site\Sun;
use Larkspur\Site\SunDay;

/** Where the light of a day falls on a shot, and when it is as it is wanted. */
final readonly class ShotLight implements Document
{
    /** Minutes between the times that the side of the light is told for. */
    private const STEP = 15;

    /**
     * @param  array{side: string, hour: string}  $wanted
     * @param  list<LightSides>  $sides
     * @param  list<TimeStretch>  $windows
     * @param  list<Fact>  $sound  what is recorded on the ground, when, and by how much it is off
     * @param  list<LightStretch>  $mixed  while the sun is up: whether what is filmed lies in it throughout
     */
    public function __construct(
        #[Shape('WantedLight')]
        public array $wanted,
        public float $headingFromDeg,
        public float $headingToDeg,
        public array $sides,
        public array $windows,
        public ?Fact $sentence,
        public array $mixed,
        public array $sound,
    ) {
    }

    public static function of(SunDay $day, Plan $plan, Light $wanted, Brief $brief): self
    {
        $headings = $plan->headings();
        $sides = [];
        for ($t = $day->noon - 43200; $t <= $day->noon + 43200; $t += 60 * self::STEP) {
            $sun = Sun::at($t, $day->place);
            $from = array_values(array_unique(array_map(static fn (float $heading): string => Light::from($sun, $heading), $headings)));
            if ($from !== ['none']) {
                $sides[] = new LightSides(SunDay::written($t), $from);
            }
        }
        $windows = $wanted->windows($day, $headings);

        return new self(
            $wanted->toArray(), round(Angle::bearing($headings[0]), 1), round(Angle::bearing($headings[4]), 1), $sides,
            TimeStretch::each($windows),
            match (true) {
                $wanted->side === 'any' && $wanted->hour === 'any' => Fact::of('light.asks-for-none'),
                $windows === [] => Fact::of('light.does-not-come'),
                default => null,
            },
            array_map(LightStretch::of(...), MixedLight::through($day, $plan)),
            SoundNote::of($plan, $brief)?->sentences() ?? [],
        );
    }
}
