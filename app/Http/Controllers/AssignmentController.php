<?php

namespace App\Http\Controllers;

use App\Bench\Giving;
use App\Http\Requests\GiveJobRequest;
use App\Models\Analysis;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Course;
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
        );

        return redirect("/jobs/$assignment->id");
    }

    public function show(Request $request, Assignment $assignment): Response
    {
        $this->authorize('view', $assignment);
        $attempts = $assignment->attempts()->withCount('entries')->get(['id', 'assignment_id', 'user_id', 'handed_back_at', 'mark'])->keyBy('user_id');
        $row = fn (?Attempt $a): array => [
            'attempt' => $a?->id, 'entries' => $a === null ? 0 : (int) $a->getAttribute('entries_count'), 'handed_back' => $a?->handed_back_at !== null,
            'total' => $a?->mark['total'] ?? null, 'passed' => $a?->mark['passed'] ?? null, 'verdict' => $a?->mark['verdict'] ?? null,
        ];
        $universe = Universe::of(new Model(json_decode($assignment->document, true)));

        return Inertia::render('Job', [
            'job' => $assignment->briefing() + [
                'course' => $assignment->course->name,
                'fault' => $universe->get($assignment->fault)->title,
                'hash' => substr($assignment->hash, 0, 12),
                'rules' => "{$assignment->rules['title']}, version {$assignment->rules['version']}",
                'key' => Analysis::find($assignment->hash, $assignment->visit)?->key($assignment->fault),
            ],
            'rows' => $assignment->trainees->map(fn ($u) => ['name' => $u->name] + $row($attempts[$u->id] ?? null)),
            'own' => $row($attempts[$request->user()->id] ?? null),
        ]);
    }
}
