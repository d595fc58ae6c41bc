<?php

use App\Http\Controllers\AnalysisController;
use App\Http\Controllers\ApplianceController;
use App\Http\Controllers\AssignmentController;
use App\Http\Controllers\BaselineController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\DebriefController;
use App\Http\Controllers\DraftController;
use App\Http\Controllers\DraftFileController;
use App\Http\Controllers\DraftRunController;
use App\Http\Controllers\HomeController;
use App\Http\Controllers\MarkController;
use App\Http\Controllers\OverrideController;
use App\Http\Controllers\PairsController;
use App\Http\Controllers\PartKindController;
use App\Http\Controllers\ReferenceController;
use App\Http\Controllers\RuleSetController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\TaskController;
use App\Http\Controllers\UpController;
use App\Http\Controllers\WarmUpController;
use App\Http\Middleware\OneAtATime;
use Illuminate\Support\Facades\Route;

Route::get('/up', UpController::class)->withoutMiddleware('web');

Route::middleware('guest')->group(function () {
    Route::get('/login', [SessionController::class, 'create'])->name('login');
    Route::post('/login', [SessionController::class, 'store']);
});

Route::middleware(['auth', 'throttle:work', OneAtATime::class])->group(function () {
    Route::post('/logout', [SessionController::class, 'destroy']);
    Route::get('/', HomeController::class);

    Route::get('/tasks/{task}', TaskController::class);

    Route::get('/models', [ApplianceController::class, 'index']);
    Route::get('/models/{appliance}', [ApplianceController::class, 'show']);
    Route::get('/models/{appliance}/preview', [ApplianceController::class, 'preview']);

    Route::get('/models/{appliance}/analysis', [AnalysisController::class, 'show']);
    Route::post('/models/{appliance}/analysis', [AnalysisController::class, 'store']);

    Route::get('/drafts', [DraftController::class, 'index']);
    Route::post('/drafts', [DraftController::class, 'store']);
    Route::get('/drafts/{draft}', [DraftController::class, 'show']);
    Route::delete('/drafts/{draft}', [DraftController::class, 'destroy']);
    Route::get('/drafts/{draft}/kinds', [DraftController::class, 'kinds']);
    Route::post('/drafts/{draft}/edits', [DraftController::class, 'edit']);
    Route::post('/drafts/{draft}/go', [DraftController::class, 'go']);
    Route::get('/drafts/{draft}/history', [DraftController::class, 'history']);
    Route::get('/drafts/{draft}/difference', [DraftController::class, 'difference']);
    Route::post('/drafts/{draft}/restore', [DraftController::class, 'restore']);
    Route::post('/drafts/{draft}/label', [DraftController::class, 'label']);
    Route::post('/drafts/{draft}/presence', [DraftController::class, 'presence']);
    Route::post('/drafts/{draft}/publish', [DraftController::class, 'publish']);
    Route::get('/drafts/{draft}/checks', [DraftRunController::class, 'checks']);
    Route::get('/drafts/{draft}/ladder', [DraftRunController::class, 'ladder']);
    Route::get('/drafts/{draft}/run', [DraftRunController::class, 'run']);
    Route::get('/drafts/{draft}/moment', [DraftRunController::class, 'moment']);
    Route::get('/drafts/{draft}/why', [DraftRunController::class, 'why']);
    Route::get('/drafts/{draft}/faults', [DraftRunController::class, 'faults']);
    Route::get('/drafts/{draft}/safeties', [DraftRunController::class, 'safeties']);
    Route::get('/drafts/{draft}/files/{what}', DraftFileController::class);
    Route::get('/kinds', [PartKindController::class, 'index']);
    Route::post('/kinds', [PartKindController::class, 'store']);

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
    Route::get('/attempts/{attempt}/waiting', [BenchController::class, 'waiting']);
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
