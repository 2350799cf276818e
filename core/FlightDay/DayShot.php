<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Geo\Position;

/** A shot as a day sees it: how long it takes, where it begins and ends, when its light holds, and whether the day fails without it. */
final readonly class DayShot
{
    /**
     * @param  float  $pass  seconds of one pass, from rest to rest
     * @param  list<array{float, float}>  $windows  when its light holds, s since 1970, in order; empty where any time will do
     * @param  bool  $anyTime  whether it asks for no light; else empty windows mean that its light never comes this day
     * @param  string  $cannot  why it can't be flown at all, such as too much wind; empty where it can
     */
    public function __construct(
        public int $id,
        public string $title,
        public float $pass,
        public int $passes,
        public Position $start,
        public Position $end,
        public array $windows = [],
        public bool $anyTime = true,
        public bool $must = false,
        public string $cannot = '',
    ) {
    }

    public function withPasses(int $passes): self
    {
        return new self($this->id, $this->title, $this->pass, $passes, $this->start, $this->end, $this->windows, $this->anyTime, $this->must, $this->cannot);
    }

    /** The end of its first light, after which it is late; for sorting by light. */
    public function due(): float
    {
        return $this->anyTime ? INF : ($this->windows[0][1] ?? INF);
    }
}
