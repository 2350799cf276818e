<?php

declare(strict_types=1);

namespace App\Files;

use Larkspur\Fact;
use Larkspur\Refusal;

/** A kept file is not there any more, or not whole. */
final class BytesGone extends Refusal
{
    /** @param  ?int  $left  bytes that are still there; null where the file is gone */
    public static function of(string $name, ?int $left, int $bytes): self
    {
        return new self($left === null ? Fact::of('log.bytes-gone') : Fact::of('log.bytes-cut', left: $left, bytes: $bytes), $name);
    }
}
