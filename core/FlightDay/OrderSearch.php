<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Measure\SeededNoise;

/**
 * Finds an order of shots that fits a day. Up to eight shots every order of every choice of them is looked at (depth first, left where
 * even all that is still open could not be better). Beyond, the plain orders (by light, must-haves first) are improved by exchanging,
 * moving and turning stretches round, accepting a worse one now and then and ever less (S. Kirkpatrick et al., Science 220 (1983)
 * 671-680), from a fixed seed and for a fixed number of steps: the same day gives the same timetable, and it is never worse than the
 * plain order it began with.
 */
final class OrderSearch
{
    /** Every order is tried up to so many shots. */
    public const WHOLE = 8;

    private const STEPS = 5000;

    private const HOT = 30.0;

    private const COLD = 0.02;

    private Timetable $best;

    private function __construct(private readonly Day $day)
    {
        $this->best = self::byLight($day);
    }

    public static function solve(Day $day): Timetable
    {
        $search = new self($day);
        if (count($day->shots) <= self::WHOLE) {
            $search->deepen(new Timetable($day), $day->shots);
        } else {
            $search->improve();
        }
        $found = $search->best;
        // Each shot that is left says why, tried once more at the end of what was found.
        $in = array_map(static fn (array $slot): int => $slot['shot']->id, $found->slots);
        $order = [];
        foreach ($found->slots as $slot) {
            $order[$slot['shot']->id] = $slot['shot'];
        }
        foreach ($day->shots as $shot) {
            if (! in_array($shot->id, $in, true)) {
                $order[$shot->id] = $shot;
            }
        }
        $table = Timetable::of($day, array_values($order));
        foreach ($table->left as $k => $one) {
            $table->left[$k]['fits'] = self::passesThatFit($day, array_values($order), $one['shot']);
        }

        return $table;
    }

    /**
     * How many passes of a shot that is left would fit at the end of the day.
     *
     * @param  list<DayShot>  $order
     */
    private static function passesThatFit(Day $day, array $order, DayShot $shot): int
    {
        if ($shot->cannot !== null) {
            return 0;
        }
        for ($passes = $shot->passes - 1; $passes >= 1; $passes--) {
            $fewer = array_map(static fn (DayShot $one): DayShot => $one->id === $shot->id ? $one->withPasses($passes) : $one, $order);
            foreach (Timetable::of($day, $fewer)->slots as $slot) {
                if ($slot['shot']->id === $shot->id) {
                    return $passes;
                }
            }
        }

        return 0;
    }

    /** The plain order: what is late first comes first, must-haves before others of the same hour, as one would write it down. */
    public static function byLight(Day $day): Timetable
    {
        $order = $day->shots;
        usort($order, static fn (DayShot $a, DayShot $b): int => [$a->due(), ! $a->must, $a->id] <=> [$b->due(), ! $b->must, $b->id]);

        return Timetable::of($day, $order);
    }

    /** @param  list<DayShot>  $open */
    private function deepen(Timetable $table, array $open): void
    {
        if ($table->worth() > $this->best->worth()) {
            $this->best = $table;
        }
        [$musts, $shots] = $table->worth();
        [$mustsBest, $shotsBest] = $this->best->worth();
        $mustsMore = count(array_filter($open, static fn (DayShot $shot): bool => $shot->must));
        if ($musts + $mustsMore < $mustsBest || ($musts + $mustsMore === $mustsBest && $shots + count($open) < $shotsBest)) {
            return;
        }
        foreach ($open as $k => $shot) {
            $next = clone $table;
            if ($next->add($shot)) {
                $rest = $open;
                array_splice($rest, $k, 1);
                $this->deepen($next, $rest);
            }
        }
    }

    private function improve(): void
    {
        $byLight = $this->day->shots;
        usort($byLight, static fn (DayShot $a, DayShot $b): int => [$a->due(), ! $a->must, $a->id] <=> [$b->due(), ! $b->must, $b->id]);
        $mustsFirst = $byLight;
        usort($mustsFirst, static fn (DayShot $a, DayShot $b): int => [! $a->must, $a->due(), $a->id] <=> [! $b->must, $b->due(), $b->id]);
        $noise = SeededNoise::named(7, 'order');
        foreach ([$byLight, $mustsFirst] as $order) {
            $now = Timetable::of($this->day, $order);
            $cost = $now->cost();
            $this->keep($now);
            $n = count($order);
            for ($step = 0; $step < self::STEPS; $step++) {
                $heat = self::HOT * (self::COLD / self::HOT) ** ($step / self::STEPS);
                [$i, $j] = [(int) $noise->between(0, $n - 1e-6), (int) $noise->between(0, $n - 1e-6)];
                if ($i === $j) {
                    continue;
                }
                $next = self::changed($order, min($i, $j), max($i, $j), $step % 3);
                $table = Timetable::of($this->day, $next);
                $then = $table->cost();
                if ($then <= $cost || $noise->between(0, 1) < exp(($cost - $then) / $heat)) {
                    [$order, $cost] = [$next, $then];
                    $this->keep($table);
                }
            }
        }
    }

    /**
     * @param  list<DayShot>  $order
     * @return list<DayShot>
     */
    private static function changed(array $order, int $i, int $j, int $kind): array
    {
        if ($kind === 0) {
            [$order[$i], $order[$j]] = [$order[$j], $order[$i]];

            return array_values($order);
        }
        if ($kind === 1) {
            $moved = array_splice($order, $j, 1);
            array_splice($order, $i, 0, $moved);

            return $order;
        }

        return [...array_slice($order, 0, $i), ...array_reverse(array_slice($order, $i, $j - $i + 1)), ...array_slice($order, $j + 1)];
    }

    private function keep(Timetable $table): void
    {
        if ($table->worth() > $this->best->worth()) {
            $this->best = $table;
        }
    }
}
