<?php

/** Settings of Larkspur itself; Laravel's own keep their defaults unless a file here overrides them. */

declare(strict_types=1);

return [
    // Largest log that is taken, bytes; the page refuses larger ones before they are sent.
    'largest_log' => 256 * 1024 * 1024,

    // What has to stay free on the disk beside anything that is taken in, bytes: the database stops where it is full.
    'reserve' => 1024 * 1024 * (int) env('LARKSPUR_RESERVE_MB', 256),

    // Sign-in tries a minute, per address and account.
    'sign_in_tries' => 6,

    // Requests a minute of one person, those that cost much, and files in ten minutes.
    'asked_per_minute' => (int) env('LARKSPUR_ASKED_PER_MINUTE', 1200),
    'costly_per_minute' => (int) env('LARKSPUR_COSTLY_PER_MINUTE', 60),
    'sent_per_ten_minutes' => (int) env('LARKSPUR_SENT_PER_TEN_MINUTES', 600),

    // Names beside that of APP_URL that this server answers to, with spaces between them.
    'hosts' => (string) env('LARKSPUR_HOSTS', ''),

    // With which the people of the demo school sign in; one of its own is made where the server is open to a network.
    'demo_password' => (string) env('DEMO_PASSWORD', 'kelp-and-stone'),

    // What has to be known to set up the first school; empty: none can be set up on screen.
    'set_up_code' => (string) env('SETUP_CODE', ''),

    // By which code progress is worked out: what another release worked out and kept is worked out again.
    'progress_code' => hash('xxh128', implode('', array_map(
        static fn (string $file): string => (string) file_get_contents($file),
        [...glob(dirname(__DIR__).'/core/Training/*.php') ?: [], ...glob(dirname(__DIR__).'/core/Training/*/*.php') ?: []],
    ))),
];
