<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\RemoveSchool;
use App\Models\School as SchoolRecord;
use App\Models\User;
use Demo\School;
use Illuminate\Console\Command;

/** Loads the demo school once, gives its people the password that is set up, or removes it. */
final class LoadDemo extends Command
{
    protected $signature = 'larkspur:demo
        {--short : without the twelve weeks of the class, which take longest}
        {--check : only say whether any school is there, and whether it is the demo}
        {--password : give the people of the demo school the password that is set up}
        {--remove : remove the demo school with everything in it}';

    protected $description = 'Load the Skerrow demo school, unless it is there already';

    public function handle(School $school, RemoveSchool $remove): int
    {
        if ($this->option('check') === true) {
            $this->line(
                SchoolRecord::query()->where('demo', true)->exists() ? 'demo' : (SchoolRecord::query()->exists() ? 'there' : 'none'),
            );

            return self::SUCCESS;
        }
        $demo = SchoolRecord::query()->where('demo', true)->first();
        if ($this->option('remove') === true || $this->option('password') === true) {
            if ($demo === null) {
                $this->line('There is no demo school.');
            } elseif ($this->option('remove') === true) {
                $remove($demo);
                $this->line('The demo school is gone.');
            } else {
                User::query()->where('school_id', $demo->id)->get()
                    ->each(static fn (User $person) => $person->update(['password' => config()->string('larkspur.demo_password')]));
                $this->line('Its people have the password that is set up.');
            }

            return self::SUCCESS;
        }
        if ($demo !== null) {
            $this->line('The demo school is there already; nothing was changed.');

            return self::SUCCESS;
        }
        $school->load(fn (string $message) => $this->line($message), short: $this->option('short') === true);

        return self::SUCCESS;
    }
}
