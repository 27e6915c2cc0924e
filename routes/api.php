<?php

use App\Http\Controllers\DiaryController;
use App\Http\Controllers\DoorController;
use App\Http\Controllers\ReadingsController;
use Illuminate\Support\Facades\Route;

// What machines ask for: no session, no cookie, only a key of their own.
Route::post('api/readings', [ReadingsController::class, 'take'])->middleware('small');
Route::get('feeds/{token}.ics', [DiaryController::class, 'feed'])->where('token', '[A-Za-z0-9]{40}');

// Drawn at the door while somebody signs in: an answer with a cookie of before would take the new one away again.
Route::get('api/example', [DoorController::class, 'example'])->middleware('small');
