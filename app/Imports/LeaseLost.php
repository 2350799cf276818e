<?php

declare(strict_types=1);

namespace App\Imports;

use RuntimeException;

/** Somebody else works on this log now, or it was cancelled: whoever hears this writes nothing more about it. */
final class LeaseLost extends RuntimeException
{
}
