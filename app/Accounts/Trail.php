<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Request;

/** Notes who did what to accounts and records, from where: written with the deed, read by trainers, changed by nobody. */
final class Trail
{
    /**
     * @param  string  $did  a code, such as rig-saved; its words stand in the phrase book under trail.<code>
     * @param  string  $what  the name of what it was done to
     * @param  ?User  $who  whoever is signed in where null
     */
    public static function note(string $did, string $what = '', ?User $who = null): void
    {
        $user = $who ?? (Auth::user() instanceof User ? Auth::user() : null);
        DB::table('trail')->insert([
            'school_id' => $user?->school_id, 'user_id' => $user?->id, 'who' => mb_substr($user->name ?? '', 0, 120), 'did' => $did,
            'what' => mb_substr($what, 0, 200), 'address' => (string) Request::ip(), 'at' => now(),
        ]);
    }
}
