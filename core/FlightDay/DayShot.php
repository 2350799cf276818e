<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Site\SunDay;

/** A shot as a day sees it: how long it takes, where it begins and ends, when its light holds, and whether the day fails without it. */
final readonly class DayShot
{
    /**
     * @param  float  $pass  seconds of one pass, from rest to rest
     * @param  list<array{float, float}>  $windows  when its light holds, s since 1970, in order; empty where any time will do
     * @param  bool  $anyTime  whether it asks for no light; else empty windows mean that its light never comes this day
     * @param  ?Fact  $cannot  why it can't be flown at all, such as too much wind; null where it can
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
        public ?Fact $cannot = null,
    ) {
    }

    /**
     * A planned shot as a day asks for it; null where none of its passes is left to fly, or where it may be left out today.
     *
     * @param  Fields  $asked  its row in the document of the day: must, passes; its brief's own where it says nothing
     * @param  int  $flown  passes that are flown already
     */
    public static function asked(
        int $id, string $title, Plan $plan, Brief $brief, Fields $asked, SunDay $sun, int $flown, bool $onlyMust,
    ): ?self {
        $must = $asked->flag('must', $brief->must);
        $passes = (int) ($asked->numberOrNull('passes', ...DayLimits::PASSES) ?? $brief->passes) - $flown;
        if ($passes < 1 || ($onlyMust && ! $must)) {
            return null;
        }
        $broken = array_values(array_filter($plan->findings, static fn (Finding $finding): bool => $finding->state === Finding::BROKEN));
        $windows = self::windows($plan, $brief, $sun);
        $flight = $plan->move->flight;

        return new self(
            $id, $title, $flight->duration(), $passes, $flight->position(0), $flight->position($flight->count() - 1), $windows ?? [],
            $windows === null, $must,
            $broken === [] ? null : Fact::of('day.cannot-be-flown', why: $broken[0]->text),
        );
    }

    /**
     * When the light that a shot wants is there, s since 1970; null where it asks for none.
     *
     * @return ?list<array{float, float}>
     */
    public static function windows(Plan $plan, Brief $brief, SunDay $sun): ?array
    {
        return $brief->light->side === 'any' && $brief->light->hour === 'any' ? null : $brief->light->windows($sun, $plan->headings());
    }

    public function withPasses(int $passes): self
    {
        return new self(
            $this->id, $this->title, $this->pass, $passes, $this->start, $this->end, $this->windows, $this->anyTime, $this->must,
            $this->cannot,
        );
    }

    /** The end of its first light, after which it is late; for sorting by light. */
    public function due(): float
    {
        return $this->anyTime ? INF : ($this->windows[0][1] ?? INF);
    }
}
