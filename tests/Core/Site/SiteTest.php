<?php

declare(strict_types=1);

namespace Tests\Core\Site;

use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Site\Site;
use Larkspur\Site\Solid;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands on a site, how far it is away, and what the wind does there. */
final class SiteTest extends TestCase
{
    /** @return iterable<string, array{Position, float}> distances worked out by hand from the box below */
    public static function boxDistances(): iterable
    {
        yield 'inside' => [new Position(10, 20, 3), 0.0];
        yield 'beside its long side' => [new Position(17, 20, 3), 5.0];
        yield 'before its short side' => [new Position(10, 29, 3), 4.0];
        yield 'at a corner' => [new Position(12 + 3, 25 + 4, 3), 5.0];
        yield 'above' => [new Position(10, 20, 9), 2.0];
        yield 'above a corner' => [new Position(12 + 2, 25 + 3, 7 + 6), 7.0];
        yield 'below its foot' => [new Position(10, 20, -2), 3.0];
    }

    #[DataProvider('boxDistances')]
    public function test_the_distance_to_a_box(Position $point, float $distance): void
    {
        self::assertEqualsWithDelta($distance, self::solid()->distance($point), 1e-9);
    }

    public function test_a_box_turned_by_a_quarter_changes_its_sides(): void
    {
        $turned = self::solid(['heading_deg' => 90]);

        self::assertEqualsWithDelta(2.0, $turned->distance(new Position(17, 20, 3)), 1e-9);
        self::assertEqualsWithDelta(7.0, $turned->distance(new Position(10, 29, 3)), 1e-9);
    }

    public function test_turning_point_and_box_together_changes_nothing(): void
    {
        $point = new Position(18, 27, 4);
        $straight = self::solid()->distance($point);
        foreach ([17.0, 121.0, -64.0] as $degrees) {
            $a = deg2rad($degrees);
            [$e, $n] = [$point->east - 10, $point->north - 20];
            // Clockwise, as headings go.
            $moved = new Position(10 + $e * cos($a) + $n * sin($a), 20 - $e * sin($a) + $n * cos($a), 4);
            self::assertEqualsWithDelta($straight, self::solid(['heading_deg' => $degrees])->distance($moved), 1e-9);
        }
    }

    public function test_a_cylinder_is_round(): void
    {
        $mast = self::solid(['shape' => 'cylinder', 'width_m' => 2, 'height_m' => 12]);

        foreach ([0, 45, 130, 250] as $bearing) {
            $at = new Position(10 + 6 * sin(deg2rad($bearing)), 20 + 6 * cos(deg2rad($bearing)), 5);
            self::assertEqualsWithDelta(5.0, $mast->distance($at), 1e-9);
        }
        self::assertEqualsWithDelta(3.0, $mast->distance(new Position(10, 20, 16)), 1e-9);
    }

    public function test_a_solid_comes_back_as_it_was_written(): void
    {
        foreach ([[], ['shape' => 'cylinder', 'width_m' => 2, 'length_m' => 2], ['role' => 'subject', 'heading_deg' => 33.5]] as $change) {
            $solid = self::solid($change);
            self::assertEquals($solid->toArray(), Solid::read(Fields::of($solid->toArray()))->toArray());
        }
    }

    public function test_a_site_has_the_usual_limits_unless_it_states_its_own(): void
    {
        $site = Site::read(Fields::of(['home' => ['lat' => 57.6, 'lon' => -0.4]]));
        self::assertSame(120.0, $site->toArray()['ceiling_m']);
        self::assertSame([], $site->solids);

        $low = Site::read(Fields::of(['home' => ['lat' => 57.6, 'lon' => -0.4], 'ceiling_m' => 60, 'sight_line_m' => 150]));
        self::assertSame([60.0, 150.0], [$low->toArray()['ceiling_m'], $low->toArray()['sight_line_m']]);
    }

    public function test_a_fault_in_a_solid_is_named_with_its_number(): void
    {
        try {
            Site::read(Fields::of([
                'home' => ['lat' => 57.6, 'lon' => -0.4],
                'solids' => [self::solid()->toArray(), ['east_m' => 1, 'north_m' => 2, 'width_m' => 3, 'height_m' => -4]],
            ]));
            self::fail('A solid of negative height was read.');
        } catch (Refusal $refusal) {
            self::assertSame('solids.1.height_m', $refusal->place);
        }
    }

    public function test_wind_grows_with_height_by_the_seventh_root(): void
    {
        $wind = new Wind(0.0, 5.0, 8.0);

        // u(z) = u10 (z / 10)^(1/7), the power law of boundary-layer texts.
        self::assertEqualsWithDelta(5.0, $wind->meanAt(10), 1e-12);
        self::assertEqualsWithDelta(5.0 * 2 ** (1 / 7), $wind->meanAt(20), 1e-12);
        self::assertEqualsWithDelta(6.948, $wind->meanAt(100), 1e-3);
        self::assertSame($wind->meanAt(1.0), $wind->meanAt(0.0));
        self::assertEqualsWithDelta($wind->gustAt(40) / $wind->meanAt(40), 8 / 5, 1e-12);
    }

    public function test_gusts_are_random_in_size_and_slow_in_time(): void
    {
        $wind = new Wind(0.0, 5.0, 8.0);
        [$along, $across] = $wind->gusts(10.0, 0.1, 20000, 3);

        self::assertEqualsWithDelta(0.0, Statistics::mean($along), 0.15);
        // A gust of three standard deviations above the mean: (8 - 5) / 3.
        self::assertEqualsWithDelta(1.0, sqrt(Statistics::variance($along)), 0.1);
        self::assertEqualsWithDelta(0.6, sqrt(Statistics::variance($across)), 0.06);
        // After one time constant a first-order series remembers 1/e of itself.
        $product = 0.0;
        for ($i = 0; $i < 19975; $i++) {
            $product += $along[$i] * $along[$i + 25];
        }
        self::assertEqualsWithDelta(exp(-1), $product / 19975 / Statistics::variance($along), 0.08);
        self::assertSame($along, $wind->gusts(10.0, 0.1, 20000, 3)[0]);
        self::assertNotSame($along, $wind->gusts(10.0, 0.1, 20000, 4)[0]);
    }

    public function test_still_air_has_no_gusts_and_a_gust_is_no_less_than_its_mean(): void
    {
        self::assertSame([0.0, 0.0, 0.0], Wind::still()->gusts(10.0, 0.1, 3, 1)[0]);
        self::assertSame(4.0, Wind::read(Fields::of(['mean_mps' => 4, 'gust_mps' => 2]))->gust);
        self::assertSame(270.0, Wind::read(Fields::of(['mean_mps' => 4, 'from_deg' => -90]))->toArray()['from_deg']);
        self::assertSame(0.0, Wind::read(null)->mean);
    }

    /** @param  array<string, mixed>  $change */
    private static function solid(array $change = []): Solid
    {
        return Solid::read(Fields::of([
            'id' => 'barn', 'name' => 'barn', 'role' => 'obstacle', 'shape' => 'box', 'east_m' => 10, 'north_m' => 20, 'base_m' => 1,
            'width_m' => 4, 'length_m' => 10, 'height_m' => 6, 'heading_deg' => 0, ...$change,
        ]));
    }
}
