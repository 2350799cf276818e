<?php

/** One MariaDB on loopback, started by bin/start; a server elsewhere is a matter of these variables. */

declare(strict_types=1);

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '3306'),
            'database' => env('DB_DATABASE', 'larkspur'),
            'username' => env('DB_USERNAME', 'larkspur'),
            'password' => env('DB_PASSWORD', ''),
            'unix_socket' => env('DB_SOCKET', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_520_ci',
            'prefix' => '',
            'strict' => true,
            'engine' => 'InnoDB',
            // One round trip a query instead of two. Values are still bound and quoted by the driver, in utf8mb4 throughout.
            'options' => [PDO::ATTR_EMULATE_PREPARES => true, PDO::ATTR_TIMEOUT => 3],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
