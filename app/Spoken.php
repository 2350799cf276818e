<?php

declare(strict_types=1);

namespace App;

use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Larkspur\Controls\StickMode;
use Words\PhraseBook;
use Words\Reader;
use Words\Speaker;

/** Who is spoken to in an answer: whoever is signed in, in their units, and in the stick mode of whoever flies. */
final class Spoken
{
    /** @param  ?StickMode  $sticks  of whose flight it is; the reader's own where null */
    public static function to(?StickMode $sticks = null): Speaker
    {
        $user = Auth::user();
        $reader = $user instanceof User ? self::reader($user) : new Reader;

        return new Speaker($sticks === null ? $reader : $reader->withSticks($sticks), app(PhraseBook::class));
    }

    /** To somebody who is not here: by mail. */
    public static function of(User $user): Speaker
    {
        return new Speaker(self::reader($user), app(PhraseBook::class));
    }

    private static function reader(User $user): Reader
    {
        return new Reader($user->units === Reader::FEET ? Reader::FEET : Reader::METRIC, StickMode::from($user->stick_mode));
    }
}
