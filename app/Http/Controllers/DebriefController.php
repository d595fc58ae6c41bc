<?php

namespace App\Http\Controllers;

use App\Bench\Giving;
use App\Bench\Plans;
use App\Bench\Workbench;
use App\Models\Attempt;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Faults\Universe;

class DebriefController extends Controller
{
    public function __invoke(Attempt $attempt, Workbench $workbench, Plans $plans, Giving $giving): Response
    {
        $this->authorize('debrief', $attempt);
        if ($attempt->mark === null) {
            $giving->mark($attempt); // the request that handed it back was cut short
        }
        $plan = $plans->ofAssignment($attempt->assignment);
        $universe = Universe::of($plan->model);
        $fault = $universe->get($attempt->assignment->fault);

        return Inertia::render('Debrief', [
            'job' => $attempt->assignment->briefing(),
            'attempt' => $attempt->id,
            'pairs' => $attempt->pairs,
            'trainee' => $attempt->user->name,
            'fault' => ['id' => $fault->id, 'title' => $fault->title, 'part' => $fault->part],
            'titles' => array_map(fn ($f) => $f->title, $universe->faults),
            'mark' => $attempt->mark,
            'entries' => $attempt->debrief,
            'lanes' => $plan->model->document['tape'],
            'past' => $workbench->channels($workbench->bench($attempt->assignment, null), $workbench->observations($attempt)->perceived),
        ]);
    }
}
