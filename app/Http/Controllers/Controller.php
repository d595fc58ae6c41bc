<?php

namespace App\Http\Controllers;

use Illuminate\Http\Request;

/** What a request holds is as contract/requests.json has it when it comes here; who may is said beside its route. */
abstract class Controller
{
    /** A text of a request, which may be left out. */
    protected function text(Request $request, string $name): string
    {
        return (string) $request->input($name, '');
    }
}
