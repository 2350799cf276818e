<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\User;
use App\Progress\Logbook;
use App\Spoken;
use DateTimeImmutable;
use Larkspur\Fact;
use Sabre\VObject\Component\VCalendar;

/** The days of a logbook as iCalendar (RFC 5545): one event a day, all day long, with what was flown. */
final readonly class WriteLogbookCalendar
{
    public function __invoke(User $operator): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Larkspur//Logbook//EN', 'VERSION' => '2.0']);
        $speaker = Spoken::to();
        foreach (Logbook::days($operator->id) as $day) {
            $date = new DateTimeImmutable($day['date']);
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "logbook-$operator->id-$day[date]@larkspur", 'DTSTAMP' => now()->utc()->toDateTimeImmutable(),
                'SUMMARY' => $speaker->say(Fact::of('calendar.logbook-day', takes: $day['takes'])),
                'DESCRIPTION' => $speaker->say(Fact::of(
                    'calendar.logbook-day-of', hand: $day['by_hand'], practised: $day['practised'], automated: $day['automated'],
                    minutes: $day['minutes'],
                )),
                'TRANSP' => 'TRANSPARENT',
            ]);
            $event->add('DTSTART', $date->format('Ymd'), ['VALUE' => 'DATE']);
            $event->add('DTEND', $date->modify('+1 day')->format('Ymd'), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }

        return $calendar->serialize();
    }
}
