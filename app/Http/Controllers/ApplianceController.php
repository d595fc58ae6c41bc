<?php

namespace App\Http\Controllers;

use App\Bench\AssignJob;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\JobTemplate;
use App\Models\RuleSet;
use App\Models\Share;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\Facets;
use OddSpark\Appliance\Model;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Sequence\Table;

class ApplianceController extends Controller
{
    /** Long enough for a heating cycle and for what cycles after minutes, s. */
    private const PREVIEW_S = 900;

    public function index(Request $request): Response
    {
        return Inertia::render('Models', [
            'models' => Appliance::query()
                ->offered()
                ->readableBy($request->user())
                ->get()
                ->map(function (Appliance $a): array {
                    $model = $a->model();

                    return [
                        'id' => $a->id,
                        'title' => $a->title,
                        'notes' => $model->document['notes'],
                        'parts' => count($model->parts()),
                        'wires' => count($model->wires()),
                        'faults' => count(FaultSet::of($model)->faults) - 1,
                        'facets' => Facets::of($model)->toArray(),
                        'picture' => $this->picture(json_decode($a->board, true)),
                    ];
                }),
        ]);
    }

    /**
     * A board in few lines.
     *
     * @param array<string, mixed> $board
     * @return array<string, mixed> size, parts as boxes, wires in their colours
     */
    private function picture(array $board): array
    {
        return [
            'width' => $board['width'],
            'height' => $board['height'],
            'parts' => array_map(fn (array $p) => [$p['x'], $p['y'], $p['w'], $p['h']], $board['parts']),
            'wires' => array_map(
                fn (array $w) => ['colour' => $w['colour'], 'points' => $w['points']],
                $board['wires'],
            ),
        ];
    }

    public function show(Request $request, Appliance $appliance, AssignJob $giving): Response
    {
        $model = $appliance->model();
        $sets = RuleSet::newest($request->user());

        return Inertia::render('Model', [
            'model' => ['id' => $appliance->id, 'title' => $appliance->title, 'notes' => $model->document['notes'], 'about' => [
                'author' => $model->document['about']['author'] ?? null,
                'licence' => $model->document['about']['licence'] ?? null,
            ]],
            'comes_with' => $this->jobs($model),
            'templates' => JobTemplate::of($request->user(), $appliance, $model)->map(
                fn (JobTemplate $of) => [
                    'id' => $of->id, 'name' => $of->name, 'title' => $of->title,
                    'by' => $of->user_id === $request->user()->id ? null : $of->user->name,
                    'may_change' => $request->user()->can('delete', $of),
                    'shares' => $of->user_id === $request->user()->id ? Share::shown('template', $of->name) : [],
                    'job' => ['rules' => $sets->firstWhere('name', $of->job['rules'])?->id] + $of->job,
                ],
            ),
            'board' => json_decode($appliance->board, true),
            'visits' => $model->visitTitles(),
            'faults' => array_values(array_map(
                fn (Fault $f) => ['id' => $f->id, 'title' => $f->title, 'family' => $f->family, 'weight' => $f->weight],
                FaultSet::of($model)->faults,
            )),
            'tables' => $this->tables($model),
            'healthy' => $giving->preview($appliance, Fault::HEALTHY, $model->visits()[0], self::PREVIEW_S),
            'rules' => $sets->map(
                fn (RuleSet $r) => [
                    'id' => $r->id,
                    'title' => "$r->title, version $r->version",
                    'stops' => $r->document['stops'] !== [],
                ],
            ),
            'free' => $appliance->freeIn()->pluck('courses.id'),
            'before' => Assignment::query()
                ->whereIn('course_id', Course::query()->taughtBy($request->user())->select('id'))
                ->whereIn('kind', AssignmentKind::counting())
                ->latest('id')->limit(60)->get(['id', 'title', 'course_id', 'pool'])
                ->unique(fn (Assignment $a) => $a->pool ?? $a->id)->values()
                ->map(fn (Assignment $a) => ['id' => $a->id, 'title' => $a->title, 'course' => $a->course_id]),
            'courses' => Course::query()
                ->taughtBy($request->user())
                ->with('trainees:id,name')
                ->get(['id', 'name'])
                ->map(
                    fn (Course $c) => [
                        'id' => $c->id,
                        'name' => $c->name,
                        'trainees' => $c->trainees->map->only(['id', 'name']),
                    ],
                ),
        ]);
    }

    /**
     * Jobs that came with its document, as far as it still has their fault and visit.
     *
     * @return list<array{title: string, fault: string, visit: string, kind: string}>
     */
    private function jobs(Model $model): array
    {
        $faults = FaultSet::of($model)->faults;
        $there = array_filter(
            $model->document['jobs'] ?? [],
            fn (array $j): bool => isset($faults[$j['fault']]) && in_array($j['visit'], $model->visits(), true),
        );

        return array_values(array_map(fn (array $j): array => [
            'title' => $j['title'], 'fault' => $j['fault'], 'visit' => $j['visit'], 'kind' => $j['kind'] ?? 'practice',
        ], $there));
    }

    /** What a fault does: its tape, and what the customer would say. */
    public function preview(Request $request, Appliance $appliance, AssignJob $giving): JsonResponse
    {
        $model = $appliance->model();
        $fault = $this->text($request, 'fault');
        $visit = $this->text($request, 'visit');
        abort_unless(isset(FaultSet::of($model)->faults[$fault]), 422, 'This model has no such fault.');
        abort_unless(in_array($visit, $model->visits(), true), 422, 'This model has no such visit.');

        return response()->json($giving->preview($appliance, $fault, $visit, self::PREVIEW_S));
    }

    /**
     * The sequence tables of a model's controls, to be read.
     *
     * @return list<array{part: string, title: string, states: list<array<string, mixed>>,
     *     remarks: list<array{pointer: string, text: string}>}>
     */
    private function tables(Model $model): array
    {
        $tables = [];
        foreach ($model->parts() as $part) {
            foreach ($part->kind->those(Decides::class) as $name => $spec) {
                $table = Table::with($spec->get('table'), $part->params[$name]['overrides'] ?? []);
                $tables[] = [
                    'part' => $part->label,
                    'title' => $table['title'],
                    'states' => (new Table($table))->words(),
                    'remarks' => (new Table($table))->remarks(),
                ];
            }
        }

        return $tables;
    }
}
