<?php

namespace App\Tasks;

use App\Bench\Plans;
use App\Building\Running;
use App\Http\Controllers\DebriefController;
use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Task;
use App\Models\User;
use App\Records\Gradebook;
use Dompdf\Dompdf;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Drawing\Chart;
use OddSpark\Drawing\Sheet;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\RunError;
use OddSpark\Verbs\Sheet as DebriefSheet;

/** Makes what is to be printed or taken away: debriefs, drawings, netlists. */
class MakePaper implements Work
{
    public function __construct(
        private readonly Library $library,
        private readonly Running $running,
        private readonly Plans $plans,
    ) {}

    public function do(Task $task): ?array
    {
        try {
            $file = match (true) {
                isset($task->payload['attempt']) => $this->debrief(
                    Attempt::query()->findOrFail($task->payload['attempt']),
                ),
                isset($task->payload['person']) => $this->record(
                    User::query()->findOrFail($task->payload['person']),
                    Course::query()->find($task->payload['course']),
                ),
                default => $this->ofDraft(Draft::query()->findOrFail($task->payload['draft']), $task->payload['what']),
            };
        } catch (DocumentError $e) {
            throw new WorkError('It cannot run yet, so there is no such file. '.$e->getMessage());
        } catch (RunError $e) {
            throw new WorkError('It does not come to rest, so there is no such file. '.$e->getMessage());
        }
        Task::query()->whereKey($task->id)->update(['file' => $file]);

        return null;
    }

    private function debrief(Attempt $attempt): string
    {
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $plan = $this->plans->ofAssignment($assignment);

        return $this->pdf(
            DebriefSheet::html(
                [
                    'title' => $assignment->title,
                    'who' => $attempt->user->name,
                    'model' => $plan->model->title(),
                    'fault' => FaultSet::of($plan->model)->get($assignment->fault)->title,
                    'when' => $attempt->handed_back_at?->toDateString() ?? '',
                ],
                $attempt->mark + DebriefController::MARK,
                DebriefController::debrief($attempt),
            ),
            'portrait',
            'A4',
        );
    }

    /** What somebody has shown, for the file. */
    private function record(User $person, ?Course $course): string
    {
        return $this->pdf(view('papers.record', [
            'person' => $person->name, 'course' => $course?->name, 'made' => now()->format('j M Y'),
        ] + Gradebook::ofPerson($person, $course))->render(), 'portrait', 'A4');
    }

    private function ofDraft(Draft $draft, string $what): string
    {
        [$of, $as] = explode('.', $what);
        if ($of === 'netlist') {
            return $this->running->at($draft, '', 0.0)->netlist(); // the healthy appliance at its arrival
        }
        $svg = match ($of) {
            'board' => Sheet::board($this->library->draft($draft->content())),
            'ladder' => Sheet::ladder($this->library->draft($draft->content())),
            default => $this->chart($draft),
        };

        return $as === 'svg'
            ? $svg
            : $this->pdf(
                '<html><body style="margin:0"><img style="width:100%" src="data:image/svg+xml;base64,'.
                    base64_encode($svg).
                    '"></body></html>',
                'landscape',
                'A3',
            );
    }

    private function chart(Draft $draft): string
    {
        $tape = $this->running->tape($draft, '');
        $stretches = fn (array $list): array => array_map(fn (array $s) => [$s['from'], $s['to'], $s['value']], $list);
        $lanes = array_map(
            fn (array $lane) => [
                'name' => $lane['name'],
                'tone' => $lane['tone'],
                'stretches' => $stretches(((array) $tape['perceived'])[$lane['channel']] ?? []),
            ],
            $this->library->draft($draft->content())->tape(),
        );
        $states = [];
        foreach ($tape['states'] as $i => $s) {
            $states[] = [$s['at'], $tape['states'][$i + 1]['at'] ?? (float) $tape['until_s'], $s['title']];
        }

        return Chart::svg(
            $draft->title,
            $lanes,
            $states === [] ? [] : [['name' => 'Control', 'stretches' => $states]],
            (float) $tape['until_s'],
        );
    }

    private function pdf(string $html, string $orientation, string $size): string
    {
        $folder = storage_path('framework/cache');
        $pdf = new Dompdf([
            'isRemoteEnabled' => false,
            'isPhpEnabled' => false,
            'tempDir' => $folder,
            'fontCache' => $folder,
        ]);
        $pdf->loadHtml($html);
        $pdf->setPaper($size, $orientation);
        $pdf->render();

        return (string) $pdf->output();
    }
}
