<?php

use App\Http\Controllers\AccountController;
use App\Http\Controllers\AnalysisController;
use App\Http\Controllers\ApplianceController;
use App\Http\Controllers\AssignmentController;
use App\Http\Controllers\BaselineController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\ContestController;
use App\Http\Controllers\CopyController;
use App\Http\Controllers\DebriefController;
use App\Http\Controllers\DraftController;
use App\Http\Controllers\DraftFileController;
use App\Http\Controllers\DraftRunController;
use App\Http\Controllers\FreeBenchController;
use App\Http\Controllers\HomeController;
use App\Http\Controllers\JobTemplateController;
use App\Http\Controllers\JobTimeController;
use App\Http\Controllers\JoinController;
use App\Http\Controllers\LabController;
use App\Http\Controllers\MarkController;
use App\Http\Controllers\OverrideController;
use App\Http\Controllers\PairsController;
use App\Http\Controllers\PartKindController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\RecordController;
use App\Http\Controllers\ReferenceController;
use App\Http\Controllers\RuleSetController;
use App\Http\Controllers\SchoolController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SharingController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\TaskController;
use App\Http\Controllers\UpController;
use App\Http\Controllers\WallController;
use App\Http\Controllers\WarmUpController;
use App\Http\Middleware\Confirmed;
use App\Http\Middleware\EndIdle;
use App\Http\Middleware\OneAtATime;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Course;
use App\Models\Draft;
use App\Models\PartKind;
use App\Models\RuleSet;
use App\Models\User;
use Illuminate\Support\Facades\Route;

Route::get('/up', UpController::class)->withoutMiddleware('web');

Route::middleware('guest')->group(function () {
    Route::get('/login', [SessionController::class, 'create'])->name('login');
    Route::post('/login', [SessionController::class, 'store']);
    Route::post('/forgot', [SessionController::class, 'forgot'])->middleware('throttle:forgot');
    Route::get('/login/second', [SessionController::class, 'second']);
    Route::post('/login/second', [SessionController::class, 'passSecond'])->middleware('throttle:second');
    Route::get('/join', [JoinController::class, 'create']);
    Route::post('/join', [JoinController::class, 'store'])->middleware('throttle:join');
});

Route::middleware('throttle:join')->group(function () {
    Route::get('/link/{token}', [JoinController::class, 'link']);
    Route::post('/link/{token}', [JoinController::class, 'open']);
});

Route::middleware(['auth', EndIdle::class, OneAtATime::class])->group(function () {
    Route::post('/logout', [SessionController::class, 'destroy']);
    Route::get('/', HomeController::class);

    Route::get('/account', [AccountController::class, 'show']);
    Route::post('/account/password', [AccountController::class, 'password'])->middleware('throttle:password');
    Route::post(
        '/account/sign-out-elsewhere',
        [AccountController::class, 'signOutElsewhere'],
    )->middleware('throttle:password');
    Route::post(
        '/account/join',
        [AccountController::class, 'join'],
    )->can('join', Course::class)->middleware('throttle:join');

    Route::delete('/account/sessions/{key}', [AccountController::class, 'endSession'])->middleware(Confirmed::class);
    Route::get('/account/confirm', [AccountController::class, 'confirming']);
    Route::post('/account/confirm', [AccountController::class, 'confirmed'])->middleware('throttle:password');
    Route::middleware(['can:secure,'.User::class, Confirmed::class])->group(function () {
        Route::post('/account/second-factor', [AccountController::class, 'proposeFactor']);
        Route::post(
            '/account/second-factor/prove',
            [AccountController::class, 'proveFactor'],
        )->middleware('throttle:password');
        Route::post('/account/second-factor/codes', [AccountController::class, 'newCodes']);
        Route::delete('/account/second-factor', [AccountController::class, 'removeFactor']);
    });

    Route::middleware('can:administer,'.User::class)->group(function () {
        Route::get('/school', [SchoolController::class, 'index']);
        Route::middleware(Confirmed::class)->group(function () {
            Route::post('/school/people', [SchoolController::class, 'add']);
            Route::post('/school/people/{user}/link', [SchoolController::class, 'link']);
            Route::post('/school/people/{user}/role', [SchoolController::class, 'role']);
            Route::post('/school/people/{user}/closed', [SchoolController::class, 'close']);
            Route::delete('/school/people/{user}/second-factor', [SchoolController::class, 'dropSecondFactor']);
            Route::get('/school/people/{user}/data.json', [SchoolController::class, 'data']);
            Route::post('/school/people/{user}/forget', [SchoolController::class, 'forget']);
            Route::post('/school/courses/{course}/lead', [SchoolController::class, 'lead']);
            Route::post('/school/settled', [SchoolController::class, 'settle']);
            Route::get('/school/audit.csv', [SchoolController::class, 'audit']);
        });
    });

    Route::get('/people', [PeopleController::class, 'index'])->can('viewAny', Course::class);
    Route::post('/courses', [PeopleController::class, 'store'])->can('create', Course::class);
    Route::post('/courses/{course}', [PeopleController::class, 'rename'])->can('update', 'course');
    Route::post('/courses/{course}/code', [PeopleController::class, 'openCode'])->can('update', 'course');
    Route::delete('/courses/{course}/code', [PeopleController::class, 'closeCode'])->can('update', 'course');
    Route::post('/courses/{course}/roster/preview', [PeopleController::class, 'preview'])->can('update', 'course');
    Route::post('/courses/{course}/roster', [PeopleController::class, 'enrol'])->can('update', 'course');
    Route::post('/courses/{course}/roster/undo', [PeopleController::class, 'undo'])->can('update', 'course');
    Route::post(
        '/courses/{course}/trainees/{user}/link',
        [PeopleController::class, 'link'],
    )->can('update', 'course')->middleware(Confirmed::class);
    Route::post(
        '/courses/{course}/staff',
        [PeopleController::class, 'addStaff'],
    )->can('lead', 'course')->middleware(Confirmed::class);
    Route::delete('/courses/{course}/staff/{user}', [PeopleController::class, 'removeStaff'])->can('lead', 'course');
    Route::delete('/courses/{course}/trainees/{user}', [PeopleController::class, 'remove'])->can('update', 'course');

    Route::get('/tasks/{task}', TaskController::class)->can('view', 'task');

    Route::get('/models', [ApplianceController::class, 'index'])->can('viewAny', Appliance::class);
    Route::get('/models/{appliance}', [ApplianceController::class, 'show'])->can('view', 'appliance');
    Route::get('/models/{appliance}/preview', [ApplianceController::class, 'preview'])->can('view', 'appliance');

    Route::get('/models/{appliance}/analysis', [AnalysisController::class, 'show'])->can('view', 'appliance');
    Route::post('/models/{appliance}/analysis', [AnalysisController::class, 'store'])->can('view', 'appliance');

    Route::get('/drafts', [DraftController::class, 'index'])->can('viewAny', Draft::class);
    Route::post('/drafts', [DraftController::class, 'store'])->can('create', Draft::class);
    Route::get('/drafts/{draft}', [DraftController::class, 'show'])->can('view', 'draft');
    Route::delete('/drafts/{draft}', [DraftController::class, 'destroy'])->can('delete', 'draft');
    Route::get('/drafts/{draft}/kinds', [DraftController::class, 'kinds'])->can('view', 'draft');
    Route::post('/drafts/{draft}/edits', [DraftController::class, 'edit'])->can('edit', 'draft');
    Route::post('/drafts/{draft}/go', [DraftController::class, 'go'])->can('edit', 'draft');
    Route::get('/drafts/{draft}/history', [DraftController::class, 'history'])->can('view', 'draft');
    Route::get('/drafts/{draft}/difference', [DraftController::class, 'difference'])->can('view', 'draft');
    Route::post('/drafts/{draft}/restore', [DraftController::class, 'restore'])->can('edit', 'draft');
    Route::post('/drafts/{draft}/label', [DraftController::class, 'label'])->can('edit', 'draft');
    Route::post('/drafts/{draft}/presence', [DraftController::class, 'presence'])->can('view', 'draft');
    Route::post('/drafts/{draft}/publish', [DraftController::class, 'publish'])->can('edit', 'draft');
    Route::get('/drafts/{draft}/checks', [DraftRunController::class, 'checks'])->can('view', 'draft');
    Route::get('/drafts/{draft}/ladder', [DraftRunController::class, 'ladder'])->can('view', 'draft');
    Route::get('/drafts/{draft}/run', [DraftRunController::class, 'run'])->can('view', 'draft');
    Route::get('/drafts/{draft}/moment', [DraftRunController::class, 'moment'])->can('view', 'draft');
    Route::get('/drafts/{draft}/why', [DraftRunController::class, 'why'])->can('view', 'draft');
    Route::get('/drafts/{draft}/faults', [DraftRunController::class, 'faults'])->can('view', 'draft');
    Route::get('/drafts/{draft}/readings', [DraftRunController::class, 'readings'])->can('view', 'draft');
    Route::get('/drafts/{draft}/safeties', [DraftRunController::class, 'safeties'])->can('view', 'draft');
    Route::get('/drafts/{draft}/files/{what}', DraftFileController::class)->can('view', 'draft');
    Route::get('/kinds', [PartKindController::class, 'index'])->can('viewAny', PartKind::class);
    Route::post('/kinds', [PartKindController::class, 'store'])->can('create', PartKind::class);

    Route::middleware('can:view,appliance')->prefix('/models/{appliance}/lab')->group(function () {
        Route::get('', [LabController::class, 'show']);
        Route::post('', [LabController::class, 'store']);
        Route::post('/file', [LabController::class, 'import']);
        Route::get('/book.csv', [LabController::class, 'csv']);
        Route::get('/compared', [LabController::class, 'compared']);
        Route::post('/fit', [LabController::class, 'fit']);
        Route::post('/keep', [LabController::class, 'keep']);
        Route::delete('/{reading}', [LabController::class, 'destroy'])->can('delete', 'reading');
    });

    Route::post('/models/{appliance}/templates', [JobTemplateController::class, 'store'])->can('view', 'appliance');
    Route::delete(
        '/models/{appliance}/templates/{template}',
        [JobTemplateController::class, 'destroy'],
    )->can('delete', 'template');
    Route::post('/models/{appliance}/free', [FreeBenchController::class, 'open'])->can('view', 'appliance');
    Route::post(
        '/courses/{course}/free/{appliance}',
        [FreeBenchController::class, 'practise'],
    )->can('practise', 'course');
    Route::post('/jobs/{assignment}/copy', [CopyController::class, 'job'])->can('update', 'assignment');
    Route::get('/courses/{course}/plan', [CopyController::class, 'plan'])->can('view', 'course');
    Route::post('/courses/{course}/plan', [CopyController::class, 'copyPlan'])->can('update', 'course');
    Route::post('/jobs', [AssignmentController::class, 'store'])->can('create', Assignment::class);
    Route::get('/jobs/{assignment}', [AssignmentController::class, 'show'])->can('view', 'assignment');
    Route::post('/jobs/{assignment}/window', [JobTimeController::class, 'window'])->can('update', 'assignment');
    Route::post(
        '/jobs/{assignment}/trainees/{user}/extra',
        [JobTimeController::class, 'extra'],
    )->can('update', 'assignment');
    Route::post(
        '/jobs/{assignment}/trainees/{user}/again',
        [JobTimeController::class, 'again'],
    )->can('update', 'assignment');
    Route::get('/jobs/{assignment}/marks', [MarkController::class, 'show'])->can('view', 'assignment');
    Route::post('/jobs/{assignment}/marks', [MarkController::class, 'store'])->can('update', 'assignment');
    Route::get('/jobs/{assignment}/marks.csv', [MarkController::class, 'csv'])->can('view', 'assignment');
    Route::get('/courses/{course}/record', [RecordController::class, 'course'])->can('view', 'course');
    Route::get('/courses/{course}/record.xlsx', [RecordController::class, 'workbook'])->can('view', 'course');
    Route::get('/courses/{course}/people/{user}/record.pdf', [RecordController::class, 'sheet'])->can('view', 'course');
    Route::get('/progress.pdf', [RecordController::class, 'ownSheet']);
    Route::post('/courses/{course}/roster/read', [PeopleController::class, 'readList'])->can('update', 'course');
    Route::get('/assess', [RecordController::class, 'assess'])->can('assess', Course::class);
    Route::get('/progress', [RecordController::class, 'own']);
    Route::get('/courses/{course}/wall', [WallController::class, 'show'])->can('view', 'course');
    Route::get('/courses/{course}/wall/curves', [WallController::class, 'curves'])->can('update', 'course');
    Route::post('/courses/{course}/stopped', [WallController::class, 'stop'])->can('update', 'course');
    Route::get('/live/wall/{course}', [WallController::class, 'listenToClass'])->can('view', 'course');
    Route::get('/live/bench/{attempt}', [WallController::class, 'listenAtBench'])->can('work', 'attempt');
    Route::get('/courses/{course}/marks.csv', [MarkController::class, 'courseCsv'])->can('view', 'course');
    Route::post('/shares', SharingController::class)->can('create', Course::class);
    Route::post('/warm-up', [WarmUpController::class, 'store']);
    Route::get('/reference', [ReferenceController::class, 'show']);
    Route::get('/judging', [ReferenceController::class, 'judging']);
    Route::post('/reference/sums/{sum}', [ReferenceController::class, 'sum']);
    Route::get('/rules', [RuleSetController::class, 'index'])->can('viewAny', RuleSet::class);
    Route::post('/rules/preview', [RuleSetController::class, 'preview'])->can('create', RuleSet::class);
    Route::get('/rules/preview/{task}', [RuleSetController::class, 'previewed'])->can('view', 'task');
    Route::post('/rules', [RuleSetController::class, 'store'])->can('create', RuleSet::class);
    Route::post('/jobs/{assignment}/attempt', [BenchController::class, 'start'])->can('work', 'assignment');

    Route::get('/attempts/{attempt}', [BenchController::class, 'show'])->can('work', 'attempt');
    Route::post('/attempts/{attempt}/acts', [BenchController::class, 'act'])->can('work', 'attempt');
    Route::post('/attempts/{attempt}/play', [BenchController::class, 'play'])->can('work', 'attempt');
    Route::get('/attempts/{attempt}/waiting', [BenchController::class, 'waiting'])->can('work', 'attempt');
    Route::post('/attempts/{attempt}/next', [BenchController::class, 'next'])->can('work', 'attempt');
    Route::get('/attempts/{attempt}/look', [BenchController::class, 'lookOver'])->can('supervise', 'attempt');
    Route::get('/attempts/{attempt}/said', [WallController::class, 'said'])->can('talk', 'attempt');
    Route::post('/attempts/{attempt}/said', [WallController::class, 'say'])->can('talk', 'attempt');
    Route::post('/attempts/{attempt}/hint', [WallController::class, 'hint'])->can('supervise', 'attempt');
    Route::post('/attempts/{attempt}/end', [WallController::class, 'end'])->can('supervise', 'attempt');
    Route::post('/attempts/{attempt}/hand', [WallController::class, 'hand'])->can('talk', 'attempt');
    Route::post('/attempts/{attempt}/away', [WallController::class, 'away'])->can('work', 'attempt');
    Route::get('/attempts/{attempt}/sheet', [SheetController::class, 'show'])->can('work', 'attempt');
    Route::post('/attempts/{attempt}/predictions', [SheetController::class, 'predict'])->can('work', 'attempt');
    Route::post('/attempts/{attempt}/answers', [SheetController::class, 'answer'])->can('work', 'attempt');
    Route::post('/attempts/{attempt}/predictions/hint', [SheetController::class, 'hint'])->can('work', 'attempt');
    Route::post('/attempts/{attempt}/sheet', [SheetController::class, 'close'])->can('work', 'attempt');
    Route::get('/attempts/{attempt}/debrief', [DebriefController::class, 'show'])->can('debrief', 'attempt');
    Route::get('/attempts/{attempt}/debrief.pdf', [DebriefController::class, 'pdf'])->can('debrief', 'attempt');
    Route::get('/attempts/{attempt}/paper.json', [DebriefController::class, 'paper'])->can('debrief', 'attempt');
    Route::get('/attempts/{attempt}/drift', [DebriefController::class, 'drift'])->can('debrief', 'attempt');
    Route::get('/attempts/{attempt}/marking', [DebriefController::class, 'marking'])->can('debrief', 'attempt');
    Route::get('/attempts/{attempt}/xapi', [MarkController::class, 'xapi'])->can('debrief', 'attempt');
    Route::post('/attempts/{attempt}/contest', [ContestController::class, 'store'])->can('contest', 'attempt');
    Route::post('/attempts/{attempt}/contest/finish', [ContestController::class, 'finish'])->can('judge', 'attempt');
    Route::post('/attempts/{attempt}/overrides', [OverrideController::class, 'store'])->can('judge', 'attempt');
    Route::get('/attempts/{attempt}/pairs', [PairsController::class, 'show'])->can('debrief', 'attempt');
    Route::post('/attempts/{attempt}/pairs', [PairsController::class, 'store'])->can('debrief', 'attempt');
});

if (config('spark.bench')) { // only on the site that ./spark bench starts for itself
    Route::post('/bench/baseline', BaselineController::class)->middleware('auth');
}
