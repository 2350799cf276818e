<?php

declare(strict_types=1);

namespace App\Files;

use RuntimeException;

/** The disk is too full to keep anything more: said before anything is taken. */
final class NoRoom extends RuntimeException
{
}
