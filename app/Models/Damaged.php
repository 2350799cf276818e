<?php

declare(strict_types=1);

namespace App\Models;

use Larkspur\Fact;
use Larkspur\Refusal;

/** What is kept of a record can't be read any more: said of this record, and of no other. */
final class Damaged extends Refusal
{
    public static function of(string $what): self
    {
        return new self(Fact::of('record.damaged'), $what);
    }
}
