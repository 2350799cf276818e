<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Measure\Angle;

/**
 * The light that a shot wants: from which side, and of which kind of hour. The sun ahead of the camera within 60 degrees is back
 * light, more than 120 degrees away is front light, between them side light: common practice, no published source.
 */
final readonly class Light
{
    /** Daylights nearer than this to each other are one, s. */
    private const MEETS = 300.0;

    public const SIDES = ['any', 'front', 'side', 'back'];

    public const HOURS = ['any', 'day', 'golden', 'blue'];

    private const BACK = 60 * Angle::DEGREE;

    private const FRONT = 120 * Angle::DEGREE;

    /**
     * @param  value-of<self::SIDES>  $side
     * @param  value-of<self::HOURS>  $hour
     */
    public function __construct(public string $side = 'any', public string $hour = 'any')
    {
    }

    public static function read(?Fields $fields): self
    {
        /** @var value-of<self::SIDES> $side */
        $side = $fields?->choiceOrNull('side', self::SIDES) ?? 'any';
        /** @var value-of<self::HOURS> $hour */
        $hour = $fields?->choiceOrNull('hour', self::HOURS) ?? 'any';

        return new self($side, $hour);
    }

    /** @return array{side: string, hour: string} */
    public function toArray(): array
    {
        return ['side' => $this->side, 'hour' => $this->hour];
    }

    /** Which side the light comes from for a camera that looks along a heading; 'none' where the sun is well below the horizon. */
    public static function from(Sun $sun, float $heading): string
    {
        if ($sun->altitude < SunDay::BLUE_FOOT) {
            return 'none';
        }
        $off = abs(Angle::wrap($sun->azimuth - $heading));

        return $off < self::BACK ? 'back' : ($off > self::FRONT ? 'front' : 'side');
    }

    /**
     * Whether it holds for a camera that looks along these headings, in turn.
     *
     * @param  non-empty-list<float>  $headings  rad
     */
    public function holds(Sun $sun, array $headings): bool
    {
        if ($this->hour === 'any' ? $sun->altitude < SunDay::BLUE_FOOT : SunDay::phase($sun->altitude) !== $this->hour) {
            return false;
        }
        foreach ($headings as $heading) {
            if ($this->side !== 'any' && self::from($sun, $heading) !== $this->side) {
                return false;
            }
        }

        return true;
    }

    /**
     * When it holds on a day.
     *
     * @param  non-empty-list<float>  $headings
     * @return list<array{float, float}> instants, s since 1970
     */
    public function windows(SunDay $day, array $headings): array
    {
        return $day->when(fn (Sun $sun): bool => $this->holds($sun, $headings));
    }

    /**
     * When one sees a craft and what is round it, from civil dawn to civil dusk: on a date and the days beside it, for a site's clock may
     * be far from its sun.
     *
     * @return list<array{float, float}> s since 1970, in order
     */
    public static function daylight(string $date, GeoPoint $place): array
    {
        $out = [];
        foreach ([-1, 0, 1] as $days) {
            $day = SunDay::of(gmdate('Y-m-d', (int) Sun::day($date) + 86400 * $days), $place);
            foreach ((new self)->windows($day, [0.0]) as [$from, $to]) {
                // A sun that does not set is told in days that meet at midnight.
                $last = $out[count($out) - 1] ?? null;
                if ($last !== null && $from - $last[1] < self::MEETS) {
                    array_pop($out);
                    $from = $last[0];
                }
                $out[] = [$from, $to];
            }
        }

        return $out;
    }
}
