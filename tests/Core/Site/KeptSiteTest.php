<?php

declare(strict_types=1);

namespace Tests\Core\Site;

use Documents\Plan\Frame;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Refusal;
use Larkspur\Site\Outline;
use Larkspur\Site\Site;
use Larkspur\Site\Solid;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/** Sites with many corners: what is read when somebody comes near is what was kept, limits are said, and no outline takes for ever. */
final class KeptSiteTest extends TestCase
{
    /** A kept outline that is read late answers every question as one that is read at once. */
    public function test_what_is_read_late_is_the_same(): void
    {
        $written = Solid::read(Fields::of(self::wood(30.0, 40.0, 12.0, 200)))->toArray();
        $whole = Solid::read(Fields::of($written));
        $late = Solid::read(Fields::of($written), kept: true);
        self::assertEquals($written, $late->toArray());
        foreach ([[0, 0, 2], [30, 40, 5], [30, 40, 30], [45, 40, 1], [200, -90, 60], [31, 52.5, 8.9]] as [$east, $north, $up]) {
            $place = new Position((float) $east, (float) $north, (float) $up);
            self::assertEqualsWithDelta($whole->distance($place), $late->distance($place), 1e-9);
            // Never farther than it is: what is left out for being far must be far.
            self::assertLessThanOrEqual($whole->distance($place) + 1e-9, max(0.0, $late->leastDistance($place)));
            self::assertSame($whole->stands(new Position(0, 0, 6), $place), $late->stands(new Position(0, 0, 6), $place));
        }
        self::assertEquals($whole->foot(), $late->foot());
        self::assertSame($whole->body->top(), $late->body->top());
    }

    public function test_a_plan_over_a_kept_site_is_the_same_plan(): void
    {
        $document = json_decode(json_encode(Shots::orbit()->toArray(), JSON_THROW_ON_ERROR), true, flags: JSON_THROW_ON_ERROR);
        $document['site']['solids'] = [
            ...$document['site']['solids'] ?? [],
            ...array_map(
                static fn (int $i): array => Solid::read(Fields::of(self::wood(40.0 * $i - 90, 60.0, 9.0, 90)))->toArray(), range(0, 4),
            ),
        ];
        $whole = Planner::plan(Shot::read(Fields::of($document)));
        $kept = Planner::plan(Shot::read(Fields::of($document), kept: true));
        self::assertEquals($whole->findings, $kept->findings);
        self::assertEquals(Frame::along($whole, $whole->move->flight), Frame::along($kept, $kept->move->flight));
    }

    public function test_a_kept_outline_that_is_damaged_says_so_when_it_is_looked_at(): void
    {
        $written = Solid::read(Fields::of(self::wood(0.0, 0.0, 12.0, 60)))->toArray();
        $written['points'][17] = ['x', null];
        $solid = Solid::read(Fields::of($written), kept: true);
        $this->expectException(Refusal::class);
        $solid->distance(new Position(1, 1, 1));
    }

    /** @return iterable<string, array{int}> */
    public static function rings(): iterable
    {
        foreach ([3, 4, 12, 61, 400] as $corners) {
            yield "$corners corners" => [$corners];
        }
    }

    /** The first crossing is the one that comparing every pair of sides finds. */
    #[DataProvider('rings')]
    public function test_a_crossing_is_found_wherever_it_is(int $corners): void
    {
        $ring = self::ring(0.0, 0.0, 20.0, $corners);
        self::assertNull(Outline::selfCrossing($ring));
        if ($corners < 4) {
            return;
        }
        foreach ([0, intdiv($corners, 2), $corners - 2] as $at) {
            $crossed = $ring;
            array_splice($crossed, $at, 2, [$crossed[$at + 1], $crossed[$at]]);
            self::assertSame(self::everyPair($crossed), Outline::selfCrossing($crossed), "$corners, $at");
        }
    }

    public function test_outlines_that_take_too_long_to_tell_are_refused_in_words(): void
    {
        $star = array_map(
            static fn (Position $p, int $k): Position => $k % 2 === 0 ? $p : new Position(0.1 * $p->east, 0.1 * $p->north, 0.0),
            self::ring(0.0, 0.0, 40.0, 400), range(0, 399),
        );
        try {
            Outline::selfCrossing($star);
            self::fail('It was told.');
        } catch (Refusal $refusal) {
            self::assertSame('outline.too-intricate', $refusal->fact->code);
        }
    }

    /** No corner of the outline lies farther from what is left of it than was asked (Douglas and Peucker 1973). */
    public function test_a_simplified_outline_keeps_to_its_grain(): void
    {
        $ring = array_map(
            static fn (Position $p, int $k): Position => new Position(
                $p->east * (1 + 0.1 * sin($k / 9)), $p->north * (1 + 0.1 * sin($k / 9)), 0.0,
            ),
            self::ring(5.0, -7.0, 30.0, 400), range(0, 399),
        );
        foreach ([0.05, 0.3, 2.0] as $off) {
            $some = Outline::simplified($ring, $off);
            self::assertLessThan(count($ring), count($some));
            foreach ($ring as $corner) {
                self::assertLessThanOrEqual($off + 1e-9, Outline::fromLine([...$some, $some[0]], $corner->east, $corner->north));
            }
        }
        self::assertSame(array_slice($ring, 0, 3), Outline::simplified(array_slice($ring, 0, 3), 0.01));
    }

    /** Convex parts cover what they are cut from: their areas add up. */
    #[DataProvider('rings')]
    public function test_convex_parts_add_up(int $corners): void
    {
        $ring = array_map(
            static fn (Position $p, int $k): Position => $k % 3 === 0 ? new Position(0.6 * $p->east, 0.6 * $p->north, 0.0) : $p,
            self::ring(0.0, 0.0, 25.0, $corners), range(0, $corners - 1),
        );
        $area = array_sum(array_map(static fn (array $part): float => abs(Outline::twiceArea($part)), Outline::convexParts($ring)));
        self::assertEqualsWithDelta(abs(Outline::twiceArea($ring)), $area, 1e-6);
    }

    /** @return iterable<string, array{string, int}> */
    public static function tooMany(): iterable
    {
        yield 'things' => ['solids', 501];
        yield 'areas' => ['areas', 101];
        yield 'observers' => ['observers', 21];
    }

    #[DataProvider('tooMany')]
    public function test_more_than_a_plan_can_be_worked_out_with_is_refused_before_it_is_read(string $list, int $many): void
    {
        try {
            Site::read(
                Fields::of(
                    [
                        'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 0], 'solids' => [],
                        $list => array_fill(0, $many, ['nothing' => 1]),
                    ],
                ),
            );
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertSame('site.too-many', $refusal->fact->code);
            self::assertStringContainsString((string) ($many - 1), \Tests\said($refusal->expected));
        }
    }

    /** @return array<string, mixed> */
    private static function wood(float $east, float $north, float $radius, int $corners): array
    {
        return [
            'id' => 'w', 'name' => 'Alder wood', 'shape' => 'canopy', 'height_m' => 9, 'clear_m' => 2, 'base_m' => 0,
            'points' => array_map(
                static fn (Position $p, int $k): array => [
                    $east + ($p->east - $east) * (1 + 0.15 * sin($k / 5)), $north + ($p->north - $north) * (1 + 0.15 * sin($k / 5)),
                ],
                self::ring($east, $north, $radius, $corners), range(0, $corners - 1),
            ),
        ];
    }

    /** @return non-empty-list<Position> */
    private static function ring(float $east, float $north, float $radius, int $corners): array
    {
        return array_map(static fn (int $k): Position => new Position(
            $east + $radius * cos(2 * M_PI * $k / $corners), $north + $radius * sin(2 * M_PI * $k / $corners), 0.0,
        ), range(0, $corners - 1));
    }

    /**
     * @param  list<Position>  $outline
     * @return ?array{int, int}
     */
    private static function everyPair(array $outline): ?array
    {
        $n = count($outline);
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 2; $j < $n; $j++) {
                if (($j + 1) % $n !== $i && Outline::cross($outline[$i], $outline[$i + 1], $outline[$j], $outline[($j + 1) % $n])) {
                    return [$i, $j];
                }
            }
        }

        return null;
    }
}
