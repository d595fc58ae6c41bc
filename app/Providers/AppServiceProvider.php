<?php

namespace App\Providers;

use App\Auth\SessionRows;
use App\Auth\SignIn;
use App\Bench\Plans;
use App\Live\Push;
use App\Tasks\Rounds;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Plans::class);
        $this->app->singleton(Push::class, fn () => new Push(config('spark.push')));
    }

    public function boot(): void
    {
        TrustProxies::at(config('spark.proxies'));
        Session::extend('database', fn () => new SessionRows(
            $this->app->make('db')->connection(config('session.connection')),
            config('session.table'),
            config('session.lifetime'),
            $this->app,
        ));
        foreach (['appliance', 'assignment', 'attempt', 'course', 'draft', 'task', 'user'] as $id) {
            Route::pattern($id, '[1-9][0-9]{0,17}');
        }
        // a whole class comes in at once from one address; a code has 31^8 forms, a link more
        RateLimiter::for('join', fn (Request $request) => Limit::perMinute(300)->by((string) $request->ip()));
        // a mailbox is not filled by others, and a link that is on its way not put out of use over and over
        RateLimiter::for('forgot', fn (Request $request) => [
            Limit::perHour(4)->by('forgot|'.hash('sha256', mb_strtolower(trim((string) $request->input('email'))))),
            Limit::perMinute(30)->by('forgot-from|'.$request->ip()),
        ]);
        // a second factor has a million codes, of which three are good at a time
        RateLimiter::for('second', fn (Request $request) => [
            Limit::perMinutes(10, 10)->by('second|'.(SignIn::waiting($request)->id ?? $request->ip())),
            Limit::perMinute(60)->by('second-from|'.$request->ip()),
        ]);
        // whoever sits down at a place that somebody left signed in does not guess his password
        RateLimiter::for(
            'password',
            fn (Request $request) => Limit::perMinute(10)->by((string) $request->user()?->getAuthIdentifier()),
        );
        $this->app->resolving('queue.worker', fn () => $this->followWorker());
    }

    /** What a worker looks after between two tasks. */
    private function followWorker(): void
    {
        $named = preg_grep('/^--name=/', array_map(strval(...), $_SERVER['argv'] ?? [])) ?: ['--name=worker'];
        config(['spark.worker' => substr(reset($named), 7)]);
        $rounds = $this->app->make(Rounds::class);
        Queue::looping(fn () => $rounds->go());
    }
}
