<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Foundation\Auth\Access\AuthorizesRequests;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What every controller shares: authorization, and the person who is signed in. */
#[OA\Info(version: '1', title: 'Larkspur', description: 'Plans, rehearses and judges practice shots. Cookie session for the application, bearer tokens for scripts; errors are problem details (RFC 9457).')]
#[OA\Server(url: '/api/v1')]
abstract class Controller
{
    use AuthorizesRequests;

    protected function user(Request $request): User
    {
        $user = $request->user();
        abort_unless($user instanceof User, 401);

        return $user;
    }
}
