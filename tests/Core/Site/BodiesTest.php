<?php

declare(strict_types=1);

namespace Tests\Core\Site;

use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Measure\SeededNoise;
use Larkspur\Refusal;
use Larkspur\Site\Area;
use Larkspur\Site\Ground;
use Larkspur\Site\Outline;
use Larkspur\Site\Site;
use Larkspur\Site\Solid;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** Outlines, prisms, canopies, wires, the ground and areas, against brute force: dense sampling of what the closed forms say. */
final class BodiesTest extends TestCase
{
    /** An L: a 10 m square without its upper right quarter. */
    private const L = [[0, 0], [10, 0], [10, 5], [5, 5], [5, 10], [0, 10]];

    public function test_an_outline_contains_what_a_count_of_its_unit_squares_says(): void
    {
        $outline = self::places(self::L);
        $area = 0.0;
        for ($e = -2; $e < 12; $e++) {
            for ($n = -2; $n < 12; $n++) {
                $inside = Outline::contains($outline, $e + 0.5, $n + 0.5);
                self::assertSame($e >= 0 && $n >= 0 && $e < 10 && $n < 10 && ! ($e >= 5 && $n >= 5), $inside, "$e $n");
                $area += $inside ? 1.0 : 0.0;
            }
        }
        self::assertSame(2 * $area, Outline::twiceArea($outline));
        self::assertSame(-2 * $area, Outline::twiceArea(array_reverse($outline)));
    }

    public function test_the_middle_and_reach_of_points_hold_all_of_them(): void
    {
        $points = [new Position(-2, 1, 5), new Position(6, 3, 4), new Position(2, -7, 9)];
        $middle = Outline::middle($points);

        self::assertEquals(new Position(2, -2, 4), $middle, 'of the box about them, at the lowest');
        self::assertEqualsWithDelta(sqrt(41), Outline::reach($points, $middle), 1e-12, 'to the second: 4 east, 5 north');
    }

    /** The ball about a thing holds every corner of it: what lies far from the ball need not be looked at. */
    public function test_the_ball_about_a_thing_holds_its_corners(): void
    {
        $solids = [
            Solid::box('a', 'a', new Position(3, 4, 1), 2, 9, 5, 0.6), Solid::cylinder('b', 'b', new Position(-3, 0, 0), 6, 11),
            Solid::over('c', 'c', self::places(self::L), 8, 3), Solid::wire('d', 'd', self::places([[0, 0], [30, 5]]), 9, 2),
        ];
        foreach ($solids as $solid) {
            $farthest = 0.0;
            foreach (array_merge(...$solid->body->corners()) as $corner) {
                $farthest = max($farthest, $corner->minus($solid->heart)->length());
            }
            self::assertLessThanOrEqual($solid->radius + 1e-9, $farthest, $solid->shape);
            self::assertGreaterThan(0.7 * $solid->radius, $farthest, $solid->shape);
        }
    }

    public function test_convex_parts_cover_the_outline_once(): void
    {
        foreach ([self::L, array_reverse(self::L), [[0, 0], [8, 1], [9, 7], [4, 3], [1, 9]]] as $corners) {
            $outline = self::places($corners);
            $parts = Outline::convexParts($outline);
            self::assertGreaterThan(1, count($parts));
            self::assertEqualsWithDelta(
                abs(Outline::twiceArea($outline)),
                array_sum(array_map(static fn (array $part): float => abs(Outline::twiceArea($part)), $parts)), 1e-9,
            );
            $noise = new SeededNoise(3);
            for ($k = 0; $k < 300; $k++) {
                [$e, $n] = [$noise->between(-1, 11), $noise->between(-1, 11)];
                $in = count(array_filter($parts, static fn (array $part): bool => Outline::contains($part, $e, $n)));
                self::assertSame(Outline::contains($outline, $e, $n) ? 1 : 0, $in);
            }
        }
        $square = self::places([[0, 0], [4, 0], [4, 4], [0, 4]]);
        self::assertSame([$square], Outline::convexParts($square));
    }

    public function test_a_crossing_is_found_and_untangled(): void
    {
        $bow = self::places([[0, 0], [10, 10], [10, 0], [0, 10]]);
        self::assertSame([0, 2], Outline::selfCrossing($bow));
        $mended = Outline::untangled($bow);
        self::assertNull(Outline::selfCrossing($mended));
        self::assertEqualsWithDelta(200.0, abs(Outline::twiceArea($mended)), 1e-9);

        $noise = new SeededNoise(8);
        for ($k = 0; $k < 40; $k++) {
            $tangle = [];
            for ($i = 0; $i < 9; $i++) {
                $tangle[] = new Position($noise->between(0, 50), $noise->between(0, 50), 0);
            }
            $mended = Outline::untangled($tangle);
            self::assertNull(Outline::selfCrossing($mended));
            self::assertCount(9, $mended, 'no corner is lost');
            foreach ($tangle as $corner) {
                self::assertContains($corner, $mended);
            }
        }
        self::assertNull(Outline::selfCrossing(self::places(self::L)));
    }

    public function test_a_sight_line_through_a_prism_is_what_walking_along_it_finds(): void
    {
        $yard = Solid::over('', 'yard', self::places(self::L), 4.0);
        $wood = Solid::over('', 'wood', self::places(self::L), 9.0, 3.0);
        $noise = new SeededNoise(21);
        $hits = 0;
        for ($k = 0; $k < 300; $k++) {
            $a = new Position($noise->between(-8, 18), $noise->between(-8, 18), $noise->between(0.1, 12));
            $b = new Position($noise->between(-8, 18), $noise->between(-8, 18), $noise->between(0.1, 12));
            foreach ([[$yard, 0.0, 4.0], [$wood, 3.0, 9.0]] as [$solid, $foot, $top]) {
                $walked = $near = false;
                for ($s = 0.0; $s <= 1.0 && ! $walked; $s += 0.001) {
                    $p = new Position(
                        $a->east + $s * ($b->east - $a->east), $a->north + $s * ($b->north - $a->north), $a->up + $s * ($b->up - $a->up),
                    );
                    $within = $p->up > $foot && $p->up < $top && Outline::contains(self::places(self::L), $p->east, $p->north);
                    $walked = $within;
                    $near = $near || $solid->distance($p) < 0.06;
                }
                if ($walked || ! $near) {
                    // What only grazes a corner may go either way.
                    self::assertSame($walked, $solid->stands($a, $b), "$k");
                    $hits += $walked ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(50, $hits);
        self::assertFalse($wood->stands(new Position(-5, 2, 1.5), new Position(15, 2, 1.5)), 'under the crowns the view is free');
        self::assertEqualsWithDelta(1.5, $wood->distance(new Position(2, 2, 1.5)), 1e-9);
    }

    public function test_the_distance_to_a_concave_prism_is_that_to_its_nearest_surface(): void
    {
        $yard = Solid::over('', 'yard', self::places(self::L), 4.0);

        self::assertEqualsWithDelta(2.0, $yard->distance(new Position(7, 7, 1)), 1e-9, 'in the notch');
        self::assertEqualsWithDelta(hypot(2, 3), $yard->distance(new Position(7, 7, 7)), 1e-9, 'over the notch');
        self::assertSame(0.0, $yard->distance(new Position(2, 8, 1)));
        self::assertEqualsWithDelta(5.0, $yard->distance(new Position(2, 8, 9)), 1e-9);
    }

    public function test_a_wire_sags_between_its_supports_and_hides_nothing(): void
    {
        $wire = Solid::wire('', 'winch wire', self::places([[0, 0], [40, 0], [40, 30]]), 8.0, 2.0);

        self::assertEqualsWithDelta(0.0, $wire->distance(new Position(20, 0, 6.0)), 1e-9, 'the middle of the first span hangs 2 m through');
        self::assertEqualsWithDelta(2.0, $wire->distance(new Position(20, 0, 8.0)), 0.05);
        self::assertEqualsWithDelta(3.0, $wire->distance(new Position(40, 0, 11.0)), 1e-9, 'above the support');
        self::assertSame(8.0, $wire->body->top());
        self::assertFalse($wire->stands(new Position(20, -5, 6), new Position(20, 5, 6)));
        // Against a dense walk along both parabolas.
        $noise = new SeededNoise(5);
        for ($k = 0; $k < 60; $k++) {
            $p = new Position($noise->between(-10, 50), $noise->between(-10, 40), $noise->between(0, 14));
            $least = INF;
            foreach ([[0, 0, 40, 0], [40, 0, 40, 30]] as [$e, $n, $e2, $n2]) {
                for ($s = 0.0; $s <= 1.0; $s += 0.001) {
                    $least = min(
                        $least, (new Position($e + $s * ($e2 - $e), $n + $s * ($n2 - $n), 8 - 8 * $s * (1 - $s)))->minus($p)->length(),
                    );
                }
            }
            self::assertEqualsWithDelta($least, $wire->distance($p), 0.05);
        }
    }

    public function test_the_ground_meets_its_spots_and_never_leaves_their_range(): void
    {
        $ground = Ground::ofSpots([[40, 10, 6], [-30, 25, -4], [10, -50, 2]]);
        self::assertSame([0.0, 6.0, -4.0, 2.0], [$ground->at(0, 0), $ground->at(40, 10), $ground->at(-30, 25), $ground->at(10, -50)]);
        $noise = new SeededNoise(2);
        for ($k = 0; $k < 200; $k++) {
            $up = $ground->at($noise->between(-400, 400), $noise->between(-400, 400));
            self::assertGreaterThanOrEqual(-4.0, $up);
            self::assertLessThanOrEqual(6.0, $up);
        }
        $slope = Ground::read(Fields::of(['profile' => [[0, 0], [50, 5], [20, 0]], 'bearing_deg' => 90]));
        self::assertEqualsWithDelta(
            [0.0, 0.0, 2.5, 5.0, 5.0], [$slope->at(-10, 3), $slope->at(20, 80), $slope->at(35, -60), $slope->at(50, 0), $slope->at(90, 0)],
            1e-9,
        );
        self::assertEqualsWithDelta(2.5, $slope->highestBetween(0, 0, 35, 0), 1e-9);
        self::assertEquals($slope->toArray(), Ground::read(Fields::of($slope->toArray()))->toArray());
        self::assertEquals($ground->toArray(), Ground::read(Fields::of($ground->toArray()))->toArray());
    }

    public function test_a_way_crosses_a_boundary_or_stays_on_its_side(): void
    {
        $line = Area::read(Fields::of(['kind' => 'boundary', 'name' => 'estate wall', 'points' => [[20, -50], [20, 50]]]));
        self::assertTrue($line->crossedBy(new Position(0, 0, 0), new Position(30, 5, 0)));
        self::assertFalse($line->crossedBy(new Position(0, 0, 0), new Position(19, 40, 0)));
        self::assertFalse($line->crossedBy(new Position(0, 60, 0), new Position(30, 60, 0)), 'round its end');
        self::assertSame(20.0, $line->distance(new Position(0, 0, 0)));
        self::assertFalse($line->contains(new Position(30, 0, 0)));
    }

    public function test_a_site_comes_back_as_it_was_written(): void
    {
        $document = [
            'name' => 'the slip', 'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], 'ceiling_m' => 90.0, 'sight_line_m' => 240.0,
            'people_m' => 40.0, 'variation_deg' => 1.5,
            'solids' => [
                [
                    'id' => 'yard', 'name' => 'yard', 'role' => 'obstacle', 'shape' => 'polygon', 'points' => self::L, 'base_m' => 1.0,
                    'height_m' => 3.0,
                ],
                [
                    'id' => 'thorns', 'name' => 'thorns', 'role' => 'obstacle', 'shape' => 'canopy', 'points' => self::L, 'clear_m' => 2.0,
                    'height_m' => 7.0,
                ],
                [
                    'id' => 'tree', 'name' => 'lone tree', 'role' => 'obstacle', 'shape' => 'canopy', 'east_m' => 30, 'north_m' => 5,
                    'width_m' => 6, 'height_m' => 8.0,
                ],
                [
                    'id' => 'wire', 'name' => 'wire', 'role' => 'obstacle', 'shape' => 'wire', 'points' => [[0, 0], [20, 4]],
                    'height_m' => 6.0, 'sag_m' => 0.5,
                ],
                [
                    'id' => 'car', 'name' => 'railcar', 'role' => 'subject', 'shape' => 'box', 'east_m' => 3, 'north_m' => 4,
                    'width_m' => 2, 'length_m' => 6, 'height_m' => 3, 'moves' => true,
                ],
            ],
            'ground' => ['spots' => [['east_m' => 40, 'north_m' => 0, 'up_m' => 3]]],
            'areas' => [
                ['id' => 'quay', 'name' => 'quay', 'kind' => 'people', 'points' => self::L],
                ['id' => 'wall', 'name' => 'wall', 'kind' => 'boundary', 'points' => [[0, 40], [60, 40]]],
            ],
            'observers' => [['id' => 'o', 'name' => 'at the gate', 'east_m' => 40, 'north_m' => 0]],
        ];
        $site = Site::read(Fields::of($document));
        self::assertEquals($site->toArray(), Site::read(Fields::of($site->toArray()))->toArray());
        self::assertSame(4.6, $site->observers[0]->eyes->up, 'on the ground that rises there');
        self::assertTrue($site->solids[4]->moves);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function faults(): iterable
    {
        yield 'an outline that crosses itself' => [
            ['shape' => 'polygon', 'points' => [[0, 0], [10, 10], [10, 0], [0, 10]], 'height_m' => 3], 'solids.0.points', 'crosses itself',
        ];
        yield 'two corners' => [['shape' => 'polygon', 'points' => [[0, 0], [10, 10]], 'height_m' => 3], 'solids.0.points', 'too few'];
        yield 'no area' => [['shape' => 'polygon', 'points' => [[0, 0], [5, 5], [10, 10]], 'height_m' => 3], 'solids.0.points', 'nothing'];
        yield 'thirty kilometres away' => [
            ['shape' => 'wire', 'points' => [[0, 0], [30000, 10]], 'height_m' => 3], 'solids.0.points.1', '20 km',
        ];
        yield 'a canopy without trunks' => [
            ['shape' => 'canopy', 'east_m' => 0, 'north_m' => 0, 'width_m' => 4, 'height_m' => 5, 'clear_m' => 9], 'solids.0.clear_m',
            'crowns',
        ];
        yield 'a wire in the ground' => [
            ['shape' => 'wire', 'points' => [[0, 0], [9, 0]], 'height_m' => 2, 'sag_m' => 3], 'solids.0.sag_m', 'into the ground',
        ];
        yield 'half a point' => [['shape' => 'polygon', 'points' => [[0, 0], [5], [10, 10]], 'height_m' => 3], 'solids.0.points.1', 'pair'];
    }

    /** @param  array<string, mixed>  $solid */
    #[DataProvider('faults')]
    public function test_bad_forms_are_refused_at_their_place(array $solid, string $place, string $words): void
    {
        try {
            Site::read(Fields::of(['home' => ['lat' => 57.6, 'lon' => -0.4], 'solids' => [['name' => 'it', ...$solid]]]));
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
            self::assertStringContainsString($words, said($refusal->fact));
        }
    }

    /**
     * @param  non-empty-list<array{float|int, float|int}>  $points
     * @return non-empty-list<Position>
     */
    private static function places(array $points): array
    {
        return array_map(static fn (array $p): Position => new Position($p[0], $p[1], 0), $points);
    }
}
