<?php

/** Where jobs wait: in the database, or in Redis where several machines share the work. */

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // A job is given to another worker only when the first must have been ended: its time limit is 600 s.
        'database' => ['driver' => 'database', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 660, 'after_commit' => false],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'queue' => 'default', 'retry_after' => 660, 'block_for' => 1],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => 'mariadb', 'table' => 'failed_jobs'],
];
