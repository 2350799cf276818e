<?php

/** What goes wrong is written as one JSON object a line, with the number of its request, a file a day, kept for two weeks. */

declare(strict_types=1);

use Monolog\Formatter\JsonFormatter;

return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        'daily' => [
            'driver' => 'daily', 'path' => storage_path('logs/larkspur.log'), 'level' => env('LOG_LEVEL', 'warning'), 'days' => 14,
            'permission' => 0640, 'formatter' => JsonFormatter::class, 'formatter_with' => ['includeStacktraces' => true],
        ],
        // Mail of a school that has set up no server for it: written down, with what stands in it.
        'mail' => ['driver' => 'daily', 'path' => storage_path('logs/mail.log'), 'level' => 'debug', 'days' => 14, 'permission' => 0640],
    ],
];
