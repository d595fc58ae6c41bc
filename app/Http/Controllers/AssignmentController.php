<?php

namespace App\Http\Controllers;

use App\Bench\Giving;
use App\Http\Requests\GiveJobRequest;
use App\Models\Analysis;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\Mark;
use App\Models\RuleSet;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\Model;
use OddSpark\Faults\Universe;

class AssignmentController extends Controller
{
    public function store(GiveJobRequest $request, Giving $giving): RedirectResponse
    {
        $assignment = $giving->give(
            $request->user(),
            Appliance::query()->findOrFail($request->integer('appliance')),
            Course::query()->findOrFail($request->integer('course')),
            array_map(intval(...), $request->array('trainees')),
            $request->string('title')->value(),
            $request->string('fault')->value(),
            $request->string('visit')->value(),
            $request->string('kind')->value(),
            $request->string('complaint')->value(),
            random_int(1, 0x7FFFFF),
            ['low_battery' => $request->boolean('low_battery'), 'worn_leads' => $request->boolean('worn_leads')],
            $request->boolean('stops'),
            RuleSet::query()->find($request->integer('rules')),
        );

        Analysis::want($request->user(), $assignment->hash, $assignment->visit); // for its answer key, and the perfect hand of its debriefs

        return redirect("/jobs/$assignment->id");
    }

    public function show(Request $request, Assignment $assignment): Response
    {
        $this->authorize('view', $assignment);
        $attempts = $assignment->attempts()->withCount('entries')->with('marks')->get(['id', 'assignment_id', 'user_id', 'handed_back_at', 'mark'])->keyBy('user_id');
        $marking = MarkController::marking($attempts->all());
        $row = fn (?Attempt $a): array => [
            'attempt' => $a?->id, 'entries' => $a === null ? 0 : (int) $a->getAttribute('entries_count'), 'handed_back' => $a?->handed_back_at !== null,
            'marking' => $a === null ? null : $marking[$a->id] ?? null,
            'others' => $a === null ? [] : $a->marks->slice(1)->map(fn (Mark $m) => ['title' => "{$m->rules['title']}, version {$m->rules['version']}", 'total' => $m->result['total'], 'passed' => $m->result['passed']])->values()->all(),
            'total' => $a?->mark['total'] ?? null, 'passed' => $a?->mark['passed'] ?? null, 'verdict' => $a?->mark['verdict'] ?? null,
        ];
        $universe = Universe::of(new Model(json_decode($assignment->document, true)));

        return Inertia::render('Job', [
            'job' => $assignment->briefing() + [
                'course' => $assignment->course->name,
                'fault' => $universe->get($assignment->fault)->title,
                'hash' => substr($assignment->hash, 0, 12),
                'key' => Analysis::find($assignment->hash, $assignment->visit)?->key($assignment->fault),
            ],
            'rows' => $assignment->trainees->map(fn ($u) => ['name' => $u->name] + $row($attempts[$u->id] ?? null)),
            'sets' => RuleSet::newest()->map(fn (RuleSet $r) => ['id' => $r->id, 'title' => "$r->title, version $r->version"]),
            'own' => $row($attempts[$request->user()->id] ?? null),
        ]);
    }
}
