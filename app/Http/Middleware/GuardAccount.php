<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Accounts\SignIns;
use App\Models\User;
use Closure;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Auth\SessionGuard;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Laravel\Sanctum\PersonalAccessToken;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * Whether whoever is signed in may go on: not shut out, their sign-in not ended elsewhere, the second factor there that their school wants;
 * and within what they came with: a viewer keeps nothing, a token does what it is for and nothing about accounts.
 */
final readonly class GuardAccount
{
    /** What works something out and keeps nothing of it: anyone may ask, a viewer and a reading token too. */
    private const KEEPS_NOTHING = [
        'plans', 'expectations', 'readings', 'compositions', 'light', 'exposures', 'ground-heights', 'site-readings', 'site-imports',
        'hover-points', 'crafts/*/step-tests', 'rigs/*/reading', 'rigs/*/sheet', 'rigs/*/advice',
    ];

    /** Of one's own account. */
    private const OWN = ['me', 'session', 'account', 'account/*', 'tokens', 'tokens/*'];

    /** About accounts: never for a token. */
    private const OF_ACCOUNTS = [
        'account', 'account/*', 'tokens', 'tokens/*', 'people', 'people/*', 'invitations', 'invitations/*', 'school', 'demo-school',
    ];

    public function __construct(private SignIns $signIns)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if (! $user instanceof User) {
            return $next($request);
        }
        $token = $user->currentAccessToken();
        if (
            $user->disabled_at !== null || (
                $request->hasSession() && ! $token instanceof PersonalAccessToken && ! $this->signIns->stands($request, $user)
            )
        ) {
            $this->leave($request);
        }
        if ($user->lacksSecondFactor() && ! self::is($request, self::OWN)) {
            throw new HttpException(403, 'second-factor');
        }
        $keeps = ! $request->isMethodSafe() && ! self::is($request, self::KEEPS_NOTHING);
        if ($keeps && $user->role === User::VIEWER && ! self::is($request, self::OWN)) {
            throw new AuthorizationException;
        }
        if ($token instanceof PersonalAccessToken && (($keeps && ! $token->can('write')) || self::is($request, self::OF_ACCOUNTS))) {
            throw new HttpException(403, 'token');
        }

        return $next($request);
    }

    private function leave(Request $request): never
    {
        $cookies = Auth::guard('web');
        if ($cookies instanceof SessionGuard) {
            $cookies->logoutCurrentDevice();
        }
        if ($request->hasSession()) {
            $request->session()->invalidate();
        }
        throw new AuthenticationException;
    }

    /** @param  list<string>  $paths */
    private static function is(Request $request, array $paths): bool
    {
        return $request->is(array_map(static fn (string $path): string => 'api/v1/'.$path, $paths));
    }
}
