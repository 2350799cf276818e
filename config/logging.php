<?php

/** Mail of the demo is written to a log of its own; everything else keeps Laravel's defaults. */

declare(strict_types=1);

return [
    'channels' => [
        'mail' => ['driver' => 'single', 'path' => storage_path('logs/mail.log'), 'level' => 'debug'],
    ],
];
