<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** A pass that was logged in the field and whose flight log has not been brought in yet. */
final readonly class AwaitedPass implements Document
{
    /**
     * @param  string  $at  when it was entered, ISO 8601
     * @param  string  $zone  the site's clock
     * @param  string  $by  who entered it
     */
    public function __construct(
        public int $dayId, public string $day, public string $shot, public int $number, public string $verdict, public string $note,
        public string $at, public string $zone, public string $by,
    ) {
    }
}
