<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Context;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/** Gives each request a number, which stands in its answer, in every problem, and in every line that is logged of it. */
final class NumberRequests
{
    public const NAME = 'request';

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $given = $request->headers->get('X-Request-Id') ?? '';
        $number = preg_match('/^[0-9a-zA-Z-]{8,64}$/', $given) === 1 ? $given : Str::lower(Str::random(16));
        Context::add(self::NAME, $number);
        $response = $next($request);
        $response->headers->set('X-Request-Id', $number);

        return $response;
    }
}
