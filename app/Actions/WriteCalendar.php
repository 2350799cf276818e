<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightDay;
use App\Spoken;
use Documents\Day\DayPlan;
use Illuminate\Support\Carbon;
use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Sabre\VObject\Component\VCalendar;

/**
 * A day's timetable as iCalendar (RFC 5545): one event a stretch of flying, with the place and an alarm a quarter of an hour before the
 * first.
 */
final readonly class WriteCalendar
{
    public function __invoke(FlightDay $day, DayPlan $planned): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Larkspur//Flight day//EN', 'VERSION' => '2.0']);
        $home = $day->site->sheet()->home;
        $slots = $planned->timetable->slots ?? [];
        $speaker = Spoken::to();
        foreach ($slots as $k => $slot) {
            $event = $calendar->createComponent('VEVENT', [
                'UID' => sprintf('day-%d-shot-%d-%d@larkspur', $day->id, $slot->shotId, $k + 1),
                'DTSTAMP' => $day->updated_at->copy()->utc()->toDateTimeImmutable(),
                'DTSTART' => Carbon::parse($slot->from)->utc()->toDateTimeImmutable(),
                'DTEND' => Carbon::parse($slot->to)->utc()->toDateTimeImmutable(),
                'SUMMARY' => $slot->must ? $speaker->say(Fact::of('calendar.must', title: $slot->title)) : $slot->title,
                'DESCRIPTION' => $speaker->say(Fact::of(
                    'calendar.slot', battery: $slot->battery, passes: $slot->passes, height: Quantity::metres($planned->return->heightM),
                )),
                'LOCATION' => $day->site->name,
                'GEO' => [$home->latitude, $home->longitude],
                'SEQUENCE' => $day->version - 1,
            ]);
            $calendar->add($event);
            if ($k === 0) {
                $event->add(
                    'VALARM', ['ACTION' => 'DISPLAY', 'TRIGGER' => '-PT15M', 'DESCRIPTION' => $speaker->say(Fact::of('calendar.alarm'))],
                );
            }
        }

        return $calendar->serialize();
    }
}
