<?php

namespace App\Providers;

use App\Auth\SignIn;
use App\Bench\JobClock;
use App\Bench\Plans;
use App\Bench\Workbench;
use App\Live\Push;
use App\Models\Attempt;
use App\Models\Task;
use App\People\Persons;
use App\People\School;
use App\Records\StatementQueue;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
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
        foreach (['appliance', 'assignment', 'attempt', 'course', 'draft', 'task', 'user'] as $id) {
            Route::pattern($id, '[1-9][0-9]{0,17}');
        }
        // an attentive trainee makes some sixty requests a minute
        RateLimiter::for(
            'work',
            fn (Request $request) => Limit::perMinute(1200)->by((string) $request->user()?->getAuthIdentifier()),
        );
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

    /**
     * What a worker that was killed has left is taken up when the next begins, and what was lost on the way is looked
     * for.
     */
    private function followWorker(): void
    {
        $named = preg_grep('/^--name=/', array_map(strval(...), $_SERVER['argv'] ?? [])) ?: ['--name=worker'];
        config(['spark.worker' => substr(reset($named), 7)]);
        $looked = $closed = $forgot = $sent = 0.0;
        Queue::looping(function () use (&$looked, &$closed, &$forgot, &$sent): void {
            $now = microtime(true);
            if ($now - $looked > 5) {
                Task::takeUp(config('spark.worker'), $looked === 0.0);
                $looked = $now;
            }
            if ($now - $closed > 20) {
                foreach (JobClock::overdue() as $id) {
                    $attempt = Attempt::query()->findOrFail($id);
                    if (app(Workbench::class)->closeIfOver($attempt)) {
                        Task::want($attempt->user, 'mark', "attempt:$id", ['attempt' => $id]);
                    }
                }
                $closed = $now;
            }
            if ($now - $sent > 3) {
                StatementQueue::send();
                $sent = $now;
            }
            if ($now - $forgot > 600) {
                Task::forgetOld();
                $months = School::settled()['keep_months'];
                if ($months > 0) {
                    Persons::forgetOld($months);
                }
                $forgot = $now;
            }
        });
    }
}
