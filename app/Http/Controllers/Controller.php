<?php

namespace App\Http\Controllers;

use Illuminate\Foundation\Auth\Access\AuthorizesRequests;

abstract class Controller
{
    use AuthorizesRequests;

    /** A text of a request, which may be left out; one that is no text, or too long, is refused. */
    protected function text(\Illuminate\Http\Request $request, string $name, int $most = 120): string
    {
        return (string) ($request->validate([$name => ['nullable', 'string', "max:$most"]])[$name] ?? '');
    }
}
