<?php

use App\Http\Controllers\DiaryController;
use App\Http\Controllers\DoorController;
use App\Http\Controllers\HostController;
use App\Http\Controllers\ReadingsController;
use Illuminate\Support\Facades\Route;

// What machines ask for: no session, no cookie, only a key of their own.
Route::post('api/readings', [ReadingsController::class, 'take'])->middleware('small');
Route::get('feeds/{token}.ics', [DiaryController::class, 'feed'])->where('token', '[A-Za-z0-9]{40}');

// What watches over the machine asks these.
Route::get('health/live', [HostController::class, 'live']);
Route::get('health/ready', [HostController::class, 'ready']);
Route::get('metrics', [HostController::class, 'metrics']);

// A file that is not there: no page of the interface has an ending, and what is no page starts no session.
Route::get('{file}', fn () => response("There is no such file here.\n", 404, ['Content-Type' => 'text/plain; charset=utf-8']))->where(
    'file',
    '(?!api/|feeds/).*\.[A-Za-z0-9]{1,8}',
);

// Drawn at the door while somebody signs in: an answer with a cookie of before would take the new one away again.
Route::get('api/example', [DoorController::class, 'example'])->middleware('small');
