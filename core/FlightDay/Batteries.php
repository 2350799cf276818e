<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;

/**
 * The batteries of a day: how many, and how long each may be flown. A reserve stays in every one; cold takes its share. Nobody agrees on a
 * reserve, and what cold takes depends on the cell: both are defaults to be edited (docs/schools.md).
 */
final readonly class Batteries
{
    public const RESERVE = 0.2;

    /** Above this nothing is lost, °C; below, one percent a degree, to six tenths at most (our judgement). */
    public const WARM = 20.0;

    private const LEAST_SHARE = 0.6;

    private const COLD = 0.9;

    /**
     * @param  int  $count  full ones at hand
     * @param  float  $minutes  of flight of one, as flown from full to empty in mild air
     * @param  float  $reserve  share that stays in it
     * @param  float  $temperature  of the air, °C; batteries kept warm until they fly are as warm as they are kept
     * @param  array<int, float>  $flown  seconds that one has been in the air already, by its place among them, from 0
     */
    public function __construct(
        public int $count, public float $minutes, public float $reserve = self::RESERVE, public float $temperature = self::WARM,
        public array $flown = [],
    ) {
        if ($count < 1) {
            throw new Refusal(Fact::of('batteries.day-without-battery-flies'), 'batteries.count', Fact::of('batteries.one-more-enter-how'));
        }
        if ($minutes <= 0) {
            throw new Refusal(
                Fact::of('batteries.battery-lasts-time-flies'), 'batteries.minutes', Fact::of('batteries.minutes-flight-such-24'),
            );
        }
        if ($reserve < 0 || $reserve >= 0.9) {
            throw new Refusal(Fact::of('batteries.nothing-would-left-fly'), 'batteries.reserve', Fact::of('batteries.share-0-0-9'));
        }
    }

    /** One battery of twenty minutes, where nobody said what there is (our judgement). */
    public static function assumed(): self
    {
        return new self(1, 20.0);
    }

    /** Below this share of their minutes, cold is something to see to. */
    public function areCold(): bool
    {
        return $this->warmth() < self::COLD;
    }

    public static function read(Fields $fields): self
    {
        $count = $fields->number('count', ...DayLimits::COUNT);

        return new self(
            (int) $count, $fields->number('minutes', ...DayLimits::MINUTES, unit: 'min'),
            $fields->numberOrNull('reserve', ...DayLimits::RESERVE) ?? self::RESERVE,
            $fields->numberOrNull('temperature_c', ...DayLimits::TEMPERATURE, unit: 'degrees') ?? self::WARM,
        );
    }

    /** Share of its minutes that the cold leaves. */
    public function warmth(): float
    {
        return max(self::LEAST_SHARE, min(1.0, 1 - (self::WARM - $this->temperature) / 100));
    }

    /** Seconds that one may be flown. */
    public function usable(): float
    {
        return 60 * $this->minutes * $this->warmth() * (1 - $this->reserve);
    }

    /**
     * The same batteries with what a day's log says that they have flown by a time: what is planned from then on has the rest of them.
     *
     * @param  float  $now  s since 1970: one that is in the air has flown until then
     */
    public function after(FieldLog $log, float $now): self
    {
        $flown = [];
        foreach ($log->batteries as $item => ['since' => $since, 'flown' => $seconds]) {
            $number = (int) substr($item, strlen('battery-'));
            $flown[$number - 1] = $seconds + ($since === null ? 0.0 : max(0.0, $now - $since));
        }

        return new self($this->count, $this->minutes, $this->reserve, $this->temperature, $flown);
    }

    /** Seconds that one of them, counted from 0, has flown. */
    public function flownOf(int $battery): float
    {
        return $this->flown[$battery] ?? 0.0;
    }

    /** Whole takes of a battery: (minutes (1 - reserve) - transit) / minutes a take. */
    public function takes(float $transitMinutes, float $takeMinutes): int
    {
        return $takeMinutes <= 0 ? 0 : max(0, (int) floor(($this->usable() / 60 - $transitMinutes) / $takeMinutes + 1e-9));
    }
}
