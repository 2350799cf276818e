<?php

declare(strict_types=1);

namespace Tests\Documents;

use App\Paper\MapSvg;
use Larkspur\Fields;
use Larkspur\Site\Site;
use PHPUnit\Framework\TestCase;

/** The map of a day on paper: to scale, north up, every way with its number. */
final class MapSvgTest extends TestCase
{
    public function test_it_is_to_scale_north_up_and_numbered(): void
    {
        $svg = self::drawn([
            ['number' => 1, 'east' => [0.0, 100.0], 'north' => [0.0, 0.0]], ['number' => 2, 'east' => [0.0], 'north' => [40.0]],
        ]);
        preg_match_all('/<circle cx="([\d.]+)" cy="([\d.]+)"/', $svg, $at);
        [$first, $second] = [[(float) $at[1][0], (float) $at[2][0]], [(float) $at[1][1], (float) $at[2][1]]];
        self::assertSame($first[0], $second[0]);
        self::assertLessThan($first[1], $second[1], 'north is up');
        self::assertSame(1, preg_match('/<polyline points="([\d.]+),([\d.]+) ([\d.]+),([\d.]+)"/', $svg, $way));
        $per = ((float) $way[3] - (float) $way[1]) / 100;
        // 40 m north are drawn as long as 40 of the 100 m east, and the bar as long as it says.
        self::assertEqualsWithDelta(40 * $per, $first[1] - $second[1], 0.2);
        self::assertSame(1, preg_match('/h([\d.]+)" stroke="#1E1B3A" stroke-width="4"\/>.*?>(\d+) m</', $svg, $bar));
        self::assertEqualsWithDelta((float) $bar[2] * $per, (float) $bar[1], 0.2);
        preg_match_all('/text-anchor="middle"[^>]*>(\d+)</', $svg, $numbers);
        self::assertSame(['1', '2'], $numbers[1]);
    }

    public function test_whoever_counts_in_feet_has_a_bar_in_feet(): void
    {
        $ways = [['number' => 1, 'east' => [0.0, 100.0], 'north' => [0.0, 0.0]]];
        $svg = self::drawn($ways, true);
        self::assertSame(1, preg_match('/<polyline points="([\d.]+),[\d.]+ ([\d.]+),/', $svg, $way));
        self::assertSame(1, preg_match('/h([\d.]+)" stroke="#1E1B3A" stroke-width="4"\/>.*?>(\d+) ft</', $svg, $bar));
        self::assertEqualsWithDelta((float) $bar[2] * 0.3048 * ((float) $way[2] - (float) $way[1]) / 100, (float) $bar[1], 0.2);
    }

    public function test_a_day_without_a_way_or_with_one_that_stands_is_drawn_all_the_same(): void
    {
        self::assertStringContainsString('home', self::drawn([]));
        $rise = self::drawn([['number' => 7, 'east' => [3.0, 3.0], 'north' => [4.0, 4.0]]]);
        self::assertStringNotContainsString('NAN', strtoupper($rise));
        self::assertStringContainsString('>7<', $rise);
    }

    /** @param  list<array{number: int, east: list<float>, north: list<float>}>  $ways */
    private static function drawn(array $ways, bool $feet = false): string
    {
        $site = Site::read(Fields::of([
            'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], 'solids' => [[
                'id' => 'bothy', 'name' => 'bothy', 'shape' => 'box', 'east_m' => 20, 'north_m' => 10, 'width_m' => 4, 'length_m' => 6,
                'height_m' => 4, 'heading_deg' => 30,
            ]],
        ]));
        $image = MapSvg::image($site, $ways, $feet);

        return (string) base64_decode(substr($image, (int) strpos($image, ',') + 1), true);
    }
}
