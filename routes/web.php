<?php

/** One page serves the whole application; the browser does the routing. */

declare(strict_types=1);

use Illuminate\Support\Facades\Route;

Route::view('/reset-password/{token}', 'app')->name('password.reset');
Route::view('/{any?}', 'app')->where('any', '^(?!api/|build/|sanctum/|up$).*')->name('application');
