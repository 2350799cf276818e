<?php

/** The API, version 1. Everything but signing in needs someone signed in; everything stays within their school. */

declare(strict_types=1);

use App\Http\Controllers\ColumnMappingController;
use App\Http\Controllers\CraftController;
use App\Http\Controllers\DayController;
use App\Http\Controllers\HouseController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\JudgingController;
use App\Http\Controllers\LightController;
use App\Http\Controllers\MoveController;
use App\Http\Controllers\OutsideController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\RememberedReadingController;
use App\Http\Controllers\RigController;
use App\Http\Controllers\RigFileController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShotController;
use App\Http\Controllers\ShotFileController;
use App\Http\Controllers\SiteController;
use App\Http\Controllers\TakeController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\TokenController;
use Illuminate\Support\Facades\Route;

Route::middleware('throttle:sign-in')->group(static function (): void {
    Route::post('session', [SessionController::class, 'store']);
    Route::post('password/forgot', [PasswordController::class, 'forgot']);
    Route::post('password/reset', [PasswordController::class, 'reset']);
});

Route::middleware('auth:sanctum')->group(static function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::get('me', [SessionController::class, 'show']);
    Route::patch('me', [SessionController::class, 'update']);
    Route::post('tokens', [TokenController::class, 'store']);

    Route::get('today', [TodayController::class, 'today']);
    Route::get('operators', [TodayController::class, 'operators']);

    Route::get('sites', [SiteController::class, 'index']);
    Route::post('sites', [SiteController::class, 'store']);
    Route::get('sites/{site}', [SiteController::class, 'show'])->whereNumber('site');
    Route::put('sites/{site}', [SiteController::class, 'update'])->whereNumber('site');
    Route::delete('sites/{site}', [SiteController::class, 'destroy'])->whereNumber('site');
    Route::get('sites/{site}/file', [SiteController::class, 'file'])->whereNumber('site');
    Route::post('site-readings', [SiteController::class, 'reading']);
    Route::post('site-imports', [SiteController::class, 'import']);
    Route::get('weather', [OutsideController::class, 'weather']);
    Route::get('light-meter', [OutsideController::class, 'meter']);
    Route::post('ground-heights', [OutsideController::class, 'heights']);
    Route::post('light', [LightController::class, 'light']);
    Route::post('exposures', [LightController::class, 'exposure']);

    Route::get('days', [DayController::class, 'index']);
    Route::post('days', [DayController::class, 'store']);
    Route::get('days/{day}', [DayController::class, 'show'])->whereNumber('day');
    Route::put('days/{day}', [DayController::class, 'update'])->whereNumber('day');
    Route::delete('days/{day}', [DayController::class, 'destroy'])->whereNumber('day');
    Route::post('days/{day}/entries', [DayController::class, 'entries'])->whereNumber('day');
    Route::get('days/{day}/calendar', [DayController::class, 'calendar'])->whereNumber('day');
    Route::get('days/{day}/sheet', [DayController::class, 'sheet'])->whereNumber('day');

    Route::get('rigs', [RigController::class, 'index']);
    Route::get('rigs/{rig}', [RigController::class, 'show'])->whereNumber('rig');
    Route::post('rigs/{rig}/reading', [RigController::class, 'reading'])->whereNumber('rig');
    Route::post('rigs/{rig}/sheet', [RigController::class, 'sheet'])->whereNumber('rig');
    Route::post('rigs/{rig}/advice', [RigController::class, 'advice'])->whereNumber('rig');
    Route::post('rigs/{rig}/versions', [RigController::class, 'save'])->whereNumber('rig');
    Route::get('rigs/{rig}/history', [RigController::class, 'history'])->whereNumber('rig');
    Route::get('rigs/{rig}/comparison', [RigController::class, 'comparison'])->whereNumber('rig');
    Route::get('rigs/{rig}/file', [RigFileController::class, 'show'])->whereNumber('rig');
    Route::get('rigs/{rig}/card', [RigFileController::class, 'card'])->whereNumber('rig');
    Route::post('rig-files', [RigFileController::class, 'store']);
    Route::get('crafts', [CraftController::class, 'index']);
    Route::get('crafts/ordinary', [CraftController::class, 'ordinary']);
    Route::post('crafts', [CraftController::class, 'store']);
    Route::put('crafts/{craft}', [CraftController::class, 'update'])->whereNumber('craft');
    Route::post('crafts/{craft}/step-tests', [CraftController::class, 'stepTest'])->whereNumber('craft');
    Route::post('hover-points', [CraftController::class, 'hoverPoint']);
    Route::get('judging', [JudgingController::class, 'show']);
    Route::put('judging', [JudgingController::class, 'update']);
    Route::put('house', [HouseController::class, 'school']);
    Route::put('operators/{operator}/house', [HouseController::class, 'operator'])->whereNumber('operator');

    Route::get('moves', [MoveController::class, 'index']);
    Route::get('moves/{move}/lesson', [MoveController::class, 'lesson'])->where('move', '[a-z-]+');
    Route::get('combinations', [MoveController::class, 'combinations']);
    Route::get('glossary', [MoveController::class, 'glossary']);
    Route::post('compositions', [PlanController::class, 'compose']);
    Route::post('plans', [PlanController::class, 'store']);
    Route::post('expectations', [PlanController::class, 'expect']);
    Route::post('readings', [PlanController::class, 'read']);

    Route::get('shots', [ShotController::class, 'index']);
    Route::post('shots', [ShotController::class, 'store']);
    Route::get('shots/{shot}', [ShotController::class, 'show'])->whereNumber('shot');
    Route::put('shots/{shot}', [ShotController::class, 'update'])->whereNumber('shot');
    Route::delete('shots/{shot}', [ShotController::class, 'destroy'])->whereNumber('shot');
    Route::get(
        'shots/{shot}/files/{format}', [ShotFileController::class, 'show'],
    )->whereNumber('shot')->where('format', 'json|geojson|kml|gpx|csv|vtt');
    Route::get('shots/{shot}/card', [ShotFileController::class, 'card'])->whereNumber('shot');
    Route::post('shot-files', [ShotFileController::class, 'store']);
    Route::get('shots/{shot}/comparison', [ShotController::class, 'comparison'])->whereNumber('shot');
    Route::post('shots/{shot}/flights', [ShotController::class, 'fly'])->whereNumber('shot');

    Route::get('imports', [ImportController::class, 'index']);
    Route::post('imports', [ImportController::class, 'store']);
    Route::get('imports/{import}', [ImportController::class, 'show'])->whereNumber('import');
    Route::put('imports/{import}/columns', [ImportController::class, 'columns'])->whereNumber('import');
    Route::put('imports/{import}/reading', [ImportController::class, 'reading'])->whereNumber('import');
    Route::put('imports/{import}/takes/{number}', [ImportController::class, 'take'])->whereNumber(['import', 'number']);

    Route::get('column-mappings', [ColumnMappingController::class, 'index']);
    Route::put('column-mappings/{mapping}', [ColumnMappingController::class, 'update'])->whereNumber('mapping');
    Route::delete('column-mappings/{mapping}', [ColumnMappingController::class, 'destroy'])->whereNumber('mapping');

    Route::get('remembered-readings', [RememberedReadingController::class, 'index']);
    Route::delete('remembered-readings/{reading}', [RememberedReadingController::class, 'destroy'])->whereNumber('reading');

    Route::get('trend', [TakeController::class, 'trend']);
    Route::get('takes', [TakeController::class, 'index']);
    Route::get('takes/{take}', [TakeController::class, 'show'])->whereNumber('take');
    Route::patch('takes/{take}', [TakeController::class, 'update'])->whereNumber('take');
    Route::get('takes/{take}/replay', [TakeController::class, 'replay'])->whereNumber('take');
    Route::get('takes/{take}/bob', [TakeController::class, 'bob'])->whereNumber('take');
    Route::get('takes/{take}/log', [TakeController::class, 'log'])->whereNumber('take');
    Route::post('takes/{take}/comments', [TakeController::class, 'comment'])->whereNumber('take');
});
