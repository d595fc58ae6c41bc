<?php

use App\Bench\OutOfStep;
use App\Building\Behind;
use App\Http\Middleware\HandleInertiaRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use OddSpark\Acts\ActError;
use OddSpark\Building\EditError;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->web(append: [HandleInertiaRequests::class]);
        $middleware->redirectGuestsTo('/login');
        $middleware->redirectUsersTo('/');
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport([OutOfStep::class, ActError::class, Behind::class, EditError::class]);
        $exceptions->render(fn (Behind $e) => response()->json(['message' => $e->getMessage()], 409));
        $exceptions->render(fn (EditError $e) => response()->json(['message' => $e->sentence, 'pointer' => $e->pointer], 422));
        $exceptions->render(fn (OutOfStep $e) => response()->json(['message' => $e->getMessage()], 409));
        $exceptions->render(fn (ActError $e) => response()->json(['message' => $e->getMessage(), 'pointer' => $e->pointer], 422));
    })->create();
