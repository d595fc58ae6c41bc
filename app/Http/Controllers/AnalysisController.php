<?php

namespace App\Http\Controllers;

use App\Models\Analysis;
use App\Models\Appliance;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Look-alikes, tree and difficulty of a model: asked for, and how far they are. */
class AnalysisController extends Controller
{
    public function show(Request $request, Appliance $appliance): JsonResponse
    {
        return response()->json(Analysis::shown($appliance->hash, $this->visit($request, $appliance)));
    }

    public function store(Request $request, Appliance $appliance): JsonResponse
    {
        $visit = $this->visit($request, $appliance);

        Analysis::want($request->user(), $appliance->hash, $visit);

        return response()->json(Analysis::shown($appliance->hash, $visit));
    }

    private function visit(Request $request, Appliance $appliance): string
    {
        $visit = $this->text($request, 'visit');
        abort_unless(in_array($visit, $appliance->model()->visits(), true), 422, 'This model has no such visit.');

        return $visit;
    }
}
