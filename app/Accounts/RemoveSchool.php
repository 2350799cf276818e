<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\School;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Removes a school with everybody and everything of it. Only the demo school is removed on screen. */
final readonly class RemoveSchool
{
    public function __construct(private RemovePerson $remove)
    {
    }

    public function __invoke(School $school): void
    {
        foreach ([1, 2] as $_) {
            // Twice: the first round leaves somebody who left.
            foreach (User::query()->withoutGlobalScopes()->where('school_id', $school->id)->get() as $person) {
                ($this->remove)($person);
            }
        }
        DB::transaction(static function () use ($school): void {
            DB::table('invitations')->where('school_id', $school->id)->delete();
            DB::table('trail')->where('school_id', $school->id)->delete();
            DB::table('users')->where('school_id', $school->id)->delete();
            foreach (['rigs', 'crafts', 'sites', 'column_mappings', 'remembered_readings'] as $table) {
                DB::table($table)->where('school_id', $school->id)->delete();
            }
            $school->delete();
        });
    }
}
