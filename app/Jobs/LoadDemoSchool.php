<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\User;
use Demo\School;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** Puts the demo school beside whatever is there, once. */
final class LoadDemoSchool implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    /** Where it stands that it is on its way. */
    public const UNDER_WAY = 'demo-under-way';

    public int $tries = 2;

    public int $timeout = 590;

    public function __construct(private readonly string $password)
    {
    }

    public function handle(School $school): void
    {
        try {
            DB::transaction(function () use ($school): void {
                if (! \App\Models\School::query()->where('demo', true)->exists()) {
                    $made = $school->load();
                    foreach (User::query()->withoutGlobalScopes()->where('school_id', $made->id)->get() as $person) {
                        $person->update(['password' => $this->password]);
                    }
                }
            });
        } finally {
            Cache::forget(self::UNDER_WAY);
        }
    }

    public function failed(): void
    {
        Cache::forget(self::UNDER_WAY);
    }
}
