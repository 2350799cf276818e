<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Measure\Angle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Radii of curvature and the local frame, against GeographicLib (C. F. F. Karney, J. Geodesy 87 (2013) 43-55) and a
 * rigorous ECEF to east-north-up conversion; WGS 84 constants of NGA.STND.0036.
 */
final class GeodesyTest extends TestCase
{
    /** @return iterable<string, array{float, float, float}> */
    public static function radii(): iterable
    {
        foreach (Reference::table('radii') as [$latitude, $meridian, $primeVertical]) {
            yield 'latitude '.$latitude => [(float) $latitude, (float) $meridian, (float) $primeVertical];
        }
    }

    #[DataProvider('radii')]
    public function test_radii_of_curvature_to_a_millimetre(float $latitude, float $meridian, float $primeVertical): void
    {
        [$m, $n] = LocalFrame::radii($latitude * Angle::DEGREE);

        self::assertEqualsWithDelta($meridian, $m, 0.001);
        self::assertEqualsWithDelta($primeVertical, $n, 0.001);
    }

    /** @return iterable<string, array{list<float>, list<float>, float, float}> */
    public static function offsets(): iterable
    {
        foreach (Reference::table('enu') as [$origin, $point, , $east, $north]) {
            $numbers = static fn (string $list): array => array_map(Reference::number(...), explode(',', $list));
            yield $origin.' to '.$point => [$numbers((string) $origin), $numbers((string) $point), (float) $east, (float) $north];
        }
    }

    /**
     * The flat frame is good to 0.25 m at 1 km below 70 degrees (meridian convergence s^2 tan phi / 2R); heights above
     * the ellipsoid lengthen it by h / R, 16 mm at 1 km and 120 m.
     *
     * @param  list<float>  $origin
     * @param  list<float>  $point
     */
    #[DataProvider('offsets')]
    public function test_flat_frame_against_the_rigorous_one(array $origin, array $point, float $east, float $north): void
    {
        $position = (new LocalFrame(new GeoPoint(...$origin)))->position(new GeoPoint(...$point));
        $distance = hypot($east, $north) / 1000;

        self::assertEqualsWithDelta($east, $position->east, 0.25 * $distance ** 2 + 0.1 * $distance);
        self::assertEqualsWithDelta($north, $position->north, 0.25 * $distance ** 2 + 0.1 * $distance);
    }

    public function test_the_antimeridian_is_no_edge(): void
    {
        // 219.2787 m across the antimeridian at 10 degrees north (GeographicLib, geodesic inverse).
        $position = (new LocalFrame(new GeoPoint(10, 179.999)))->position(new GeoPoint(10, -179.999));

        self::assertEqualsWithDelta(219.2787, $position->ground(), 0.001);
    }
}
