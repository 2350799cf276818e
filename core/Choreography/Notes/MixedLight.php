<?php

declare(strict_types=1);

namespace Larkspur\Choreography\Notes;

use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Site\Solid;
use Larkspur\Site\Sun;
use Larkspur\Site\SunDay;

/**
 * Whether what a shot films goes from sun into shade, or out of it, while it is flown: no one exposure suits both. What is filmed is the
 * subject, where it is at that moment; without one, the ground that the lens looks at. Shade is that of what is drawn on the site, cast
 * straight (the sun is a point); clouds and hills are not known.
 */
final readonly class MixedLight
{
    public const SUN = 'sun';

    public const SHADE = 'shade';

    public const MIXED = 'mixed';

    /** Looked at so often along a shot. */
    private const SAMPLES = 24;

    /** Nothing that stands farther off throws its shade here, m. */
    private const FAR = 600.0;

    /** Of a day this is looked at so often, s; the edges of its stretches are as fine. */
    private const STEP = 600.0;

    /** A lens that looks less far down than this sees no ground to speak of, rad. */
    private const LEVEL = 3 * Angle::DEGREE;

    /**
     * @param  self::SUN|self::SHADE|self::MIXED  $state
     * @param  ?Solid  $by  what throws the shade first
     * @param  ?float  $at  when it changes first, s of the flight
     */
    private function __construct(public string $state, public ?Solid $by = null, public ?float $at = null)
    {
    }

    /** As the sun stands; null where it is down, or where nothing of the ground is filmed. */
    public static function of(Plan $plan, Sun $sun): ?self
    {
        if ($sun->altitude < Sun::RISE) {
            return null;
        }
        $first = null;
        $by = null;
        foreach (self::filmed($plan) as [$t, $place]) {
            $shade = self::shade($plan, $place, $sun);
            $by ??= $shade;
            $first ??= $shade !== null;
            if ($first !== ($shade !== null)) {
                return new self(self::MIXED, $by, $t);
            }
        }

        return $first === null ? null : new self($first ? self::SHADE : self::SUN, $by);
    }

    /**
     * The stretches of a day that are alike, while the sun is up.
     *
     * @return list<array{from: float, to: float, light: self}> s since 1970, in order
     */
    public static function through(SunDay $day, Plan $plan): array
    {
        $stretches = [];
        $open = null;
        foreach ($day->when(static fn (Sun $sun): bool => $sun->altitude >= Sun::RISE) as [$rise, $set]) {
            for ($from = $rise; $from < $set; $from += self::STEP) {
                $to = min($set, $from + self::STEP);
                $light = self::of($plan, Sun::at(($from + $to) / 2, $day->place));
                if ($open !== null && $light !== null && $open['to'] === $from && $open['light']->isAs($light)) {
                    $open = ['from' => $open['from'], 'to' => $to, 'light' => $open['light']];
                } else {
                    $stretches[] = $open;
                    $open = $light === null ? null : ['from' => $from, 'to' => $to, 'light' => $light];
                }
            }
        }

        return array_values(array_filter([...$stretches, $open]));
    }

    /** Whether it is the same light, thrown by the same thing. */
    public function isAs(self $other): bool
    {
        return $this->state === $other->state && $this->by?->id === $other->by?->id;
    }

    public function sentence(): Fact
    {
        return match (true) {
            $this->state === self::MIXED => Fact::of(
                'light.mixed', by: $this->by === null ? '' : $this->by->name, at: Quantity::moment($this->at ?? 0.0),
            ),
            $this->state === self::SHADE => Fact::of('light.in-shade', by: $this->by === null ? '' : $this->by->name),
            default => Fact::of('light.in-sun'),
        };
    }

    /**
     * What is filmed from first motion to last.
     *
     * @return iterable<array{float, Position}> s of the flight, and where
     */
    private static function filmed(Plan $plan): iterable
    {
        $move = $plan->move;
        for ($k = 0; $k <= self::SAMPLES; $k++) {
            $t = $move->onset + ($move->stop - $move->onset) * $k / self::SAMPLES;
            if ($move->subject !== null) {
                yield [$t, $move->subject->at($t)];

                continue;
            }
            $index = $move->flight->indexAt($t);
            [$lens, $heading, $down] = [$move->flight->position($index), $move->flight->heading[$index], -$move->flight->tilt[$index]];
            if ($down > self::LEVEL && $lens->up > $move->ground) {
                $away = $down >= M_PI / 2 ? 0.0 : ($lens->up - $move->ground) / tan($down);
                yield [$t, new Position($lens->east + $away * sin($heading), $lens->north + $away * cos($heading), $move->ground)];
            }
        }
    }

    /** What stands between a place and the sun. What the place lies within, or is part of what is filmed, does not count. */
    private static function shade(Plan $plan, Position $place, Sun $sun): ?Solid
    {
        $away = self::FAR * cos($sun->altitude);
        $toward = $place->plus($away * sin($sun->azimuth), $away * cos($sun->azimuth), self::FAR * sin(max(0.0, $sun->altitude)));
        foreach ($plan->shot->site->solids as $solid) {
            if (! $solid->isSubject && $solid->shape !== 'wire' && $solid->stands($toward, $place) && $solid->distance($place) > 0.0) {
                return $solid;
            }
        }

        return null;
    }
}
