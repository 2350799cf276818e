<?php

declare(strict_types=1);

namespace Larkspur\Site;

use DateTimeImmutable;
use DateTimeZone;
use Larkspur\Fact;
use Larkspur\Refusal;

/** The clock that people at a site go by: a time zone by its name in the IANA database, with summer time where it has one. */
final readonly class Zone
{
    private DateTimeZone $zone;

    /** @throws Refusal where no zone has this name */
    public function __construct(public string $name = 'UTC', string $place = 'zone')
    {
        if ($name !== 'UTC' && ! in_array($name, DateTimeZone::listIdentifiers(DateTimeZone::ALL_WITH_BC), true)) {
            throw new Refusal(Fact::of('zone.time-zone', name: $name), $place, Fact::of('zone.name-iana-time-zone'));
        }
        $this->zone = new DateTimeZone($name);
    }

    /** What the clock shows at an instant, s since 1970: "09:30". */
    public function hour(float $time): string
    {
        return (new DateTimeImmutable('@'.(int) round($time)))->setTimezone($this->zone)->format('H:i');
    }

    /** Which day it is at an instant, s since 1970: days since 1970 by the clock's own date. */
    public function date(float $time): int
    {
        $at = new DateTimeImmutable('@'.(int) floor($time));

        return (int) floor(($at->getTimestamp() + $this->zone->getOffset($at)) / 86400);
    }

    /** The instant at which the clock shows what it would show in UTC at another: both s since 1970. */
    public function instantOf(float $shown): float
    {
        $whole = (int) floor($shown);

        return (new DateTimeImmutable(gmdate('Y-m-d H:i:s', $whole), $this->zone))->getTimestamp() + $shown - $whole;
    }

    /**
     * When the clock shows an hour, s since 1970; hours past 24 lie on the next day. An hour that summer time skips is the one after it.
     *
     * @param  string  $date  such as 2026-06-03
     */
    public function instant(string $date, int $hour, int $minute): float
    {
        return (float) (new DateTimeImmutable($date, $this->zone))->setTime($hour, $minute)->getTimestamp();
    }
}
