<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\FlightDay;
use Documents\Document;
use Documents\Person;

/** A day in the list of days. */
final readonly class DayDocument implements Document
{
    /**
     * @param  string  $purpose  what it is for; empty where nobody said
     * @param  int  $shots  how many are planned on it
     */
    public function __construct(
        public int $id,
        public string $title,
        public string $date,
        public string $purpose,
        public Person $operator,
        public int $siteId,
        public string $site,
        public int $version,
        public int $shots,
    ) {
    }

    public static function of(FlightDay $day): self
    {
        return new self(
            $day->id, $day->title, $day->day(), $day->purpose, new Person($day->operator->id, $day->operator->name), $day->site_id,
            $day->site->name, $day->version, count(is_array($day->document['shots'] ?? null) ? $day->document['shots'] : []),
        );
    }
}
