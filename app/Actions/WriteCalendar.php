<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightDay;
use Illuminate\Support\Carbon;
use Sabre\VObject\Component\VCalendar;

/** A day's timetable as iCalendar (RFC 5545): one event a stretch of flying, with the place and an alarm a quarter of an hour before the first. */
final readonly class WriteCalendar
{
    /** @param  array<string, mixed>  $planned  what PlanDay gave */
    public function __invoke(FlightDay $day, array $planned): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Larkspur//Flight day//EN', 'VERSION' => '2.0']);
        $home = $day->site->sheet()->home;
        $slots = is_array($planned['timetable']['slots'] ?? null) ? $planned['timetable']['slots'] : [];
        foreach ($slots as $k => $slot) {
            $event = $calendar->createComponent('VEVENT', [
                'UID' => sprintf('day-%d-shot-%d-%d@larkspur', $day->id, $slot['shot_id'], $k + 1),
                'DTSTAMP' => $day->updated_at->copy()->utc()->toDateTimeImmutable(),
                'DTSTART' => Carbon::parse($slot['from'])->utc()->toDateTimeImmutable(),
                'DTEND' => Carbon::parse($slot['to'])->utc()->toDateTimeImmutable(),
                'SUMMARY' => $slot['title'].($slot['must'] ? ' (must)' : ''),
                'DESCRIPTION' => sprintf("Battery %d, %d passes.\nSet the return height to %s m above take-off.", $slot['battery'], $slot['passes'], $planned['return']->heightM),
                'LOCATION' => $day->site->name,
                'GEO' => [$home->latitude, $home->longitude],
                'SEQUENCE' => $day->version - 1,
            ]);
            $calendar->add($event);
            if ($k === 0) {
                $event->add('VALARM', ['ACTION' => 'DISPLAY', 'TRIGGER' => '-PT15M', 'DESCRIPTION' => 'Pre-flight list']);
            }
        }

        return $calendar->serialize();
    }
}
