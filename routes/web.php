<?php

/** One page serves the whole application; the browser does the routing. Beside it, how the server does. */

declare(strict_types=1);

use App\Http\Controllers\FeedController;
use App\Http\Controllers\RunningController;
use Illuminate\Support\Facades\Route;

// Without session or cookie: they are asked every few seconds, and when the database is away.
Route::withoutMiddleware('web')->group(static function (): void {
    Route::get('/up', [RunningController::class, 'up']);
    Route::get('/metrics', [RunningController::class, 'metrics']);
    // A calendar program has neither; the key in the link is what it shows.
    Route::get('/calendar/{key}.ics', [FeedController::class, 'show'])->where('key', '[A-Za-z0-9]{48}')->middleware('throttle:links');
});

Route::view('/reset-password/{token}', 'app')->name('password.reset');
Route::view('/{any?}', 'app')->where('any', '^(?!api/|build/|sanctum/|calendar/|up$|metrics$).*')->name('application');
