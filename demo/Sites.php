<?php

declare(strict_types=1);

namespace Demo;

use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;

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
        ], [
            ['kiln', 'Lime kiln', 32, -14, 4.8, 0.5],
            ['winch', 'Slipway winch', 4, -31, 1.1, 0.0],
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
            $solids[] = self::solid('rack-'.($i + 1), 'kelp rack '.($i + 1), 'obstacle', 'box', -9 - 3.6 * $i, 19 + 5.2 * $i, 0, 1.2, 6.4, 2.2, 25);
        }

        return self::site('Tide mill and kelp racks', 'Water on two sides: hold your height by eye, the sensors can’t.', new GeoPoint(57.60430, -0.41180, 3.0), 300, $solids, [
            ['mill', 'Tide mill', -38, 44, 5.4, 0.9],
            ['racks', 'Kelp racks', -16, 29, 1.2, 0.0],
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
        ]);
    }

    /** @return array<string, string|float> */
    private static function solid(string $id, string $name, string $role, string $shape, float $east, float $north, float $base, float $width, float $length, float $height, float $heading): array
    {
        return [
            'id' => $id, 'name' => $name, 'role' => $role, 'shape' => $shape, 'east_m' => round($east, 2), 'north_m' => round($north, 2), 'base_m' => $base,
            'width_m' => $width, 'length_m' => $length, 'height_m' => $height, 'heading_deg' => round($heading, 1),
        ];
    }

    /**
     * @param  list<array<string, string|float>>  $solids
     * @param  list<array{string, string, float, float, float, float}>  $subjects  id, name, east, north, height aimed at and height of the foot, about take-off
     * @return array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>}
     */
    private static function site(string $name, string $about, GeoPoint $home, float $sightLine, array $solids, array $subjects): array
    {
        $frame = new LocalFrame($home);

        return [
            'name' => $name,
            'about' => $about,
            'document' => ['home' => $home->toArray(), 'ceiling_m' => 120, 'sight_line_m' => $sightLine, 'solids' => $solids],
            'subjects' => array_map(static function (array $subject) use ($frame, $home): array {
                [$id, $title, $east, $north, $aim, $foot] = $subject;

                return ['id' => $id, 'name' => $title, ...$frame->geoPoint(new Position($east, $north, $aim))->toArray(), 'base_alt_m' => $home->altitude + $foot];
            }, $subjects),
        ];
    }
}
