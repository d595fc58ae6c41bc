<?php

use App\Http\Controllers\AnalysisController;
use App\Http\Controllers\ApplianceController;
use App\Http\Controllers\AssignmentController;
use App\Http\Controllers\BaselineController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\DebriefController;
use App\Http\Controllers\HomeController;
use App\Http\Controllers\MarkController;
use App\Http\Controllers\OverrideController;
use App\Http\Controllers\PairsController;
use App\Http\Controllers\ReferenceController;
use App\Http\Controllers\RuleSetController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\WarmUpController;
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
    Route::get('/jobs/{assignment}/marks', [MarkController::class, 'show']);
    Route::post('/jobs/{assignment}/marks', [MarkController::class, 'store']);
    Route::get('/jobs/{assignment}/marks.csv', [MarkController::class, 'csv']);
    Route::get('/courses/{course}/marks.csv', [MarkController::class, 'courseCsv']);
    Route::post('/warm-up', [WarmUpController::class, 'store']);
    Route::get('/reference', [ReferenceController::class, 'show']);
    Route::post('/reference/sums/{sum}', [ReferenceController::class, 'sum']);
    Route::get('/rules', [RuleSetController::class, 'index']);
    Route::post('/rules', [RuleSetController::class, 'store']);
    Route::post('/jobs/{assignment}/attempt', [BenchController::class, 'start']);

    Route::get('/attempts/{attempt}', [BenchController::class, 'show']);
    Route::post('/attempts/{attempt}/acts', [BenchController::class, 'act']);
    Route::post('/attempts/{attempt}/play', [BenchController::class, 'play']);
    Route::post('/attempts/{attempt}/next', [BenchController::class, 'next']);
    Route::get('/attempts/{attempt}/debrief', [DebriefController::class, 'show']);
    Route::get('/attempts/{attempt}/debrief.pdf', [DebriefController::class, 'pdf']);
    Route::get('/attempts/{attempt}/drift', [DebriefController::class, 'drift']);
    Route::get('/attempts/{attempt}/marking', [DebriefController::class, 'marking']);
    Route::get('/attempts/{attempt}/xapi', [MarkController::class, 'xapi']);
    Route::post('/attempts/{attempt}/overrides', [OverrideController::class, 'store']);
    Route::get('/attempts/{attempt}/pairs', [PairsController::class, 'show']);
    Route::post('/attempts/{attempt}/pairs', [PairsController::class, 'store']);
});

if (config('spark.bench')) { // only on the site that ./spark bench starts for itself
    Route::post('/bench/baseline', BaselineController::class)->middleware('auth');
}
