<?php

/**
 * Four functions that Laravel 12.72 calls at boot and that symfony/polyfill-php85 would define.
 *
 * The polyfill is not in every package index that Larkspur installs from, so composer.json declares it as
 * replaced and this file stands in for it. Delete the folder compat/ (and the "replace" entries) once the
 * polyfill and symfony/clock can be installed everywhere, or the project moves to PHP 8.5.
 */

declare(strict_types=1);

if (! function_exists('array_first')) {
    /**
     * @template T
     *
     * @param  array<array-key, T>  $array
     * @return T|null
     */
    function array_first(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_first($array)];
    }
}

if (! function_exists('array_last')) {
    /**
     * @template T
     *
     * @param  array<array-key, T>  $array
     * @return T|null
     */
    function array_last(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_last($array)];
    }
}

if (! function_exists('get_error_handler')) {
    function get_error_handler(): ?callable
    {
        $handler = set_error_handler(null);
        restore_error_handler();

        return $handler;
    }
}

if (! function_exists('get_exception_handler')) {
    function get_exception_handler(): ?callable
    {
        $handler = set_exception_handler(null);
        restore_exception_handler();

        return $handler;
    }
}
