<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** What a link invites to. */
final readonly class InvitedTo implements Document
{
    /**
     * @param  'trainer'|'operator'|'viewer'  $role
     * @param  bool  $known  whether the address has an account: then one signs in and comes with one’s record
     */
    public function __construct(
        public string $school,
        public string $inviter,
        public string $email,
        public string $role,
        public bool $known,
    ) {
    }
}
