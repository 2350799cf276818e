<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightDay;
use App\Models\LessonMember;
use App\Models\User;
use App\Spoken;
use DateTimeImmutable;
use Larkspur\Fact;
use Larkspur\Site\Zone;
use Sabre\VObject\Component\VCalendar;

/**
 * What somebody has before them, as iCalendar (RFC 5545), for a calendar that asks by its own link: days of flying, from take-off to the
 * end of the hours kept for them, and lessons by the day on which they are wanted. Trainers see the days of their school.
 */
final readonly class WriteOwnCalendar
{
    /** Days behind that still show. */
    private const BEHIND = 30;

    private const MOST = 300;

    public function __invoke(User $user): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Larkspur//Own calendar//EN', 'VERSION' => '2.0']);
        $speaker = Spoken::to();
        $days = FlightDay::query()->withoutGlobalScope('school')->with(['site', 'operator'])->where('school_id', $user->school_id);
        $days->where('date', '>=', now()->subDays(self::BEHIND)->format('Y-m-d'));
        $days->orderBy('date')->limit(self::MOST);
        if (! $user->seesClass()) {
            $days->where('operator_id', $user->id);
        }
        foreach ($days->get() as $day) {
            $zone = new Zone($day->site->document['zone'] ?? 'UTC');
            $at = static function (string $hour) use ($zone, $day): DateTimeImmutable {
                [$h, $m] = array_map(intval(...), explode(':', $hour));

                return new DateTimeImmutable('@'.(int) $zone->instant($day->day(), $h, $m));
            };
            $home = $day->site->sheet()->home;
            $calendar->add($calendar->createComponent('VEVENT', [
                'UID' => "day-$day->id@larkspur", 'DTSTAMP' => $day->updated_at->copy()->utc()->toDateTimeImmutable(),
                'DTSTART' => $at((string) $day->document['from']), 'DTEND' => $at((string) $day->document['to']),
                'SUMMARY' => $user->seesClass() ? "$day->title, {$day->operator->name}" : $day->title,
                'DESCRIPTION' => $day->purpose, 'LOCATION' => $day->site->name, 'GEO' => [$home->latitude, $home->longitude],
                'SEQUENCE' => $day->version - 1,
            ]));
        }
        $lessons = LessonMember::query()->with(['lesson' => static fn ($lesson) => $lesson->withoutGlobalScope('school')])
            ->where('operator_id', $user->id);
        $lessons->limit(self::MOST);
        foreach ($lessons->get() as $member) {
            $lesson = $member->lesson;
            if ($lesson?->wanted_on !== null && $lesson->wanted_on->isAfter(now()->subDays(self::BEHIND))) {
                $event = $calendar->createComponent('VEVENT', [
                    'UID' => "lesson-$lesson->id@larkspur", 'DTSTAMP' => $lesson->updated_at->copy()->utc()->toDateTimeImmutable(),
                    'SUMMARY' => $speaker->say(Fact::of('calendar.lesson', title: Fact::name($lesson->title))),
                    'DESCRIPTION' => $lesson->purpose, 'TRANSP' => 'TRANSPARENT',
                ]);
                $event->add('DTSTART', $lesson->wanted_on->format('Ymd'), ['VALUE' => 'DATE']);
                $calendar->add($event);
            }
        }

        return $calendar->serialize();
    }
}
