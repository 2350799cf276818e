<?php

/** The cookie session serves the application from whatever host and port it was opened at; scripts use bearer tokens. */

declare(strict_types=1);

use Laravel\Sanctum\Sanctum;

return [
    'stateful' => [Sanctum::$currentRequestHostPlaceholder],
    'guard' => ['web'],
    'expiration' => 60 * 24 * 90,
    'token_prefix' => 'larkspur_',
    'middleware' => [
        'authenticate_session' => Laravel\Sanctum\Http\Middleware\AuthenticateSession::class,
        'encrypt_cookies' => Illuminate\Cookie\Middleware\EncryptCookies::class,
        'validate_csrf_token' => Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class,
    ],
];
