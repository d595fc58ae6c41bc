<?php

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Inertia\Middleware;

class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [
            ...parent::share($request),
            'me' => fn () => $request->user()?->only(['id', 'name', 'role']),
            'flash' => fn () => $request->session()->get('flash'),
        ];
    }
}
