<?php

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** Whether the site and its database answer, and which installation it is. */
class UpController extends Controller
{
    public function __invoke(): JsonResponse
    {
        DB::select('SELECT 1');

        return response()->json(['up' => true, 'instance' => config('spark.instance')]);
    }
}
