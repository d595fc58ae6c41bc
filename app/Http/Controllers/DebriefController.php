<?php

namespace App\Http\Controllers;

use App\Bench\MarkAttempts;
use App\Bench\Plans;
use App\Http\Paper;
use App\Models\Analysis;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\AttemptEvent;
use App\Models\Contest;
use App\Models\Mark;
use App\Models\Task;
use App\Models\TaskState;
use App\Records\ExamPaper;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\Model;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Mark as ComputedMark;

/** An attempt gone over: on the screen, on paper, and whether it would read the same today. */
class DebriefController extends Controller
{
    /** What a debrief of an older engine does not say. */
    public const ROW = [
        'done' => null,
        'worth' => 0,
        'watched' => 0,
        'share' => null,
        'bits_before' => 0,
        'bits_after' => 0,
        'families' => [],
        'flaws' => [],
    ];

    public const MARK = [
        'not_passed' => [],
        'hints' => ['taken' => [], 'points' => 0],
        'call_back' => ['hours' => 0, 'said' => []],
    ];

    public function show(
        Request $request,
        Attempt $attempt,
        Plans $plans,
        MarkAttempts $judging,
    ): Response|RedirectResponse {
        if (! $attempt->assignment->kind->isMarked()) {
            return redirect('/');
        }
        if ($attempt->mark === null) {
            $waiting = $this->waiting($attempt);
            if ($attempt->refresh()->mark === null) {
                return $waiting;
            }
        }
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $plan = $plans->ofAssignment($assignment);
        $universe = FaultSet::of($plan->model);
        $fault = $universe->get($assignment->fault);
        $contest = $attempt->contests()->reorder('id', 'desc')->first();
        $second = $contest?->isFor($request->user()) === true ? $contest : null;

        return Inertia::render('Debrief', [
            'job' => $assignment->briefing(),
            'attempt' => $attempt->id,
            'pairs' => PairsController::state($attempt),
            'trainee' => $attempt->user->name,
            'fault' => [
                'id' => $fault->id,
                'title' => $fault->title,
                'parts' => $this->parts($plan->model, $fault->part, array_column($fault->members, 'part')),
            ],
            'titles' => array_map(fn ($f) => $f->title, $universe->faults),
            'verdict' => ComputedMark::verdictText($attempt->mark['verdict']),
            'mark' => self::withMaps(
                ($second === null ? $attempt->mark : $judging->forSecond($attempt, $second)) + self::MARK,
            ),
            'noted' => $attempt->events()->with('user:id,name')->get()
                ->map(fn (AttemptEvent $e) => $e->shown($request->user()->id)),
            'contest' => self::contest($contest, $second),
            'may_contest' => $request->user()->can('contest', $attempt) && ($contest === null || ! $contest->isOpen()),
            'debrief' => self::told(self::debrief($attempt)),
            'board' => $attempt->debrief['board'] ?? json_decode($assignment->board, true),
            'doors' => $plan->model->document['doors'],
            'lanes' => $plan->model->tape(),
            'past' => $assignment->work->kind()->past($attempt, $assignment),
            'perfect' => Analysis::find($assignment->hash, $assignment->visit)?->left(
                $assignment->fault,
                self::debrief($attempt)['entered'],
            ),
            'others' => $attempt->marks
                ->slice(1)
                ->map(
                    fn (Mark $m) => [
                        'rules' => $m->result['rules'],
                        'total' => $m->result['total'],
                        'passed' => $m->result['passed'],
                        'at' => $m->created_at?->toDateString(),
                        'lines' => array_map(
                            fn (array $l) => [
                                'title' => $l['title'],
                                'points' => $l['points'],
                                'weight' => $l['weight'],
                            ],
                            $m->result['lines'],
                        ),
                    ],
                )
                ->values(),
            'engine' => ['then' => $attempt->engine, 'now' => Assignment::ENGINE],
            'judges' => $request->user()->can('judge', $attempt),
        ]);
    }

    /** What shows the first marking is not for the second marker before he has finished. */
    private static function notSecond(Request $request, Attempt $attempt): void
    {
        $contest = $attempt->contests()->whereNull('finished_at')->first();
        abort_if(
            $contest?->isFor($request->user()) === true, 409,
            'You are the second marker: this comes when your marking is finished.',
        );
    }

    /** @return array{reason: string, first: float|null, second: float|null, open: bool, marks: bool}|null */
    private static function contest(?Contest $contest, ?Contest $second): ?array
    {
        return $contest === null ? null : [
            'reason' => $contest->reason,
            // whoever marks second does not see what the first gave
            'first' => $second === null ? $contest->first_total : null,
            'second' => $contest->second_total, 'open' => $contest->isOpen(), 'marks' => $second !== null,
        ];
    }

    public function pdf(Request $request, Attempt $attempt): \Symfony\Component\HttpFoundation\Response
    {
        abort_if($attempt->mark === null, 409, 'It is still being marked. Try again in a moment.');
        self::notSecond($request, $attempt);
        // another sheet when a line was set otherwise since
        $subject = "debrief:$attempt->id:".substr(hash('sha256', (string) $attempt->getRawOriginal('mark')), 0, 16);

        return Paper::answer(
            $request,
            $subject,
            ['what' => 'debrief.pdf', 'attempt' => $attempt->id],
            "debrief-$attempt->id.pdf",
            "/attempts/$attempt->id/debrief",
        );
    }

    /** What today's engine would show otherwise than was shown then. The mark stays. */
    /** For the file: everything, signed. */
    public function paper(Request $request, Attempt $attempt): JsonResponse
    {
        self::notSecond($request, $attempt);

        return response()->json(ExamPaper::of($attempt), 200, [
            'Content-Disposition' => "attachment; filename=\"paper-$attempt->id.json\"",
        ], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION);
    }

    public function drift(Request $request, Attempt $attempt): JsonResponse
    {
        $task = Task::want($request->user(), 'drift', "attempt:$attempt->id:".Assignment::ENGINE, [
            'attempt' => $attempt->id,
        ]);

        return response()->json(
            $task->state === TaskState::Done ? $task->result : ['apart' => null, 'error' => $task->error],
        );
    }

    /** How far the marking is. */
    public function marking(Attempt $attempt): JsonResponse
    {
        $task = Task::find('mark', "attempt:$attempt->id");

        return response()->json([
            'marked' => $attempt->mark !== null,
            'share' => (float) ($task->share ?? 0),
            'error' => $attempt->mark === null ? $task?->error : null,
        ]);
    }

    private function waiting(Attempt $attempt): Response
    {
        // once more, if it went wrong
        Task::want($attempt->user, 'mark', "attempt:$attempt->id", ['attempt' => $attempt->id], again: true);

        return Inertia::render('Marking', [
            'attempt' => $attempt->id,
            'job' => $attempt->assignment->briefing(),
            'trainee' => $attempt->user->name,
        ]);
    }

    /** @return array<string, mixed> */
    public static function debrief(Attempt $attempt): array
    {
        // of a wiring it has a board and a past of its own
        $debrief = array_diff_key($attempt->debrief ?? [], ['board' => 1, 'past' => 1]);
        if (array_is_list($debrief)) { // as it was kept before there were turning points
            $debrief = ['entries' => $debrief];
        }
        $debrief += [
            'entries' => [],
            'won' => [],
            'lost' => [],
            'same' => [],
            'report' => [],
            'bits' => 0,
            'entered' => [],
        ];
        $debrief['entries'] = array_map(fn (array $row) => $row + self::ROW, $debrief['entries']);

        return $debrief;
    }

    /**
     * A mark whose hints are an object though there be none.
     *
     * @param array<string, mixed> $mark
     * @return array<string, mixed>
     */
    private static function withMaps(array $mark): array
    {
        return ['hints' => ['taken' => (object) $mark['hints']['taken']] + $mark['hints']] + $mark;
    }

    /**
     * A debrief in which those that are left are an object though there be none.
     *
     * @param array<string, mixed> $debrief
     * @return array<string, mixed>
     */
    private static function told(array $debrief): array
    {
        $entries = array_map(fn (array $row): array => ['left' => (object) $row['left']] + $row, $debrief['entries']);

        return ['entries' => $entries] + $debrief;
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

        return array_values(
            array_filter($all, fn (string $id) => $model->part($id) !== null || $model->wire($id) !== null),
        );
    }
}
