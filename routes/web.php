<?php

use App\Http\Controllers\AnalysisController;
use App\Http\Controllers\ApplianceController;
use App\Http\Controllers\AssignmentController;
use App\Http\Controllers\BaselineController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\DebriefController;
use App\Http\Controllers\HomeController;
use App\Http\Controllers\PairsController;
use App\Http\Controllers\SessionController;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function () {
    Route::get('/login', [SessionController::class, 'create'])->name('login');
    Route::post('/login', [SessionController::class, 'store'])->middleware('throttle:sign-in');
});

Route::middleware(['auth', 'throttle:work'])->group(function () {
    Route::post('/logout', [SessionController::class, 'destroy']);
    Route::get('/', HomeController::class);

    Route::get('/models', [ApplianceController::class, 'index']);
    Route::get('/models/{appliance}', [ApplianceController::class, 'show']);
    Route::get('/models/{appliance}/preview', [ApplianceController::class, 'preview']);

    Route::get('/models/{appliance}/analysis', [AnalysisController::class, 'show']);
    Route::post('/models/{appliance}/analysis', [AnalysisController::class, 'store']);

    Route::post('/jobs', [AssignmentController::class, 'store']);
    Route::get('/jobs/{assignment}', [AssignmentController::class, 'show']);
    Route::post('/jobs/{assignment}/attempt', [BenchController::class, 'start']);

    Route::get('/attempts/{attempt}', [BenchController::class, 'show']);
    Route::post('/attempts/{attempt}/acts', [BenchController::class, 'act']);
    Route::post('/attempts/{attempt}/play', [BenchController::class, 'play']);
    Route::post('/attempts/{attempt}/next', [BenchController::class, 'next']);
    Route::get('/attempts/{attempt}/debrief', DebriefController::class);
    Route::get('/attempts/{attempt}/pairs', [PairsController::class, 'show']);
    Route::post('/attempts/{attempt}/pairs', [PairsController::class, 'store']);
});

if (config('spark.bench')) { // only on the site that ./spark bench starts for itself
    Route::post('/bench/baseline', BaselineController::class)->middleware('auth');
}
