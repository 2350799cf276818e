<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Accounts\GoodPassword;
use App\Accounts\Invite;
use App\Accounts\SetUpSchool;
use App\Accounts\SignIns;
use App\Models\User;
use DateTimeZone;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Validator;

/** Sets up a school, invites to it, and opens the door again to a trainer who lost the key: what bin/school asks for. */
final class RunSchool extends Command
{
    protected $signature = 'larkspur:school
        {what : set-up, invite or password}
        {--school= : its name}
        {--name= : of the trainer}
        {--email= : of the trainer, or of whoever is invited}
        {--by= : address of the trainer who invites}
        {--role=operator : trainer, operator or viewer}
        {--zone=UTC : of its clock, such as Europe/Oslo}
        {--units=metric : metric or feet}';

    protected $description = 'Set up a school, invite somebody, or give somebody a new password (read from standard input)';

    public function handle(SetUpSchool $setUp, Invite $invite, SignIns $signIns): int
    {
        return match ($this->argument('what')) {
            'set-up' => $this->setUp($setUp),
            'invite' => $this->invite($invite),
            'password' => $this->password($signIns),
            default => $this->wrong('set-up, invite or password?'),
        };
    }

    private function setUp(SetUpSchool $setUp): int
    {
        $password = $this->read();
        $zone = $this->text('zone');
        $problem = match (true) {
            ! in_array($zone, DateTimeZone::listIdentifiers(), true) => "There is no time zone $zone; one is Europe/Oslo.",
            ! in_array($this->text('units'), ['metric', 'feet'], true) => 'Units are metric or feet.',
            default => $this->problem(
                [
                    'school' => $this->text('school'), 'name' => $this->text('name'), 'email' => $this->text('email'),
                    'password' => $password,
                ],
                ['school' => ['required', 'max:120'], 'name' => ['required', 'max:120'], 'email' => [
                    'required', 'email', 'unique:users,email',
                ],
                    'password' => [
                        'required',
                        new GoodPassword(GoodPassword::wordsOf($this->text('name'), $this->text('email'), $this->text('school'))),
                    ]],
            ),
        };
        if ($problem !== null) {
            return $this->wrong($problem);
        }
        $user = $setUp(
            $this->text('school'), $zone, $this->text('units') === 'feet' ? 'feet' : 'metric', $this->text('name'), $this
                ->text('email'), $password,
        );
        $this->line("{$user->school->name} is there; $user->email signs in.");

        return self::SUCCESS;
    }

    private function invite(Invite $invite): int
    {
        $by = User::query()->where('email', $this->text('by'))->where('role', User::TRAINER)->first();
        $role = $this->text('role');
        $problem = $by === null ? 'No trainer has the address that --by names.' : $this->problem(
            ['email' => $this->text('email'), 'role' => $role], [
                'email' => ['required', 'email'], 'role' => ['in:'.implode(',', User::ROLES)],
            ],
        );
        if ($by === null || $problem !== null) {
            return $this->wrong((string) $problem);
        }
        [, $link] = $invite($by, $this->text('email'), $role === User::TRAINER || $role === User::VIEWER ? $role : User::OPERATOR, false);
        $this->line($link);

        return self::SUCCESS;
    }

    private function password(SignIns $signIns): int
    {
        $user = User::query()->where('email', $this->text('email'))->first();
        $password = $this->read();
        $problem = $user === null ? 'Nobody has this address.' : $this->problem(
            ['password' => $password], ['password' => ['required', new GoodPassword]],
        );
        if ($user === null || $problem !== null) {
            return $this->wrong((string) $problem);
        }
        $user->update(['password' => $password]);
        $signIns->endAll($user);
        $this->line("$user->email has a new password; every session of theirs is ended.");

        return self::SUCCESS;
    }

    /** From standard input, so that it stands on no command line. */
    private function read(): string
    {
        return rtrim((string) fgets(STDIN), "\r\n");
    }

    private function text(string $option): string
    {
        $given = $this->option($option);

        return is_string($given) ? trim($given) : '';
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  array<string, mixed>  $rules
     */
    private function problem(array $given, array $rules): ?string
    {
        $first = Validator::make($given, $rules)->errors()->first();

        return $first === '' ? null : $first;
    }

    private function wrong(string $words): int
    {
        $this->error($words);

        return self::FAILURE;
    }
}
