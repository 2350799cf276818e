<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Invitation;
use Documents\Document;

/** An invitation that can still be taken. */
final readonly class InvitationDocument implements Document
{
    /**
     * @param  'trainer'|'operator'|'viewer'  $role
     * @param  ?string  $link  only when it is made
     */
    public function __construct(
        public int $id,
        public string $email,
        public string $role,
        public string $until,
        public ?string $link,
    ) {
    }

    public static function of(Invitation $one, ?string $link): self
    {
        return new self($one->id, $one->email, $one->role, $one->until->toIso8601ZuluString(), $link);
    }
}
