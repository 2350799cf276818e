<?php

/** The API, version 1. Everything but signing in needs someone signed in; everything stays within their school. */

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\ColumnMappingController;
use App\Http\Controllers\CraftController;
use App\Http\Controllers\DayController;
use App\Http\Controllers\FeedController;
use App\Http\Controllers\FirstStartController;
use App\Http\Controllers\HouseController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\InvitationController;
use App\Http\Controllers\JudgingController;
use App\Http\Controllers\KeptFilterController;
use App\Http\Controllers\LadderController;
use App\Http\Controllers\LessonController;
use App\Http\Controllers\LightController;
use App\Http\Controllers\LogbookController;
use App\Http\Controllers\MoveController;
use App\Http\Controllers\OutsideController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PracticeController;
use App\Http\Controllers\ProgressController;
use App\Http\Controllers\RememberedReadingController;
use App\Http\Controllers\RigController;
use App\Http\Controllers\RigFileController;
use App\Http\Controllers\RunningController;
use App\Http\Controllers\SchoolController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShotController;
use App\Http\Controllers\ShotFileController;
use App\Http\Controllers\SiteController;
use App\Http\Controllers\TakeController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\TokenController;
use App\Http\Middleware\GuardAccount;
use Illuminate\Support\Facades\Route;

Route::middleware('throttle:sign-in')->group(static function (): void {
    Route::post('session', [SessionController::class, 'store']);
    Route::post('first-start/school', [FirstStartController::class, 'school']);
    Route::post('first-start/demo', [FirstStartController::class, 'demo']);
});
Route::middleware('throttle:strangers')->group(static function (): void {
    Route::post('password/forgot', [PasswordController::class, 'forgot']);
    Route::post('password/reset', [PasswordController::class, 'reset']);
});
// Asked by every page that signs somebody in: a class of thirty comes from one address.
Route::get('first-start', [FirstStartController::class, 'show'])->middleware('throttle:asked');
Route::middleware('throttle:links')->group(static function (): void {
    Route::post('links/invitation', [InvitationController::class, 'read']);
    Route::put('links/invitation', [InvitationController::class, 'take']);
});

Route::middleware(['auth:sanctum', GuardAccount::class, 'throttle:asked'])->group(static function (): void {
    Route::delete('session', [SessionController::class, 'destroy']);
    Route::get('me', [SessionController::class, 'show']);
    Route::patch('me', [SessionController::class, 'update']);

    Route::get('account', [AccountController::class, 'show']);
    Route::get('account/sign-ins', [AccountController::class, 'signIns']);
    Route::delete('account/sign-ins', [AccountController::class, 'endOthers']);
    Route::delete('account/sign-ins/{signIn}', [AccountController::class, 'endSignIn'])->whereNumber('signIn');
    Route::get('account/copies', [AccountController::class, 'copies']);
    Route::get('account/copies/{copy}', [AccountController::class, 'takeCopy'])->whereNumber('copy');
    Route::post('account/calendar', [FeedController::class, 'store'])->middleware('throttle:sent');
    Route::delete('account/calendar', [FeedController::class, 'destroy']);
    // Whatever asks for a password can be guessed at.
    Route::middleware('throttle:passwords')->group(static function (): void {
        Route::put('account/password', [AccountController::class, 'password']);
        Route::post('account/second-factor', [AccountController::class, 'beginFactor']);
        Route::put('account/second-factor', [AccountController::class, 'confirmFactor']);
        Route::delete('account/second-factor', [AccountController::class, 'endFactor']);
        Route::post('account/school', [AccountController::class, 'goToSchool']);
        Route::delete('account', [AccountController::class, 'destroy']);
        Route::post('account/copies', [AccountController::class, 'copy']);
        Route::post('people/{person}/copies', [PeopleController::class, 'copy'])->whereNumber('person');
    });
    Route::get('tokens', [TokenController::class, 'index']);
    Route::post('tokens', [TokenController::class, 'store']);
    Route::delete('tokens/{token}', [TokenController::class, 'destroy'])->whereNumber('token');

    Route::get('school', [SchoolController::class, 'show']);
    Route::put('school', [SchoolController::class, 'update']);
    Route::get('trail', [SchoolController::class, 'trail']);
    Route::post('demo-school', [SchoolController::class, 'addDemo']);
    Route::delete('demo-school', [SchoolController::class, 'removeDemo']);
    Route::get('people', [PeopleController::class, 'index']);
    Route::put('people/{person}', [PeopleController::class, 'update'])->whereNumber('person');
    Route::delete('people/{person}', [PeopleController::class, 'destroy'])->whereNumber('person');
    Route::post('people/{person}/hand-over', [PeopleController::class, 'handOver'])->whereNumber('person');
    Route::get('invitations', [InvitationController::class, 'index']);
    Route::post('invitations', [InvitationController::class, 'store'])->middleware('throttle:sent');
    Route::delete('invitations/{invitation}', [InvitationController::class, 'destroy'])->whereNumber('invitation');

    Route::get('progress', [ProgressController::class, 'show']);
    Route::get('next', [ProgressController::class, 'next']);
    Route::post('next/declined', [ProgressController::class, 'decline'])->middleware('throttle:sent');
    Route::get('class', [ProgressController::class, 'group']);
    Route::get('class/cohorts', [ProgressController::class, 'cohorts']);
    Route::get('ladder', [LadderController::class, 'show']);
    Route::post('ladder/steps/{step}/sayings', [LadderController::class, 'say'])->where('step', '[a-z0-9-]+');
    Route::get('ladder/certificate', [LadderController::class, 'certificate'])->middleware('throttle:costly');
    Route::get('school/ladder', [LadderController::class, 'edit']);
    Route::put('school/ladder', [LadderController::class, 'save']);
    Route::post('school/ladder/effects', [LadderController::class, 'effects'])->middleware('throttle:costly');
    Route::get('lessons', [LessonController::class, 'index']);
    Route::post('lessons', [LessonController::class, 'store']);
    Route::put('lessons/{lesson}', [LessonController::class, 'update'])->whereNumber('lesson');
    Route::delete('lessons/{lesson}', [LessonController::class, 'destroy'])->whereNumber('lesson');
    Route::put('lessons/{lesson}/mine', [LessonController::class, 'answerMine'])->whereNumber('lesson');
    Route::get('logbook', [LogbookController::class, 'show']);
    Route::get('logbook/file', [LogbookController::class, 'file'])->middleware('throttle:costly');
    Route::post('logbook/file', [LogbookController::class, 'read'])->middleware('throttle:costly');
    Route::get('kept-filters', [KeptFilterController::class, 'index']);
    Route::post('kept-filters', [KeptFilterController::class, 'store'])->middleware('throttle:sent');
    Route::delete('kept-filters/{filter}', [KeptFilterController::class, 'destroy'])->whereNumber('filter');
    Route::post('own-entries', [LogbookController::class, 'store'])->middleware('throttle:sent');
    Route::delete('own-entries/{entry}', [LogbookController::class, 'destroy'])->whereNumber('entry');

    Route::get('running', [RunningController::class, 'show']);
    Route::get('today', [TodayController::class, 'today']);
    Route::post('notices/seen', [TodayController::class, 'seenNotices']);
    Route::get('operators', [TodayController::class, 'operators']);

    Route::get('sites', [SiteController::class, 'index']);
    Route::post('sites', [SiteController::class, 'store']);
    Route::get('sites/{site}', [SiteController::class, 'show'])->whereNumber('site');
    Route::put('sites/{site}', [SiteController::class, 'update'])->whereNumber('site');
    Route::delete('sites/{site}', [SiteController::class, 'destroy'])->whereNumber('site');
    Route::get('sites/{site}/file', [SiteController::class, 'file'])->whereNumber('site');
    Route::post('site-readings', [SiteController::class, 'reading']);
    Route::post('site-imports', [SiteController::class, 'import'])->middleware('throttle:costly');
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
    Route::get('days/{day}/log', [DayController::class, 'log'])->whereNumber('day');
    Route::get('days/{day}/calendar', [DayController::class, 'calendar'])->whereNumber('day');
    Route::get('days/{day}/sheet', [DayController::class, 'sheet'])->whereNumber('day')->middleware('throttle:costly');

    Route::get('rigs', [RigController::class, 'index']);
    Route::get('rigs/{rig}', [RigController::class, 'show'])->whereNumber('rig');
    Route::post('rigs/{rig}/reading', [RigController::class, 'reading'])->whereNumber('rig');
    Route::post('rigs/{rig}/sheet', [RigController::class, 'sheet'])->whereNumber('rig');
    Route::post('rigs/{rig}/advice', [RigController::class, 'advice'])->whereNumber('rig')->middleware('throttle:costly');
    Route::post('rigs/{rig}/versions', [RigController::class, 'save'])->whereNumber('rig');
    Route::get('rigs/{rig}/starting-sets', [RigController::class, 'startingSets'])->whereNumber('rig');
    Route::get('rigs/{rig}/history', [RigController::class, 'history'])->whereNumber('rig');
    Route::get('rigs/{rig}/comparison', [RigController::class, 'comparison'])->whereNumber('rig');
    Route::get('rigs/{rig}/file', [RigFileController::class, 'show'])->whereNumber('rig');
    Route::get('rigs/{rig}/card', [RigFileController::class, 'card'])->whereNumber('rig')->middleware('throttle:costly');
    Route::post('rig-files', [RigFileController::class, 'store']);
    Route::get('crafts', [CraftController::class, 'index']);
    Route::get('crafts/ordinary', [CraftController::class, 'ordinary']);
    Route::post('crafts', [CraftController::class, 'store']);
    Route::put('crafts/{craft}', [CraftController::class, 'update'])->whereNumber('craft');
    Route::delete('crafts/{craft}', [CraftController::class, 'destroy'])->whereNumber('craft');
    Route::post('crafts/{craft}/sharing', [CraftController::class, 'share'])->whereNumber('craft');
    Route::post('crafts/{craft}/step-tests', [CraftController::class, 'stepTest'])->whereNumber('craft')->middleware('throttle:costly');
    Route::post('hover-points', [CraftController::class, 'hoverPoint']);
    Route::get('judging', [JudgingController::class, 'show']);
    Route::put('judging', [JudgingController::class, 'update']);
    Route::put('house', [HouseController::class, 'school']);
    Route::put('gates', [HouseController::class, 'gates']);
    Route::get('house-style', [HouseController::class, 'style']);
    Route::put('house-style', [HouseController::class, 'hold']);
    Route::put('operators/{operator}/house', [HouseController::class, 'operator'])->whereNumber('operator');

    Route::get('moves', [MoveController::class, 'index']);
    Route::get('machine-moves', [MoveController::class, 'machine']);
    Route::get('moves/{move}/lesson', [MoveController::class, 'lesson'])->where('move', '[a-z-]+');
    Route::get('combinations', [MoveController::class, 'combinations']);
    Route::get('glossary', [MoveController::class, 'glossary']);
    Route::post('compositions', [PlanController::class, 'compose']);
    Route::post('plans', [PlanController::class, 'store']);
    Route::post('drafts', [PlanController::class, 'begin'])->middleware('throttle:costly');
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
    Route::get('shots/{shot}/card', [ShotFileController::class, 'card'])->whereNumber('shot')->middleware('throttle:costly');
    Route::post('shot-files', [ShotFileController::class, 'store']);
    Route::get('shots/{shot}/comparison', [ShotController::class, 'comparison'])->whereNumber('shot');
    Route::post('shots/{shot}/flights', [ShotController::class, 'fly'])->whereNumber('shot')->middleware('throttle:costly');

    Route::post('exercises', [PracticeController::class, 'exercise']);
    Route::post('recordings', [PracticeController::class, 'record'])->middleware('throttle:sent');
    Route::get('recordings/{recording}/file', [PracticeController::class, 'file'])->whereNumber('recording');
    Route::post('rehearsals', [PracticeController::class, 'rehearse'])->middleware('throttle:sent');
    Route::get('shots/{shot}/pair', [PracticeController::class, 'pair'])->whereNumber('shot')->middleware('throttle:costly');
    Route::post('spottings', [PracticeController::class, 'spot'])->middleware('throttle:costly');
    Route::put('spottings/{spotting}', [PracticeController::class, 'answerSpotting'])->whereNumber('spotting');
    Route::get('spottings/record', [PracticeController::class, 'spottingRecord']);

    Route::get('imports', [ImportController::class, 'index']);
    Route::post('imports', [ImportController::class, 'store'])->middleware('throttle:sent');
    Route::get('imports/{import}', [ImportController::class, 'show'])->whereNumber('import');
    Route::post('imports/{import}/again', [ImportController::class, 'again'])->whereNumber('import');
    Route::delete('imports/{import}', [ImportController::class, 'destroy'])->whereNumber('import');
    Route::put('imports/{import}/columns', [ImportController::class, 'columns'])->whereNumber('import');
    Route::put('imports/{import}/reading', [ImportController::class, 'reading'])->whereNumber('import');
    Route::put('imports/{import}/takes/{number}', [ImportController::class, 'take'])->whereNumber(['import', 'number']);

    Route::get('column-mappings', [ColumnMappingController::class, 'index']);
    Route::put('column-mappings/{mapping}', [ColumnMappingController::class, 'update'])->whereNumber('mapping');
    Route::delete('column-mappings/{mapping}', [ColumnMappingController::class, 'destroy'])->whereNumber('mapping');

    Route::get('remembered-readings', [RememberedReadingController::class, 'index']);
    Route::delete('remembered-readings/{reading}', [RememberedReadingController::class, 'destroy'])->whereNumber('reading');

    Route::get('takes', [TakeController::class, 'index']);
    Route::get('takes/{take}', [TakeController::class, 'show'])->whereNumber('take');
    Route::patch('takes/{take}', [TakeController::class, 'update'])->whereNumber('take');
    Route::get('takes/{take}/replay', [TakeController::class, 'replay'])->whereNumber('take');
    Route::get('takes/{take}/bob', [TakeController::class, 'bob'])->whereNumber('take');
    Route::get('takes/{take}/log', [TakeController::class, 'log'])->whereNumber('take');
    Route::post('takes/{take}/comments', [TakeController::class, 'comment'])->whereNumber('take');
});
