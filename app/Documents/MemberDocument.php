<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\User;
use Documents\Document;

/** Somebody of a school. */
final readonly class MemberDocument implements Document
{
    /**
     * @param  'trainer'|'operator'|'viewer'  $role
     * @param  string  $cohort  empty for none
     * @param  ?int  $trainerId  who trains them
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $email,
        public string $role,
        public bool $disabled,
        public bool $secondFactor,
        public string $cohort,
        public ?int $trainerId,
    ) {
    }

    public static function of(User $user): self
    {
        return new self(
            $user->id, $user->name, $user->email, $user->role, $user->disabled_at !== null, $user->hasSecondFactor(), $user->cohort,
            $user->trainer_id,
        );
    }
}
