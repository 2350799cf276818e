<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/** What stands behind the question mark is one value each, in UTF-8; anything else is said at the door. */
final class PlainQuery
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ($request->query->all() as $name => $value) {
            if ($value !== null && (! is_string($value) || ! mb_check_encoding($value) || str_contains($value, "\0"))) {
                throw ValidationException::withMessages([mb_scrub((string) $name) => 'This has to be one value, as text.']);
            }
        }

        return $next($request);
    }
}
