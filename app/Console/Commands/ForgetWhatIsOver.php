<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Files\Vault;
use App\Models\PersonalCopy;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/** Removes what has run out: tokens, links of forgotten passwords, sessions, jobs that failed long ago. */
final class ForgetWhatIsOver extends Command
{
    /** A failed job is looked into within a month or never. */
    private const FAILED_JOBS_DAYS = 30;

    protected $signature = 'larkspur:forget';

    protected $description = 'Removes what has run out: tokens, links, sessions, old failed jobs';

    public function handle(Vault $vault): int
    {
        DB::table('personal_access_tokens')->where('expires_at', '<', now())->delete();
        DB::table('password_reset_tokens')->where('created_at', '<', now()->subMinutes(config()->integer('auth.passwords.users.expire')))
            ->delete();
        DB::table('sessions')->where('last_activity', '<', now()->subMinutes(config()->integer('session.lifetime'))->getTimestamp())
            ->delete();
        DB::table('failed_jobs')->where('failed_at', '<', now()->subDays(self::FAILED_JOBS_DAYS))->delete();
        PersonalCopy::query()->withoutGlobalScopes()->where('created_at', '<', now()->subDays(PersonalCopy::DAYS))
            ->each(static function (PersonalCopy $copy) use ($vault): void {
                $vault->drop($copy->path());
                $copy->delete();
            });
        DB::table('cache')->where('expiration', '<', now()->getTimestamp())->delete();

        return self::SUCCESS;
    }
}
