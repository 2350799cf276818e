<?php

/**
 * Puts the application together: where its state lives, its routes, its middleware, and how errors are told.
 *
 * State (settings, storage, caches) lives in the folder named by LARKSPUR_STATE, which bin/start sets; var/ of the
 * project without it.
 */

declare(strict_types=1);

use App\Http\Middleware\KeepRoom;
use App\Http\Middleware\KnownHosts;
use App\Http\Middleware\NumberRequests;
use App\Http\Middleware\PlainQuery;
use App\Http\Problem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

$state = is_string($_SERVER['LARKSPUR_STATE'] ?? null) ? $_SERVER['LARKSPUR_STATE'] : dirname(__DIR__).'/var';

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        api: __DIR__.'/../routes/api.php',
        commands: __DIR__.'/../routes/console.php',
        apiPrefix: 'api/v1',
    )
    ->withMiddleware(static function (Middleware $middleware): void {
        // Everything is served from one origin; there is nothing to share across.
        $middleware->remove(HandleCors::class);
        $middleware->statefulApi();
        $middleware->prepend([NumberRequests::class, KnownHosts::class]);
        $middleware->api(prepend: [PlainQuery::class, KeepRoom::class]);
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(static function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(
            static fn (Throwable $error, Request $request) => $request->is('api/*') ? Problem::from($error)->response() : null,
        );
        // A page that is opened while the database is away says so, and looks again by itself.
        $exceptions->render(static fn (Throwable $error, Request $request) => Problem::isAway($error)
            ? response()->view('away', [], 503, ['Retry-After' => '5'])
            : null);
        $exceptions->dontReport([Larkspur\Refusal::class, App\Actions\SavedFirst::class, App\Files\NoRoom::class]);
    })
    ->create();

$app->useEnvironmentPath($state);
$app->loadEnvironmentFrom('env');
$app->useStoragePath($state.'/storage');

return $app;
