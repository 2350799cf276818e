<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * How often may be asked: by account, by address, and by what it costs. A person's work stays far below; guessing, flooding and counting
 * through accounts does not.
 */
final class AskedTooOften
{
    public static function define(): void
    {
        $failed = static fn (Response $response): bool => $response->getStatusCode() >= 400;
        // Wrong passwords count; coming in does not. The account is counted by itself, wherever they come from.
        RateLimiter::for('sign-in', static fn (Request $request): array => [
            Limit::perMinute(config()->integer('larkspur.sign_in_tries'))->by('a|'.self::account($request).'|'.$request->ip())
                ->after($failed),
            Limit::perMinutes(15, 20)->by('b|'.self::account($request))->after($failed),
            Limit::perMinutes(10, 30)->by('c|'.$request->ip())->after($failed),
        ]);
        // Mail that anyone can have sent, and links that anyone can try.
        RateLimiter::for('strangers', static fn (Request $request): array => [
            Limit::perHour(5)->by('d|'.self::account($request)),
            Limit::perMinutes(10, 20)->by('e|'.$request->ip()),
        ]);
        RateLimiter::for('links', static fn (Request $request): Limit => Limit::perMinutes(10, 60)->by('f|'.$request->ip()));
        RateLimiter::for('passwords', static fn (Request $request): Limit => Limit::perMinutes(10, 20)->by('p|'.self::person($request)));
        RateLimiter::for(
            'asked',
            static fn (Request $request): Limit => Limit::perMinute(
                config()->integer('larkspur.asked_per_minute'),
            )->by(self::person($request)),
        );
        RateLimiter::for(
            'costly',
            static fn (Request $request): Limit => Limit::perMinute(
                config()->integer('larkspur.costly_per_minute'),
            )->by('g|'.self::person($request)),
        );
        RateLimiter::for(
            'sent',
            static fn (Request $request): Limit => Limit::perMinutes(
                10, config()->integer('larkspur.sent_per_ten_minutes'),
            )->by('h|'.self::person($request)),
        );
    }

    private static function account(Request $request): string
    {
        $email = $request->input('email');

        return is_string($email) ? Str::limit(Str::lower($email), 255, '') : '';
    }

    private static function person(Request $request): string
    {
        $user = $request->user();

        return $user instanceof User ? "user $user->id" : 'address '.$request->ip();
    }
}
