<?php

namespace App\Http\Controllers;

use App\Bench\Judging;
use App\Bench\Plans;
use App\Bench\Workbench;
use App\Jobs\MarkAttempt;
use App\Models\Analysis;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Mark;
use Dompdf\Dompdf;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\Model;
use OddSpark\Faults\Universe;
use OddSpark\Verbs\Sheet;

/** An attempt gone over: on the screen, on paper, and whether it would read the same today. */
class DebriefController extends Controller
{
    /** What a debrief of an older engine does not say. */
    private const ROW = ['done' => null, 'worth' => 0, 'watched' => 0, 'share' => null, 'bits_before' => 0, 'bits_after' => 0, 'families' => [], 'flaws' => []];

    private const MARK = ['not_passed' => [], 'hints' => ['taken' => [], 'points' => 0], 'call_back' => ['hours' => 0, 'said' => []]];

    public function show(Request $request, Attempt $attempt, Workbench $workbench, Plans $plans): Response|RedirectResponse
    {
        $this->authorize('debrief', $attempt);
        if ($attempt->assignment->kind === Assignment::WARM_UP) {
            return redirect('/');
        }
        if ($attempt->mark === null) {
            return $this->waiting($attempt);
        }
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $plan = $plans->ofAssignment($assignment);
        $universe = Universe::of($plan->model);
        $fault = $universe->get($assignment->fault);

        return Inertia::render('Debrief', [
            'job' => $assignment->briefing(),
            'attempt' => $attempt->id,
            'pairs' => $attempt->pairs,
            'trainee' => $attempt->user->name,
            'fault' => ['id' => $fault->id, 'title' => $fault->title, 'parts' => $this->parts($plan->model, $fault->part, array_column($fault->members, 'part'))],
            'titles' => array_map(fn ($f) => $f->title, $universe->faults),
            'mark' => $attempt->mark + self::MARK,
            'debrief' => $this->debrief($attempt),
            'board' => json_decode($assignment->board, true),
            'doors' => $plan->model->document['doors'],
            'lanes' => $plan->model->document['tape'],
            'past' => $workbench->channels($workbench->bench($attempt->assignment, null), $workbench->observations($attempt)->perceived),
            'perfect' => Analysis::find($assignment->hash, $assignment->visit)?->left($assignment->fault, $this->debrief($attempt)['entered']),
            'others' => $attempt->marks->slice(1)->map(fn (Mark $m) => [
                'rules' => $m->result['rules'], 'total' => $m->result['total'], 'passed' => $m->result['passed'], 'at' => $m->created_at?->toDateString(),
                'lines' => array_map(fn (array $l) => ['title' => $l['title'], 'points' => $l['points'], 'weight' => $l['weight']], $m->result['lines']),
            ])->values(),
            'engine' => ['then' => $attempt->engine, 'now' => Assignment::ENGINE],
            'judges' => $request->user()->can('judge', $attempt),
        ]);
    }

    public function pdf(Attempt $attempt, Plans $plans): \Illuminate\Http\Response
    {
        $this->authorize('debrief', $attempt);
        abort_if($attempt->mark === null, 409, 'It is still being marked. Try again in a moment.');
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $plan = $plans->ofAssignment($assignment);
        $pdf = new Dompdf(['isRemoteEnabled' => false, 'isPhpEnabled' => false, 'tempDir' => storage_path('framework/cache'), 'fontCache' => storage_path('framework/cache')]);
        $pdf->loadHtml(Sheet::html([
            'title' => $assignment->title, 'who' => $attempt->user->name, 'model' => $plan->model->title(),
            'fault' => Universe::of($plan->model)->get($assignment->fault)->title, 'when' => $attempt->handed_back_at?->toDateString() ?? '',
        ], $attempt->mark + self::MARK, $this->debrief($attempt)));
        $pdf->setPaper('A4');
        $pdf->render();

        return response($pdf->output(), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => "inline; filename=\"debrief-$attempt->id.pdf\""]);
    }

    /** What today's engine would show otherwise than was shown then. The mark stays. */
    public function drift(Attempt $attempt, Judging $judging): JsonResponse
    {
        $this->authorize('debrief', $attempt);

        return response()->json(['apart' => $judging->drift($attempt)]);
    }

    /** How far the marking is. */
    public function marking(Attempt $attempt): JsonResponse
    {
        $this->authorize('debrief', $attempt);

        return response()->json(['marked' => $attempt->mark !== null, 'share' => $attempt->marking['share'] ?? 0, 'error' => $attempt->marking['error'] ?? null]);
    }

    private function waiting(Attempt $attempt): Response
    {
        $lost = isset($attempt->marking['error']) || $attempt->updated_at?->lt(now()->subSeconds(30));
        if ($lost) { // nothing was heard of it any more
            $attempt->update(['marking' => ['share' => 0]]);
            MarkAttempt::dispatch($attempt->id);
        }

        return Inertia::render('Marking', ['attempt' => $attempt->id, 'job' => $attempt->assignment->briefing(), 'trainee' => $attempt->user->name]);
    }

    /** @return array<string, mixed> */
    private function debrief(Attempt $attempt): array
    {
        $debrief = $attempt->debrief ?? [];
        if (array_is_list($debrief)) { // as it was kept before there were turning points
            $debrief = ['entries' => $debrief];
        }
        $debrief += ['entries' => [], 'won' => [], 'lost' => [], 'same' => [], 'bits' => 0, 'entered' => []];
        $debrief['entries'] = array_map(fn (array $row) => $row + self::ROW, $debrief['entries']);

        return $debrief;
    }

    /**
     * Where a fault lies on the board: parts and wires.
     *
     * @param list<string> $members
     * @return list<string>
     */
    private function parts(Model $model, string $part, array $members): array
    {
        $all = $members === [] ? [$part] : $members;

        return array_values(array_filter($all, fn (string $id) => isset($model->parts()[$id]) || isset($model->wires()[$id])));
    }
}
