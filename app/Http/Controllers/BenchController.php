<?php

namespace App\Http\Controllers;

use App\Bench\Attempts;
use App\Bench\Hints;
use App\Bench\JobClock;
use App\Bench\Plans;
use App\Bench\Told;
use App\Bench\Workbench;
use App\Http\Board;
use App\Http\Reader;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Entry;
use App\Models\Task;
use App\Work\Commissioning;
use App\Work\Returning;
use App\Work\WiringUp;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Acts\Perceiving\Ask;
use OddSpark\Bench\WarmUp;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Bag;
use OddSpark\Words\Words;

class BenchController extends Controller
{
    public function __construct(
        private readonly Workbench $workbench,
        private readonly Attempts $attempts,
        private readonly Plans $plans,
        private readonly Hints $hints,
    ) {}

    public function start(Request $request, Assignment $assignment): RedirectResponse
    {
        $refusal = JobClock::refusal($assignment, $request->user());
        $isBegun = $assignment->attempts()->where('user_id', $request->user()->id)->exists();
        if ($refusal !== null && ! $isBegun) {
            return redirect('/')->with('flash', $refusal);
        }
        $attempt = $this->attempts->start($assignment, $request->user());

        return redirect($attempt->isOpen() ? "/attempts/$attempt->id" : "/attempts/$attempt->id/debrief");
    }

    public function show(Attempt $attempt): Response|RedirectResponse
    {
        if ($this->workbench->closeIfOver($attempt)) {
            $this->marked($attempt);
        }
        $attempt->refresh();
        if (! $attempt->isOpen()) {
            return redirect(
                ! $attempt->assignment->kind->isMarked() ? '/' : "/attempts/$attempt->id/debrief",
            );
        }

        if (! $attempt->assignment->work->isAtBench()) {
            return redirect("/attempts/$attempt->id/sheet");
        }

        return $this->page($this->attempts->current($attempt), null);
    }

    /** The bench as whom is at it sees it: to be looked at by his instructor, and nothing is done there. */
    public function lookOver(Attempt $attempt): Response
    {
        abort_unless($attempt->isOfToday() && $attempt->assignment->work->isAtBench(), 404);

        return $this->page($attempt, $attempt->user->name);
    }

    /** @param string|null $watched whose bench it is, where somebody else looks on */
    private function page(Attempt $attempt, ?string $watched): Response
    {
        $plan = $this->plans->ofAssignment($attempt->assignment);
        $now = $this->workbench->look($attempt); // what is computed, and may be kept, is in no reader's language

        return Words::in(Reader::languageOf(request(), $plan->model), fn () => Inertia::render('Bench', [
            'watched' => $watched,
            'course' => $attempt->assignment->course_id,
            'stopped' => $attempt->stopped_at !== null,
            'hand_up' => $attempt->hand_at !== null,
            'attempt' => $attempt->id,
            'left_s' => JobClock::left($attempt),
            'job' => $attempt->assignment->briefing(),
            'board' => Board::of($attempt->assignment),
            'doors' => $plan->model->document['doors'] ?? [],
            'faults' => ! $attempt->assignment->work->kind()->hasSuspects() ? [] : array_values(array_map(
                fn (Fault $f) => ['id' => $f->id, 'title' => $f->title, 'part' => $f->part, 'family' => $f->family],
                FaultSet::of($plan->model)->faults,
            )),
            'wiring' => WiringUp::told($attempt->assignment),
            'commissioning' => Commissioning::told($attempt->assignment),
            'returning' => Returning::told($attempt->assignment),
            'steps' => $attempt->assignment->kind->isMarked() ? null : WarmUp::steps(),
            'units' => Bag::units(),
            'questions' => array_map(ucfirst(...), Words::each('acts.ask.question', Ask::QUESTIONS)),
            'log' => $attempt->entries->map(fn (Entry $e) => $e->read($plan->model)),
            'past' => Told::channels(
                $this->attempts->bench($attempt->assignment, null),
                $this->attempts->observations($attempt)->perceived,
            ),
            'now' => $now,
            'told' => $attempt->set_aside !== null && $attempt->entries->isEmpty() ? Attempts::GIVEN_ANEW : null,
        ]));
    }

    /** What an act must have is said by the core's catalogue of acts. */
    public function act(Request $request, Attempt $attempt): JsonResponse
    {
        $reply = $this->workbench->act($attempt, $request->json()->all());

        return $this->answered($attempt, $reply);
    }

    /** How far a hint is, and its entry. */
    public function waiting(Request $request, Attempt $attempt): JsonResponse
    {

        return response()->json($this->read($attempt, $this->hints->waiting($attempt, $this->text($request, 'of'))));
    }

    public function play(Request $request, Attempt $attempt): JsonResponse
    {

        return $this->answered($attempt, $this->workbench->play($attempt, (int) round(1000 * $request->json('to_s'))));
    }

    public function next(Attempt $attempt): JsonResponse
    {
        return $this->answered($attempt, $this->workbench->next($attempt));
    }

    /**
     * A reply; of a call that it has closed the mark is wanted.
     *
     * @param array<string, mixed> $reply
     */
    private function answered(Attempt $attempt, array $reply): JsonResponse
    {
        if ($reply['handed_back']) {
            $this->marked($attempt);
        }

        return response()->json($this->read($attempt, $reply));
    }

    /**
     * A reply with its entry in the language of whoever is at the bench.
     *
     * @param array<string, mixed> $reply
     * @return array<string, mixed>
     */
    private function read(Attempt $attempt, array $reply): array
    {
        $model = $this->plans->ofAssignment($attempt->assignment)->model;
        $language = Reader::languageOf(request(), $model);
        if ($reply['entry'] === null || $language === Words::AMERICAN) {
            return $reply;
        }
        $entry = $attempt->entries()->where('client_id', $reply['entry']['id'])->firstOrFail();

        return ['entry' => Words::in($language, fn () => $entry->read($model))] + $reply;
    }

    private function marked(Attempt $attempt): void
    {
        if ($attempt->assignment->kind->isMarked()) {
            Task::want($attempt->user, 'mark', "attempt:$attempt->id", ['attempt' => $attempt->id]);
        }
    }
}
