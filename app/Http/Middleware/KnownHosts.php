<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Answers to the names it was set up with, and to no others: what a request calls the server is never believed. */
final class KnownHosts
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $named = strtolower((string) preg_replace('/:\d+$/', '', $request->headers->get('Host') ?? ''));
        $known = [
            strtolower((string) parse_url(config()->string('app.url'), PHP_URL_HOST)), '127.0.0.1', 'localhost', '[::1]',
            ...array_filter(explode(' ', strtolower(config()->string('larkspur.hosts')))),
        ];
        if (! in_array($named, $known, true)) {
            throw new HttpException(421, 'host');
        }

        return $next($request);
    }
}
