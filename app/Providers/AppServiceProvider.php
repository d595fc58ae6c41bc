<?php

namespace App\Providers;

use App\Bench\Plans;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Plans::class);
    }

    public function boot(): void
    {
        RateLimiter::for('sign-in', fn (Request $request) => Limit::perMinute(10)->by(mb_strtolower((string) $request->input('email')).'|'.$request->ip()));
        // an attentive trainee makes some sixty requests a minute
        RateLimiter::for('work', fn (Request $request) => Limit::perMinute(1200)->by((string) $request->user()?->getAuthIdentifier()));
    }
}
