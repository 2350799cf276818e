<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Invitation;
use App\Models\User;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;

/** Invites somebody by a link that is good once, for two weeks; it is shown to whoever invites, and sent where that is wanted. */
final readonly class Invite
{
    private const DAYS = 14;

    /**
     * @param  'trainer'|'operator'|'viewer'  $role
     * @return array{Invitation, string} the invitation, and its link
     */
    public function __invoke(User $inviter, string $email, string $role, bool $send): array
    {
        $token = Str::random(48);
        $invitation = Invitation::query()->create([
            'school_id' => $inviter->school_id, 'inviter_id' => $inviter->id, 'email' => strtolower($email), 'role' => $role,
            'token' => hash('sha256', $token), 'until' => now()->addDays(self::DAYS),
        ]);
        $link = rtrim(config()->string('app.url'), '/').'/invitation/'.$token;
        if ($send) {
            $words = [
                'school' => $inviter->school->name, 'inviter' => $inviter->name, 'link' => $link, 'until' => $invitation->until
                    ->isoFormat('D MMMM YYYY'),
            ];
            Mail::send(
                'mail.invitation', $words,
                static fn ($message) => $message->to($invitation->email)->subject("An invitation to {$inviter->school->name} in Larkspur"),
            );
        }
        Trail::note('invited', "$invitation->email, $role", $inviter);

        return [$invitation, $link];
    }
}
