<?php

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** What an act on the bench is measured against: a session read, one row committed, a line of JSON. */
class BaselineController extends Controller
{
    public function __invoke(Request $request): JsonResponse
    {
        DB::table('cache')->insert([
            'key' => 'baseline-'.Str::random(20),
            'value' => (string) $request->user()->id,
            'expiration' => 0,
        ]);

        return response()->json(['done' => true]);
    }
}
