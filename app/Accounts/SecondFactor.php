<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The second factor of a person: set up, confirmed by a first code, asked for at each sign-in, taken off. */
final readonly class SecondFactor
{
    private const SPARE_CODES = 8;

    /** A key to be shown once; it counts only when a code of it was given. */
    public function begin(User $user): Totp
    {
        $totp = Totp::fresh();
        $user->forceFill(['totp_secret' => $totp->toBase32(), 'totp_since' => null, 'totp_step' => 0, 'spare_codes' => null])->save();

        return $totp;
    }

    /** @return ?list<string> spare codes, shown once; null where the code is not of the key */
    public function confirm(User $user, string $code): ?array
    {
        if ($user->totp_secret === null || $user->totp_since !== null || ! $this->takeCode($user, $code)) {
            return null;
        }
        $spare = array_map(static fn (): string => Str::lower(Str::random(5).'-'.Str::random(5)), range(1, self::SPARE_CODES));
        $user->forceFill(
            ['totp_since' => now(), 'spare_codes' => array_map(static fn (string $one): string => hash('sha256', $one), $spare)],
        )->save();

        return $spare;
    }

    /** Takes a code, once: of the clock, or a spare one. */
    public function take(User $user, string $code): bool
    {
        $code = Str::lower(trim(str_replace(' ', '', $code)));

        return $this->takeCode($user, $code) || $this->takeSpare($user, $code);
    }

    public function off(User $user): void
    {
        $user->forceFill(['totp_secret' => null, 'totp_since' => null, 'totp_step' => 0, 'spare_codes' => null])->save();
    }

    private function takeCode(User $user, string $code): bool
    {
        if ($user->totp_secret === null) {
            return false;
        }
        $step = Totp::fromBase32($user->totp_secret)->accepts($code, now()->getTimestamp(), $user->totp_step);

        // Of two who give the same code at once, one is taken.
        return $step !== null && User::query()->withoutGlobalScopes()->whereKey($user->id)->where('totp_step', '<', $step)
            ->update(['totp_step' => $step]) === 1;
    }

    private function takeSpare(User $user, string $code): bool
    {
        return DB::transaction(static function () use ($user, $code): bool {
            $query = User::query()->withoutGlobalScopes()->whereKey($user->id);
            $query->lockForUpdate();
            $fresh = $query->firstOrFail();
            $left = array_values(array_diff($fresh->spare_codes ?? [], [hash('sha256', $code)]));
            if (count($left) === count($fresh->spare_codes ?? [])) {
                return false;
            }
            $fresh->forceFill(['spare_codes' => $left])->save();

            return true;
        });
    }
}
