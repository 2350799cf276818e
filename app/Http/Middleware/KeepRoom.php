<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Files\FreeSpace;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Where the disk is full nothing is taken that the database could not write: said at the door, before anything is begun. */
final readonly class KeepRoom
{
    public function __construct(private FreeSpace $space)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // What removes something makes room.
        if (! $request->isMethodSafe() && ! $request->isMethod('DELETE')) {
            $this->space->ensure((int) $request->headers->get('Content-Length', '0'));
        }

        return $next($request);
    }
}
