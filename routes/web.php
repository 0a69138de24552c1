<?php

declare(strict_types=1);

use App\Http\Controllers\BenchController;
use App\Http\Controllers\BuildController;
use App\Http\Controllers\ClippingController;
use App\Http\Controllers\FindingController;
use App\Http\Controllers\LibraryController;
use App\Http\Controllers\LineController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PartController;
use App\Http\Controllers\PartFileController;
use App\Http\Controllers\PartMergeController;
use App\Http\Controllers\PowerController;
use App\Http\Controllers\RuleController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SheetController;
use App\Http\Middleware\OnlyHere;
use App\Sheets\SheetOut;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::get('nothing', [PageController::class, 'nothing']);
    Route::get('session', [SessionController::class, 'show']);
    Route::middleware('throttle:sign-in')->group(function (): void {
        Route::post('register', [SessionController::class, 'register']);
        Route::post('open-account', [SessionController::class, 'open']);
        Route::post('sign-in', [SessionController::class, 'signIn']);
        Route::post('forgot-password', [SessionController::class, 'forgot']);
        Route::post('new-password', [SessionController::class, 'newPassword']);
    });
    Route::middleware(OnlyHere::class)->group(function (): void {
        Route::post('demo-door', [SessionController::class, 'demo']);
        Route::get('mailbox', [SessionController::class, 'mailbox']);
    });

    Route::middleware('auth')->group(function (): void {
        Route::post('sign-out', [SessionController::class, 'signOut']);
        Route::post('sign-out-everywhere', [SessionController::class, 'signOutEverywhere']);
        Route::delete('account', [SessionController::class, 'throwAway'])->middleware('throttle:sign-in');
        Route::put('password', [SessionController::class, 'changePassword'])->middleware('throttle:sign-in');
        Route::get('parts', [LibraryController::class, 'search']);
        Route::post('parts', [PartController::class, 'store']);
        Route::get('parts/file', [PartController::class, 'exportFile']);
        Route::post('parts/imports/preview', [PartController::class, 'preview']);
        Route::post('parts/imports', [PartController::class, 'import']);
        Route::get('parts/sheet.{format}', [SheetController::class, 'ofLibrary'])->whereIn('format', array_keys(SheetOut::FORMATS));
        Route::post('parts/sheet', [SheetController::class, 'intoLibrary']);
        Route::post('sheets', [SheetController::class, 'preview']);
        Route::get('parts/{part}', [PartController::class, 'show'])->whereNumber('part');
        Route::post('parts/{part}/copy', [PartController::class, 'copy'])->whereNumber('part');
        Route::prefix('parts/{part}')->whereNumber('part')->middleware('can:touch,part')->group(function (): void {
            Route::put('', [PartController::class, 'update']);
            Route::delete('', [PartController::class, 'destroy']);
            Route::post('restore', [PartController::class, 'restore'])->withTrashed();
            Route::get('merge/{other}', [PartMergeController::class, 'show'])->whereNumber('other');
            Route::post('merge', [PartMergeController::class, 'store']);
            Route::post('changes/{change}/back', [PartMergeController::class, 'back'])->whereNumber('change');
            Route::post('files', [PartFileController::class, 'add']);
            Route::get('files/{file}', [PartFileController::class, 'show'])->whereNumber('file');
            Route::delete('files/{file}', [PartFileController::class, 'remove'])->whereNumber('file');
            Route::post('files/{file}/restore', [PartFileController::class, 'restore'])->whereNumber('file');
        });
        Route::get('comparison', [PartController::class, 'compare']);
        Route::post('logs/preview', [BenchController::class, 'previewLog']);
        Route::get('facets', [RuleController::class, 'facets']);
        Route::post('clippings', [ClippingController::class, 'read']);
        Route::post('typed', [RuleController::class, 'typed']);
        Route::get('rules', [RuleController::class, 'index']);
        Route::get('rules/{rule}', [RuleController::class, 'show'])->where('rule', '[a-z.-]+');
        Route::get('vocabulary', [LibraryController::class, 'vocabulary']);
        Route::get('vendors', [LibraryController::class, 'vendors']);
        Route::get('builds', [BuildController::class, 'index']);
        Route::post('builds', [BuildController::class, 'store']);
        Route::post('imports/preview', [BuildController::class, 'preview']);
        Route::post('imports', [BuildController::class, 'import']);

        Route::prefix('builds/{build}')->middleware('can:touch,build')->group(function (): void {
            Route::get('', [BuildController::class, 'show']);
            Route::delete('', [BuildController::class, 'discard']);
            Route::post('restore', [BuildController::class, 'restore'])->withTrashed();
            Route::put('brief', [BuildController::class, 'brief']);
            Route::put('at-hand', [BuildController::class, 'atHand']);
            Route::put('margins', [BuildController::class, 'margins']);
            Route::post('look', [BuildController::class, 'look']);
            Route::put('joins', [LineController::class, 'settle']);
            Route::delete('joins', [LineController::class, 'unsettle']);
            Route::get('power', [PowerController::class, 'show']);
            Route::get('power/band', [PowerController::class, 'band']);
            Route::get('power/sizing', [PowerController::class, 'sizing']);
            Route::put('profiles', [PowerController::class, 'profiles']);
            Route::get('bench', [BenchController::class, 'show']);
            Route::get('bench/simulated', [BenchController::class, 'simulated']);
            Route::post('readings', [BenchController::class, 'write']);
            Route::delete('readings/{reading}', [BenchController::class, 'remove']);
            Route::post('readings/{reading}/restore', [BenchController::class, 'restore']);
            Route::get('readings/{reading}/effect', [BenchController::class, 'effect']);
            Route::post('readings/{reading}/use', [BenchController::class, 'use']);
            Route::delete('readings/{reading}/use', [BenchController::class, 'useNoMore']);
            Route::get('readings/{reading}/photo', [BenchController::class, 'photo']);
            Route::put('ticks', [BuildController::class, 'tick']);
            Route::get('file', [BuildController::class, 'exportFile']);
            Route::get('parts.{format}', [SheetController::class, 'ofBuild'])->whereIn('format', array_keys(SheetOut::FORMATS));
            Route::post('sheet', [SheetController::class, 'intoBuild']);
            Route::get('candidates', [FindingController::class, 'candidates']);
            Route::get('fits', [FindingController::class, 'fits']);
            Route::get('grid', [FindingController::class, 'grid']);
            Route::get('steps', [FindingController::class, 'steps']);
            Route::get('finding', [FindingController::class, 'show']);
            Route::get('remedies', [FindingController::class, 'remedies']);
            Route::post('lines', [LineController::class, 'add']);
            Route::post('lines/many', [LineController::class, 'many']);
            Route::post('own', [LineController::class, 'addOwn']);
            Route::post('remedy', [LineController::class, 'remedy']);
            Route::post('wanted', [LineController::class, 'want']);
            Route::patch('lines/{line}', [LineController::class, 'change']);
            Route::delete('lines/{line}', [LineController::class, 'remove']);
            Route::put('lines/{line}/figures', [LineController::class, 'measure']);
            Route::get('lines/{line}/part', [LineController::class, 'part']);
            Route::put('lines/{line}/part', [LineController::class, 'changePart']);
            Route::post('lines/{line}/swap', [LineController::class, 'swap']);
            Route::post('lines/{line}/mine', [LineController::class, 'haveOne']);
            Route::post('lines/{line}/choose', [LineController::class, 'choose']);
            Route::post('lines/{line}/restore', [LineController::class, 'restore']);
        });
    });
    Route::any('{anything?}', static fn () => abort(404))->where('anything', '.*');
});

Route::get('{anything?}', [PageController::class, 'page'])->where('anything', '.*');
