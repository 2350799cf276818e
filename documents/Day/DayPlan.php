<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Documents\InHands;
use Documents\Light\SunDayDocument;

/** A day, worked out: its order, and all that the field needs. */
final readonly class DayPlan implements Document
{
    /**
     * @param  string  $zone  the site’s clock, by its name in the IANA time zone database
     * @param  ?string  $begins  null where its hours can’t be read
     * @param  list<DayList>  $lists
     * @param  list<Caution>  $cautions
     * @param  list<InHands<DayCard>>  $cards  each of the thumbs of whoever flies
     * @param  list<ActionCard>  $actions
     * @param  list<string>  $missing  what of the permission is not filled in
     */
    public function __construct(
        public string $zone,
        public ?string $begins,
        public ?TimetableDocument $timetable,
        public ?DayProblem $problem,
        public ?BatteriesReading $batteries,
        public SunDayDocument $light,
        public ReturnHeightDocument $return,
        public array $lists,
        public array $cautions,
        public array $cards,
        public FieldLogDocument $log,
        public array $missing,
        public GatesDocument $gates,
        public array $actions,
    ) {
    }
}
