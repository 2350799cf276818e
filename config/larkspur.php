<?php

/** Settings of Larkspur itself; Laravel's own keep their defaults unless a file here overrides them. */

declare(strict_types=1);

return [
    // Largest log that is taken, bytes; the page refuses larger ones before they are sent.
    'largest_log' => 256 * 1024 * 1024,

    // Sign-in tries a minute, per address and account.
    'sign_in_tries' => 6,
];
