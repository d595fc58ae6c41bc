<?php

namespace App\Http\Controllers;

use App\Http\Requests\GiveJobRequest;
use App\Models\Analysis;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\Mark;
use App\Models\RuleSet;
use App\Models\Task;
use App\Work\Asked;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\Model;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Mark as ComputedMark;

class AssignmentController extends Controller
{
    public function store(GiveJobRequest $request): RedirectResponse
    {
        $task = Task::want($request->user(), 'give', (string) Str::uuid(), [
            'title' => 'Setting up “'.$request->string('title')->value().'”',
            'back' => '/models/'.$request->integer('appliance'),
            'job' => [
                'appliance' => $request->integer('appliance'),
                'course' => $request->integer('course'),
                'trainees' => array_map(intval(...), $request->array('trainees')),
                'title' => $request->string('title')->value(),
                'fault' => $request->faults()[0],
                'pool' => array_slice($request->faults(), 1),
                'after' => $request->input('after'),
                'after_mark' => $request->input('after_mark'),
                'visit' => $request->string('visit')->value(),
                'kind' => $request->string('kind')->value(),
                'complaint' => $request->string('complaint')->value(),
                'seed' => random_int(1, 0x7FFFFF),
                'kit' => [
                    'low_battery' => $request->boolean('low_battery'),
                    'worn_leads' => $request->boolean('worn_leads'),
                ],
                'stops' => $request->boolean('stops'),
                ...Asked::by($request)->toArray(),
                'rules' => $request->integer('rules'),
                'window' => [
                    'opens_at' => JobTimeController::moment($request, 'opens_at')?->toIso8601String(),
                    'closes_at' => JobTimeController::moment($request, 'closes_at')?->toIso8601String(),
                    'minutes' => $request->input('minutes') === null ? null : $request->integer('minutes'),
                ],
            ],
        ]);

        return redirect($task->result['goes'] ?? "/tasks/$task->id");
    }

    public function show(Request $request, Assignment $assignment): Response
    {
        $attempts = $assignment
            ->attempts()
            ->withCount('entries')
            ->with('marks')
            ->get(['id', 'assignment_id', 'user_id', 'handed_back_at', 'mark'])
            ->keyBy('user_id');
        $marking = MarkController::marking($attempts->all());
        $row = fn (?Attempt $a): array => [
            'attempt' => $a?->id,
            'entries' => $a === null ? 0 : (int) $a->getAttribute('entries_count'),
            'handed_back' => $a?->handed_back_at !== null,
            'marking' => $a === null ? null : $marking[$a->id] ?? null,
            'others' => $a === null
                    ? []
                    : $a->marks
                        ->slice(1)
                        ->map(
                            fn (Mark $m) => [
                                'title' => "{$m->rules['title']}, version {$m->rules['version']}",
                                'total' => $m->result['total'],
                                'passed' => $m->result['passed'],
                            ],
                        )
                        ->values()
                        ->all(),
            'total' => $a?->mark['total'] ?? null,
            'passed' => $a?->mark['passed'] ?? null,
            'verdict' => isset($a?->mark['verdict']) ? ComputedMark::verdictText($a->mark['verdict']) : null,
        ];
        $model = new Model(json_decode($assignment->document, true));
        $universe = FaultSet::of($model);

        return Inertia::render('Job', [
            'job' => $assignment->briefing() + [
                'course' => $assignment->course->name,
                'model' => $model->title(),
                'visit' => $model->visitTitles()[$assignment->visit] ?? $assignment->visit,
                'fault' => $universe->get($assignment->fault)->title,
                'hash' => substr($assignment->hash, 0, 12),
                'key' => Analysis::find($assignment->hash, $assignment->visit)?->key($assignment->fault),
            ],
            'pool' => $assignment->pool === null ? [] : Assignment::query()
                ->select(Assignment::LIGHT)->pooledWith($assignment)->withCount('trainees')->get()
                ->map(fn (Assignment $a) => [
                    'id' => $a->id, 'fault' => $universe->get($a->fault)->title, 'trainees' => (int) $a->trainees_count,
                ]),
            'after' => $assignment->after_id === null ? null : [
                'title' => $assignment->after->title, 'mark' => $assignment->after_mark,
            ],
            'classes' => Course::query()->taughtBy($request->user())->orderBy('name')->get(['id', 'name'])
                ->map(fn (Course $c) => ['id' => $c->id, 'name' => $c->name]),
            'rows' => $assignment->trainees->map(
                fn ($u) => [
                    'id' => $u->id, 'name' => $u->name, 'extra_minutes' => (int) $u->getRelationValue('pivot')->extra_minutes,
                ] + $row($attempts[$u->id] ?? null),
            ),
            'sets' => RuleSet::newest($request->user())->map(
                fn (RuleSet $r) => ['id' => $r->id, 'title' => "$r->title, version $r->version"],
            ),
            'may_set' => $request->user()->can('update', $assignment),
            'own' => $row($attempts[$request->user()->id] ?? null),
        ]);
    }
}
