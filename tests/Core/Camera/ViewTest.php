<?php

declare(strict_types=1);

namespace Tests\Core\Camera;

use Larkspur\Camera\Lens;
use Larkspur\Camera\View;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\SeededNoise;
use Larkspur\Site\Solid;
use PHPUnit\Framework\TestCase;

final class ViewTest extends TestCase
{
    public function test_an_aim_puts_the_point_where_it_was_wanted(): void
    {
        $noise = new SeededNoise(5);
        for ($i = 0; $i < 200; $i++) {
            $lens = new Lens($noise->between(20, 95) * Angle::DEGREE, $noise->between(1.3, 2.4));
            $from = new Position($noise->between(-80, 80), $noise->between(-80, 80), $noise->between(2, 60));
            $point = new Position(0, 0, $noise->between(0, 12));
            $u = $noise->between(-0.4, 0.4);
            $v = $noise->between(-0.4, 0.4);
            if ($from->minus($point)->ground() < 0.4 * $from->length()) {
                continue; // Near straight down some places in the frame can't be had.
            }
            [$heading, $tilt] = View::aim($from, $point, $lens, $u, $v);
            $seen = (new View($from, $heading, $tilt, $lens))->project($point);
            self::assertNotNull($seen);
            self::assertEqualsWithDelta($u, $seen->u, 1e-9);
            self::assertEqualsWithDelta($v, $seen->v, 1e-9);
        }
    }

    public function test_the_horizon_rises_in_the_frame_as_the_lens_looks_down(): void
    {
        $lens = Lens::assumed();
        $at = static fn (float $tilt): float => (new View(new Position(0, 0, 9), 0.0, $tilt * Angle::DEGREE, $lens))->horizon();

        self::assertEqualsWithDelta(0.0, $at(0), 1e-12);
        self::assertGreaterThan($at(-5), $at(-15));
        self::assertTrue(is_finite($at(-90)));
    }

    public function test_many_points_fall_where_each_of_them_falls(): void
    {
        $noise = new SeededNoise(11);
        $view = new View(new Position(3, -4, 12), 0.7, -0.3, Lens::assumed());
        $points = array_map(
            static fn (): Position => new Position($noise->between(20, 60), $noise->between(20, 60), $noise->between(0, 9)), range(1, 50),
        );
        $places = $view->projectAll($points);

        self::assertNotNull($places);
        foreach ($points as $k => $point) {
            $alone = $view->project($point);
            self::assertNotNull($alone);
            self::assertEqualsWithDelta([$alone->u, $alone->v], $places[$k], 1e-12);
        }
        self::assertNull($view->projectAll([...$points, new Position(-40, -40, 0)]), 'one behind the lens');
    }

    public function test_what_reaches_into_the_frame_is_never_passed_over(): void
    {
        $noise = new SeededNoise(12);
        $view = new View(new Position(0, 0, 20), 0.4, -0.5, Lens::assumed());
        $passed = 0;
        for ($i = 0; $i < 2000; $i++) {
            $centre = new Position($noise->between(-120, 120), $noise->between(-120, 120), $noise->between(0, 10));
            $radius = $noise->between(0.5, 8);
            $may = $view->maySee($centre, $radius, 0.0);
            $passed += $may ? 0 : 1;
            for ($k = 0; $k < 30 && ! $may; $k++) {
                [$a, $b] = [$noise->between(0, 2 * M_PI), acos($noise->between(-1, 1))];
                $seen = $view->project($centre->plus($radius * sin($b) * cos($a), $radius * sin($b) * sin($a), $radius * cos($b)));
                self::assertFalse(
                    $seen !== null && abs($seen->u) < 0.5 && abs($seen->v) < 0.5,
                    'a point of a ball that was passed over stands in the frame',
                );
            }
        }
        self::assertGreaterThan(1000, $passed, 'most of what stands all round lies beside the frame');
        self::assertTrue($view->maySee(new Position(40, 80, 5), 2, 0.008));
        self::assertFalse($view->maySee(new Position(40, 80, 5), 0.2, 0.008), 'a speck');
    }

    public function test_a_box_astride_the_lens_is_cut_before_it_is_drawn(): void
    {
        // Twelve metres long along the view, its middle beside the camera: half of it lies behind the lens.
        $box = Solid::box('wall', 'wall', new Position(2, 0, 0), 1, 12, 3);
        $view = new View(new Position(0, 0, 1.5), 0.0, 0.0, Lens::assumed());
        $outline = $box->silhouettes($view)[0];

        self::assertNull($view->project(new Position(2, -6, 0)), 'a corner behind the lens');
        self::assertGreaterThanOrEqual(4, count($outline));
        foreach ($outline as [$u, $v]) {
            self::assertTrue(is_finite($u) && is_finite($v));
            self::assertGreaterThan(0.0, $u, 'nothing of it may appear left of the lens');
        }
        $far = $view->project(new Position(2.5, 6, 3));
        self::assertNotNull($far);
        self::assertContainsEquals(
            [round($far->u, 9), round($far->v, 9)],
            array_map(static fn (array $p): array => [round($p[0], 9), round($p[1], 9)], [...$outline, ...self::corners($box, $view)]),
        );
    }

    public function test_what_lies_wholly_behind_the_lens_is_not_drawn(): void
    {
        $box = Solid::box('b', 'b', new Position(0, -10, 0), 2, 2, 2);

        self::assertSame([], $box->silhouettes(new View(new Position(0, 0, 1), 0.0, 0.0, Lens::assumed())));
    }

    public function test_every_corner_lies_within_the_silhouette(): void
    {
        $noise = new SeededNoise(9);
        $view = new View(new Position(0, 0, 12), 20 * Angle::DEGREE, -18 * Angle::DEGREE, Lens::assumed());
        for ($i = 0; $i < 60; $i++) {
            $foot = new Position($noise->between(-10, 20), $noise->between(15, 60), 0);
            $box = $i % 2 === 0 ? Solid::box('b', 'b', $foot, 4, 7, 6, $noise->between(0, 3)) : Solid::cylinder('b', 'b', $foot, 4, 6);
            $outline = $box->silhouettes($view)[0];
            foreach (self::corners($box, $view) as [$u, $v]) {
                self::assertTrue(self::contains($outline, $u, $v));
            }
        }
    }

    public function test_distance_to_a_solid(): void
    {
        $box = Solid::box('b', 'b', new Position(10, 0, 1), 4, 2, 3, 90 * Angle::DEGREE);
        // Turned a quarter, the width of 4 m lies along north.
        self::assertEqualsWithDelta(9.0, $box->distance(new Position(0, 0, 2)), 1e-9);
        self::assertEqualsWithDelta(3.0, $box->distance(new Position(10, 5, 2)), 1e-9);
        self::assertEqualsWithDelta(5.0, $box->distance(new Position(10, 0, 9)), 1e-9);
        self::assertSame(0.0, $box->distance(new Position(10, 1.9, 2)));
        self::assertEqualsWithDelta(
            hypot(3, 4), Solid::cylinder('c', 'c', new Position(0, 0, 0), 2, 5)->distance(new Position(4, 0, 9)), 1e-9,
        );
    }

    /** @return list<array{float, float}> */
    private static function corners(Solid $solid, View $view): array
    {
        $corners = [];
        foreach (array_merge(...array_merge(...$solid->body->edges())) as $corner) {
            $seen = $view->project($corner);
            if ($seen !== null) {
                $corners[] = [$seen->u, $seen->v];
            }
        }

        return $corners;
    }

    /** @param  list<array{float, float}>  $hull in order */
    private static function contains(array $hull, float $u, float $v): bool
    {
        $n = count($hull);
        for ($i = 0; $i < $n; $i++) {
            [$ax, $ay] = $hull[$i];
            [$bx, $by] = $hull[($i + 1) % $n];
            if (($bx - $ax) * ($v - $ay) - ($by - $ay) * ($u - $ax) < -1e-9) {
                return false;
            }
        }

        return true;
    }
}
