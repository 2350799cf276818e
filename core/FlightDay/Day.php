<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Refusal;
use Larkspur\Site\Zone;

/** The time and the power there is: from when to when, on which batteries, and what every take-off and every pass costs beside the shot. */
final readonly class Day
{
    /** @var array<int, float> by shot: from home to its start, s */
    public array $there;

    /** @var array<int, float> by shot: from its end home, s */
    public array $back;

    /** @var array<int, array<int, float>> from the end of one shot to the start of another, s */
    public array $across;

    /** Seconds of hover at eye level after every take-off (common practice: 10 to 15). */
    public const HOVER = 12.0;

    /** Landing, changing the battery, taking off again, s (our judgement; editable). */
    public const SWAP = 180.0;

    /** Flying back to the first frame and composing again between two passes, s (our judgement; editable). */
    public const RESET = 25.0;

    /** Pace of a transit, m/s (our judgement). */
    public const TRANSIT = 5.0;

    /** Whoever has to wait longer than this for the light lands, s. */
    public const PATIENCE = 60.0;

    /**
     * @param  float  $from  s since 1970
     * @param  list<DayShot>  $shots
     * @param  ?list<array{float, float}>  $daylight  when one sees the craft and what is round it, s since 1970; null where nobody asked
     */
    public function __construct(
        public float $from,
        public float $to,
        public Batteries $batteries,
        public array $shots,
        public float $swap = self::SWAP,
        public float $reset = self::RESET,
        public float $transit = self::TRANSIT,
        public Zone $zone = new Zone,
        public ?array $daylight = null,
    ) {
        if ($to <= $from) {
            throw new Refusal(Fact::of('day.day-ends-before-begins'), 'to', Fact::of('day.time-after', hour: $zone->hour($from)));
        }
        $home = new Position(0.0, 0.0, 0.0);
        $way = static fn (Position $a, Position $b): float => $b->minus($a)->length() / $transit;
        $there = $back = $across = [];
        foreach ($shots as $shot) {
            $there[$shot->id] = $way($home, $shot->start);
            $back[$shot->id] = $way($shot->end, $home);
            $across[$shot->id] = [];
            foreach ($shots as $other) {
                $across[$shot->id][$other->id] = $way($shot->end, $other->start);
            }
        }
        [$this->there, $this->back, $this->across] = [$there, $back, $across];
    }

    /** Passes that the day asks for. */
    public function passes(): int
    {
        return array_sum(array_map(static fn (DayShot $shot): int => $shot->passes, $this->shots));
    }

    /**
     * About how many passes of these shots a full battery carries: (usable - hover and the way there and back) / (a pass and flying back
     * to its first frame), of the mean pass. To know before too many are asked; the timetable says what fits. 0 where no shot is asked.
     */
    public function passesOfBattery(): int
    {
        return $this->passesIn(0.0);
    }

    /** The same of all batteries together, each with what it has left. */
    public function passesCarried(): int
    {
        return array_sum(array_map(
            fn (int $battery): int => $this->passesIn($this->batteries->flownOf($battery)), range(0, $this->batteries->count - 1),
        ));
    }

    /** @param  float  $flown  seconds that a battery has flown already */
    private function passesIn(float $flown): int
    {
        $passes = $this->passes();
        if ($passes === 0) {
            return 0;
        }
        $ways = $length = 0.0;
        foreach ($this->shots as $shot) {
            $ways += $shot->passes * ($this->there[$shot->id] + $this->back[$shot->id]);
            $length += $shot->passes * ($shot->pass + $this->reset);
        }

        return $this->batteries->takes(($flown + self::HOVER + $ways / $passes) / 60, $length / $passes / 60);
    }
}
