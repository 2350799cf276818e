<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Fact;

/**
 * Shots in an order, put into the day one after another, each as soon as light and battery allow. Whoever must wait lands; a battery is
 * changed when the next shot and the way home do not fit into what is left of it; a shot too long for a battery is split between passes.
 * What does not fit is left, with its reason, and the next is tried.
 */
final class Timetable
{
    /** @var list<array{shot: DayShot, passes: int, battery: int, ready: float, from: float, to: float, waits: float}> */
    public array $slots = [];

    /** @var list<array{shot: DayShot, why: Fact, fits: int}> fits: fewer passes that would fit (OrderSearch) */
    public array $left = [];

    private float $time;

    private int $battery = 0;

    private float $used = 0.0;

    /** Where the craft hovers: at the end of which shot; null on the ground at home. */
    private ?int $at = null;

    private int $musts = 0;

    private int $shots = 0;

    /** Seconds that a battery may be flown. */
    public readonly float $usable;

    private float $air = 0.0;

    public function __construct(private readonly Day $day)
    {
        $this->time = $day->from;
        $this->usable = $day->batteries->usable();
        // What has been flown empty stays on the ground: the first that has something left is the one that is in.
        while ($this->battery + 1 < $day->batteries->count && $day->batteries->flownOf($this->battery) >= $this->usable - Day::HOVER) {
            $this->battery++;
        }
        $this->used = $day->batteries->flownOf($this->battery);
    }

    /** @param  list<DayShot>  $order */
    public static function of(Day $day, array $order): self
    {
        $table = new self($day);
        foreach ($order as $shot) {
            $table->add($shot);
        }

        return $table;
    }

    /** Puts a shot after those that are in; leaves it, and all as it was, where it does not fit. */
    public function add(DayShot $shot): bool
    {
        $slots = count($this->slots);
        $before = [$this->time, $this->battery, $this->used, $this->at, $this->air];
        $why = $this->put($shot);
        if ($why === null) {
            $this->musts += $shot->must ? 1 : 0;
            $this->shots++;

            return true;
        }
        array_splice($this->slots, $slots);
        [$this->time, $this->battery, $this->used, $this->at, $this->air] = $before;
        $this->left[] = ['shot' => $shot, 'why' => $why, 'fits' => 0];

        return false;
    }

    /** @return ?Fact why it does not fit; null where it is in */
    private function put(DayShot $shot): ?Fact
    {
        if ($shot->cannot !== null) {
            return $shot->cannot;
        }
        if (! $shot->anyTime && $shot->windows === []) {
            return Fact::of('timetable.light-does-not-come');
        }
        $passes = $shot->passes;
        // As many passes at a time as a fresh battery holds.
        $fresh = (int) floor(
            (
                $this->usable - Day::HOVER - $this->day->there[$shot->id] - $this->day->back[$shot->id]
            ) / ($shot->pass + $this->day->reset) + 1e-9,
        );
        if ($fresh < 1) {
            return Fact::of('timetable.one-pass-takes-more');
        }
        while ($passes > 0) {
            $now = min($passes, $fresh);
            $why = $this->fly($shot, $now);
            if ($why !== null) {
                return $why;
            }
            $passes -= $now;
        }

        return null;
    }

    private function fly(DayShot $shot, int $passes): ?Fact
    {
        $home = $this->day->back[$shot->id];
        $length = $passes * ($shot->pass + $this->day->reset);
        // Up to three tries: from where the craft is, from the ground with this battery after a wait, from the ground with the next.
        for ($try = 0; $try < 3; $try++) {
            $way = $this->at === null ? Day::HOVER + $this->day->there[$shot->id] : $this->day->across[$this->at][$shot->id];
            $ready = $this->time + $way;
            $from = $this->lightFrom($shot, $ready, $length);
            if ($from === null) {
                return Fact::of(
                    $shot->anyTime ? 'timetable.dark' : 'timetable.light-over-before-could', hour: $this->day->zone->hour($ready),
                );
            }
            if ($from + $length + $home > $this->day->to) {
                return Fact::of('timetable.day-ends-first');
            }
            $wait = $from - $ready;
            if ($this->at !== null && $wait > Day::PATIENCE) {
                $this->land();

                continue;
            }
            $hover = $this->at === null && $wait > Day::PATIENCE ? 0.0 : $wait;
            if ($this->used + $way + $hover + $length + $home > $this->usable + 1e-6) {
                if ($this->used <= 0.0) {
                    return Fact::of('timetable.wait-light-takes-more');
                }
                if ($this->battery + 1 >= $this->day->batteries->count) {
                    return Fact::of('timetable.battery-left');
                }
                $this->land();
                $this->time += $this->day->swap;
                $this->battery++;
                $this->used = $this->day->batteries->flownOf($this->battery);

                continue;
            }
            $this->slots[] = [
                'shot' => $shot, 'passes' => $passes, 'battery' => $this->battery, 'ready' => $ready, 'from' => $from,
                'to' => $from + $length, 'waits' => $wait,
            ];
            $this->used += $way + $hover + $length;
            $this->air += $way + $hover + $length;
            $this->time = $from + $length;
            $this->at = $shot->id;

            return null;
        }

        return Fact::of('timetable.does-not-fit');
    }

    private function land(): void
    {
        if ($this->at !== null) {
            $home = $this->day->back[$this->at];
            $this->time += $home;
            $this->used += $home;
            $this->air += $home;
            $this->at = null;
        }
    }

    /** The earliest time from $ready on at which the light holds for so long; null where it does no more. */
    private function lightFrom(DayShot $shot, float $ready, float $length): ?float
    {
        // What asks for no light asks for daylight all the same: nobody keeps a craft in sight without it.
        $windows = $shot->anyTime ? $this->day->daylight : $shot->windows;
        if ($windows === null) {
            return $ready;
        }
        foreach ($windows as [$from, $to]) {
            $start = max($ready, $from);
            if ($start + $length <= $to) {
                return $start;
            }
        }

        return null;
    }

    /** When the craft is home for the last time, s since 1970. */
    public function ends(): float
    {
        return $this->time + ($this->at === null ? 0.0 : $this->day->back[$this->at]);
    }

    /** Seconds in the air. */
    public function air(): float
    {
        return $this->air;
    }

    public function batteries(): int
    {
        return $this->slots === [] ? 0 : $this->battery + 1;
    }

    /**
     * What a timetable is worth, the first number before the second and so on: must-haves, shots, few batteries, an early end, little time
     * in the air. Greater is better.
     *
     * @return array{int, int, int, float, float}
     */
    public function worth(): array
    {
        return [$this->musts, $this->shots, -$this->batteries(), -round($this->ends() - $this->day->from, 3), -round($this->air, 3)];
    }

    /** The same number as one, for a search that weighs small steps; only near enough to worth() to guide it. */
    public function cost(): float
    {
        [$musts, $shots, $batteries, $ends, $air] = $this->worth();

        return -1000.0 * $musts - 60.0 * $shots - 2.0 * $batteries - $ends / 3600 - $air / 36000;
    }

    /** An instant as it is written, ISO 8601 in UTC. */
    public static function written(float $time): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', (int) round($time));
    }
}
