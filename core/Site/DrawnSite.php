<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Refusal;

/**
 * A site as it is being drawn: what is wrong with it and the nearest that is right, how its ground lies, and where take-off comes to lie
 * when it is put elsewhere ("take_off": east and north, m), and how high it lies at a place ("at": one pair, east and north, m).
 */
final readonly class DrawnSite
{
    /** The ground is told this far about take-off, every so many metres. */
    private const REACH = 300;

    private const STEP = 25;

    /**
     * @param  ?Refusal  $fault  what is wrong; null where it can be kept
     * @param  ?list<Position>  $repair  the corners that are refused, in an order that does not cross
     * @param  ?GeoPoint  $home  where take-off lies after it was put elsewhere; null where it stays
     * @param  float  $takeOffUp  how high the ground lies there, above take-off as it was, m
     * @param  list<Position>  $ground  a grid; empty where nobody said how the ground lies
     * @param  ?float  $foot  how high the ground lies at the place that was asked about, m; null where none was
     */
    private function __construct(
        public ?Refusal $fault,
        public ?array $repair,
        public ?GeoPoint $home,
        public float $takeOffUp,
        public array $ground,
        public ?float $foot = null,
    ) {
    }

    /** @param  Fields  $document  as a site file has it */
    public static function read(Fields $document): self
    {
        $takeOff = self::takeOff($document);
        $home = $takeOff === null ? null : (new LocalFrame(GeoPoint::read($document->group('home'))))->geoPoint($takeOff);
        $up = $takeOff->up ?? 0.0;
        try {
            $site = Site::read($document);
        } catch (Refusal $refusal) {
            return new self($refusal, self::repair($document, $refusal->place), $home, $up, []);
        }

        $at = $document->has('at') ? $document->pairs('at')[0] ?? null : null;

        return new self(
            null, null, $home, $up, $site->ground === null ? [] : self::grid($site->ground),
            $at === null ? null : $site->ground?->at($at[0], $at[1]) ?? 0.0,
        );
    }

    /** Where take-off is put on the drawing, on the ground there; null where it stays. */
    private static function takeOff(Fields $document): ?Position
    {
        $to = $document->groupOrNull('take_off');
        if ($to === null) {
            return null;
        }
        $lies = $document->groupOrNull('ground');
        [$east, $north] = [$to->number('east_m', -5000, 5000, 'm'), $to->number('north_m', -5000, 5000, 'm')];

        return new Position($east, $north, $lies === null ? 0.0 : Ground::read($lies)->at($east, $north));
    }

    /**
     * The same corners in an order that does not cross, where that is what is wrong.
     *
     * @return ?list<Position>
     */
    private static function repair(Fields $document, string $place): ?array
    {
        if (preg_match('/(solids|areas)\.(\d+)\.points$/', $place, $found) !== 1) {
            return null;
        }
        $places = array_map(
            static fn (array $pair): Position => new Position($pair[0], $pair[1], 0.0),
            $document->groups($found[1])[(int) $found[2]]->pairs('points'),
        );

        try {
            return count($places) < 4 ? null : Outline::untangled($places);
        } catch (Refusal) {
            return null;
        }
    }

    /** @return list<Position> */
    private static function grid(Ground $ground): array
    {
        $grid = [];
        foreach (range(-self::REACH, self::REACH, self::STEP) as $east) {
            foreach (range(-self::REACH, self::REACH, self::STEP) as $north) {
                $grid[] = new Position((float) $east, (float) $north, $ground->at((float) $east, (float) $north));
            }
        }

        return $grid;
    }
}
