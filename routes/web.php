<?php

use App\Http\Controllers\AlmanacController;
use App\Http\Controllers\BatchController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\CookersController;
use App\Http\Controllers\DiaryController;
use App\Http\Controllers\DoorController;
use App\Http\Controllers\HouseController;
use App\Http\Controllers\LabelController;
use App\Http\Controllers\MeltController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PressController;
use App\Http\Controllers\RecipesController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\StoresController;
use App\Http\Controllers\StoveController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\WatchController;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::middleware('small')->group(function (): void {
        Route::get('me', [DoorController::class, 'me']);
        Route::post('demo', [DoorController::class, 'enterDemo'])->middleware('throttle:60,1');
        Route::middleware('throttle:door')->group(function (): void {
            Route::post('accounts', [DoorController::class, 'makeAccount']);
            Route::post('session', [DoorController::class, 'signIn']);
            Route::get('invitations/{token}', [DoorController::class, 'invitation']);
            Route::post('resets/{token}', [DoorController::class, 'reset']);
        });
        Route::middleware(['auth', 'once'])->group(function (): void {
            Route::delete('session', [DoorController::class, 'signOut']);
            Route::put('me/password', [DoorController::class, 'changePassword'])->middleware('throttle:door');
            Route::patch('me', [DoorController::class, 'changeMe']);
            Route::post('houses', [DoorController::class, 'makeHouse']);
            Route::post('invitations/{token}', [DoorController::class, 'accept']);
        });
    });

    Route::prefix('houses/{house}')
        ->middleware(['auth', 'house'])
        ->group(function (): void {
            Route::middleware(['small', 'can:view'])->group(function (): void {
                Route::get('', [HouseController::class, 'show']);
                Route::get('people', [PeopleController::class, 'index']);
                Route::get('materials', [BenchController::class, 'materials']);
                Route::post('reckon', [BenchController::class, 'reckon']);
                Route::post('ways', [BenchController::class, 'ways']);
                Route::get('oils', [BenchController::class, 'oils']);
                Route::post('wilting', [BenchController::class, 'wilting']);
                Route::post('card', [BenchController::class, 'card']);
                Route::post('card.pdf', [BenchController::class, 'cardPdf']);
                Route::get('melt', [MeltController::class, 'show']);
                Route::post('melt/reckon', [MeltController::class, 'reckon']);
                Route::post('melt/mend', [MeltController::class, 'mend']);
                Route::post('melt/read', [MeltController::class, 'read']);
                Route::get('stores', [StoresController::class, 'index']);
                Route::get('stores.csv', [StoresController::class, 'csv']);
                Route::get('lots/{lot}', [StoresController::class, 'show']);
                Route::get('recipes', [RecipesController::class, 'index']);
                Route::post('recipes/read', [RecipesController::class, 'read']);
                Route::get('recipes/{recipe}', [RecipesController::class, 'show']);
                Route::get('recipes/{recipe}/recipe.json', [RecipesController::class, 'file']);
                Route::get('recipes/{recipe}/recipe.jsonld', [RecipesController::class, 'schemaOrg']);
                Route::get('today', [TodayController::class, 'show']);
                Route::get('diary', [DiaryController::class, 'show']);
                Route::get('diary.ics', [DiaryController::class, 'file']);
                Route::get('stove', [StoveController::class, 'index']);
                Route::get('cautions', [StoveController::class, 'cautions']);
                Route::post('stove/outlook', [StoveController::class, 'outlook']);
                Route::get('stove/{session}', [StoveController::class, 'show']);
                Route::get('shelf', [ShelfController::class, 'show']);
                Route::get('press', [ShelfController::class, 'press']);
                Route::get('find', [ShelfController::class, 'find']);
                Route::get('batches/{batch}', [BatchController::class, 'show']);
                Route::get('sun', [WatchController::class, 'here']);
                Route::get('batches/{batch}/warmth', [WatchController::class, 'warmth']);
                Route::get('batches/{batch}/sun', [WatchController::class, 'sun']);
                Route::get('batches/{batch}/looks', [WatchController::class, 'looks']);
                Route::get('batches/{batch}/photos/{photo}', [WatchController::class, 'photo']);
                Route::get('batches/{batch}/again', [BatchController::class, 'again']);
                Route::post('batches/{batch}/filling', [PressController::class, 'filling']);
                Route::post('batches/{batch}/faults', [PressController::class, 'faults']);
                Route::get('faults', [PressController::class, 'faultSigns']);
                Route::post('faults', [PressController::class, 'faultsOfAnything']);
                Route::get('yields', [PressController::class, 'yields']);
                Route::get('yields/one', [PressController::class, 'oneYield']);
                Route::get('scale', [PressController::class, 'scale']);
                Route::get('almanac', [AlmanacController::class, 'index']);
                Route::get('almanac/{kind}/{key}', [AlmanacController::class, 'show']);
                Route::get('batches/{batch}/label', [LabelController::class, 'show']);
                Route::get('batches/{batch}/labels.png', [LabelController::class, 'printed']);
                Route::get('batches/{batch}/card', [LabelController::class, 'card']);
                Route::get('batches/{batch}/card.pdf', [LabelController::class, 'cardPdf']);
                Route::get('batches/{batch}/tag.pdf', [LabelController::class, 'tag']);
                Route::get('batches/{batch}/labels.pdf', [LabelController::class, 'labels']);
                Route::get('batches/{batch}/code.svg', [LabelController::class, 'code']);
            });
            Route::middleware(['small', 'can:work', 'once'])->group(function (): void {
                Route::post('lots', [StoresController::class, 'add']);
                Route::patch('lots/{lot}', [StoresController::class, 'edit']);
                Route::delete('lots/{lot}', [StoresController::class, 'remove']);
                Route::post('lots/{lot}/count', [StoresController::class, 'count']);
                Route::post('lots/{lot}/checks', [StoresController::class, 'check']);
                Route::post('recipes', [RecipesController::class, 'save']);
                Route::patch('recipes/{recipe}', [RecipesController::class, 'edit']);
                Route::delete('recipes/{recipe}', [RecipesController::class, 'remove']);
                Route::post('batches', [BatchController::class, 'start']);
                Route::patch('batches/{batch}', [BatchController::class, 'edit']);
                Route::post('batches/{batch}/tasks', [BatchController::class, 'task']);
                Route::post('batches/{batch}/notes', [BatchController::class, 'note']);
                Route::post('batches/{batch}/undo', [BatchController::class, 'undo']);
                Route::post('batches/{batch}/strain', [BatchController::class, 'strain']);
                Route::post('batches/{batch}/bottle', [BatchController::class, 'bottle']);
                Route::post('batches/{batch}/decant', [PressController::class, 'decant']);
                Route::post('batches/{batch}/use', [PressController::class, 'use']);
                Route::post('batches/{batch}/check', [PressController::class, 'check']);
                Route::post('batches/{batch}/keep', [PressController::class, 'store']);
                Route::post('batches/{batch}/purpose', [PressController::class, 'purpose']);
                Route::post('batches/{batch}/acknowledge', [PressController::class, 'acknowledge']);
                Route::post('batches/{batch}/faults/note', [PressController::class, 'noteFault']);
                Route::put('batches/{batch}/label', [LabelController::class, 'set']);
                Route::post('scale', [PressController::class, 'useScale']);
                Route::put('almanac/{kind}/{key}/note', [AlmanacController::class, 'note']);
                Route::post('batches/{batch}/discard', [BatchController::class, 'discard']);
                Route::post('stove', [StoveController::class, 'start']);
                Route::post('stove/{session}/tend', [StoveController::class, 'tend']);
                Route::post('stove/{session}/reading', [StoveController::class, 'reading']);
                Route::post('stove/{session}/learn', [CookersController::class, 'learn']);
                Route::post('absences', [DiaryController::class, 'addAbsence']);
                Route::delete('absences/{absence}', [DiaryController::class, 'removeAbsence']);
                Route::delete('calendars/{calendar}', [DiaryController::class, 'forgetCalendar']);
                Route::post('diary/seen', [DiaryController::class, 'seen']);
                Route::post('today/shaken', [TodayController::class, 'shaken']);
            });
            Route::middleware(['small', 'can:manage', 'once'])->group(function (): void {
                Route::patch('', [HouseController::class, 'edit']);
                Route::post('jars', [HouseController::class, 'addJar']);
                Route::delete('jars/{jar}', [HouseController::class, 'removeJar']);
                Route::post('cookers', [CookersController::class, 'add']);
                Route::delete('cookers/{cooker}', [CookersController::class, 'remove']);
                Route::post('probes', [CookersController::class, 'addProbe']);
                Route::delete('probes/{probe}', [CookersController::class, 'removeProbe']);
                Route::post('diary/feed', [DiaryController::class, 'makeFeed']);
                Route::delete('diary/feed', [DiaryController::class, 'removeFeed']);
                Route::post('bottles', [HouseController::class, 'addBottle']);
                Route::delete('bottles/{bottle}', [HouseController::class, 'removeBottle']);
                Route::patch('people/{person}', [PeopleController::class, 'changeRole']);
                Route::delete('people/{person}', [PeopleController::class, 'remove']);
                Route::post('people/{person}/reset', [PeopleController::class, 'reset']);
                Route::post('invitations', [PeopleController::class, 'invite']);
                Route::delete('invitations/{invitation}', [PeopleController::class, 'withdraw']);
            });
            Route::post('batches/{batch}/looks', [WatchController::class, 'look'])->middleware(['can:work', 'small:8192', 'once']);
            Route::post('weather', [WatchController::class, 'weather'])->middleware(['can:work', 'small:6144', 'once']);
            Route::post('calendars', [DiaryController::class, 'readCalendar'])->middleware(['can:work', 'small:2048', 'once']);
            Route::post('stove/{session}/csv', [StoveController::class, 'csv'])->middleware(['can:work', 'small:6144', 'once']);
            Route::post('stores/csv', [StoresController::class, 'takeCsv'])->middleware(['can:work', 'small:6144', 'once']);
            Route::middleware('can:manage')->group(function (): void {
                Route::get('export', [HouseController::class, 'export']);
                Route::post('import', [HouseController::class, 'import'])->middleware(['small:20480', 'once']);
            });
        });

    Route::any('{any}', fn () => abort(404))->where('any', '.*');
});

Route::get('{any?}', PageController::class)->where('any', '.*');
