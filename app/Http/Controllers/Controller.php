<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Spoken;
use Documents\Wire;
use Illuminate\Contracts\Auth\StatefulGuard;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Auth\Access\AuthorizesRequests;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use OpenApi\Attributes as OA;

/** What every controller shares: authorization, and the person who is signed in. */
#[
    OA\Info(
        version: '1', title: 'Larkspur',
        description: 'Plans, rehearses and judges practice shots. Cookie session for the application, bearer tokens for scripts; errors are problem details (RFC 9457).',
    ),
]
#[OA\Server(url: '/api/v1')]
abstract class Controller
{
    use AuthorizesRequests;

    /** Longest list that is given at once. */
    public const SHOWN = 60;

    protected function user(Request $request): User
    {
        $user = $request->user();
        abort_unless($user instanceof User, 401);

        return $user;
    }

    /**
     * A record that a body or a query names: of this school, and theirs to see, as if it stood in the path.
     *
     * @template M of Model
     *
     * @param  class-string<M>  $kind
     * @return M
     */
    protected function seen(string $kind, int $id, string $ability = 'view'): Model
    {
        $record = $kind::query()->findOrFail($id);
        $this->authorize($ability, $record);

        return $record;
    }

    /** The guard that keeps people signed in by cookie. */
    protected function cookies(): StatefulGuard
    {
        $guard = Auth::guard('web');
        assert($guard instanceof StatefulGuard);

        return $guard;
    }

    /** Bytes that are kept as a file of a name. */
    protected function download(string $bytes, string $type, string $name): Response
    {
        return new Response($bytes, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    /** An answer with its documents written and its facts said. */
    protected function answer(mixed $value, int $status = 200): JsonResponse
    {
        return new JsonResponse(Wire::write($value, Spoken::to()), $status);
    }

    /**
     * As many of a list as are shown at once, by the words that the request looks for: of thousands nobody reads all.
     *
     * @template M of Model
     *
     * @param  Builder<M>  $query
     * @return Collection<int, M>
     */
    protected function found(Builder $query, string $column, Request $request): Collection
    {
        foreach (preg_split('/\s+/', $request->string('find')->trim()->toString(), flags: PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            $query->where($column, 'like', '%'.addcslashes($word, '%_\\').'%');
        }

        $query->limit(self::SHOWN);

        return $query->get();
    }
}
