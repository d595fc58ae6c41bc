<?php

use App\Bench\StaleAttempt;
use App\Building\StaleDraft;
use App\Http\Failures;
use App\Http\Middleware\BoundedRequest;
use App\Http\Middleware\EndIdle;
use App\Http\Middleware\HandleInertiaRequests;
use App\Http\Middleware\MeetsContract;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Reader;
use Illuminate\Auth\Middleware\Authorize;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;
use OddSpark\Acts\ActError;
use OddSpark\Appliance\DocumentError;
use OddSpark\Building\EditError;
use OddSpark\Run\RunError;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->encryptCookies(except: [Reader::COOKIE]); // the browser writes it
        $middleware->prepend(SecurityHeaders::class);
        $middleware->append(BoundedRequest::class);
        $middleware->trustHosts(
            at: fn () => array_map(fn (string $host) => '^'.preg_quote($host).'$', config('spark.hosts')),
            subdomains: false,
        );
        $middleware->web(append: [MeetsContract::class, HandleInertiaRequests::class]);
        // whether he is still here comes first
        $middleware->appendToPriorityList(AuthenticatesRequests::class, EndIdle::class);
        $middleware->appendToPriorityList(Authorize::class, MeetsContract::class); // who may is asked before what
        $middleware->redirectGuestsTo('/login');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport(
            [
                StaleAttempt::class,
                ActError::class,
                StaleDraft::class,
                EditError::class,
                DocumentError::class,
                RunError::class,
                LockTimeoutException::class,
            ],
        );
        $refuse = fn (string $sentence, int $status, ?string $pointer = null) => response()->json(
            ['message' => $sentence] + ($pointer === null ? [] : ['pointer' => $pointer]),
            $status,
        );
        $exceptions->render(fn (StaleDraft $e) => $refuse($e->getMessage(), 409));
        $exceptions->render(fn (StaleAttempt $e) => $refuse($e->getMessage(), 409));
        $exceptions->render(fn (EditError $e) => $refuse($e->sentence, 422, $e->pointer));
        $exceptions->render(fn (ActError $e) => $refuse($e->getMessage(), 422, $e->pointer));
        $exceptions->render(fn (DocumentError $e) => $refuse('It cannot run yet. '.$e->getMessage(), 422, $e->pointer));
        $exceptions->render(fn (RunError $e) => $refuse('It does not come to rest: '.$e->getMessage(), 422));
        $exceptions->render(
            fn (LockTimeoutException $e) => $refuse('Too many people are saving at this moment. Try again.', 503),
        );
        $exceptions->render(function (Throwable $e, Request $request) {
            return Failures::isOurs($e) ? Failures::answer(Failures::instead($e), $request) : null;
        });
    })->create();
