<?php

namespace App\Http\Middleware;

use Illuminate\Http\Request;
use Inertia\Middleware;
use OddSpark\Instruments\AtTap;
use OddSpark\Instruments\Bag;

class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [
            ...parent::share($request),
            'me' => fn () => $request->user()?->only(['id', 'name', 'role']),
            'instruments' => fn () => array_map(fn (AtTap $i): string => $i::TITLE, Bag::atTaps()),
            'flash' => fn () => $request->session()->get('flash'),
        ];
    }
}
