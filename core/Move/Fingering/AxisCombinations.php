<?php

declare(strict_types=1);

namespace Larkspur\Move\Fingering;

use Larkspur\Controls\Finger;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Group;

/**
 * Every way in which the axes may move at once: each rests or goes one of its two ways, so n axes have 3^n - 1 that move
 * (derived). Five fingers give 242; with the zoom as a sixth axis 728. Says of each which named move it is, if any.
 */
final class AxisCombinations
{
    /** The sixth axis, which no finger of the thumb sheet plays. */
    public const ZOOM = 'zoom';

    /** @return list<string> */
    public static function axes(bool $zoom): array
    {
        return [...array_map(static fn (Finger $finger): string => $finger->value, Finger::cases()), ...$zoom ? [self::ZOOM] : []];
    }

    /**
     * All that move, by number of axes from few to many.
     *
     * @return list<array{axes: array<string, 1|-1>, moves: list<string>}> moves by id
     */
    public static function all(bool $zoom): array
    {
        $named = self::named();
        $all = [];
        foreach (self::signs(self::axes($zoom)) as $axes) {
            if ($axes !== []) {
                $all[] = ['axes' => $axes, 'moves' => $named[self::key($axes)] ?? []];
            }
        }
        usort($all, static fn (array $a, array $b): int => count($a['axes']) <=> count($b['axes']));

        return $all;
    }

    /** @return array<int, int> how many there are of one axis, of two and so on */
    public static function counts(bool $zoom): array
    {
        return array_count_values(array_map(static fn (array $one): int => count($one['axes']), self::all($zoom)));
    }

    /**
     * Moves that press exactly these fingers these ways.
     *
     * @param  array<string, 1|-1>  $axes
     * @return list<string>
     */
    public static function movesOf(array $axes): array
    {
        return self::named()[self::key($axes)] ?? [];
    }

    /** @return array<string, list<string>> ids of shot moves by combination */
    private static function named(): array
    {
        $named = [];
        foreach (Catalogue::all() as $move) {
            $about = $move->about();
            if ($about->group === Group::Drill) {
                continue;
            }
            foreach ($about->fingering->combinations() as $axes) {
                $named[self::key($axes)][] = $about->id;
            }
        }

        return $named;
    }

    /** @param  array<string, int>  $axes */
    private static function key(array $axes): string
    {
        ksort($axes);

        return implode(
            ' ', array_map(static fn (string $axis, int $way): string => $axis.($way > 0 ? '+' : '-'), array_keys($axes), $axes),
        );
    }

    /**
     * @param  list<string>  $axes
     * @return list<array<string, 1|-1>>
     */
    private static function signs(array $axes): array
    {
        /** @var list<array<string, 1|-1>> $all */
        $all = [[]];
        foreach ($axes as $axis) {
            $with = [];
            foreach ($all as $one) {
                $with[] = $one;
                foreach ([1, -1] as $way) {
                    $one[$axis] = $way;
                    $with[] = $one;
                }
            }
            $all = $with;
        }

        return $all;
    }
}
