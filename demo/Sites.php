<?php

declare(strict_types=1);

namespace Demo;

use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Site\Site;

/** Places on the invented island of Skerrow, in metres about each take-off point. */
final class Sites
{
    /** @return list<array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>}> */
    public static function all(): array
    {
        return [self::stones(), self::kiln(), self::mill(), self::arch()];
    }

    /** @return array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>} */
    private static function stones(): array
    {
        $home = new GeoPoint(57.60210, -0.40460, 14.0);
        $solids = [];
        for ($i = 0; $i < 7; $i++) {
            $bearing = 2 * M_PI * $i / 7 + 0.2;
            $solids[] = self::solid(
                'stone-'.($i + 1), 'stone '.($i + 1), 'subject', 'box', 41 + 7.4 * sin($bearing), 33 + 7.4 * cos($bearing), 0.4,
                1.1, 0.7, [2.3, 1.9, 2.6, 2.1, 2.4, 1.7, 2.2][$i], rad2deg($bearing),
            );
        }
        $solids[] = self::solid('wall', 'field wall', 'obstacle', 'box', 12, 66, 0.2, 0.7, 58, 1.3, 76);
        $solids[] = self::solid('thorn', 'lone thorn', 'obstacle', 'cylinder', 74, 52, 0.3, 4.4, 4.4, 4.8, 0);
        $solids[] = self::solid('bothy', 'shepherd’s bothy', 'obstacle', 'box', 6, 22, 0, 4.6, 7.2, 3.9, 24);

        return self::site('The ring of seven stones', 'Open moor above the north shore. Sheep graze here; the wall runs close on the far side.', $home, 280, $solids, [
            ['stones', 'Ring of seven stones', 41, 33, 1.6, 0.4],
            ['bothy', 'Shepherd’s bothy', 6, 22, 2.0, 0.0],
        ]);
    }

    /** @return array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>} */
    private static function kiln(): array
    {
        return self::site('Lime kiln and slipway', 'The kiln stands against the bank; the winch wire crosses the slip at head height.', new GeoPoint(57.59820, -0.39210, 5.0), 260, [
            self::solid('kiln', 'lime kiln', 'subject', 'box', 32, -14, 0.5, 6.4, 7.1, 8.7, 12),
            self::solid('winch', 'slipway winch', 'subject', 'box', 4, -31, 0, 1.8, 2.4, 1.9, 40),
            self::solid('store', 'net store', 'obstacle', 'box', 52, 9, 1.1, 5.2, 11.5, 4.4, 12),
            self::solid('mast', 'signal mast', 'obstacle', 'cylinder', 17, 27, 0.8, 0.4, 0.4, 14.5, 0),
            [
                'id' => 'wire', 'name' => 'winch wire', 'role' => 'obstacle', 'shape' => 'wire', 'points' => [[4, -31], [-23, -58]],
                'base_m' => 0, 'height_m' => 2.1, 'sag_m' => 0.4,
            ],
        ], [
            ['kiln', 'Lime kiln', 32, -14, 4.8, 0.5],
            ['winch', 'Slipway winch', 4, -31, 1.1, 0.0],
        ], [
            'ground' => ['spots' => [
                self::spot(32, -14, 0.5), self::spot(52, 9, 1.1), self::spot(-25, -60, -2.2), self::spot(17, 27, 0.8),
                self::spot(70, -10, 3.4), self::spot(60, 40, 4.2),
            ]],
            'areas' => [
                [
                    'id' => 'bay', 'name' => 'Skerrow bay', 'kind' => 'water',
                    'points' => [[-140, -48], [-26, -52], [-10, -74], [60, -70], [140, -60], [140, -160], [-140, -160]],
                ],
                [
                    'id' => 'benches', 'name' => 'the benches by the store', 'kind' => 'people',
                    'points' => [[61, 22], [71, 20], [73, 30], [63, 32]],
                ],
            ],
            'observers' => [['id' => 'watch', 'name' => 'the watcher on the slip', 'east_m' => -12, 'north_m' => -26]],
            'people_m' => 20,
        ]);
    }

    /** @return array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>} */
    private static function mill(): array
    {
        $solids = [
            self::solid('mill', 'tide mill', 'subject', 'box', -38, 44, 0.9, 8.2, 12.6, 9.3, 65),
            self::solid('garden', 'walled kitchen garden', 'obstacle', 'box', -71, 18, 1.4, 24, 31, 2.2, 65),
        ];
        for ($i = 0; $i < 5; $i++) {
            $solids[] = self::solid(
                'rack-'.($i + 1), 'kelp rack '.($i + 1), 'obstacle', 'box', -9 - 3.6 * $i, 19 + 5.2 * $i, 0, 1.2, 6.4, 2.2, 25,
            );
        }

        return self::site('Tide mill and kelp racks', 'Water on two sides: hold your height by eye, the sensors can’t.', new GeoPoint(57.60430, -0.41180, 3.0), 300, $solids, [
            ['mill', 'Tide mill', -38, 44, 5.4, 0.9],
            ['racks', 'Kelp racks', -16, 29, 1.2, 0.0],
        ], [
            'ground' => ['profile' => [[-60, -0.6], [0, 0], [40, 0.9], [90, 1.6]], 'bearing_deg' => 320],
            'areas' => [
                [
                    'id' => 'pond', 'name' => 'the mill pond', 'kind' => 'water',
                    'points' => [[-64, 56], [-40, 60], [-22, 84], [-46, 110], [-90, 96]],
                ],
                ['id' => 'dyke', 'name' => 'the march dyke', 'kind' => 'boundary', 'points' => [[-150, 6], [-96, -22], [-60, -64]]],
            ],
            'solids' => [[
                'id' => 'alders', 'name' => 'the alders', 'role' => 'obstacle', 'shape' => 'canopy',
                'points' => [[-92, 36], [-80, 40], [-76, 54], [-86, 60], [-98, 50]], 'base_m' => 1.2, 'height_m' => 7.4, 'clear_m' => 1.8,
            ]],
        ]);
    }

    /** @return array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>} */
    private static function arch(): array
    {
        return self::site('The sea arch', 'Gusts come round the headland without warning. Keep well off the overhang.', new GeoPoint(57.60770, -0.38540, 21.0), 320, [
            self::solid('pier-west', 'west pier of the arch', 'subject', 'box', 61, 72, -19, 9.5, 14, 17, 30),
            self::solid('pier-east', 'east pier of the arch', 'subject', 'box', 84, 59, -19, 8.2, 13, 16, 30),
            self::solid('span', 'span of the arch', 'subject', 'box', 72.5, 65.5, -3, 27, 11, 5.2, 30),
            self::solid('stack', 'sea stack', 'obstacle', 'cylinder', 118, 88, -20, 12, 12, 26, 0),
        ], [
            ['arch', 'Sea arch', 72.5, 65.5, -4.0, -19.0],
        ], [
            'ground' => ['profile' => [[0, 0], [38, -1.5], [48, -19], [200, -20]], 'bearing_deg' => 48],
            'areas' => [[
                'id' => 'sound', 'name' => 'the sound', 'kind' => 'water',
                'points' => [[20, 70], [62, 30], [180, -40], [220, 180], [60, 220]],
            ]],
            'observers' => [['id' => 'brow', 'name' => 'the watcher on the brow', 'east_m' => 34, 'north_m' => 12]],
        ]);
    }

    /** @return array{east_m: float, north_m: float, up_m: float} */
    private static function spot(float $east, float $north, float $up): array
    {
        return ['east_m' => $east, 'north_m' => $north, 'up_m' => $up];
    }

    /** @return array<string, string|float> */
    private static function solid(
        string $id, string $name, string $role, string $shape, float $east, float $north, float $base, float $width, float $length,
        float $height, float $heading,
    ): array {
        return [
            'id' => $id, 'name' => $name, 'role' => $role, 'shape' => $shape, 'east_m' => round($east, 2), 'north_m' => round($north, 2),
            'base_m' => $base,
            'width_m' => $width, 'length_m' => $length, 'height_m' => $height, 'heading_deg' => round($heading, 1),
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $solids
     * @param  array<string, mixed>  $more  ground, areas, observers and further solids
     * @param  list<array{string, string, float, float, float, float}>  $subjects  id, name, east, north, height aimed at and height of
     *     the foot, about take-off
     * @return array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>}
     */
    private static function site(
        string $name, string $about, GeoPoint $home, float $sightLine, array $solids, array $subjects, array $more = [],
    ): array {
        $frame = new LocalFrame($home);

        return [
            'name' => $name,
            'about' => $about,
            // As core/ writes it, so that what a person saves unchanged stays the same.
            'document' => array_diff_key(Site::read(Fields::of([
                'home' => $home->toArray(), 'ceiling_m' => 120, 'sight_line_m' => $sightLine, ...array_diff_key($more, ['solids' => 1]),
                'solids' => [...$solids, ...$more['solids'] ?? []],
            ]))->toArray(), ['name' => 1]),
            'subjects' => array_map(static function (array $subject) use ($frame, $home): array {
                [$id, $title, $east, $north, $aim, $foot] = $subject;

                return [
                    'id' => $id, 'name' => $title, ...$frame->geoPoint(new Position($east, $north, $aim))->toArray(),
                    'base_alt_m' => $home->altitude + $foot,
                ];
            }, $subjects),
        ];
    }
}
