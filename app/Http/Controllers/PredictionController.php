<?php

namespace App\Http\Controllers;

use App\Bench\JobClock;
use App\Bench\Plans;
use App\Bench\Predictions;
use App\Bench\Workbench;
use App\Http\Board;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Models\Prediction;
use App\Models\Task;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Acts\ActError;
use OddSpark\Marking\Rules;

/** A sheet of readings that are said before they are taken. */
class PredictionController extends Controller
{
    public function __construct(
        private readonly Predictions $predictions,
        private readonly Plans $plans,
        private readonly Workbench $workbench,
    ) {}

    public function show(Attempt $attempt): Response|RedirectResponse
    {
        if ($attempt->assignment->work !== AssignmentWork::Predict) {
            return redirect("/attempts/$attempt->id");
        }
        if ($this->workbench->closeIfOver($attempt)) {
            $this->marked($attempt);
        }
        if (! $attempt->refresh()->isOpen()) {
            return redirect("/attempts/$attempt->id/debrief");
        }
        $sheet = Predictions::sheet($attempt);
        $said = Prediction::query()->where('attempt_id', $attempt->id)->get()->keyBy('item');
        $plan = $this->plans->ofAssignment($attempt->assignment);

        return Inertia::render('Predict', [
            'attempt' => $attempt->id,
            'job' => $attempt->assignment->briefing(),
            'left_s' => JobClock::left($attempt),
            'stopped' => $attempt->stopped_at !== null,
            'fault' => $sheet['fault'],
            'board' => Board::of($attempt->assignment),
            'doors' => $plan->model->document['doors'] ?? [],
            'rows' => array_map(fn (array $asked, int $item): array => [
                'at_s' => $asked['at_s'], 'when' => $asked['when'], 'told' => $asked['told'], 'mode' => $asked['mode'],
                'red' => $asked['red'], 'black' => $asked['black'],
                'red_name' => $asked['red_name'], 'black_name' => $asked['black_name'],
                'said' => isset($said[$item]) ? $this->told($attempt, $said[$item]) : null,
                'hints' => array_map(
                    fn (string $grade): string => $asked['hints'][$grade],
                    array_slice(Rules::HINTS, 0, $said[$item]->hints ?? 0),
                ),
            ], $sheet['asked'], array_keys($sheet['asked'])),
        ]);
    }

    public function store(Request $request, Attempt $attempt): JsonResponse
    {
        $this->onSheet($attempt);
        if ($this->workbench->closeIfOver($attempt)) {
            $this->marked($attempt);
        }
        $figure = $request->json('said');
        $said = $this->predictions->say(
            $attempt,
            (int) $request->json('item'),
            $figure === null ? null : (float) $figure,
        );

        return response()->json(['item' => $said->item, 'said' => $this->told($attempt, $said)]);
    }

    public function hint(Request $request, Attempt $attempt): JsonResponse
    {
        $this->onSheet($attempt);
        [$prediction, $text] = $this->predictions->hint($attempt, (int) $request->json('item'));

        return response()->json(['item' => $prediction->item, 'taken' => $prediction->hints, 'text' => $text]);
    }

    public function close(Attempt $attempt): JsonResponse
    {
        $this->onSheet($attempt);
        Predictions::close($attempt);
        $this->marked($attempt);

        return response()->json(['goes' => "/attempts/$attempt->id/debrief"]);
    }

    /**
     * What was said; in an examination what became of it is told when the sheet is handed in.
     *
     * @return array<string, mixed>|null
     */
    private function told(Attempt $attempt, Prediction $prediction): ?array
    {
        $judgement = $prediction->judgement;
        if ($judgement === null) {
            return null;
        }
        $isTold = $attempt->assignment->kind->hasHints();

        return [
            'figure' => $judgement['said'],
            'right' => $isTold ? $judgement['right'] : null,
            'shown' => $isTold ? $judgement['shown']['text'] : null,
            'why' => $isTold ? $judgement['why'] : null,
        ];
    }

    /** @throws ActError when it is a job of another sort */
    private function onSheet(Attempt $attempt): void
    {
        if ($attempt->assignment->work !== AssignmentWork::Predict) {
            throw new ActError('/', 'This job is done at the bench, and not on a sheet.');
        }
    }

    private function marked(Attempt $attempt): void
    {
        Task::want($attempt->user, 'mark', "attempt:$attempt->id", ['attempt' => $attempt->id]);
    }
}
