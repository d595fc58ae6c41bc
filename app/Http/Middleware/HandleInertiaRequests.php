<?php

namespace App\Http\Middleware;

use App\Auth\SignIn;
use App\Http\Reader;
use Illuminate\Http\Request;
use Inertia\Middleware;
use OddSpark\Instruments\AtTap;
use OddSpark\Instruments\Bag;
use OddSpark\Words\Words;

class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        return [
            ...parent::share($request),
            'me' => fn () => $request->user() === null ? null : [
                ...$request->user()->only(['id', 'name', 'role']), 'confirmed_s' => SignIn::confirmedFor($request),
            ],
            'instruments' => fn () => Words::in(
                Reader::language($request),
                fn () => array_map(fn (AtTap $i): string => $i::title(), Bag::atTaps()),
            ),
            'flash' => fn () => $request->session()->get('flash'),
        ];
    }
}
