<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Camera\Lens;
use Larkspur\Camera\RescueCrop;
use Larkspur\Camera\View;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Field of view, projection and horizon against pinhole optics worked out twice (rotation matrices, 40-digit
 * arithmetic); see S. F. Ray, Applied Photographic Optics. Crop scales are derived in closed form.
 */
final class CameraTest extends TestCase
{
    public function test_field_of_view_from_sensor_and_focal_length(): void
    {
        $widths = ['36×24' => 36.0, '1-inch' => 13.2, 'Four Thirds' => 17.3];
        $seen = 0;
        foreach (Reference::table('fov') as [$sensor, $focal, , $horizontal, , , $vertical]) {
            $lens = Lens::ofSensor($widths[(string) $sensor] ?? 0.0, (float) $focal);
            self::assertEqualsWithDelta((float) $horizontal, $lens->horizontal / Angle::DEGREE, 1e-3);
            self::assertEqualsWithDelta((float) $vertical, $lens->vertical() / Angle::DEGREE, 1e-3);
            $seen++;
        }
        self::assertSame(12, $seen);
    }

    /** @return iterable<string, array{list<string|int|float>}> */
    public static function projections(): iterable
    {
        foreach (Reference::table('projection') as $row) {
            // Our view keeps the horizon level; the one row with roll is not ours.
            if ((float) $row[4] === 0.0) {
                yield implode(' ', array_slice($row, 0, 4)) => [$row];
            }
        }
    }

    /** @param  list<string|int|float>  $row */
    #[DataProvider('projections')]
    public function test_projection_into_the_frame(array $row): void
    {
        $point = static fn (string|int|float $list): Position => new Position(...array_map(
            floatval(...), json_decode((string) $list, true),
        ));
        $lens = new Lens(73.739795 * Angle::DEGREE);
        $seen = (new View(
            $point($row[0]), (float) $row[2] * Angle::DEGREE, (float) $row[3] * Angle::DEGREE, $lens,
        ))->project($point($row[1]));
        if ($row[10] === 'behind') {
            self::assertNull($seen, 'a point behind the lens must not be divided by its depth');

            return;
        }
        self::assertNotNull($seen);
        // The table counts from -1 to 1, u and v from -1/2 to 1/2.
        self::assertEqualsWithDelta((float) $row[5], 2 * $seen->u, 1e-5);
        self::assertEqualsWithDelta((float) $row[6], 2 * $seen->v, 1e-5);
        self::assertEqualsWithDelta((float) $row[9], $seen->depth, 1e-3);
        self::assertTrue($seen->isInside());
    }

    public function test_a_tilt_that_puts_the_horizon_on_the_upper_third(): void
    {
        foreach (Reference::table('third-tilt') as [$case, $vertical, $tilt]) {
            $lens = new Lens(2 * atan(tan((float) $vertical * Angle::DEGREE / 2) * 16 / 9));
            $view = new View(new Position(0, 0, 10), 0.0, (float) $tilt * Angle::DEGREE, $lens);
            // One third of the half-height above the centre is one sixth of the height.
            self::assertEqualsWithDelta(1 / 6, $view->horizon(), 1e-4, (string) $case);
        }
    }

    public function test_crops_that_level_and_recentre(): void
    {
        // Derived: roll of 1, 2, 3 degrees at 16:9 needs scales of 1.031, 1.061, 1.092; 5 % of drift 1.111; both multiply.
        foreach ([1 => 1.0305, 2 => 1.0614, 3 => 1.0917] as $roll => $scale) {
            $crop = RescueCrop::ofStray(0.0, $roll * Angle::DEGREE);
            self::assertEqualsWithDelta($scale, 1 / (1 - $crop->total()), 1e-3);
        }
        self::assertEqualsWithDelta(1.111, 1 / (1 - RescueCrop::ofStray(0.05)->total()), 1e-3);
        self::assertEqualsWithDelta(1.179, 1 / (1 - RescueCrop::ofStray(0.05, 2 * Angle::DEGREE)->total()), 1e-3);
    }
}
