<?php

namespace App\Http\Controllers;

use App\Bench\JobClock;
use App\Bench\Plans;
use App\Bench\Predictions;
use App\Bench\Workbench;
use App\Http\Board;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Models\Task;
use App\Work\Foretelling;
use App\Work\OnSheet;
use App\Work\Picking;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Acts\ActError;

/** Work that is done on a sheet, item by item, and handed in. */
class SheetController extends Controller
{
    public function __construct(
        private readonly Predictions $predictions,
        private readonly Plans $plans,
        private readonly Workbench $workbench,
    ) {}

    public function show(Attempt $attempt): Response|RedirectResponse
    {
        if ($attempt->assignment->work->isAtBench()) {
            return redirect("/attempts/$attempt->id");
        }
        if ($this->workbench->closeIfOver($attempt)) {
            $this->marked($attempt);
        }
        if (! $attempt->refresh()->isOpen()) {
            return redirect("/attempts/$attempt->id/debrief");
        }
        $kind = $this->kind($attempt);
        [$page, $props] = $kind->page($attempt);
        $plan = $this->plans->ofAssignment($attempt->assignment);

        return Inertia::render($page, [
            'attempt' => $attempt->id,
            'job' => $attempt->assignment->briefing(),
            'left_s' => JobClock::left($attempt),
            'stopped' => $attempt->stopped_at !== null,
            'hand_up' => $attempt->hand_at !== null,
            'board' => Board::of($attempt->assignment),
            'doors' => $plan->model->document['doors'] ?? [],
        ] + $props);
    }

    public function predict(Request $request, Attempt $attempt): JsonResponse
    {
        if ($attempt->assignment->work !== AssignmentWork::Predict) {
            throw new ActError('/', 'That is no answer to what this job asks.');
        }
        if ($this->workbench->closeIfOver($attempt)) {
            $this->marked($attempt);
        }
        $figure = $request->json('said');
        $said = $this->predictions->say(
            $attempt,
            (int) $request->json('item'),
            $figure === null ? null : (float) $figure,
        );

        return response()->json(['item' => $said->item, 'said' => Foretelling::told($attempt, $said)]);
    }

    public function answer(Request $request, Attempt $attempt): JsonResponse
    {
        $kind = $this->kind($attempt);
        if (! $kind instanceof Picking) {
            throw new ActError('/', 'That is no answer to what this job asks.');
        }
        if ($this->workbench->closeIfOver($attempt)) {
            $this->marked($attempt);
        }
        $picked = array_map(strval(...), (array) $request->json('picked'));
        $said = $kind->say($attempt, (int) $request->json('item'), array_values($picked));

        return response()->json(['item' => $said->item, 'said' => Picking::told($attempt, $said)]);
    }

    public function hint(Request $request, Attempt $attempt): JsonResponse
    {
        $this->kind($attempt);
        [$prediction, $text] = $this->predictions->hint($attempt, (int) $request->json('item'));

        return response()->json(['item' => $prediction->item, 'taken' => $prediction->hints, 'text' => $text]);
    }

    public function close(Attempt $attempt): JsonResponse
    {
        $this->kind($attempt);
        Predictions::close($attempt);
        $this->marked($attempt);

        return response()->json(['goes' => "/attempts/$attempt->id/debrief"]);
    }

    /** @throws ActError when it is done at the bench */
    private function kind(Attempt $attempt): OnSheet
    {
        $kind = $attempt->assignment->work->kind();

        return $kind instanceof OnSheet
            ? $kind
            : throw new ActError('/', 'This job is done at the bench, and not on a sheet.');
    }

    private function marked(Attempt $attempt): void
    {
        Task::want($attempt->user, 'mark', "attempt:$attempt->id", ['attempt' => $attempt->id]);
    }
}
