<?php

namespace App\Http\Controllers;

use App\Jobs\AnalyseAppliance;
use App\Models\Analysis;
use App\Models\Appliance;
use App\Models\Assignment;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Look-alikes, tree and difficulty of a model: asked for, and how far they are. */
class AnalysisController extends Controller
{
    public function show(Request $request, Appliance $appliance): JsonResponse
    {
        $this->authorize('view', $appliance);

        return response()->json(Analysis::find($appliance->hash, $this->visit($request, $appliance))?->shown());
    }

    public function store(Request $request, Appliance $appliance): JsonResponse
    {
        $this->authorize('view', $appliance);
        $visit = $this->visit($request, $appliance);
        $analysis = Analysis::find($appliance->hash, $visit);
        // one that failed, or of which nothing was heard any more, is begun anew
        if ($analysis !== null && ($analysis->error !== null || $analysis->result === null && $analysis->updated_at?->lt(now()->subMinutes(5)))) {
            $analysis->delete();
            $analysis = null;
        }
        if ($analysis === null) {
            $analysis = Analysis::query()->createOrFirst(['hash' => $appliance->hash, 'engine' => Assignment::ENGINE, 'visit' => $visit], ['doing' => 'Waiting for its turn']);
            if ($analysis->wasRecentlyCreated) {
                AnalyseAppliance::dispatch($appliance->id, $analysis->id);
            }
        }

        return response()->json($analysis->fresh()?->shown());
    }

    private function visit(Request $request, Appliance $appliance): string
    {
        $visit = $request->string('visit')->value();
        abort_unless(isset($appliance->model()->document['visits'][$visit]), 422, 'This model has no such visit.');

        return $visit;
    }
}
