<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\School;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** A school of one's own, with the trainer who begins it. */
final readonly class SetUpSchool
{
    /** @param  'metric'|'feet'  $units */
    public function __invoke(string $name, string $zone, string $units, string $trainer, string $email, string $password): User
    {
        return DB::transaction(static function () use ($name, $zone, $units, $trainer, $email, $password): User {
            $school = School::query()->create(['name' => $name, 'zone' => $zone, 'units' => $units]);
            $user = User::query()->create([
                'school_id' => $school->id, 'name' => $trainer, 'email' => strtolower($email), 'password' => $password,
                'role' => User::TRAINER, 'units' => $units,
            ]);
            Trail::note('school-set-up', $name, $user);

            return $user;
        });
    }
}
