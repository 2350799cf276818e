<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\Progress\WeeklySummary;
use App\Spoken;
use Illuminate\Console\Command;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Mail;
use Larkspur\Fact;
use Throwable;

/**
 * Sends everybody who wants it what their week came to, on Monday mornings by the clock of their school, once; asked for every hour. People
 * of a demo school have no mailbox.
 */
final class SendWeeklySummaries extends Command
{
    private const HOURS = [6, 12];

    protected $signature = 'larkspur:weekly';

    protected $description = 'Sends the summaries of the week, where it is Monday morning';

    public function handle(WeeklySummary $summary): int
    {
        $people = User::query()->withoutGlobalScopes()->with('school')->where('weekly_mail', true)->where('disabled_at', null);
        $people->whereHas('school', static fn ($school) => $school->where('demo', false));
        $people->where(static fn ($query) => $query->whereNull('weekly_sent_at')->orWhere('weekly_sent_at', '<', now()->subDays(5)));
        foreach ($people->lazyById(100) as $person) {
            $there = Carbon::now($person->school->zone);
            if ($there->isMonday() && $there->hour >= self::HOURS[0] && $there->hour < self::HOURS[1]) {
                try {
                    $this->send($person, $summary);
                    $person->forceFill(['weekly_sent_at' => now()])->save();
                } catch (Throwable $trouble) {
                    // One mailbox that is closed keeps nobody else's from being filled; it is tried again within the hour.
                    report($trouble);
                }
            }
        }

        return self::SUCCESS;
    }

    private function send(User $person, WeeklySummary $summary): void
    {
        $speaker = Spoken::of($person);
        $say = static fn (Fact $fact): string => $speaker->say($fact);
        $home = rtrim(config()->string('app.url'), '/');
        $class = $person->seesClass() ? array_map(
            static fn (array $row): array => [...$row, 'why' => array_map($say, $row['why'])], $summary->ofClass($person),
        ) : null;
        $own = $person->seesClass() ? null : $summary->ofOperator($person);
        Mail::send('mail.weekly', [
            'name' => $person->name, 'school' => $person->school->name, 'home' => $home, 'class' => $class,
            'own' => $own === null ? null : [...$own, 'next' => array_map($say, $own['next'])],
        ], static fn ($message) => $message->to($person->email)->subject('Your week in Larkspur'));
    }
}
