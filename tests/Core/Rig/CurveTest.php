<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Documents\Rig\CurveConversion;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Rig\Conversion;
use Larkspur\Rig\CubicExpoCurve;
use Larkspur\Rig\CurveKinds;
use Larkspur\Rig\HalfStickCurve;
use Larkspur\Rig\PointsCurve;
use Larkspur\Rig\RateCurve;
use Larkspur\Rig\ResponseCurve;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Curves that are dragged, drawn through points, and said in another convention. */
final class CurveTest extends TestCase
{
    /** @return iterable<string, array{string, float, float}> */
    public static function drags(): iterable
    {
        foreach (['half-stick', 'half-stick-percent', 'soft-expo', 'rates', 'drawn'] as $kind) {
            foreach ([[0.5, 0.36], [0.3, 0.21], [0.7, 0.55], [0.5, 0.5]] as [$travel, $output]) {
                yield "$kind through $travel $output" => [$kind, $travel, $output];
            }
        }
    }

    #[DataProvider('drags')]
    public function test_a_dragged_curve_passes_through_the_finger(string $kind, float $travel, float $output): void
    {
        $curve = CurveKinds::through($kind, $travel, $output, 60.0);

        self::assertEqualsWithDelta($output, $curve->output($travel), 1e-9);
        self::assertEqualsWithDelta(1.0, $curve->output(1.0), 1e-12);
        self::assertSame($kind, $curve->toArray()['kind']);
    }

    public function test_a_drag_beyond_what_the_number_may_be_stops_there(): void
    {
        self::assertEqualsWithDelta(1.0, CubicExpoCurve::through(0.5, 0.02)->expo, 1e-12);
        self::assertEqualsWithDelta(0.95, HalfStickCurve::through(0.5, 0.99)->halfStickOutput, 1e-12);
        self::assertEqualsWithDelta(
            0.5, CurveKinds::through('rates', 0.5, 0.8, 40.0)->output(0.5), 1e-12, 'rates know nothing sharper than straight',
        );
        $this->expectException(Refusal::class);
        CurveKinds::through('half-stick', 1.0, 0.7);
    }

    public function test_points_make_a_curve_that_rises_all_the_way(): void
    {
        $curve = new PointsCurve([[0.0, 0.0], [0.2, 0.02], [0.35, 0.4], [0.8, 0.45], [1.0, 1.0]]);
        $before = -2.0;
        for ($i = -100; $i <= 100; $i++) {
            $y = $curve->output($i / 100);
            self::assertGreaterThan($before, $y);
            self::assertEqualsWithDelta(-$y, $curve->output(-$i / 100), 1e-12);
            self::assertEqualsWithDelta($i / 100, $curve->travel($y), 1e-6);
            $before = $y;
        }
        self::assertEqualsWithDelta(0.4, $curve->output(0.35), 1e-12);
    }

    /** @return iterable<string, array{list<array{float, float}>}> */
    public static function badPoints(): iterable
    {
        yield 'it falls' => [[[0.0, 0.0], [0.4, 0.5], [0.6, 0.4], [1.0, 1.0]]];
        yield 'it stands still' => [[[0.0, 0.0], [0.4, 0.5], [0.6, 0.5], [1.0, 1.0]]];
        yield 'it goes back' => [[[0.0, 0.0], [0.6, 0.2], [0.4, 0.5], [1.0, 1.0]]];
        yield 'it does not start at rest' => [[[0.0, 0.1], [1.0, 1.0]]];
        yield 'it does not reach the full rate' => [[[0.0, 0.0], [1.0, 0.9]]];
        yield 'one point' => [[[0.0, 0.0]]];
    }

    /** @param  list<array{float, float}>  $points */
    #[DataProvider('badPoints')]
    public function test_points_that_make_no_curve_are_refused(array $points): void
    {
        $this->expectException(Refusal::class);
        CurveKinds::read(Fields::of(['kind' => 'drawn', 'points' => $points]));
    }

    public function test_what_is_no_list_of_points_is_refused_in_its_place(): void
    {
        foreach ([
            ['kind' => 'drawn'], ['kind' => 'drawn', 'points' => [[0, 0], [1, 'full']]], ['kind' => 'drawn', 'points' => 'soft'],
        ] as $curve) {
            try {
                CurveKinds::read(Fields::of($curve, 'modes.slow.curves.tilt'));
                self::fail('It was taken.');
            } catch (Refusal $refusal) {
                self::assertStringStartsWith('modes.slow.curves.tilt.points', $refusal->place);
            }
        }
    }

    public function test_a_number_times_a_hundred_is_the_same_curve(): void
    {
        $conversion = Conversion::of(new HalfStickCurve(0.37), 'half-stick-percent');

        self::assertSame('same', $conversion->closeness());
        self::assertEqualsWithDelta(37.0, $conversion->curve->toArray()['value'] ?? 0.0, 1e-3);
    }

    /** @return iterable<string, array{ResponseCurve, string, string}> */
    public static function conversions(): iterable
    {
        yield 'straight is straight everywhere' => [new HalfStickCurve(0.5), 'soft-expo', 'same'];
        yield 'and as rates' => [new CubicExpoCurve(0.0), 'rates', 'same'];
        yield 'soft half-stick as expo' => [new HalfStickCurve(0.46), 'soft-expo', 'close'];
        yield 'softer, and less alike' => [new HalfStickCurve(0.38), 'soft-expo', 'rough'];
        yield 'soft expo as rates' => [new CubicExpoCurve(0.35), 'rates', 'close'];
        yield 'a sharp curve has no rates' => [new HalfStickCurve(0.75), 'rates', 'none'];
        yield 'so soft a centre has no cubic' => [new HalfStickCurve(0.07), 'soft-expo', 'none'];
    }

    #[DataProvider('conversions')]
    public function test_a_conversion_says_how_close_it_is(ResponseCurve $curve, string $kind, string $closeness): void
    {
        $conversion = Conversion::of($curve, $kind, 45.0);

        self::assertSame($closeness, $conversion->closeness());
        self::assertSame($closeness === 'none', CurveConversion::of($conversion)->curve === null);
        // The difference is what it says: nowhere is it larger.
        for ($i = 1; $i < 20; $i++) {
            self::assertLessThanOrEqual($conversion->difference + 1e-9, abs($curve->output($i / 20) - $conversion->curve->output($i / 20)));
        }
    }

    public function test_no_number_of_the_other_convention_is_nearer(): void
    {
        $curve = new HalfStickCurve(0.36);
        $square = static function (ResponseCurve $other) use ($curve): float {
            $sum = 0.0;
            for ($i = 1; $i < 400; $i++) {
                $sum += ($curve->output($i / 400) - $other->output($i / 400)) ** 2;
            }

            return $sum;
        };
        $found = $square(Conversion::of($curve, 'soft-expo')->curve);
        for ($expo = -0.5; $expo <= 1.0; $expo += 0.01) {
            self::assertGreaterThan($found * 0.999, $square(new CubicExpoCurve($expo)));
        }
        $found = $square(Conversion::of($curve, 'rates')->curve);
        for ($centre = 5.5; $centre <= 100; $centre += 0.5) {
            self::assertGreaterThan($found * 0.999, $square(new RateCurve($centre, 100.0)));
        }
    }
}
