<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\User;
use Documents\Document;

/** How an account is guarded. */
final readonly class AccountDocument implements Document
{
    /**
     * @param  bool  $secondFactorWanted  whether the school asks for one
     * @param  int  $spareCodes  that are left
     * @param  bool  $weeklyMail  whether a summary is sent once a week
     * @param  bool  $calendarLink  whether there is a link to a calendar
     */
    public function __construct(
        public bool $secondFactor,
        public bool $secondFactorWanted,
        public int $spareCodes,
        public bool $weeklyMail,
        public bool $calendarLink,
    ) {
    }

    public static function of(User $user): self
    {
        return new self(
            $user->hasSecondFactor(), $user->school->second_factor, count($user->spare_codes ?? []), $user->weekly_mail,
            $user->calendar_key !== null,
        );
    }
}
