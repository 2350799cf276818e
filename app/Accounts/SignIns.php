<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\SignIn;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

/** Where a person is signed in. A session is good only while its sign-in stands: ended here, it is ended there with the next request. */
final readonly class SignIns
{
    private const KEY = 'sign-in';

    /** How exactly it is known when somebody was last there, seconds. */
    private const NOTED_EVERY = 300;

    public function begin(Request $request, User $user): SignIn
    {
        $one = SignIn::query()->create([
            'user_id' => $user->id, 'address' => (string) $request->ip(), 'agent' => Str::limit((string) $request->userAgent(), 197),
            'seen_at' => now(),
        ]);
        $request->session()->put(self::KEY, $one->id);

        return $one;
    }

    /** Whether the session of a request may go on; one of a cookie that remembers begins a sign-in of its own. */
    public function stands(Request $request, User $user): bool
    {
        $id = $request->session()->get(self::KEY);
        if (! is_int($id)) {
            $this->begin($request, $user);

            return true;
        }
        $one = SignIn::query()->where('user_id', $user->id)->find($id);
        if ($one === null || $one->ended_at !== null) {
            return false;
        }
        if ($one->seen_at->lessThan(now()->subSeconds(self::NOTED_EVERY))) {
            $one->update(['seen_at' => now(), 'address' => (string) $request->ip()]);
        }

        return true;
    }

    public function current(Request $request): ?int
    {
        $id = $request->hasSession() ? $request->session()->get(self::KEY) : null;

        return is_int($id) ? $id : null;
    }

    /** Ends all of a person's, but for one where it is named; cookies that remember are good no longer. */
    public function endAll(User $user, ?int $but = null): void
    {
        $user->forceFill(['remember_token' => Str::random(60)])->save();
        SignIn::query()->where('user_id', $user->id)->where('ended_at', null)->where('id', '<>', $but ?? 0)->update(['ended_at' => now()]);
    }
}
