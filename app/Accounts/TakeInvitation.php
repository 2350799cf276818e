<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\Invitation;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Comes to a school by its link: as somebody new, or with the record that one has. */
final readonly class TakeInvitation
{
    public function __construct(private MoveToSchool $move)
    {
    }

    public function asNew(Invitation $invitation, string $name, string $password): User
    {
        return DB::transaction(static function () use ($invitation, $name, $password): User {
            self::once($invitation);
            if (User::query()->withoutGlobalScopes()->where('email', $invitation->email)->exists()) {
                throw ValidationException::withMessages(
                    ['email' => 'This address has an account already: sign in, then open the link again.'],
                );
            }
            $user = User::query()->create([
                'school_id' => $invitation->school_id, 'name' => $name, 'email' => $invitation->email, 'password' => $password,
                'role' => $invitation->role, 'units' => $invitation->school->units,
            ]);
            Trail::note('came', $invitation->role, $user);

            return $user;
        });
    }

    public function withRecord(Invitation $invitation, User $user): void
    {
        DB::transaction(function () use ($invitation, $user): void {
            self::once($invitation);
            ($this->move)($user, $invitation->school, $invitation->role);
        });
    }

    /** Of two who take it at once, one does. */
    private static function once(Invitation $invitation): void
    {
        $taken = Invitation::query()->withoutGlobalScopes()->whereKey($invitation->id)->whereNull('taken_at')
            ->update(['taken_at' => now()]);
        if ($taken === 0) {
            throw ValidationException::withMessages(['token' => 'This invitation has been taken already.']);
        }
    }
}
